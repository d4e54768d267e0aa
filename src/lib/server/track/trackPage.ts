import { goalWeek, type Stake, STAKES } from '../../core/growth';
import type { Database } from '../database';
import { skillList } from '../library';
import { FIRST_ROWS, oneIn, type Staff } from '../request';
import type { School } from '../school';
import { findScope, type Scope } from '../shell';
import { caseload, type CasePlan, type CaseStudent } from './caseload';

/** What a caseload can be sorted by; `stake` where nothing is asked for. */
const SORTS = ['stake', 'name', 'tier', 'level', 'goal', 'sessions', 'probe'] as const;
type Sort = (typeof SORTS)[number];

/** The part of a student's right answers now; who has none comes last. */
const levelOf = ({ plans }: CaseStudent): number => {
	const reading = plans.find((plan) => plan.reading)?.reading;
	if (!reading) return Infinity;
	return reading.levels[reading.levels.length - 1].value / reading.probes[reading.probes.length - 1].of;
};
const dosageOf = ({ groups }: CaseStudent): number => {
	const counted = groups.flatMap(({ sessions }) => (sessions?.planned ? sessions.attended / sessions.planned : []));
	return counted.length ? Math.min(...counted) : Infinity;
};

/** What each sort goes by, the smallest first. */
const BY: Record<Sort, ((student: CaseStudent) => number) | null> = {
	stake: null,
	name: null,
	tier: ({ tier }) => -tier,
	level: levelOf,
	goal: ({ plans }) => plans.find((plan) => plan.reading)?.reading?.chanceOfGoal ?? Infinity,
	sessions: dosageOf,
	probe: ({ plans }) => -Math.max(...plans.map(({ lastDaysAgo }) => lastDaysAgo ?? 1_000), -1)
};

function sorted(students: CaseStudent[], sort: Sort, order: Map<number, number>): CaseStudent[] {
	const by = sort === 'name' ? ({ id }: CaseStudent) => order.get(id)! : BY[sort];
	if (!by) return students;
	return students
		.map((student, place) => ({ student, place, value: by(student) }))
		.sort((a, b) => (a.value === b.value ? a.place - b.place : a.value - b.value))
		.map(({ student }) => student);
}

/** The caseload of a scope, as the address sorts and narrows it: everybody in scope, the first rows in full. */
export async function trackPage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const [all, inOrder, skills] = await Promise.all([
		caseload(database, staff, school, scope),
		scope.students(),
		skillList(database, school.id)
	]);
	const show = oneIn(url, 'show', [...STAKES, 'something', 'tiers', 'due']);
	const sort = oneIn(url, 'sort', SORTS) ?? 'stake';
	const counts = Object.fromEntries(
		STAKES.map((kind) => [kind, all.filter(({ stakes }) => stakes.some(({ is }) => is === kind)).length])
	) as Record<Stake['is'], number>;
	const isDue = ({ plans }: CaseStudent) => plans.some(({ due }) => due);
	const shown = all.filter((student) => {
		if (show === null) return true;
		if (show === 'something') return student.stakes.length > 0;
		if (show === 'tiers') return student.tier > 1;
		if (show === 'due') return isDue(student);
		return student.stakes.some(({ is }) => is === show);
	});
	const order = new Map(inOrder.map(({ id }, place) => [id as number, place]));
	const listed = sorted(shown, sort, order);
	return {
		show,
		sort,
		counts,
		inTiers: all.filter(({ tier }) => tier > 1).length,
		atStake: all.filter(({ stakes }) => stakes.length).length,
		running: all.filter(({ plans }) => plans.length).length,
		due: all.filter(isDue).length,
		skillNames: Object.fromEntries(skills.map(({ id, shortName }) => [id, shortName])),
		ids: listed.map(({ id }) => id as number),
		rows: listed.slice(0, FIRST_ROWS).map(rowOf)
	};
}

/** Rows of some students, in the order they are asked for: no more is read than of them. */
export async function trackRows(database: Database, staff: Staff, school: School, ids: number[]) {
	const scope = await findScope(database, staff, `list:${ids.join(',')}`, school.today);
	if (!scope) return [];
	const found = new Map(
		(await caseload(database, staff, school, scope)).map((student) => [student.id as number, student])
	);
	return ids.flatMap((id) => {
		const student = found.get(id);
		return student ? [rowOf(student)] : [];
	});
}

/** What a row shows: of a reading, no more than a line draws. */
function rowOf({ id, givenName, familyName, className, tier, plans, groups, stakes }: CaseStudent) {
	return { id: id as number, givenName, familyName, className, tier, groups, stakes, plans: plans.map(lineOf) };
}

function lineOf(plan: CasePlan) {
	const { id, skillId, goalOn, due, lastDaysAgo, reading } = plan;
	return {
		...{ id, skillId, goalOn, due, lastDaysAgo },
		weeks: goalWeek(plan),
		reading: reading && {
			probes: reading.probes.map(({ week, right, of }) => ({ week, right, of })),
			levels: reading.levels.map(({ value, lower, upper }) => ({
				value: tenth(value),
				lower: tenth(lower),
				upper: tenth(upper)
			})),
			chanceOfGoal: reading.chanceOfGoal
		}
	};
}

const tenth = (value: number) => Math.round(10 * value) / 10;
