import { randomUUID } from 'node:crypto';
import type { Framework } from '../../core/interchange/framework';
import { makeSkillGraph, type SkillGraph } from '../../core/mastery';
import type { Database, RootDatabase } from '../database/pool';
import type { Staff } from '../viewer';
import { audit } from './audit';

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

export async function domainList(database: Database): Promise<Domain[]> {
	return database.rows<Domain>('SELECT id, code, name, subject FROM domain ORDER BY position');
}

/** Subjects that the framework has domains of. */
export async function subjectList(database: Database): Promise<string[]> {
	const rows = await database.rows<{ subject: string }>('SELECT DISTINCT subject FROM domain ORDER BY subject');
	return rows.map(({ subject }) => subject);
}

/** All skills in teaching order, domain by domain. */
export async function skillList(database: Database): Promise<Skill[]> {
	return database.rows<Skill>(
		`SELECT skill.id, skill.domain_id AS domainId, domain.subject, skill.code, skill.statement, skill.short_name AS shortName, skill.also,
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

/** The framework that is there. */
export async function currentFramework(database: Database): Promise<Framework> {
	const domains = await database.rows<{ identifier: string; code: string; name: string; subject: string }>(
		'SELECT identifier, code, name, subject FROM domain ORDER BY position'
	);
	const skills = await database.rows<Framework['skills'][number]>(
		`SELECT skill.identifier, skill.code, domain.code AS domain, skill.statement, skill.short_name AS shortName, skill.also,
			skill.grade, skill.term
		FROM skill JOIN domain ON domain.id = skill.domain_id
		ORDER BY domain.position, skill.position`
	);
	const edges = await database.rows<Framework['edges'][number]>(
		`SELECT before_it.code AS prerequisite, skill.code AS skill
		FROM skill_edge
		JOIN skill AS before_it ON before_it.id = skill_edge.prerequisite_id
		JOIN skill ON skill.id = skill_edge.skill_id
		ORDER BY skill.id, before_it.id`
	);
	const subject = domains[0]?.subject ?? '';
	return { title: subject, subject, domains: domains.map(({ subject: _, ...domain }) => domain), skills, edges };
}

/**
 * Brings a sound framework in: domains and skills by their codes, new ones added, those that are there changed, none
 * taken out. Prerequisites of the skills that come are as stated there. All or nothing.
 *
 * @param by who brings it in, for the audit log; absent when a database is first filled
 */
export async function saveFramework(
	database: RootDatabase,
	framework: Framework,
	by?: { staff: Staff; at: Date }
): Promise<void> {
	await database.transaction(async (transaction) => {
		const next = async (table: 'domain' | 'skill') =>
			Number(
				(await transaction.row<{ next: number }>(`SELECT COALESCE(MAX(position), -1) + 1 AS next FROM ${table}`))!.next
			);
		const [nextDomain, nextSkill] = [await next('domain'), await next('skill')];
		const numbers = async (sql: string) => {
			const rows = await transaction.rows<{ id: number; code: string }>(sql);
			return new Map(rows.map(({ id, code }) => [code, id]));
		};
		await transaction.insertMany(
			`INSERT INTO domain (subject, code, name, position, identifier) VALUES ?
			ON DUPLICATE KEY UPDATE name = VALUES(name)`,
			framework.domains.map(({ code, name, identifier }, position) => [
				framework.subject,
				code,
				name,
				nextDomain + position,
				identifier ?? randomUUID()
			])
		);
		const domainIds = await numbers('SELECT id, code FROM domain');
		await transaction.insertMany(
			`INSERT INTO skill (domain_id, code, statement, short_name, also, grade, term, position, identifier) VALUES ?
			ON DUPLICATE KEY UPDATE domain_id = VALUES(domain_id), statement = VALUES(statement),
				short_name = VALUES(short_name), also = VALUES(also), grade = VALUES(grade), term = VALUES(term)`,
			framework.skills.map((skill, position) => [
				domainIds.get(skill.domain)!,
				skill.code,
				skill.statement,
				skill.shortName,
				skill.also,
				skill.grade,
				skill.term,
				nextSkill + position,
				skill.identifier ?? randomUUID()
			])
		);
		const skillIds = await numbers('SELECT id, code FROM skill');
		if (framework.skills.length) {
			await transaction.run('DELETE FROM skill_edge WHERE skill_id IN (?)', [
				framework.skills.map(({ code }) => skillIds.get(code)!)
			]);
		}
		await transaction.insertMany(
			'INSERT INTO skill_edge (prerequisite_id, skill_id) VALUES ?',
			framework.edges.map((edge) => [skillIds.get(edge.prerequisite)!, skillIds.get(edge.skill)!])
		);
		// Every school teaches from these skills, so each one's search index is old now.
		await transaction.run(
			'INSERT INTO library_revision (school_id, revision) SELECT id, 1 FROM school ON DUPLICATE KEY UPDATE revision = revision + 1'
		);
		if (by) {
			await audit(transaction, by.staff, by.at, 'import skills', {
				framework: framework.title,
				skills: framework.skills.length
			});
		}
	});
}
