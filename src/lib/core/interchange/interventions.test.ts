import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar';
import { readInterventions } from './interventionList';
import { namesOf, planInterventions, type KnownOfInterventions } from './interventionPlan';

const TODAY = '2026-11-23';
const HEAD = ['Number', 'Tier', 'From', 'Until', 'Group', 'Focus', 'Adult', 'Days', 'Time', 'What was done', 'Outcome'];
const read = (...rows: string[][]) => {
	const found = readInterventions([HEAD, ...rows], TODAY);
	if ('problem' in found) throw new Error(found.problem);
	return found;
};
const student = (id: number, more: Partial<KnownOfInterventions['students'][number]> = {}) => ({
	id,
	number: `S${id}`,
	names: namesOf({ givenName: `Given${id}`, familyName: 'Okafor', preferredName: null }),
	shown: `Given${id} Okafor`,
	tier: 1 as const,
	spans: [],
	...more
});
const known: KnownOfInterventions = {
	today: TODAY,
	students: [
		student(1),
		student(2),
		student(3, { tier: 3, spans: [{ from: '2026-09-01', until: null }] }),
		student(4),
		student(5, { number: null, names: ['Wren Adeyemi'] }),
		student(6, { number: null, names: ['Wren Adeyemi'] })
	],
	skills: [{ id: 42, code: 'F42', shortName: 'Equivalent fractions' }],
	adults: [
		{ id: 7, userName: 'marlow', displayName: 'T. Marlow' },
		{ id: 8, userName: 'sand', displayName: 'O. Sand' }
	],
	groupNames: ['Rounding'],
	times: [
		{ id: 70, staffId: 7, days: [1, 3], startsAt: '09:15', minutes: 30, isHeld: false },
		{ id: 71, staffId: 7, days: [2], startsAt: '10:00', minutes: 30, isHeld: true }
	]
};
const plan = (...rows: string[][]) => planInterventions(read(...rows).listed, known);
const thirds = ['Thirds', 'F42', 'marlow', 'Mon Wed', '9:15'];

describe('a list of interventions', () => {
	it('is read by the names of its columns, in the ways people write', () => {
		const { listed, bad, unread } = read(
			['S1', 'Tier 2', '9/14/2026', '', 'Thirds', 'F42', 'marlow', 'Monday/Wed', '1:15 pm', '', ''],
			['S2', '3', '10/6/2025', '12/18/2025', '', '', '', '', '', 'Number talks', 'Went on']
		);
		expect([bad, unread]).toEqual([[], []]);
		expect(listed).toEqual([
			expect.objectContaining({
				line: 2,
				tier: 2,
				from: '2026-09-14',
				until: null,
				days: [1, 3],
				startsAt: '13:15',
				minutes: null
			}),
			expect.objectContaining({
				line: 3,
				tier: 3,
				from: '2025-10-06',
				until: '2025-12-19',
				did: 'Number talks',
				came: 'Went on'
			})
		]);
	});

	it.each([
		[['', '2', '2026-09-14'], 'It says no student'],
		[['S1', '1', '2026-09-14'], '“1” is neither tier 2 nor tier 3'],
		[['S1', '2', 'autumn'], '“autumn” is no day on which it began'],
		[['S1', '2', '2026-11-24'], 'It begins later than today'],
		[['S1', '2', '1996-11-24'], 'It begins too long ago'],
		[['S1', '2', '2026-09-14', 'soon'], '“soon” is no day on which it ended'],
		[['S1', '2', '2026-09-14', '2026-09-13'], 'It ends before it begins'],
		[['S1', '2', '2026-09-14', '', 'X', '', '', 'Sat'], '“Sat” are no days from Monday to Friday'],
		[['S1', '2', '2026-09-14', '', 'X', '', '', 'Mon', '9'], '“9” is no time of day, as 09:15'],
		[['S1', '2', '2026-09-14', '', 'x'.repeat(81)], 'A group’s name has at most 80 characters'],
		[['S1', '2', '2026-09-14', '', '', '', '', '', '', 'x'.repeat(301)], '“what was done” has more than 300 characters']
	])('leaves out %j and says why, and takes the others', (row, says) => {
		const { listed, bad } = read(row, ['S2', '2', '2026-09-14']);
		expect(bad).toEqual([{ line: 2, says }]);
		expect(listed.map(({ number }) => number)).toEqual(['S2']);
	});

	it('needs to say whom, which tier and since when, each once', () => {
		const problem = (...head: string[]) => (readInterventions([head, []], TODAY) as { problem: string }).problem;
		expect(problem('Number', 'Room')).toBe('The first line names no column “tier” and “from”');
		expect(problem('Tier', 'From')).toMatch(/neither a column “number” nor “name”/);
		expect(problem('Number', 'Tier', 'From', 'Since')).toBe('Two columns are “from”');
		expect(readInterventions([['Number', 'Tier', 'From', 'Room']], TODAY)).toMatchObject({ unread: ['Room'] });
	});
});

