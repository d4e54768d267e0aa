import type { MeasureReading } from '$lib/core/fluency';
import { number } from '$lib/core/words';
import {
	aimSeries,
	areaSeries,
	barSeries,
	dotSeries,
	FAN,
	lineSeries,
	SOFT,
	TEXT,
	valueAxis,
	weekAxis,
	words
} from './chartParts';

/**
 * What ECharts draws of a measure that an adult gives week by week.
 *
 * @param goalOn the goal's day, said
 * @param hasWords whether words stand at what is drawn
 */
export function measureChartOptions(reading: MeasureReading, goalOn: string, unit: string, hasWords: boolean) {
	const { points, line, aim, atGoal, goalWeek } = reading;
	const first = Math.min(0, ...points.map(({ week }) => week));
	const last = points[points.length - 1];
	return {
		animation: false,
		textStyle: TEXT,
		grid: hasWords ? { left: 40, right: 170, top: 44, bottom: 34 } : { left: 30, right: 14, top: 10, bottom: 26 },
		xAxis: weekAxis(first, Math.max(goalWeek, last?.week ?? 0), hasWords),
		yAxis: { ...valueAxis(hasWords ? `correct ${unit} a minute` : ''), max: topOf(reading) },
		series: [
			...(atGoal && last
				? [
						areaSeries(
							'one more giving, 80 of 100',
							[
								{ at: last.week, lower: line!.to.y, upper: line!.to.y },
								{ at: goalWeek, ...atGoal }
							],
							FAN
						)
					]
				: []),
			...(line
				? [
						lineSeries(
							'robust line',
							[line.from, line.to].map(({ x, y }) => ({ at: x, value: y }))
						)
					]
				: []),
			...(aim ? [aimSeries(aim, hasWords)] : []),
			barSeries(
				'what each giving says by itself',
				points.map(({ week, correctPerMinute, standardError }) => ({
					at: week,
					lower: Math.max(0, correctPerMinute - standardError),
					upper: correctPerMinute + standardError
				}))
			),
			dotSeries(
				'givings',
				points.map(({ week, correctPerMinute }) => ({ at: week, value: correctPerMinute })),
				hasWords
			),
			...(atGoal && hasWords
				? [
						words(
							goalWeek,
							(atGoal.lower + atGoal.upper) / 2,
							`${number(atGoal.lower)} to ${number(atGoal.upper)} by ${goalOn}`,
							SOFT,
							'right'
						)
					]
				: [])
		]
	};
}

/** As high as anything that is drawn, to the next ten. */
function topOf({ points, aim, atGoal }: MeasureReading): number {
	const drawn = points.map(({ correctPerMinute, standardError }) => correctPerMinute + standardError);
	return 10 * Math.ceil(Math.max(1, ...drawn, aim?.to.y ?? 0, atGoal?.upper ?? 0) / 10);
}
