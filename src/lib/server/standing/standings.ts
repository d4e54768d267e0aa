import type { SchoolDate } from '../../core/calendar';
import {
	estimateField,
	explainLevel,
	type LeftOut,
	rootCauses,
	standingOf,
	type PackedSkill,
	type RootCause,
	type StandingNow
} from '../../core/mastery';
import type { Database } from '../database';
import type { VisibleId } from '../request';
import { fieldCode } from './schoolField';
import { fieldInputs, fieldsOn, studentFields } from './store/studentFields';

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
	for (const day of days) byDay.set(day, standingsFrom(await fieldsOn(database, studentIds, day), studentIds));
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
