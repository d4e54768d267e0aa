import type { SchoolDate } from '../../core/calendar';
import {
	estimateField,
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

/** Why a skill is a gap of a student: prerequisites whose being mastered would raise it most. Skills by id. */
export async function causesOf(
	database: Database,
	studentId: VisibleId,
	skillId: number
): Promise<(Omit<RootCause, 'way'> & { way: number[] })[]> {
	const { field, answers, prior } = await fieldInputs(database, studentId);
	return rootCauses(field, estimateField(field, answers, prior), fieldCode(skillId)).map(({ way, ...cause }) => ({
		...cause,
		way: way.map(Number)
	}));
}
