import { mondayOf, addDays, type SchoolDate } from '../../core/calendar';
import { comebacks, countTiers, tierMoves, tierStays, toldApart } from '../../core/growth';
import type { Database } from '../database';
import { attributeChoices, studentsWith } from '../people';
import { numberIn, textIn } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { tiersOf } from './store/decisions';
import { yearBegan } from './decisionsPage';

/** Moves that are shown at once. */
const AT_ONCE = 40;
/** Days of a year on which tiers are counted, at most. */
const MOMENTS = 12;

/** Mondays from a day to today, as many as fit, the last today's. */
function moments(since: SchoolDate, today: SchoolDate): SchoolDate[] {
	const weeks: SchoolDate[] = [];
	for (let monday = mondayOf(since); monday <= today; monday = addDays(monday, 7)) weeks.push(monday);
	const every = Math.max(1, Math.ceil(weeks.length / MOMENTS));
	return weeks.filter((_, i) => (weeks.length - 1 - i) % every === 0);
}

/** Tiers of a scope through the school year: how many in each, who moved, how long they stay, how many come back. */
export async function tiersPage(database: Database, school: School, scope: Scope, url: URL) {
	const since = await yearBegan(database, school);
	const [students, spans, attributes] = await Promise.all([
		scope.students(),
		tiersOf(database, scope.roster),
		attributeChoices(database, scope.roster)
	]);
	const ids = students.map(({ id }) => id as number);
	const days = moments(since, school.today);
	const counts = countTiers(ids, spans, days);
	const moves = tierMoves(spans, since, school.today);
	const part = { from: numberIn(url, 'moves'), most: AT_ONCE };
	const byId = new Map(students.map((student) => [student.id as number, student]));
	const wanted = attributes.find(({ name }) => name === textIn(url, 'by', 80)) ?? null;
	return {
		since,
		through: days.map((day, i) => ({ day, counts: counts[i] })),
		part: { ...part, total: moves.length },
		moves: moves.slice(part.from, part.from + AT_ONCE).map((move) => {
			const { givenName, familyName, className } = byId.get(move.studentId)!;
			return { ...move, givenName, familyName, className };
		}),
		stays: { 2: tierStays(spans, 2, school.today), 3: tierStays(spans, 3, school.today) },
		comebacks: comebacks(spans, school.today),
		attributes: attributes.map(({ name }) => name),
		by: wanted && {
			name: wanted.name,
			values: await byAttribute(database, scope, wanted, (some) => countTiers(some, spans, [school.today])[0])
		}
	};
}

/** Tiers of today by what the roster says of students; small counts are not told apart. */
async function byAttribute(
	database: Database,
	scope: Scope,
	{ name, choices }: { name: string; choices: { value: string }[] },
	count: (studentIds: number[]) => Record<1 | 2 | 3, number>
) {
	const students = (await scope.students()).map(({ id }) => id as number);
	const having = await Promise.all(choices.map(({ value }) => studentsWith(database, scope.roster, { name, value })));
	const said = new Set(having.flatMap((some) => [...some]));
	const groups = [
		...choices.map(({ value }, i) => ({ value, ids: students.filter((id) => having[i].has(id)) })),
		{ value: null, ids: students.filter((id) => !said.has(id)) }
	].filter(({ ids }) => ids.length);
	const told = toldApart(
		groups.map(({ ids }) => {
			const tiers = count(ids);
			return [tiers[1], tiers[2], tiers[3]];
		})
	);
	return groups.map(({ value }, i) => ({ value, tiers: told[i] }));
}
