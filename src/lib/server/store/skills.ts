import type { Framework } from '../../core/interchange/caseFramework';
import { makeSkillGraph, type SkillGraph } from '../../core/mastery';
import type { Database } from '../database/pool';

export interface Domain {
	id: number;
	code: string;
	name: string;
}

export interface Skill {
	id: number;
	domainId: number;
	code: string;
	statement: string;
	shortName: string;
	/** Other words people look for it by. */
	also: string;
	grade: number;
	term: number;
}

export async function domainList(database: Database): Promise<Domain[]> {
	return database.rows<Domain>('SELECT id, code, name FROM domain ORDER BY position');
}

/** All skills in teaching order, domain by domain. */
export async function skillList(database: Database): Promise<Skill[]> {
	return database.rows<Skill>(
		`SELECT skill.id, skill.domain_id AS domainId, skill.code, skill.statement, skill.short_name AS shortName, skill.also,
			skill.grade, skill.term
		FROM skill JOIN domain ON domain.id = skill.domain_id
		ORDER BY domain.position, skill.position`
	);
}

export async function skillGraph(database: Database, skills: Skill[]): Promise<SkillGraph> {
	const edges = await database.rows<{ prerequisite: number; skill: number }>(
		'SELECT prerequisite_id AS prerequisite, skill_id AS skill FROM skill_edge'
	);
	return makeSkillGraph(
		skills.map(({ id }) => id),
		edges
	);
}

/** Loads a framework into an empty skill table. */
export async function saveFramework(database: Database, framework: Framework): Promise<void> {
	const domainIds = new Map<string, number>();
	for (const [position, { code, name }] of framework.domains.entries()) {
		const { insertId } = await database.run('INSERT INTO domain (subject, code, name, position) VALUES (?, ?, ?, ?)', [
			framework.subject,
			code,
			name,
			position
		]);
		domainIds.set(code, insertId);
	}
	const skillIds = new Map<string, number>();
	for (const [position, skill] of framework.skills.entries()) {
		const { insertId } = await database.run(
			`INSERT INTO skill (domain_id, code, statement, short_name, also, grade, term, position)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
			[
				domainIds.get(skill.domain)!,
				skill.code,
				skill.statement,
				skill.shortName,
				skill.also,
				skill.grade,
				skill.term,
				position
			]
		);
		skillIds.set(skill.code, insertId);
	}
	await database.insertMany(
		'INSERT INTO skill_edge (prerequisite_id, skill_id) VALUES ?',
		framework.edges.map((edge) => [skillIds.get(edge.prerequisite)!, skillIds.get(edge.skill)!])
	);
}
