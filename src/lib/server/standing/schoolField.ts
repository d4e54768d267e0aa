import { createHash } from 'node:crypto';
import { FIELD_CONSTANTS, FIELD_RULE, skillField, type SkillField, type SkillGraph } from '../../core/mastery';
import type { SchoolYear } from '../../core/measurement';
import { usualDifficulty } from '../../core/screening';
import type { Database } from '../database';
import { libraryRevision, skillGraph, type Skill, skillList } from '../library';
import { parameterSet, versionInUse } from '../screen';
import { schoolYears } from '../school';
import { fieldVersionInUse, type FieldVersion } from './store/fieldVersions';

/** The field of a school's skills, with what tells one from another. */
export interface SchoolField {
	field: SkillField;
	/** By id. */
	skills: Map<number, Skill>;
	graph: SkillGraph;
	/** Of all that levels follow from but the answers: equal where nothing of it has changed. */
	madeBy: Buffer;
}

/** What the field calls a skill: its id, which no other framework's skill has. */
export const fieldCode = (skillId: number) => String(skillId);

/** One field a school in this process, made anew when its library, its parameters, its constants or its years have changed. */
const fields = new Map<number, { key: string; made: Promise<SchoolField> }>();

export async function schoolField(database: Database, schoolId: number): Promise<SchoolField> {
	const [revision, version, constants, years] = await Promise.all([
		libraryRevision(database, schoolId),
		versionInUse(database, schoolId),
		fieldVersionInUse(database, schoolId),
		schoolYears(database, schoolId)
	]);
	const key = JSON.stringify([revision, version, constants?.id, years]);
	const known = fields.get(schoolId);
	if (known?.key === key) return known.made;
	const made = makeField(database, schoolId, { version, constants, years });
	fields.set(schoolId, { key, made });
	made.catch(() => fields.delete(schoolId));
	return made;
}

async function makeField(
	database: Database,
	schoolId: number,
	{ version, constants, years }: { version: number | null; constants: FieldVersion | null; years: SchoolYear[] }
): Promise<SchoolField> {
	const skills = await skillList(database, schoolId);
	const [graph, calibrated] = await Promise.all([
		skillGraph(database, schoolId, skills),
		parameterSet(database, version)
	]);
	const known = skills.map((skill) => ({
		code: fieldCode(skill.id),
		domain: String(skill.domainId),
		difficulty: usualDifficulty(skill, calibrated),
		prerequisites: (graph.prerequisites.get(skill.id) ?? []).map(fieldCode)
	}));
	const field = skillField(known, { ...FIELD_CONSTANTS, ...constants?.constants });
	const levels = skills.map(({ code, grade, term }) => [code, grade, term]);
	const madeBy = createHash('md5')
		.update(JSON.stringify([FIELD_RULE, field.constants, known, levels, years]))
		.digest();
	return { field, skills: new Map(skills.map((skill) => [skill.id, skill])), graph, madeBy };
}
