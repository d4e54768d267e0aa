import type { Aimline, Goal, SeriesReading } from '$lib/core/growth';
import type { SessionDay } from '$lib/core/timetable';
import {
	aimSeries,
	areaSeries,
	barSeries,
	BAND,
	dotSeries,
	type Drawing,
	FAN,
	INK,
	lineSeries,
	SHEET,
	SOFT,
	TEXT,
	valueAxis,
	weekAxis,
	words,
	ACCENT
} from './chartParts';

/** What a chart of one series draws. Weeks count from 0; a place within one is a part of it. */
export interface SeriesContent {
	questions: number;
	goal: Goal;
	goalOn: string;
	reading: SeriesReading | null;
	aimline: Aimline | null;
	phases: { at: number; says: string }[];
	sessions: { at: number; is: SessionDay['is'] }[];
}

/** What ECharts draws of a series of probes. @param hasWords whether words stand at what is drawn */
export function seriesChartOptions(content: SeriesContent, hasWords: boolean) {
	const { questions, goal, reading, aimline, phases, sessions } = content;
	const weeks = Math.max(goal.week, reading ? reading.probes[reading.probes.length - 1].week : 0);
	return {
		animation: false,
		textStyle: TEXT,
		grid: hasWords ? { left: 40, right: 150, top: 44, bottom: 62 } : { left: 26, right: 14, top: 10, bottom: 38 },
		xAxis: weekAxis(0, weeks, hasWords),
		yAxis: {
			...valueAxis(hasWords ? `right of ${questions}` : ''),
			max: questions,
			interval: questions / (hasWords ? 4 : 2)
		},
		series: [
			...(reading ? readingSeries(reading, content, hasWords) : []),
			...(aimline ? [aimSeries(aimline, hasWords)] : []),
			...phases.map((phase) => phaseSeries(phase, questions, hasWords)),
			stripSeries(sessions, hasWords)
		]
	};
}

/** Places of probes: in the middle of their week, or around it where it has several. */
export function placesOf(probes: { week: number }[]): number[] {
	return probes.map(({ week }, i) => {
		const same = probes.filter((probe) => probe.week === week).length;
		const nth = probes.slice(0, i).filter((probe) => probe.week === week).length;
		return week + (nth + 0.5) / same - 0.5;
	});
}

/** A place for words that stands off those at the goal. */
function clearOf(goal: number, place: number, questions: number): number {
	const apart = questions / 6;
	return Math.abs(place - goal) >= apart ? place : place >= goal ? goal + apart : goal - apart;
}

function readingSeries(reading: SeriesReading, { goal, goalOn, questions }: SeriesContent, hasWords: boolean) {
	const at = placesOf(reading.probes);
	const now = reading.levels[reading.levels.length - 1];
	const last = at[at.length - 1];
	const ahead = reading.ahead.map(({ week, lower, upper }) => ({ at: week, lower, upper }));
	const end = ahead[ahead.length - 1];
	const fan = [{ at: last, lower: now.lower, upper: now.upper }, ...ahead];
	return [
		areaSeries('what may come', fan, FAN),
		areaSeries(
			'level, 80%',
			reading.levels.map(({ lower, upper }, i) => ({ at: at[i], lower, upper })),
			BAND
		),
		lineSeries(
			'level',
			reading.levels.map(({ value }, i) => ({ at: at[i], value }))
		),
		...(hasWords
			? [
					words(last, now.lower, 'level now, 80% band', ACCENT, 'bottom'),
					words(
						end.at,
						clearOf(goal.right, (end.lower + end.upper) / 2, questions),
						`${end.lower} to ${end.upper} by ${goalOn}`,
						SOFT,
						'right'
					)
				]
			: []),
		barSeries(
			'what each probe says by itself',
			reading.probes.map(({ alone: { lower, upper } }, i) => ({ at: at[i], lower, upper }))
		),
		dotSeries(
			'probes',
			reading.probes.map(({ right }, i) => ({ at: at[i], value: right })),
			hasWords
		)
	];
}

function phaseSeries({ at, says }: SeriesContent['phases'][number], top: number, hasWords: boolean) {
	return {
		type: 'line' as const,
		name: says,
		silent: true,
		z: 3,
		lineStyle: { color: INK, width: 1, type: 'dotted' as const },
		symbol: 'circle',
		symbolSize: 0.1,
		showAllSymbol: true,
		// Of lines close to each other the first is named; all of them stand in words below.
		labelLayout: { hideOverlap: true },
		data: [
			[at - 0.5, 0],
			{
				value: [at - 0.5, top],
				label: {
					show: hasWords,
					formatter: says,
					color: INK,
					position: [4, -18],
					fontSize: 12
				}
			}
		]
	};
}

/** Sessions below the weeks: filled where the student was there, an outline where they missed it, a short line where none was held. */
function stripSeries(sessions: SeriesContent['sessions'], hasWords: boolean) {
	const width = hasWords ? 8 : 4;
	const KINDS: SessionDay['is'][] = ['attended', 'missed', 'not held'];
	return {
		type: 'custom' as const,
		name: 'sessions',
		silent: true,
		clip: false,
		data: sessions.map(({ at, is }) => [at - 0.5, KINDS.indexOf(is)]),
		renderItem: (_: unknown, api: Drawing) => {
			const [x, y] = api.coord([api.value(0), 0]);
			const kind = KINDS[api.value(1)];
			const height = kind === 'not held' ? 1 : 6;
			return {
				type: 'rect' as const,
				shape: { x: x - width / 2, y: y + 26 + (6 - height) / 2, width, height },
				style: { fill: kind === 'missed' ? SHEET : INK, stroke: INK, lineWidth: kind === 'missed' ? 1 : 0 }
			};
		}
	};
}
