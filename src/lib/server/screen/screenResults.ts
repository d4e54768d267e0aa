import { cutScores } from './store/cutScores';
import { MEASURES, scoreSheet, type FluencyMeasure } from '../../core/fluency';
import { POINTS_PER_LOGIT, toPoints } from '../../core/measurement';
import { OVERALL, summarizeScores } from '../../core/screening';
import type { Database } from '../database';
import { windowPlaces, type WindowPlace } from './windowPlaces';
import type { School } from '../school';
import { windowMeasures, type GivenMeasure } from './store/givenMeasures';
import { asOfGrade, type RosterStudent } from '../people';
import { windowScores, type Score } from './store/scores';
import { domainList } from '../library';
import type { ScreeningWindow } from './store/windows';

type Scores = Record<number, { points: number; error: number } | null>;

/** The grade whose sheet of a measure is made for students of a grade. */
export const sheetGradeFor = (measure: FluencyMeasure, grade: number) => Math.min(grade, MEASURES[measure].lastGrade);

/** What a window counts in: points, or correct words or facts a minute. */
export const unitOf = ({ measure }: ScreeningWindow) =>
	measure ? `correct ${MEASURES[measure].units} a minute` : 'points';

function perMinute(given: GivenMeasure | undefined | null): Scores {
	if (!given) return { 0: null };
	const { correctPerMinute, standardError } = scoreSheet(given);
	return { 0: { points: correctPerMinute, error: standardError } };
}

/** A student's own scores now and in the window before, and the line they are held against. */
type HeldAgainst = { scores: Scores; before: Scores; cut: number | null };

/** The window before of the same kind, that scores are held against. */
export const windowBefore = (windows: ScreeningWindow[], window: ScreeningWindow): ScreeningWindow | null =>
	windows.find(
		(one) => one.opensOn < window.opensOn && one.subject === window.subject && one.measure === window.measure
	) ?? null;

/** Domains that a window scores. */
export const domainsOf = <Domain extends { subject: string }>(window: ScreeningWindow, domains: Domain[]): Domain[] =>
	window.measure ? [] : domains.filter(({ subject }) => subject === window.subject);

/** Results of a window, one row a student of the scope, of the grade then, with scores of the window before, in the window's unit. */
export async function screenResults(
	database: Database,
	school: School,
	windows: ScreeningWindow[],
	window: ScreeningWindow,
	now: RosterStudent[]
) {
	const students = await asOfGrade(database, now, window.opensOn);
	const earlier = windowBefore(windows, window);
	const [places, cuts, allDomains] = await Promise.all([
		windowPlaces(database, window, students),
		cutScores(database, school.id, window),
		domainList(database, school.id)
	]);
	const domains = domainsOf(window, allDomains);
	const stand = window.measure
		? await standingsOnMeasure(database, window.measure, earlier, students)
		: await standingsInPoints(database, earlier, students, [0, ...domains.map(({ id }) => id)]);
	const rows = students.map((student) => {
		const place = places.get(student.id)!;
		const { status, sitting, given } = place;
		const { attempted, accuracy } = given ? scoreSheet(given) : { attempted: 0, accuracy: null };
		return {
			id: student.id,
			number: student.number,
			givenName: student.givenName,
			familyName: student.familyName,
			classId: student.classId,
			className: student.className,
			grade: student.grade,
			tier: student.tier,
			status,
			answered: sitting?.answered ?? 0,
			given: given && { id: given.id, sheetGrade: given.sheetGrade, attempted, accuracy, by: given.givenBy },
			/** The day of the overall score; null without one, and for a measure. */
			takenOn: place.scores.find(({ domainId }) => domainId === OVERALL)?.takenOn ?? null,
			...stand(student, place, cuts[student.grade])
		};
	});
	return { earlier, domains, rows, unit: unitOf(window) };
}

type Stand = (student: RosterStudent, place: WindowPlace, cut: number) => HeldAgainst;

async function standingsInPoints(
	database: Database,
	earlier: ScreeningWindow | null,
	students: RosterStudent[],
	measures: number[]
): Promise<Stand> {
	const ids = students.map(({ id }) => id);
	const before = earlier ? await windowScores(database, earlier.id, ids) : new Map<number, Score[]>();
	const inPoints = (scores: Score[]): Scores =>
		Object.fromEntries(
			measures.map((measure) => {
				const score = scores.find(({ domainId }) => domainId === measure);
				return [
					measure,
					score ? { points: toPoints(score.theta), error: POINTS_PER_LOGIT * score.standardError } : null
				];
			})
		);
	return ({ id }, { scores }, cut) => ({ scores: inPoints(scores), before: inPoints(before.get(id) ?? []), cut });
}

