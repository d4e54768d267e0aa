import { describe, expect, it } from 'vitest';
import { aimline, readSeries, type ProbeAnswers } from '$lib/core/growth';
import { hasRoomForWords } from './chartParts';
import { placesOf, type SeriesContent, seriesChartOptions } from './seriesChart';
import { sparkPath, SPARK } from './sparkPath';

const weekly = (...counts: number[]): ProbeAnswers[] =>
	counts.map((right, week) => ({
		week,
		answers: Array.from({ length: 16 }, (_, i) => ({
			item: { discrimination: 1.2, difficulty: 0.1 * i - 0.8 },
			correct: i < right
		}))
	}));
const counts = [3, 4, 6, 5, 8];
const goal = { week: 9, right: 14, of: 16 };
const content: SeriesContent = {
	questions: 16,
	goal,
	goalOn: 'Dec 18',
	reading: readSeries(weekly(...counts), goal, 0),
	aimline: aimline(
		counts.map((y, x) => ({ x, y })),
		{ x: goal.week, y: goal.right }
	),
	phases: [{ at: 2.5, says: 'group begins, Oct 26' }],
	sessions: [
		{ at: 2.5, is: 'attended' },
		{ at: 2.8, is: 'missed' },
		{ at: 3.5, is: 'not held' }
	]
};
const named = (name: string, hasWords = true, changes: Partial<SeriesContent> = {}) =>
	seriesChartOptions({ ...content, ...changes }, hasWords).series.find((one) => one.name === name);

describe('the chart of a series', () => {
	it('draws each probe in the middle of its week, with what it says by itself', () => {
		expect(named('probes')!.data).toEqual(counts.map((right, week) => [week, right]));
		const alone = named('what each probe says by itself')!.data as number[][];
		expect(alone.map(([week]) => week)).toEqual([0, 1, 2, 3, 4]);
		alone.forEach(([, lower, upper], i) => {
			expect(lower).toBeLessThan(counts[i] + 1);
			expect(upper).toBeGreaterThan(counts[i] - 1);
		});
	});

	it('draws the level with its band, what may come up to the goal’s week, aimline and phases', () => {
		const [band] = named('level, 80%')!.data as number[][];
		expect(band.length).toBe(3 * counts.length);
		const [fan] = named('what may come')!.data as number[][];
		expect(fan.slice(-3)[0]).toBe(goal.week);
		expect(named('aimline')).toBeDefined();
		const [, top] = named('group begins, Oct 26')!.data as { value: number[] }[];
		expect(top.value).toEqual([2, 16]);
	});

	it('says what may come by the goal’s day, and nothing beside its lines where there is no room for words', () => {
		const { lower, upper } = content.reading!.ahead[content.reading!.ahead.length - 1];
		expect(named(`${lower} to ${upper} by Dec 18`)).toBeDefined();
		expect(named(`${lower} to ${upper} by Dec 18`, false)).toBeUndefined();
		expect(named('probes', false)).toBeDefined();
		// Off the words at the goal, which stand at the same weeks.
		for (const right of [lower, upper, Math.round((lower + upper) / 2)]) {
			const [said] = named(`${lower} to ${upper} by Dec 18`, true, { goal: { ...goal, right } })!.data as {
				value: number[];
			}[];
			expect(Math.abs(said.value[1] - right)).toBeGreaterThanOrEqual(16 / 6 - 1e-9);
		}
	});

	it('stands empty but for its weeks and sessions before the first probe', () => {
		const { series, xAxis } = seriesChartOptions({ ...content, reading: null, aimline: null }, true);
		expect(series.map(({ name }) => name)).toEqual(['group begins, Oct 26', 'sessions']);
		expect(xAxis.axisLabel.customValues).toHaveLength(10);
		expect(xAxis.axisLabel.formatter(0)).toBe('week 1');
		expect(xAxis.axisLabel.formatter(4)).toBe('5');
	});

	it('draws sessions where they were, attended, missed or not held', () => {
		expect(named('sessions')!.data).toEqual([
			[2, 0],
			[2.3, 1],
			[3, 2]
		]);
	});

	it('puts two probes of a week beside each other', () => {
		const probe = { right: 3, of: 8, alone: { lower: 1, upper: 5 } };
		expect(placesOf([0, 0, 1].map((week) => ({ week, ...probe })))).toEqual([-0.25, 0.25, 1]);
	});
});

describe('words at what is drawn', () => {
	it('stand where a chart by itself is wide enough, on paper too, and never among many', () => {
		expect([360, 519, 520, 660].map((width) => hasRoomForWords('large', width))).toEqual([false, false, true, true]);
		expect(hasRoomForWords('medium', 660)).toBe(true);
		expect(hasRoomForWords('small', 1200)).toBe(false);
	});
});

describe('a series in a row', () => {
	it('lies within its place, probes from the left to the right', () => {
		const { dots, band } = sparkPath(content.reading!, goal.week);
		expect(dots).toHaveLength(5);
		for (let i = 1; i < dots.length; i++) expect(dots[i].x).toBeGreaterThan(dots[i - 1].x);
		expect(dots[4].y).toBeLessThan(dots[0].y);
		for (const pair of band.split(' ')) {
			const [x, y] = pair.split(',').map(Number);
			expect(x >= 0 && x <= SPARK.width && y >= 0 && y <= SPARK.height).toBe(true);
		}
	});
});
