import { makeSkillGraph, type SkillGraph } from '../../../core/mastery';
import type { Database } from '../../database';

export interface Domain {
	id: number;
	code: string;
	name: string;
	subject: string;
}

export interface Skill {
	id: number;
	domainId: number;
	subject: string;
	code: string;
	statement: string;
	shortName: string;
	/** Other words people look for it by. */
	also: string;
	grade: number;
	term: number;
}

/** Domains that a school teaches, in their order. */
export async function domainList(database: Database, schoolId: number): Promise<Domain[]> {
	return database.rows<Domain>(
		`SELECT domain.id, domain.code, taught.name, domain.subject
		FROM school
		JOIN framework_domain AS taught ON taught.framework_id = school.framework_id
		JOIN domain ON domain.id = taught.domain_id
		WHERE school.id = ?
		ORDER BY taught.position`,
		[schoolId]
	);
}

/** Subjects that a school has domains of. */
export async function subjectList(database: Database, schoolId: number): Promise<string[]> {
	return [...new Set((await domainList(database, schoolId)).map(({ subject }) => subject))].sort();
}

/** All skills that a school teaches, in teaching order, domain by domain. */
export async function skillList(database: Database, schoolId: number): Promise<Skill[]> {
	return database.rows<Skill>(
		`SELECT skill.id, taught.domain_id AS domainId, domain.subject, skill.code, taught.statement,
			taught.short_name AS shortName, taught.also, taught.grade, taught.term
		FROM school
		JOIN framework_skill AS taught ON taught.framework_id = school.framework_id
		JOIN skill ON skill.id = taught.skill_id
		JOIN framework_domain AS within
			ON within.framework_id = taught.framework_id AND within.domain_id = taught.domain_id
		JOIN domain ON domain.id = taught.domain_id
		WHERE school.id = ?
		ORDER BY within.position, taught.position`,
		[schoolId]
	);
}

/** What comes before what, among the skills of a school. */
export async function skillGraph(database: Database, schoolId: number, skills: Skill[]): Promise<SkillGraph> {
	const edges = await database.rows<{ prerequisite: number; skill: number }>(
		`SELECT edge.prerequisite_id AS prerequisite, edge.skill_id AS skill
		FROM school JOIN framework_edge AS edge ON edge.framework_id = school.framework_id
		WHERE school.id = ?`,
		[schoolId]
	);
	return makeSkillGraph(
		skills.map(({ id }) => id),
		edges
	);
}
