import { createHash } from 'node:crypto';
import { FIELD_CONSTANTS, FIELD_RULE, skillField, type SkillField, type SkillGraph } from '../../core/mastery';
import type { SchoolYear } from '../../core/measurement';
import { usualDifficulty } from '../../core/screening';
import type { Database } from '../database';
import { skillGraph, type Skill, skillList } from '../library';
import { parameterSet } from '../screen';
import { fieldState, type FieldState } from './store/fieldState';
import { fieldVersionInUse } from './store/fieldVersions';

/** The field of a school's skills, with what tells one from another. */
export interface SchoolField {
	schoolId: number;
	timeZone: string;
	years: SchoolYear[];
	field: SkillField;
	/** By id. */
	skills: Map<number, Skill>;
	graph: SkillGraph;
	/** Of all that levels follow from but the answers: equal where nothing of it has changed. */
	madeBy: Buffer;
}

/** What the field calls a skill: its id, which no other framework's skill has. */
export const fieldCode = (skillId: number) => String(skillId);

/** One field a school in this process, made anew when anything of its state has changed. */
const fields = new Map<number, { key: string; made: Promise<SchoolField> }>();

/** @throws RangeError when there is no such school */
export async function schoolField(database: Database, schoolId: number): Promise<SchoolField> {
	const state = await fieldState(database, schoolId);
	const key = JSON.stringify(state);
	const known = fields.get(schoolId);
	if (known?.key === key) return known.made;
	const made = makeField(database, schoolId, state);
	fields.set(schoolId, { key, made });
	made.catch(() => fields.delete(schoolId));
	return made;
}

async function makeField(
	database: Database,
	schoolId: number,
	{ parametersId, constantsId, years, timeZone }: FieldState
): Promise<SchoolField> {
	const skills = await skillList(database, schoolId);
	const [graph, calibrated, version] = await Promise.all([
		skillGraph(database, schoolId, skills),
		parameterSet(database, parametersId),
		constantsId === null ? null : fieldVersionInUse(database, schoolId)
	]);
	const known = skills.map((skill) => ({
		code: fieldCode(skill.id),
		domain: String(skill.domainId),
		difficulty: usualDifficulty(skill, calibrated),
		prerequisites: (graph.prerequisites.get(skill.id) ?? []).map(fieldCode)
	}));
	const field = skillField(known, { ...FIELD_CONSTANTS, ...version?.constants });
	const levels = skills.map(({ code, grade, term }) => [code, grade, term]);
	const madeBy = createHash('md5')
		.update(JSON.stringify([FIELD_RULE, field.constants, known, levels, years]))
		.digest();
	const byId = new Map(skills.map((skill) => [skill.id, skill]));
	return { schoolId, timeZone, years, field, skills: byId, graph, madeBy };
}
