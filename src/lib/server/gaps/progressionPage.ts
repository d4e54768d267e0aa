import { columnsAlong, isOwn, placeIn, type ProgressionPlace } from '../../core/mastery';
import { toPoints, workingLevel } from '../../core/measurement';
import { fullName, sayLevel } from '../../core/words';
import type { Database } from '../database';
import { skillGraph, skillList, type Domain } from '../library';
import type { RosterStudent } from '../people';
import type { VisibleId } from '../request';
import type { School } from '../school';
import { windowScores, type ScreeningWindow } from '../screen';
import { readCells } from '../standing';
import { classwideNeeds } from './classwideNeeds';

/** Of more students than these, not all are named at once. */
const ALL_NAMED = 120;
/** As many are named at one place of the drawing then, until those there are asked for, and at most so many of them. */
const NAMED = 6;
const MOST_NAMED = 200;

/** Who stands at one place: all of them by id, and the first by name. */
interface Here {
	ids: number[];
	students: { id: VisibleId; name: string; className: string; tier: number; score: string | null }[];
}

/**
 * The skills of a domain along the graph, and where students stand among them.
 *
 * @param open the skill at which all students are named, or where it says that something comes before or nothing after
 */
export async function progressionPage(
	database: Database,
	school: School,
	students: RosterStudent[],
	{ domain, window, open }: { domain: Domain; window: ScreeningWindow | null; open: string | null }
) {
	const ids = students.map(({ id }) => id);
	const [skills, cells] = await Promise.all([skillList(database, school.id), readCells(database, school.id, ids)]);
	const graph = await skillGraph(database, school.id, skills);
	const own = skills.filter(({ domainId }) => domainId === domain.id);
	const part = own.map(({ id }) => id);
	const looks = new Map(ids.map((id) => [id, cells.looksOf(id)]));
	const places = byPlace(students, ({ id }) => placeKey(placeIn(part, looks.get(id)!)));
	const most = (key: string) => (key === open ? MOST_NAMED : students.length <= ALL_NAMED ? ALL_NAMED : NAMED);
	const named = new Map([...places].map(([key, here]) => [key, here.slice(0, most(key))]));
	const scoreOf = await scoresIn(database, domain, window, [...named.values()].flat());
	const at = (key: string): Here => ({
		ids: (places.get(key) ?? []).map(({ id }) => id),
		students: (named.get(key) ?? []).map((student) => ({
			id: student.id,
			name: fullName(student),
			className: student.className,
			tier: student.tier,
			score: scoreOf(student.id)
		}))
	});
	return {
		students: students.length,
		needs: classwideNeeds(students, own, cells, window?.term ?? 3),
		columns: columnsAlong(graph, part),
		edges: part.flatMap((skill) =>
			(graph.prerequisites.get(skill) ?? [])
				.filter((one) => part.includes(one))
				.map((prerequisite) => ({ prerequisite, skill }))
		),
		skills: own.map(({ id, code, shortName, grade, term }) => {
			const seen = [...looks.values()].map((look) => look(id)).filter(isOwn);
			const here = at(String(id));
			return {
				id,
				code,
				shortName,
				level: sayLevel({ grade, term }),
				gaps: seen.filter(({ standing }) => standing === 'gap').length,
				secure: seen.filter(({ standing }) => standing === 'secure').length,
				here: {
					...here,
					students: here.students.map((student) => {
						const { standing, inferred, isSure } = looks.get(student.id)!(id);
						return { ...student, standing, inferred, isSure };
					})
				}
			};
		}),
		before: at('before'),
		beyond: at('beyond'),
		open
	};
}

function byPlace(students: RosterStudent[], placeOf: (student: RosterStudent) => string): Map<string, RosterStudent[]> {
	const places = new Map<string, RosterStudent[]>();
	for (const student of students) {
		const key = placeOf(student);
		const here = places.get(key);
		if (here) here.push(student);
		else places.set(key, [student]);
	}
	return places;
}

/** Scores of students in a domain, in words; null where a student has none. */
async function scoresIn(
	database: Database,
	domain: Domain,
	window: ScreeningWindow | null,
	students: RosterStudent[]
): Promise<(student: number) => string | null> {
	const ids = students.map(({ id }) => id);
	const scores = window ? await windowScores(database, window.id, ids) : null;
	return (student) => {
		const score = scores?.get(student)?.find(({ domainId }) => domainId === domain.id);
		return score ? sayScore(score.theta) : null;
	};
}

const placeKey = ({ at, without }: ProgressionPlace): string => (at === null ? without! : String(at));

function sayScore(theta: number): string {
	const { grade, term } = workingLevel(theta);
	return `${Math.round(toPoints(theta))} points, works at ${sayLevel({ grade, term })}`;
}
