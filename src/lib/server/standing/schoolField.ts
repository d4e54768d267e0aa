import { createHash } from 'node:crypto';
import { FIELD_RULE, skillField, type SkillField, type SkillGraph } from '../../core/mastery';
import { usualDifficulty } from '../../core/screening';
import type { Database } from '../database';
import { libraryRevision, skillGraph, type Skill, skillList } from '../library';
import { parameterSet, versionInUse } from '../screen';

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

/** One field a school in this process, made anew when its library or its parameters have changed. */
const fields = new Map<number, { key: string; made: Promise<SchoolField> }>();

export async function schoolField(database: Database, schoolId: number): Promise<SchoolField> {
	const [revision, version] = await Promise.all([
		libraryRevision(database, schoolId),
		versionInUse(database, schoolId)
	]);
	const key = `${revision} ${version}`;
	const known = fields.get(schoolId);
	if (known?.key === key) return known.made;
	const made = makeField(database, schoolId, version);
	fields.set(schoolId, { key, made });
	made.catch(() => fields.delete(schoolId));
	return made;
}

async function makeField(database: Database, schoolId: number, version: number | null): Promise<SchoolField> {
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
	const field = skillField(known);
	const levels = skills.map(({ code, grade, term }) => [code, grade, term]);
	const madeBy = createHash('md5')
		.update(JSON.stringify([FIELD_RULE, field.constants, known, levels]))
		.digest();
	return { field, skills: new Map(skills.map((skill) => [skill.id, skill])), graph, madeBy };
}