/** Scores on another grade's sheet are shown, but held against no line and no score on a different sheet. */
async function standingsOnMeasure(
	database: Database,
	measure: FluencyMeasure,
	earlier: ScreeningWindow | null,
	students: RosterStudent[]
): Promise<Stand> {
	const ids = students.map(({ id }) => id);
	const before = earlier ? await windowMeasures(database, earlier.id, ids) : new Map<number, GivenMeasure>();
	return ({ id, grade }, { given }, cut) => {
		const then = before.get(id);
		return {
			scores: perMinute(given),
			before: perMinute(then?.sheetGrade === given?.sheetGrade ? then : null),
			cut: given && given.sheetGrade !== sheetGradeFor(measure, grade) ? null : cut
		};
	};
}

type Results = Awaited<ReturnType<typeof screenResults>>;

/** Results as a table of plain cells, the first row its header: every student, scores with their errors. */
export function resultsTable({ rows, domains, earlier, unit }: Results): (string | number | null)[][] {
	const isGiven = unit !== 'points';
	const overall = isGiven ? unit[0].toUpperCase() + unit.slice(1) : 'Overall';
	const measures = [{ id: 0, name: overall }, ...domains];
	const round = (value: number | undefined) => (value === undefined ? null : Math.round(value * 10) / 10);
	const header = [
		...['Student number', 'Given name', 'Family name', 'Class', 'Grade', 'Tier', 'Status', 'Cut score'],
		...measures.flatMap(({ name }) => [name, `${name}: standard error`]),
		...(isGiven ? ['Attempted', 'Accuracy, percent', 'Sheet of grade'] : []),
		...(earlier ? [`${overall} in ${earlier.name}`] : [])
	];
	return [
		header,
		...rows.map((row) => [
			...[row.number, row.givenName, row.familyName, row.className, row.grade, row.tier, row.status, row.cut],
			...measures.flatMap(({ id }) => [round(row.scores[id]?.points), round(row.scores[id]?.error)]),
			...(isGiven ? givenCells(row.given) : []),
			...(earlier ? [round(row.before[0]?.points)] : [])
		])
	];
}

function givenCells(given: Results['rows'][number]['given']): (number | null)[] {
	if (!given) return [null, null, null];
	return [given.attempted, given.accuracy === null ? null : Math.round(100 * given.accuracy), given.sheetGrade];
}

/** Results summed up for the whole scope, each grade and each class, on each measure: a table of plain cells. */
export function summaryTable({ rows, domains, earlier, unit }: Results): (string | number | null)[][] {
	const measures = [{ id: 0, name: unit === 'points' ? 'Overall' : unit }, ...domains];
	const round = (value: number | undefined) => (value === undefined ? null : Math.round(value * 10) / 10);
	const parts = [
		{ name: 'All', members: rows },
		...partsBy(rows, ({ grade }) => `Grade ${grade}`),
		...partsBy(rows, ({ className }) => className)
	];
	return [
		[
			...['Who', 'Measure', 'Students', 'With score', 'Lower quartile', 'Median', 'Upper quartile'],
			...['Below the line', 'Near the line', 'Above the line'],
			...(earlier ? [`Mean change since ${earlier.name}`, 'Its standard error', 'Risen', 'Fallen', 'Within error'] : [])
		],
		...parts.flatMap(({ name, members }) =>
			measures.map((measure) => {
				const scored = members.flatMap(({ scores, before, cut }) => {
					const [now, then] = [scores[measure.id], before[measure.id]];
					if (!now) return [];
					const score = { score: now.points, standardError: now.error, cut };
					return [then ? { ...score, before: { score: then.points, standardError: then.error } } : score];
				});
				const { quartiles, bands, change, moved } = summarizeScores(scored);
				return [
					...[name, measure.name, members.length, scored.length],
					...[round(quartiles?.lower), round(quartiles?.median), round(quartiles?.upper)],
					...[bands.below, bands.near, bands.above],
					...(earlier ? [round(change?.mean), round(change?.standardError), moved.up, moved.down, moved.within] : [])
				];
			})
		)
	];
}

function partsBy<Row>(rows: Row[], nameOf: (row: Row) => string): { name: string; members: Row[] }[] {
	const parts = new Map<string, Row[]>();
	for (const row of rows) parts.set(nameOf(row), [...(parts.get(nameOf(row)) ?? []), row]);
	return [...parts].map(([name, members]) => ({ name, members }));
}
