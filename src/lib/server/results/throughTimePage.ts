import { addDays, beginningOf, schoolDateOf, type SchoolDate } from '../../core/calendar';
import { firstToLast, isUnder, repeatedFailure, type RepeatedFailure } from '../../core/results';
import { setTitle } from '../../core/practice';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { skillGraph, skillList } from '../library';
import { numberIn, oneIn } from '../request';
import { currentCycle, type School } from '../school';
import type { Scope } from '../shell';
import { readStandings } from '../standing';
import { skillRuns, type StudentRun } from './store/skillRuns';

/** What the columns are. */
export const COLUMNS = ['skill', 'date'] as const;
/** From when on sets are looked at: the cycle's beginning, or so many days back. */
export const PERIODS = ['cycle', '28', '120'] as const;
/** Students who are shown at once. */
const STUDENTS_AT_ONCE = 40;

/** Students by the sets of a period: each set by itself, or by skill from the first to the last, and who is under the line again and again. */
export async function throughTimePage(database: Database, school: School, scope: Scope, url: URL) {
	const by = oneIn(url, 'by', COLUMNS) ?? 'skill';
	const period = oneIn(url, 'period', PERIODS) ?? 'cycle';
	const part = { from: numberIn(url, 'students'), most: STUDENTS_AT_ONCE };
	const [all, skills, cycle] = await Promise.all([
		scope.students(),
		skillList(database, school.id),
		currentCycle(database, school.id, school.today)
	]);
	const students = all.slice(part.from, part.from + part.most);
	const from: SchoolDate =
		period === 'cycle' ? (cycle?.startsOn ?? addDays(school.today, -56)) : addDays(school.today, -Number(period));
	const ids = students.map(({ id }) => id);
	const [runs, standings, graph] = await Promise.all([
		skillRuns(database, ids, beginningOf(from, school.timeZone)),
		readStandings(database, ids),
		skillGraph(database, school.id, skills)
	]);
	const skillOf = new Map(skills.map((skill) => [skill.id, skill]));
	const nameOf = (skillId: number) => skillOf.get(skillId)?.shortName ?? 'a skill that is not taught here any more';
	const dayOf = ({ begunAt }: StudentRun) => schoolDateOf(begunAt, school.timeZone);
	const used = skills.filter(({ id }) => runs.some(({ skillId }) => skillId === id));
	const columns = by === 'skill' ? used : [];
	const firstRuns = new Map<number, StudentRun>();
	for (const run of runs) if (!firstRuns.has(run.setId)) firstRuns.set(run.setId, run);
	const sets = by === 'date' ? [...firstRuns.values()] : [];
	return {
		by,
		period,
		from,
		part: { ...part, total: all.length },
		/** The columns: skills or sets, the others empty. */
		skills: columns.map(({ id, code, shortName }) => ({ id, code, name: shortName })),
		sets: sets.map((run) => ({ id: run.setId, name: titleOf(run, runs, nameOf), on: dayOf(run) })),
		rows: students.map((student) => {
			const own = runs.filter(({ studentId }) => studentId === student.id);
			return {
				id: student.id as number,
				name: fullName(student),
				className: student.className,
				skills: columns.map(({ id }) => {
					const of = own.filter(({ skillId }) => skillId === id);
					const ends = firstToLast(of);
					if (!ends) return null;
					const { right, answered } = ends.first;
					const span = { from: dayOf(ends.first), to: dayOf(ends.last) };
					const before = { runs: of.length, right, answered, ...span };
					return { ...tellCount(ends.last), ...(of.length > 1 && { before }), setId: ends.last.setId };
				}),
				sets: sets.map(({ setId }) => {
					const last = lastRun(own.filter((run) => run.setId === setId));
					return last && tellCount(last);
				})
			};
		}),
		/** By skill, those who are under the line again and again. */
		failed: used.flatMap(({ id }) => {
			const failed = students.flatMap((student): FailedStudent[] => {
				const failure = repeatedFailure(runs.filter((run) => run.studentId === student.id && run.skillId === id));
				if (!failure) return [];
				const mastered = (skillId: number) => standings.get(student.id)!.get(skillId)?.mastered ?? 0;
				const [before] = (graph.prerequisites.get(id) ?? [])
					.filter((skillId) => skillOf.has(skillId))
					.sort((one, other) => mastered(one) - mastered(other));
				const least = before === undefined ? null : { id: before, name: nameOf(before) };
				return [{ id: student.id, name: fullName(student), before: least, ...failure }];
			});
			return failed.length ? [{ skill: { id, name: nameOf(id) }, students: failed }] : [];
		})
	};
}

export type ThroughTimePage = Awaited<ReturnType<typeof throughTimePage>>;

/** What the set of a run is called, as everywhere: by its name, or by those of its skills that were worked on. */
function titleOf(
	{ setId, setName: name, isOwnStep }: StudentRun,
	runs: StudentRun[],
	nameOf: (skillId: number) => string
): string {
	const places = new Map(runs.filter((run) => run.setId === setId).map(({ skillId, place }) => [skillId, place]));
	const skillIds = [...places].sort(([, one], [, other]) => one - other).map(([skillId]) => skillId);
	return setTitle({ name, isOwnStep, skillIds }, nameOf);
}

/** What is so of few is left out of the others: a class has a thousand cells. */
const tellCount = (run: StudentRun) => ({
	...{ right: run.right, answered: run.answered },
	...(isUnder(run) && { isUnder: true })
});
/** The last run through a set, all of its skills together; null for none. @param runs of one student through one set */
function lastRun(runs: StudentRun[]): StudentRun | null {
	const last = runs.at(-1);
	if (!last) return null;
	const same = runs.filter(({ attempt }) => attempt === last.attempt);
	const sum = (of: 'right' | 'answered') => same.reduce((total, run) => total + run[of], 0);
	return { ...last, right: sum('right'), answered: sum('answered') };
}

interface FailedStudent extends RepeatedFailure {
	id: number;
	name: string;
	/** Of what comes before the skill, what they have least; null where nothing does. */
	before: { id: number; name: string } | null;
}
