import { addDays, beginningOf, schoolDateOf, type SchoolDate } from '../../core/calendar';
import { firstToLast, isUnder, repeatedFailure, type RepeatedFailure } from '../../core/results';
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
	const told = (run: StudentRun) => ({
		...{ setId: run.setId, attempt: run.attempt, right: run.right, answered: run.answered },
		isUnder: isUnder(run),
		on: dayOf(run)
	});
	const used = [...new Set(runs.map(({ skillId }) => skillId))];
	const inOrder = skills.filter(({ id }) => used.includes(id));
	const sets = [...new Map(runs.map((run) => [run.setId, run])).values()];
	const rows = students.map((student) => {
		const own = runs.filter(({ studentId }) => studentId === student.id);
		return {
			id: student.id as number,
			name: fullName(student),
			className: student.className,
			skills: inOrder.map(({ id }) => {
				const of = own.filter(({ skillId }) => skillId === id);
				const ends = firstToLast(of);
				return ends && { runs: of.length, first: told(ends.first), last: told(ends.last) };
			}),
			sets: sets.map(({ setId }) => {
				const last = own.filter((run) => run.setId === setId).at(-1);
				if (!last) return null;
				// All of its skills together.
				const same = own.filter((run) => run.setId === setId && run.attempt === last.attempt);
				const sum = (of: 'right' | 'answered') => same.reduce((total, run) => total + run[of], 0);
				const run = { ...last, right: sum('right'), answered: sum('answered') };
				return told(run);
			})
		};
	});
	const failed = students.flatMap((student) =>
		used.flatMap((skillId) => {
			const own = runs.filter((run) => run.studentId === student.id && run.skillId === skillId);
			const failure = repeatedFailure(own);
			if (!failure) return [];
			const cells = standings.get(student.id)!;
			const before = (graph.prerequisites.get(skillId) ?? [])
				.filter((id) => skillOf.has(id))
				.sort((one, other) => (cells.get(one)?.mastered ?? 0) - (cells.get(other)?.mastered ?? 0));
			return [
				{
					student: { id: student.id as number, name: fullName(student) },
					skillId,
					before: before[0] ?? null,
					...failure
				}
			];
		})
	);
	return {
		by,
		period,
		from,
		part: { ...part, total: all.length },
		skills: inOrder.map(({ id, code, shortName }) => ({ id, code, name: shortName })),
		sets: sets.map((run) => ({ id: run.setId, name: run.setName ?? nameOf(run.skillId), on: dayOf(run) })),
		rows,
		/** By skill, those who are under the line again and again. */
		failed: [...new Set(failed.map(({ skillId }) => skillId))].map((skillId) => ({
			skill: { id: skillId, name: nameOf(skillId) },
			students: failed
				.filter((one) => one.skillId === skillId)
				.map(({ student, before, why, times }): FailedStudent => ({
					...student,
					before: before === null ? null : { id: before, name: nameOf(before) },
					why,
					times
				}))
		}))
	};
}

interface FailedStudent extends RepeatedFailure {
	id: number;
	name: string;
	/** Of what comes before the skill, what they have least; null where nothing does. */
	before: { id: number; name: string } | null;
}
