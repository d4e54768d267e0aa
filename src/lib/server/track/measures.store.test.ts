import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, seen, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { usualLine } from '../../core/fluency';
import { saveMeasure, setMeasureAside } from '../screen';
import { addWindow } from '../screen/store/windows';
import { findScope } from '../shell/store/scope';
import { giveMeasurePage } from './giveMeasurePage';
import { measuresPage } from './measuresPage';
import { beginMeasureSeries, endMeasureSeries, measureSeriesOf, takeBackMeasureSeries } from './store/measureSeries';

let small: SmallSchool;
const specialist = staffAs('specialist');
const GOAL_ON = '2027-02-12';
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

beforeAll(async () => {
	small = await smallSchool('measures');
});
afterAll(() => small.database.close());

const begin = (ids: number[], startsOn = addDays(TODAY, -28)) =>
	beginMeasureSeries(
		small.database,
		specialist,
		{
			...{ measure: 'number fluency', startsOn, goalOn: GOAL_ON },
			students: ids.map((id) => ({ id, sheetGrade: 4, goal: 20 }))
		},
		NOW
	);
const give = (n: number, studentId: number, givenFor: Parameters<typeof saveMeasure>[2]['givenFor'], at: Date) =>
	saveMeasure(
		small.database,
		specialist,
		{
			...{ id: uuid(n), studentId, givenFor, sheetGrade: 4, sheetLength: 60 },
			...{ seconds: 60, reached: 10 + n, missed: [1] }
		},
		at
	);
const weekBefore = (weeks: number) => new Date(NOW.getTime() - weeks * 7 * 86_400_000);
const of = async (...ids: number[]) => measureSeriesOf(small.database, seen(...ids), small.school);
const page = async (query = '') =>
	measuresPage(
		small.database,
		small.school,
		(await findScope(small.database, specialist, 'school', TODAY))!,
		new URL(`http://school.test/track/measures?${query}`)
	);

describe('a measure week by week', () => {
	let first: number;
	let second: number;

	it('begins once a student, and is taken back while nothing was given', async () => {
		[first, second] = await begin([1, 2]);
		expect(await begin([1, 2])).toEqual([]);
		expect(await takeBackMeasureSeries(small.database, specialist, [second], NOW)).toBe(1);
		expect(await of(2)).toEqual([]);
		[second] = await begin([1, 2]);
		expect((await of(1, 2)).map(({ id, nextSheet, givings }) => [id, nextSheet, givings])).toEqual([
			[first, 1, []],
			[second, 1, []]
		]);
	});

	it('keeps what was given, once, with the screening before it, and turns to another sheet', async () => {
		const windowId = (await addWindow(
			small.database,
			specialist,
			{
				...{ name: 'Facts', subject: 'Mathematics', mode: 'teacher-given', measure: 'number fluency', term: 1 },
				...{ opensOn: addDays(TODAY, -60), closesOn: addDays(TODAY, -30), classIds: [1] }
			},
			NOW
		))!;
		expect(await give(1, 1, { windowId }, weekBefore(6))).toBe(true);
		for (const [n, weeks] of [4, 3, 2, 1].entries())
			expect(await give(2 + n, 1, { seriesId: first, sheetNumber: n + 1 }, weekBefore(weeks))).toBe(true);
		expect(await give(2, 1, { seriesId: first, sheetNumber: 1 }, NOW)).toBe(false);
		const [series] = await of(1);
		expect(series.nextSheet).toBe(5);
		expect(series.givings.map(({ reached, inScreening }) => [reached, inScreening])).toEqual([
			[11, true],
			[12, false],
			[13, false],
			[14, false],
			[15, false]
		]);
		// What has been given for another student does not fit in.
		expect(await give(9, 3, { seriesId: first, sheetNumber: 5 }, NOW)).toBe(false);
	});

	it('leaves what is set aside out, and does not give its sheet again', async () => {
		expect(await setMeasureAside(small.database, specialist, uuid(5), true, NOW)).toBe(true);
		const [series] = await of(1);
		expect(series.givings).toHaveLength(4);
		expect(series.nextSheet).toBe(5);
		expect(await setMeasureAside(small.database, specialist, uuid(5), false, NOW)).toBe(true);
		expect((await of(1))[0].givings).toHaveLength(5);
	});

	it('is listed with those to give first, what it says, and whose could begin', async () => {
		const { lines, toGive, chosen, beginning } = await page(`series=${first}&begin=number+fluency&goalOn=${GOAL_ON}`);
		expect(toGive).toBe(2);
		expect(lines.map(({ student, newest }) => [student.id, newest])).toEqual([
			[1, [10, 11, 12, 13, 14]],
			[2, []]
		]);
		// The last two against the line from 11 in week −2, of the first three, to 20 in week 16.
		expect(lines[0].aboveAim).toEqual({ count: 2, of: 2 });
		expect(chosen!.givings.map(({ correctPerMinute }) => correctPerMinute)).toEqual([10, 11, 12, 13, 14]);
		expect(chosen!.says.join(' ')).toContain('5 givings so far: from 6 on a rise is told.');
		const ids = beginning!.students.map(({ id }) => id);
		expect(ids).not.toContain(1);
		expect(ids).not.toContain(2);
		expect(beginning!.students.find(({ id }) => id === 3)!.last).toBeNull();
		expect(beginning!.lines[4]).toBe(usualLine('number fluency', 4, 2));
		expect((await page()).beginning).toBeNull();
		await give(7, 1, { seriesId: first, sheetNumber: 5 }, NOW);
		expect((await page()).lines.map(({ student }) => student.id)).toEqual([2, 1]);
		expect((await page()).toGive).toBe(1);
	});

	it('is given by a page that says who comes next', async () => {
		const scope = (await findScope(small.database, specialist, 'school', TODAY))!;
		const asked = (studentId: number, seriesId: number) =>
			giveMeasurePage(small.database, specialist, small.school, scope, { studentId, seriesId });
		const given = (await asked(1, first))!;
		expect(given).toMatchObject({ isGiven: true, nextSheet: 6, waiting: 1, next: { series: second } });
		expect((await asked(2, second))!).toMatchObject({ isGiven: false, nextSheet: 1, waiting: 0, next: null });
		expect(await asked(2, first)).toBeNull();
	});

	it('ends and goes on, but not beside another of the measure', async () => {
		const own = { id: first, studentId: 1 };
		const end = (on: string | null) => endMeasureSeries(small.database, specialist, own, on, NOW);
		expect(await end(null)).toBe(false);
		expect(await end(TODAY)).toBe(true);
		expect(await end(TODAY)).toBe(false);
		expect(await of(1)).toEqual([]);
		expect(await end(null)).toBe(true);
		expect((await of(1))[0].givings).toHaveLength(6);
		await end(TODAY);
		const free = (await page('begin=number+fluency')).beginning!.students.find(({ id }) => id === 1)!;
		expect(free.last).toMatchObject({ on: TODAY, sheetGrade: 4, correctPerMinute: 16 });
		await begin([1], TODAY);
		expect(await end(null)).toBe(false);
		expect(await takeBackMeasureSeries(small.database, specialist, [first], NOW)).toBe(0);
	});
});
