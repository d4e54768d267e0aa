import { POINTS_PER_LOGIT, toPoints } from '../../core/measurement';
import {
	bandOf,
	filterRows,
	OVERALL,
	pointsAxis,
	scoredStudent,
	sortRows,
	summarizeScores,
	type ScreenRow
} from '../../core/screening';
import { countBy } from '../../core/words';
import type { Database } from '../database';
import { domainList } from '../library';
import { asOfGrade, attributeChoices, type Roster, studentsWith, type RosterStudent } from '../people';
import { FIRST_ROWS, textIn } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { domainsOf, screenResults, unitOf, windowBefore } from './screenResults';
import { cutScores } from './store/cutScores';
import { placesIn, type PlaceSummary } from './store/places';
import type { ScreeningWindow } from './store/windows';

/** Between the name and the value of what the roster says, in an address. */
const IS = ': ';

/** What is asked of the results in the address. */
function askedOf(url: URL, measures: number[]) {
	const text = (name: string, otherwise: string) => textIn(url, name, 120) || otherwise;
	const measure = measures.find((id) => String(id) === url.searchParams.get('on')) ?? OVERALL;
	const sort = text('sort', String(measure));
	return {
		measure,
		sort,
		/** Those whose scores decide which rows come, and in which order. */
		measures: measures.filter((id) => id === measure || String(id) === sort),
		filter: { show: text('status', 'all'), tier: text('tier', 'all'), moved: text('moved', 'all') },
		roster: text('roster', 'all')
	};
}

const inPoints = (place: PlaceSummary | undefined): ScreenRow['scores'][number] =>
	place?.score ? { points: toPoints(place.score.theta), error: POINTS_PER_LOGIT * place.score.standardError } : null;

const NOBODY = new Map<number, PlaceSummary>();

/**
 * Every student with what rows are sorted, narrowed and summed up by on some measures: from the summaries, one row a
 * student and window.
 */
async function briefRows(
	database: Database,
	school: School,
	students: RosterStudent[],
	roster: Roster,
	{ window, earlier, measures }: { window: ScreeningWindow; earlier: ScreeningWindow | null; measures: number[] }
): Promise<ScreenRow[]> {
	const placesOf = (one: ScreeningWindow | null) =>
		Promise.all(measures.map((measure) => (one ? placesIn(database, one.id, roster, measure) : NOBODY)));
	const [places, before, cuts] = await Promise.all([
		placesOf(window),
		placesOf(earlier),
		cutScores(database, school.id, window)
	]);
	const scoresOf = (found: Map<number, PlaceSummary>[], id: number) => {
		const scores: ScreenRow['scores'] = {};
		measures.forEach((measure, i) => (scores[measure] = inPoints(found[i].get(id))));
		return scores;
	};
	return (await asOfGrade(database, students, window.opensOn)).map((student) => ({
		...student,
		status: places[0].get(student.id)!.status,
		answered: 0,
		cut: cuts[student.grade],
		given: null,
		scores: scoresOf(places, student.id),
		before: scoresOf(before, student.id)
	}));
}

/** As many classes as stand one below the other; of more, each grade's are seen once it is opened. */
const MOST_CLASSES = 20;

/** A grade or a class with its rows. */
interface Part {
	key: string;
	label: string;
	isGrade: boolean;
	members: ScreenRow[];
}

/** Grades and classes of some rows, in their order; grades only where there are several. */
function parts(rows: ScreenRow[]): Part[] {
	const byGrade = new Set(rows.map(({ grade }) => grade)).size > 1;
	const found = new Map<string, Part>();
	const add = (key: string, label: string, isGrade: boolean, row: ScreenRow) => {
		const part = found.get(key) ?? { key, label, isGrade, members: [] };
		part.members.push(row);
		found.set(key, part);
	};
	for (const row of rows) {
		if (byGrade) add(`grade:${row.grade}`, `Grade ${row.grade}`, true, row);
		add(`class:${row.classId}`, row.className, false, row);
	}
	const all = [...found.values()];
	return byGrade && all.filter(({ isGrade }) => !isGrade).length > MOST_CLASSES
		? all.filter(({ isGrade }) => isGrade)
		: all;
}

/** What is shown of a part; its cut only where all its students have the same. */
function summarizePart({ members, ...part }: Part, measure: number) {
	const scored = members.flatMap((row) => scoredStudent(row, measure) ?? []);
	const cuts = new Set(members.map(({ cut }) => cut));
	return {
		...part,
		size: members.length,
		cut: cuts.size === 1 ? members[0].cut : null,
		scores: scored.map(({ score }) => Math.round(score * 10) / 10),
		...summarizeScores(scored)
	};
}

/** The results of a window as the address asks for them: all that is counted, the order of the rows, and the first of them. */
export async function resultsPage(
	database: Database,
	school: School,
	scope: Scope,
	windows: ScreeningWindow[],
	window: ScreeningWindow,
	url: URL
) {
	const earlier = windowBefore(windows, window);
	const domains = domainsOf(window, await domainList(database, school.id));
	const { measure, measures, sort, filter, roster } = askedOf(url, [OVERALL, ...domains.map(({ id }) => id)]);
	const [name, value] = [roster.slice(0, roster.indexOf(IS)), roster.slice(roster.indexOf(IS) + IS.length)];
	const [rows, attributes, having] = await Promise.all([
		window.measure
			? scope
					.students()
					.then((all) => screenResults(database, school, windows, window, all))
					.then((all) => all.rows)
			: scope.students().then((all) => briefRows(database, school, all, scope.roster, { window, earlier, measures })),
		attributeChoices(database, scope.roster),
		roster === 'all' ? null : studentsWith(database, scope.roster, { name, value })
	]);
	const narrowed = having ? rows.filter(({ id }) => having.has(id)) : rows;
	const shown = sortRows(filterRows(narrowed, filter, measure), sort, measure);
	const students = new Map((await scope.students()).map((student) => [student.id as number, student]));
	const classes = new Set(rows.map(({ classId }) => classId)).size;
	return {
		earlier,
		domains,
		unit: unitOf(window),
		size: rows.length,
		classes,
		measure,
		sort,
		filter: { ...filter, roster },
		statuses: countBy(rows, ({ status }) => status),
		axis: pointsAxis(rows, measure),
		parts: classes > 1 ? parts(rows).map((part) => summarizePart(part, measure)) : [],
		attributes: attributes.map(({ name: of, choices }) => ({
			name: of,
			choices: choices.map((choice) => ({ ...choice, key: `${of}${IS}${choice.value}` }))
		})),
		below: shown.filter((row) => bandOf(row, measure) === 'below').map(({ id }) => id),
		ids: shown.map(({ id }) => id),
		rows: await resultRows(
			database,
			school,
			windows,
			window,
			shown.slice(0, FIRST_ROWS).map(({ id }) => students.get(id)!)
		)
	};
}

/** Rows of some students in full. */
export async function resultRows(
	database: Database,
	school: School,
	windows: ScreeningWindow[],
	window: ScreeningWindow,
	students: RosterStudent[]
): Promise<ScreenRow[]> {
	if (students.length === 0) return [];
	const { rows } = await screenResults(database, school, windows, window, students);
	return rows;
}
