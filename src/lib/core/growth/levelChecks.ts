import { addDays, daysBetween, mondayOf, type SchoolDate } from '../calendar';
import { reliableChange } from '../measurement';
import { goalWeek } from './probe';

/** When a level check of a plan's domain is taken. */
export const LEVEL_PLACES = ['middle', 'end'] as const;
export type LevelPlace = (typeof LEVEL_PLACES)[number];

/** Days for which a level check waits: the two weeks of school that it has. */
const OPEN_DAYS = 12;
/** A plan shorter than so many weeks has a check at its end only: its middle would tell what its beginning told. */
const MIDDLE_FROM_WEEKS = 8;
/** A domain is not checked again within so many days, whatever other plan asks for it. */
const APART_DAYS = 28;

/** A plan of weekly probes, as far as level checks follow from it. */
export interface CheckedPlan {
	id: number;
	/** Of its focus. */
	domainId: number;
	startsOn: SchoolDate;
	goalOn: SchoolDate;
	/** Whether it watches over a student after an exit: then its level is checked once. */
	afterExit: boolean;
	/** Whether anybody wants its level checked. */
	levelChecks: boolean;
}

interface LevelCheckDays {
	place: LevelPlace;
	/** First and last day. */
	opensOn: SchoolDate;
	closesOn: SchoolDate;
}

/** When the level of a plan's domain is checked: in the middle, and in the last two weeks before the goal. */
export function levelCheckDays(plan: Omit<CheckedPlan, 'id' | 'domainId'>): LevelCheckDays[] {
	if (!plan.levelChecks) return [];
	const weeks = goalWeek(plan);
	const end: LevelCheckDays = {
		place: 'end',
		opensOn: addDays(plan.goalOn, 1 - OPEN_DAYS),
		closesOn: plan.goalOn
	};
	if (plan.afterExit || weeks < MIDDLE_FROM_WEEKS) return [end];
	const opensOn = mondayOf(addDays(plan.startsOn, 7 * Math.floor(weeks / 2)));
	return [{ place: 'middle', opensOn, closesOn: addDays(opensOn, OPEN_DAYS - 1) }, end];
}

/** A level check that was begun. */
export interface BegunCheck {
	planId: number;
	place: LevelPlace;
	sittingId: number;
	isFinished: boolean;
}

export interface OpenCheck extends LevelCheckDays {
	planId: number;
	domainId: number;
	/** Once begun. */
	sittingId: number | null;
}

/**
 * The level checks that one student has to take on a day, one a domain: what is begun first, of others the one that closes
 * soonest. A check begun in time can be finished while its plan runs.
 *
 * @param plans running ones of the student
 * @param begun of these plans
 * @param checked days on which domains were checked, by whatever plan
 */
export function openLevelChecks(
	plans: CheckedPlan[],
	begun: BegunCheck[],
	checked: { domainId: number; on: SchoolDate }[],
	today: SchoolDate
): OpenCheck[] {
	const isFresh = (domain: number) =>
		checked.some(({ domainId, on }) => domainId === domain && daysBetween(on, today) < APART_DAYS);
	const all = plans.flatMap((plan) =>
		levelCheckDays(plan).flatMap((days): OpenCheck[] => {
			const own = begun.find(({ planId, place }) => planId === plan.id && place === days.place);
			const isOpen = days.opensOn <= today && today <= days.closesOn;
			if (own ? own.isFinished : !isOpen || isFresh(plan.domainId)) return [];
			return [{ ...days, planId: plan.id, domainId: plan.domainId, sittingId: own?.sittingId ?? null }];
		})
	);
	const inOrder = all.sort(
		(a, b) =>
			Number(a.sittingId === null) - Number(b.sittingId === null) ||
			a.closesOn.localeCompare(b.closesOn) ||
			a.planId - b.planId
	);
	return inOrder.filter((one, i) => inOrder.findIndex(({ domainId }) => domainId === one.domainId) === i);
}

/** What a level was measured by. */
export type LevelSource = 'diagnostic' | LevelPlace;

/** The level of a domain on a day, in points with its standard error. */
export interface Level {
	by: LevelSource;
	on: SchoolDate;
	score: number;
	standardError: number;
}

/** The levels that a series is judged with, in time: the last from before it began, and all since. */
export function levelsSince(levels: Level[], startsOn: SchoolDate): Level[] {
	const inTime = [...levels].sort((a, b) => a.on.localeCompare(b.on));
	const before = inTime.filter(({ on }) => on < startsOn);
	return [...before.slice(-1), ...inTime.filter(({ on }) => on >= startsOn)];
}

/** What the last two levels say of each other: whether the change is more than their errors explain (Jacobson & Truax 1991). */
export function levelChange(levels: Level[]): { from: Level; to: Level; reliable: boolean } | null {
	if (levels.length < 2) return null;
	const [from, to] = levels.slice(-2);
	return { from, to, reliable: reliableChange(from, to).reliable };
}

/** Whether the level has reliably fallen from the one before. */
export function hasFallen(levels: Level[]): boolean {
	const change = levelChange(levels);
	return change !== null && change.reliable && change.to.score < change.from.score;
}
