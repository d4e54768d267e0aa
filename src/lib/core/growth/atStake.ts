import { DELIVERED } from './advise';

/** Why a student needs somebody now. Chances are 0 to 1. */
export type Stake =
	/** Secure when the group ended, and not any more by answers or by the watch's probes. */
	| { is: 'slipping after exit'; skillId: number }
	/** The level of a domain has fallen although the probes are secure. */
	| { is: 'level fell'; skillId: number }
	/** The goal is unlikely although the sessions took place. */
	| { is: 'goal unlikely'; planId: number; skillId: number; chance: number }
	/** Too few of the planned sessions were attended. */
	| { is: 'not delivered'; groupId: number; attended: number; planned: number }
	/** In two groups that work on one skill. */
	| { is: 'two groups'; skillId: number }
	/** At the ceiling: nothing is left to grow into. */
	| { is: 'at the ceiling'; planId: number; skillId: number }
	/** No probe for so many days; null: none was taken yet, although the plan has run for two weeks. */
	| { is: 'not measured'; planId: number; skillId: number; days: number | null }
	/** In tier 2 or 3 and in a group, without weekly probes. */
	| { is: 'no probes' }
	/** In tier 2 or 3, without a group. */
	| { is: 'no group' };

/** What the adults of several students' groups can be asked for at once. */
export const ASKS = [
	'hold the missed sessions first',
	'more minutes in each session',
	'look at the focus again'
] as const;

/** All that can be at stake: what costs a child most when it is not seen comes first. */
export const STAKES: Stake['is'][] = [
	'slipping after exit',
	'level fell',
	'goal unlikely',
	'not delivered',
	'no group',
	'two groups',
	'at the ceiling',
	'no probes',
	'not measured'
];

/** A running plan of weekly probes, as far as it says what is at stake. */
export interface PlanLook {
	planId: number;
	skillId: number;
	startedDaysAgo: number;
	/** Null where none was taken. */
	lastProbeDaysAgo: number | null;
	/** Questions right in the last two probes, of how many; empty under two. */
	lastTwo: { right: number; of: number }[];
	/** How many were taken. */
	probes: number;
	/** Of the group that it belongs to, since the student is in it; null outside one. */
	sessionsPlanned: number | null;
	/** Null before the first probe. */
	chanceOfGoal: number | null;
	goalIsOver: boolean;
	/** Of a watch after an exit, how sure the share to be kept is after the last two probes (0 to 1); else null. */
	kept: [number, number] | null;
}

/** What is known of a student of a caseload. */
export interface CaseLook {
	tier: 1 | 2 | 3;
	groups: { groupId: number; skillId: number; planned: number; attended: number }[];
	plans: PlanLook[];
	/** Skills on which groups ended with the student's exit in the last eight weeks, and that are slipping now. */
	slippingAfterExit: number[];
	/** Skills in the domains of which a level check has reliably fallen. */
	levelFell: number[];
}

/** Under this chance a goal is unlikely. */
const UNLIKELY = 0.2;
/** Sessions of a group from which its dosage says anything. */
const SESSIONS = 4;
/** Probes from which a chance is worth a look. */
const PROBES = 3;
/** Under this chance after two probes in a row, what was reached at an exit is lost. */
const LOST = 0.3;
/** After so many days without a probe a student is not measured. */
const UNMEASURED_DAYS = 14;
/** From this share of two probes in a row on, there is no room to grow. */
const CEILING = 0.93;

/** Why a student needs somebody now, what is most at stake first. */
export function atStake({ tier, groups, plans, slippingAfterExit, levelFell }: CaseLook): Stake[] {
	const isShort = ({ planned, attended }: CaseLook['groups'][number]) =>
		planned >= SESSIONS && attended < DELIVERED.first * planned;
	const short = groups.filter(isShort);
	const skills = groups.map(({ skillId }) => skillId);
	const twice = new Set(skills.filter((id, i) => skills.indexOf(id) !== i));
	const found: Stake[] = [
		...slippingAfterExit.map((skillId): Stake => ({ is: 'slipping after exit', skillId })),
		...levelFell.map((skillId): Stake => ({ is: 'level fell', skillId })),
		...short.map(({ groupId, attended, planned }): Stake => ({ is: 'not delivered', groupId, attended, planned })),
		...[...twice].map((skillId): Stake => ({ is: 'two groups', skillId }))
	];
	for (const plan of plans) {
		const { planId, skillId, lastTwo, lastProbeDaysAgo, startedDaysAgo } = plan;
		const of = { planId, skillId };
		if (!plan.kept && lastTwo.length === 2 && lastTwo.every(({ right, of: all }) => right >= CEILING * all))
			found.push({ is: 'at the ceiling', ...of });
		else if (isUnlikely(plan) && short.length === 0 && !plan.kept)
			found.push({ is: 'goal unlikely', ...of, chance: plan.chanceOfGoal! });
		if (plan.kept && plan.probes >= 2 && Math.max(...plan.kept) < LOST)
			found.push({ is: 'slipping after exit', skillId });
		// A watch asks every second week only.
		if ((lastProbeDaysAgo ?? startedDaysAgo) >= UNMEASURED_DAYS * (plan.kept ? 2 : 1))
			found.push({ is: 'not measured', ...of, days: lastProbeDaysAgo });
	}
	if (tier > 1 && groups.length === 0) found.push({ is: 'no group' });
	else if (tier > 1 && plans.length === 0) found.push({ is: 'no probes' });
	const isTwice = (one: Stake, i: number) =>
		found.findIndex((other) => JSON.stringify(other) === JSON.stringify(one)) < i;
	return found.filter((one, i) => !isTwice(one, i)).sort((a, b) => rankOf(a) - rankOf(b));
}

/** Whether a goal is unlikely by enough probes, though there were sessions to bring it nearer. */
const isUnlikely = ({ chanceOfGoal, goalIsOver, probes, sessionsPlanned }: PlanLook): boolean =>
	chanceOfGoal !== null &&
	chanceOfGoal < UNLIKELY &&
	!goalIsOver &&
	probes >= PROBES &&
	(sessionsPlanned === null || sessionsPlanned >= SESSIONS);

/** Where a stake comes among all that students may need somebody for: the less likely the goal, or the less delivered, the earlier. */
function rankOf(stake: Stake): number {
	const within =
		stake.is === 'goal unlikely' ? stake.chance : stake.is === 'not delivered' ? stake.attended / stake.planned : 0;
	return STAKES.indexOf(stake.is) + within / 2;
}

/** Students with what is at stake for them, most first; those with nothing come last, in the order they came. */
export function byStake<Student extends { stakes: Stake[] }>(students: Student[]): Student[] {
	const rank = ({ stakes }: Student) => (stakes.length ? rankOf(stakes[0]) : STAKES.length);
	return students
		.map((student, place) => ({ student, place }))
		.sort((a, b) => rank(a.student) - rank(b.student) || a.place - b.place)
		.map(({ student }) => student);
}
