import type { SchoolDate } from '../../core/calendar';
import {
	estimateField,
	explainLevel,
	type LeftOut,
	readCell,
	readLook,
	rootCauses,
	type Cell,
	type CellLook,
	standingOf,
	unpackField,
	type PackedSkill,
	type RootCause,
	type SkillField,
	type StandingNow
} from '../../core/mastery';
import type { Database } from '../database';
import type { VisibleId } from '../request';
import { fieldCode, schoolField } from './schoolField';
import { earlierCells } from './store/earlierCells';
import { fieldInputs, fieldsOn, studentCells, studentFields } from './store/studentFields';

/** Standings: by student, then by skill. */
export type Standings = Map<number, Map<number, StandingNow>>;

const standingsFrom = (fields: Map<number, PackedSkill[]>, ids: number[]): Standings =>
	new Map(
		ids.map((id) => [
			id,
			new Map((fields.get(id) ?? []).map((skill) => [skill.skillId, standingOf(skill, skill.difficulty)]))
		])
	);

/** Standings as they are now, on all skills that are taught. */
export async function readStandings(database: Database, studentIds: VisibleId[]): Promise<Standings> {
	return standingsFrom(await studentFields(database, studentIds), studentIds);
}

/** Cells of the needle map: of each student one for each skill that is taught. */
export interface Cells {
	of(studentId: number, skillId: number): Cell;
	/** Of a student what each cell says, by skill. */
	looksOf(studentId: number): (skillId: number) => CellLook;
	/** All of a student, packed. */
	packed(studentId: number): Uint8Array;
	/** Where each skill lies in them. */
	placeOf: Map<number, number>;
}

/** Standings as a map shows them: what pages over many students read, a quarter of what `readStandings` does. */
export async function readCells(database: Database, schoolId: number, studentIds: VisibleId[]): Promise<Cells> {
	const school = await schoolField(database, schoolId);
	return cellsFrom(school.field, await studentCells(database, school, studentIds));
}

function cellsFrom(field: SkillField, packed: Map<number, Uint8Array>): Cells {
	const placeOf = new Map(field.skills.map(({ code }, place) => [Number(code), place]));
	return {
		of: (studentId, skillId) => readCell(packed.get(studentId)!, placeOf.get(skillId)!),
		looksOf: (studentId) => {
			const own = packed.get(studentId)!;
			return (skillId) => readLook(own, placeOf.get(skillId)!);
		},
		packed: (studentId) => packed.get(studentId)!,
		placeOf
	};
}

/**
 * Cells as they were at the end of an earlier day, from the answer log. What was set aside or sat again since counts as it
 * does today.
 *
 * @param most milliseconds from which on no more are worked out
 * @returns with the students of whom they have not been worked out yet: asked again, there are fewer
 */
export async function readEarlierCells(
	database: Database,
	school: { id: number; today: SchoolDate },
	studentIds: VisibleId[],
	day: SchoolDate,
	most: number
): Promise<{ cells: Cells; missing: Set<number> }> {
	const { field } = await schoolField(database, school.id);
	const { cells, missing } = await earlierCells(database, school, studentIds, day, most);
	return { cells: cellsFrom(field, cells), missing: new Set(missing) };
}

/**
 * Standings as they were at the end of earlier days, from the answer log. What was set aside or sat again since counts as
 * it does today.
 */
export async function standingsOnDays(
	database: Database,
	studentIds: VisibleId[],
	days: SchoolDate[]
): Promise<Map<SchoolDate, Standings>> {
	const byDay = new Map<SchoolDate, Standings>();
	for (const day of days) {
		const fields = await fieldsOn(database, studentIds, day);
		byDay.set(
			day,
			standingsFrom(new Map([...fields].map(([id, { packed }]) => [id, unpackField(packed)])), studentIds)
		);
	}
	return byDay;
}

/** Why a student's level on a skill is what it is, and where a gap begins. Skills by id. */
export interface LevelReasons {
	expected: number;
	without: { of: LeftOut['of']; skillId: number | null; change: number; share: number }[];
	/** Prerequisites whose being mastered would raise it most. */
	causes: { way: number[]; share: RootCause['share'] }[];
}

export async function levelReasons(database: Database, studentId: VisibleId, skillId: number): Promise<LevelReasons> {
	const { field, answers, prior } = await fieldInputs(database, studentId);
	const code = fieldCode(skillId);
	const { expected, without } = explainLevel(field, answers, prior, code);
	return {
		expected,
		without: without.map(({ leftOut, change, share }) => ({
			of: leftOut.of,
			skillId: 'code' in leftOut ? Number(leftOut.code) : null,
			change,
			share
		})),
		causes: rootCauses(field, estimateField(field, answers, prior), code).map(({ way, share }) => ({
			way: way.map(Number),
			share
		}))
	};
}
