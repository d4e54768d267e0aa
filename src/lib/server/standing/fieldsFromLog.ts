import { setImmediate as nextTurn } from 'node:timers/promises';
import { beginningOf, addDays, type SchoolDate } from '../../core/calendar';
import {
	cellOf,
	isOwn,
	keepField,
	masteredIn,
	packCells,
	packField,
	raisePrior,
	readyNext,
	standingOf,
	unpackField,
	type Cell,
	type KnownStudent,
	type PackedSkill,
	type SkillGraph
} from '../../core/mastery';
import { expectedTheta, termOfYear, yearOf } from '../../core/measurement';
import type { Database } from '../database';
import { gradesByDay } from '../people';
import type { SchoolField } from './schoolField';
import { answersOf, outsideScores } from './store/evidence';

/** What is kept of a student: all that standings follow from, the cells of the needle map, and how many of them are gaps. */
export interface Kept {
	packed: Buffer;
	cells: Buffer;
	gaps: number;
}

/** The term that stands for all of a year, of students of whom nothing is known. */
const MIDDLE_TERM = 2;

/** A student whose answers are asked for. */
interface Asked {
	id: number;
	grade: number;
}

/** What the fields of students follow from, but for the constants of their school. @param until only what is of a day and before */
export async function inputsOf(
	database: Database,
	school: SchoolField,
	students: Asked[],
	until?: SchoolDate
): Promise<Map<number, KnownStudent>> {
	const { timeZone, years } = school;
	const ids = students.map(({ id }) => id);
	const end = until === undefined ? undefined : beginningOf(addDays(until, 1), timeZone);
	const answers = await answersOf(database, school, ids, end);
	const gradeOn = await gradesByDay(database, students);
	const scores = await outsideScores(database, ids, { gradeOn, years, until });
	return new Map(
		students.map(({ id, grade }) => {
			const own = answers.get(id)!;
			const known = scores.get(id) ?? [];
			const last =
				own.at(-1)?.on ??
				known
					.map(({ takenOn }) => takenOn)
					.sort()
					.at(-1);
			const then = last ? gradeOn(id, last) : grade;
			const term = last ? termOfYear(last, yearOf(last, years)) : MIDDLE_TERM;
			return [id, { answers: own, prior: { mean: expectedTheta({ grade: then, term }), scores: known } }];
		})
	);
}

/** What is believed of students by their answers and scores. @param until by those of a day and before */
export async function makeFields(
	database: Database,
	school: SchoolField,
	students: Asked[],
	until?: SchoolDate
): Promise<Map<number, Kept>> {
	const inputs = await inputsOf(database, school, students, until);
	const made = new Map<number, Kept>();
	for (const [id, { answers, prior }] of inputs) {
		const kept = keepField(school.field, answers, raisePrior(prior, school.field.constants.above));
		const skills = school.field.skills.map(({ code, difficulty }, k) => ({
			...kept[k],
			skillId: Number(code),
			difficulty
		}));
		const packed = packField(skills);
		// From what is read again later, so that both say the same.
		const cells = cellsOf(school.graph, unpackField(packed));
		const gaps = cells.filter((cell) => isOwn(cell) && cell.standing === 'gap').length;
		made.set(id, { packed: Buffer.from(packed), cells: Buffer.from(packCells(cells)), gaps });
		// So that others are heard in between.
		await nextTurn();
	}
	return made;
}

function cellsOf(graph: SkillGraph, skills: PackedSkill[]): Cell[] {
	const standings = new Map(skills.map((skill) => [skill.skillId, standingOf(skill, skill.difficulty)]));
	const ready = new Set(readyNext(graph, masteredIn(standings)));
	return skills.map(({ skillId }) => cellOf(standings.get(skillId)!, ready.has(skillId)));
}
