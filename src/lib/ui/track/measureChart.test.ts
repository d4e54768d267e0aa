import { describe, expect, it } from 'vitest';
import { addDays } from '$lib/core/calendar';
import { readMeasureSeries } from '$lib/core/fluency';
import { measureChartOptions } from './measureChart';

const plan = { startsOn: '2026-09-14', goalOn: '2026-11-16', goal: 70 };
const counts = [50, 54, 53, 57, 58, 62];
const read = (many: number) =>
	readMeasureSeries(
		counts.slice(0, many).map((reached, week) => ({
			...{ on: addDays(plan.startsOn, 7 * week - 7), reached, missed: [], seconds: 60 }
		})),
		plan
	);
const named = (name: string, many = 6, hasWords = true) =>
	measureChartOptions(read(many), 'Nov 16', 'words', hasWords).series.find((one) => one.name === name);

describe('the chart of a measure', () => {
	it('draws each giving in its week with its own error, from before the start where one lies there', () => {
		expect(named('givings')!.data).toEqual(counts.map((count, week) => [week - 1, count]));
		const [[, lower, upper]] = named('what each giving says by itself')!.data as number[][];
		expect([lower, upper]).toEqual([50 - Math.sqrt(50), 50 + Math.sqrt(50)]);
		const { xAxis, yAxis } = measureChartOptions(read(6), 'Nov 16', 'words', true);
		expect(xAxis).toMatchObject({ min: -1.5, max: 9.5 });
		const highest = Math.max(62 + Math.sqrt(62), read(6).atGoal!.upper);
		expect(yAxis.max).toBeGreaterThanOrEqual(highest);
		expect(yAxis.max).toBeLessThan(highest + 10);
	});

	it('draws line, aimline and what one more giving would be, and none of them where they are not known', () => {
		const { line, atGoal } = read(6);
		expect(named('robust line')!.data).toEqual([
			[line!.from.x, line!.from.y],
			[line!.to.x, line!.to.y]
		]);
		expect(named('aimline')).toBeDefined();
		const says = `${atGoal!.lower.toFixed(0)} to ${atGoal!.upper.toFixed(0)} by Nov 16`;
		expect(named(says)).toBeDefined();
		expect(named(says, 6, false)).toBeUndefined();
		for (const name of ['robust line', 'one more giving, 80 of 100']) expect(named(name, 5)).toBeUndefined();
		expect(named('aimline', 2)).toBeUndefined();
		expect(measureChartOptions(read(0), 'Nov 16', 'words', true).xAxis).toMatchObject({ min: -0.5 });
	});
});
