import { addDays, sayMeeting } from '../../core/calendar';
import { sayAccommodation } from '../../core/screening';
import {
	type EvidenceFacts,
	EVIDENCE_PARTS,
	evidenceSheet,
	FAMILY_LANGUAGES,
	FAMILY_PARTS,
	type FamilyLanguage,
	familySheet,
	PLAN_PARTS,
	planSheet,
	type Sheet,
	withOwnWords,
	withParts
} from '../../core/sheets';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { decidedReviews, openReviews, studentLook, tierHistory } from '../decide';
import { currentGroupsOf, groupsOfStudent, sessionCounts } from '../groups';
import { accommodations, NO_ACCOMMODATION, type RosterStudent } from '../people';
import { oneIn, type Staff } from '../request';
import { currentCycle, type School } from '../school';
import { standingsOnDays, readStandings } from '../standing';
import { ownWords } from './store/sheets';

export const SHEETS = ['evidence', 'plan', 'family'] as const;
export type SheetKind = (typeof SHEETS)[number];
/** The parts of each sheet, in their order. */
export const PARTS: Record<SheetKind, readonly string[]> = {
	evidence: EVIDENCE_PARTS,
	plan: PLAN_PARTS,
	family: FAMILY_PARTS
};
const LANGUAGES = Object.keys(FAMILY_LANGUAGES) as FamilyLanguage[];
/** Days that are looked back on where no cycle runs. */
const LATELY = 56;

/** What of a student's sheets an address asks for. */
export function sheetAsked(url: URL): { kind: SheetKind; language: FamilyLanguage; parts: string[] } {
	const kind = oneIn(url, 'for', SHEETS) ?? 'evidence';
	const asked = (url.searchParams.get('parts') ?? '').split(',');
	return {
		kind,
		language: oneIn(url, 'language', LANGUAGES) ?? 'en',
		parts: PARTS[kind].filter((part) => asked.includes(part))
	};
}

/** All that the sheets of a student are made from. */
async function sheetFacts(database: Database, staff: Staff, school: School, student: RosterStudent) {
	const [groups, all, tiers, decided, sessions] = await Promise.all([
		currentGroupsOf(database, staff, student.id, school.today),
		groupsOfStudent(database, school.id, student.id),
		tierHistory(database, student.id),
		decidedReviews(database, [student.id]),
		sessionCounts(database, [student.id], school)
	]);
	const look = await studentLook(database, staff, school, student, groups[0]?.id ?? null);
	const nameOf = new Map(look.skills.map(({ id, shortName }) => [id, shortName]));
	const skillName = (id: number) => nameOf.get(id) ?? '';
	const plan = look.asked?.plan ?? null;
	const facts: EvidenceFacts = {
		student: { ...student, fullName: fullName(student) },
		school: school.name,
		on: school.today,
		tiers,
		groups: all.map(({ id, name, focusSkillId, fromOn, untilOn }) => ({
			...{ name, fromOn, untilOn, focus: skillName(focusSkillId) },
			sessions: sessions.get(`${student.id} ${id}`) ?? null
		})),
		series: plan && { ...plan, skill: skillName(plan.skillId), practiced: look.asked!.practiced },
		measures: look.measures.map(({ says }) => says),
		sessions: look.sessions,
		focus: look.focus && {
			name: look.focus.name,
			now: look.around!.now,
			lacking: look.around!.lacking.map(skillName),
			builtOn: look.around!.builtOn.map(({ id, ...one }) => ({ name: skillName(id), ...one }))
		},
		levels: look.levels,
		recommendation: look.recommendation,
		decisions: decided,
		notes: look.notes,
		skillName
	};
	return { facts, look, decided, group: groups[0] ?? null };
}

type Facts = Awaited<ReturnType<typeof sheetFacts>>;

/** Skills that became secure since the cycle began. */
async function becameSecure(database: Database, school: School, student: RosterStudent): Promise<Set<number>> {
	const cycle = await currentCycle(database, school.id, school.today);
	const since = cycle && cycle.startsOn < school.today ? cycle.startsOn : addDays(school.today, -LATELY);
	const [now, then] = await Promise.all([
		readStandings(database, [student.id]),
		standingsOnDays(database, [student.id], [since])
	]);
	const before = then.get(since)?.get(student.id);
	const secure = [...now.get(student.id)!].filter(([, { standing }]) => standing === 'secure');
	return new Set(secure.flatMap(([id]) => (before?.get(id)?.standing === 'secure' ? [] : id)));
}

async function forFamily(
	database: Database,
	school: School,
	student: RosterStudent,
	{ facts, look, decided }: Facts,
	language: FamilyLanguage
): Promise<Sheet> {
	const secure = await becameSecure(database, school, student);
	const named = (ids: number[]) =>
		ids.flatMap((id) => {
			const skill = look.skills.find((one) => one.id === id);
			return skill ? [{ code: skill.code, name: skill.shortName }] : [];
		});
	const { focus } = look;
	const isFocusSecure = focus !== null && secure.has(focus.id);
	const ready = look.around?.builtOn.filter(({ isReady }) => isReady).map(({ id }) => id) ?? [];
	const reading = facts.series?.reading ?? null;
	const probes = reading?.probes ?? [];
	// More right that may be luck is not told as growth.
	const hasRisen = reading !== null && reading.look.soFar.risen.lower > 0;
	return familySheet(
		{
			givenName: student.givenName,
			...{ fullName: facts.student.fullName, className: student.className, school: school.name, on: school.today },
			well: named([...secure].sort((a, b) => Number(b === focus?.id) - Number(a === focus?.id))),
			check: hasRisen ? { first: probes[0].right, last: probes[probes.length - 1].right, of: probes[0].of } : null,
			lessons: look.sessions,
			next: named(focus && !isFocusSecure ? [focus.id, ...ready] : ready),
			said: decided[0]?.familyTold ?? ''
		},
		language
	);
}

/** One sheet of a student, in its own words, with the parts that are asked for. */
export async function studentSheet(
	database: Database,
	staff: Staff,
	school: School,
	student: RosterStudent,
	{ kind, language, parts }: ReturnType<typeof sheetAsked>
): Promise<Sheet> {
	const all = await sheetFacts(database, staff, school, student);
	if (kind === 'evidence') return withParts(evidenceSheet(all.facts), parts);
	const [own, given, reviews] = await Promise.all([
		ownWords(database, student.id, { sheet: kind, language: kind === 'plan' ? 'en' : language }),
		accommodations(database, [student.id]),
		openReviews(database, [student.id])
	]);
	if (kind === 'family')
		return withParts(withOwnWords(await forFamily(database, school, student, all, language), own), parts);
	const { group } = all.look;
	const plan = planSheet({
		...all.facts,
		group: group?.time
			? {
					name: group.name,
					adult: group.time.staffName,
					when: sayMeeting(group.time),
					minutes: group.time.minutes,
					aWeek: group.time.days.length
				}
			: null,
		accommodations: [sayAccommodation(given.get(student.id) ?? NO_ACCOMMODATION)].filter(Boolean),
		nextReviewOn: reviews[0]?.dueOn ?? null
	});
	return withParts(withOwnWords(plan, own), parts);
}