describe('what a list of interventions brings', () => {
	it('is tiers and groups that go on, with what was before', () => {
		const { tiers, groups, past, bad } = plan(
			['S1', '2', '2026-09-14', '', ...thirds],
			['S2', '2', '2026-10-05', '2026-12-18', 'thirds'],
			['S4', '3', '2026-10-05'],
			['S4', '2', '2025-10-06', '2025-12-18', '', '', '', '', '', 'Number talks', 'Went on']
		);
		expect(bad).toEqual([]);
		expect(tiers.map(({ studentId, tier, from }) => [studentId, tier, from])).toEqual([
			[1, 2, '2026-09-14'],
			[2, 2, '2026-10-05'],
			[4, 3, '2026-10-05']
		]);
		expect(groups).toEqual([
			{
				...{ name: 'Thirds', tier: 2, skillId: 42, skill: 'Equivalent fractions', staffId: 7, adult: 'T. Marlow' },
				time: { days: [1, 3], startsAt: '09:15', minutes: 30 },
				slotId: 70,
				endsOn: '2026-12-18',
				students: [
					{ id: 1, name: 'Given1 Okafor' },
					{ id: 2, name: 'Given2 Okafor' }
				]
			}
		]);
		expect(
			past.map(({ studentId, from, until, isOver, did, came }) => [studentId, from, until, isOver, did, came])
		).toEqual([
			[4, '2025-10-06', '2025-12-19', true, 'Number talks', 'Went on'],
			[1, '2026-09-14', TODAY, false, 'Thirds, F42', ''],
			[2, '2026-10-05', TODAY, false, 'thirds', '']
		]);
	});

	it.each([
		[['S9', '2', '2026-09-14'], 'No student in a class has the number S9'],
		[['S3', '2', '2026-10-14'], 'Given3 Okafor is in tier 3 already: a review changes that'],
		[['S3', '3', '2026-10-14'], 'Given3 Okafor is in tier 3 already'],
		[['S3', '2', '2026-08-14', '2026-09-02'], 'Other support of Given3 Okafor is on record for some of these days'],
		[['S1', '2', '2026-09-14', '', 'Rounding'], /^There is a group “Rounding” already/],
		[['S1', '2', '2026-09-14', '', 'X'], /^“X” has no focus; the student comes into the tier without it$/],
		[['S1', '2', '2026-09-14', '', 'X', 'Q1'], /^“X”: no skill is called Q1/],
		[['S1', '2', '2026-09-14', '', 'X', 'F42', 'nobody'], /^“X”: no specialist or interventionist is called nobody/],
		[['S1', '2', '2026-09-14', '', 'X', 'F42', 'sand'], /^“X” has no days or no time/],
		[['S1', '2', '2026-09-14', '', 'X', 'F42', 'marlow', 'Tue', '10:15'], /^“X”: T. Marlow holds another group then/]
	])('tells of %j', (row, says) => {
		const { bad, groups } = plan(row);
		expect(bad).toEqual([{ line: 2, says: typeof says === 'string' ? says : expect.stringMatching(says) }]);
		expect(groups).toEqual([]);
	});

	it('takes nobody by a name that two have, and everybody by one that one has', () => {
		const byName = (name: string) => {
			const found = readInterventions(
				[
					['Name', 'Tier', 'From'],
					[name, '2', '2026-09-14']
				],
				TODAY
			);
			return planInterventions((found as ReturnType<typeof read>).listed, known);
		};
		expect(byName('wren adeyemi').bad[0].says).toBe('2 students have the name wren adeyemi: say the number');
		expect(byName('Okafor, Given1').tiers.map(({ studentId }) => studentId)).toEqual([1]);
		expect(byName('Given9 Okafor').bad[0].says).toMatch(/^No student in a class has the name/);
	});

	it('takes what a group is from whichever of its lines says it', () => {
		const found = readInterventions(
			[
				['Number', 'Tier', 'From', 'Group', 'Focus', 'Adult', 'Days', 'Time', 'Minutes'],
				['S1', '2', '2026-09-14', 'Thirds'],
				['S2', '2', '2026-09-14', 'Thirds', 'F42', 'marlow', 'Thu', '9:15', '45']
			],
			TODAY
		);
		const { groups, bad } = planInterventions((found as ReturnType<typeof read>).listed, known);
		expect(bad).toEqual([]);
		expect(groups).toMatchObject([{ time: { days: [4], startsAt: '09:15', minutes: 45 }, slotId: null }]);
		expect(groups[0].students.map(({ id }) => id)).toEqual([1, 2]);
	});

	it('lets one adult hold one group at a time, and a group be of one tier', () => {
		const { groups, bad } = plan(
			['S1', '2', '2026-09-14', '', ...thirds],
			['S2', '2', '2026-09-14', '', 'Halves', 'F42', 'marlow', 'Wed', '9:30'],
			['S4', '3', '2026-09-14', '', 'Thirds']
		);
		expect(groups.map(({ name, students }) => [name, students.length])).toEqual([['Thirds', 1]]);
		expect(bad.map(({ line, says }) => [line, says.split(';')[0]])).toEqual([
			[3, '“Halves”: T. Marlow holds another group then'],
			[4, '“Thirds” is of tier 2']
		]);
	});

	it('never has a student in two tiers on a day, whatever the lines', () => {
		const line = fc.record({
			number: fc.constantFrom('S1', 'S2', 'S3', 'S4'),
			tier: fc.constantFrom('2', '3'),
			ago: fc.integer({ min: 1, max: 60 }),
			length: fc.option(fc.integer({ min: 0, max: 40 }))
		});
		fc.assert(
			fc.property(fc.array(line, { maxLength: 12 }), (lines) => {
				const rows = lines.map(({ number, tier, ago, length }) => {
					const from = addDays(TODAY, -ago);
					return [number, tier, from, length === null ? '' : addDays(from, length)];
				});
				const { tiers, past, bad } = plan(...rows);
				for (const one of known.students) {
					const days = new Map<string, number>();
					const count = (from: string, until: string) => {
						for (let day = from; day < until; day = addDays(day, 1)) days.set(day, (days.get(day) ?? 0) + 1);
					};
					for (const span of one.spans) count(span.from, TODAY);
					for (const it of past) if (it.isOver && it.studentId === one.id) count(it.from, it.until);
					for (const it of tiers) if (it.studentId === one.id) count(it.from, TODAY);
					expect(Math.max(0, ...days.values())).toBeLessThan(2);
				}
				// Every line is taken, or is told of.
				expect(new Set(bad.map((one) => one.line)).size).toBe(bad.length);
				expect(tiers.length + past.filter(({ isOver }) => isOver).length + bad.length).toBeLessThanOrEqual(rows.length);
			})
		);
	});
});
