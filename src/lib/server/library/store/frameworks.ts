import { randomUUID } from 'node:crypto';
import type { Framework } from '../../../core/interchange/framework';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { bumpRevision } from './library';

/** The framework that ships with the product: every school teaches from it until it brings in skills of its own. */
const SHARED = 1;

/** A framework that a school teaches from. */
interface TaughtFramework extends Framework {
	/** Whether other schools teach from it too; then the school's first change makes a copy of its own. */
	isShared: boolean;
}

/** What a school teaches from. */
export async function taughtFramework(database: Database, schoolId: number): Promise<TaughtFramework> {
	const { id, owner } = (await database.row<{ id: number; owner: number | null }>(
		`SELECT framework.id, framework.school_id AS owner
		FROM school JOIN framework ON framework.id = school.framework_id
		WHERE school.id = ?`,
		[schoolId]
	))!;
	const domains = await database.rows<{ identifier: string; code: string; name: string; subject: string }>(
		`SELECT domain.identifier, domain.code, taught.name, domain.subject
		FROM framework_domain AS taught JOIN domain ON domain.id = taught.domain_id
		WHERE taught.framework_id = ?
		ORDER BY taught.position`,
		[id]
	);
	const skills = await database.rows<Framework['skills'][number]>(
		`SELECT skill.identifier, skill.code, domain.code AS domain, taught.statement, taught.short_name AS shortName,
			taught.also, taught.grade, taught.term
		FROM framework_skill AS taught
		JOIN skill ON skill.id = taught.skill_id
		JOIN framework_domain AS within
			ON within.framework_id = taught.framework_id AND within.domain_id = taught.domain_id
		JOIN domain ON domain.id = taught.domain_id
		WHERE taught.framework_id = ?
		ORDER BY within.position, taught.position`,
		[id]
	);
	const edges = await database.rows<Framework['edges'][number]>(
		`SELECT before_it.code AS prerequisite, skill.code AS skill
		FROM framework_edge AS edge
		JOIN skill AS before_it ON before_it.id = edge.prerequisite_id
		JOIN skill ON skill.id = edge.skill_id
		WHERE edge.framework_id = ?
		ORDER BY skill.id, before_it.id`,
		[id]
	);
	const subject = domains[0]?.subject ?? '';
	return {
		title: subject,
		subject,
		domains: domains.map(({ subject: _, ...domain }) => domain),
		skills,
		edges,
		isShared: owner === null
	};
}

/** Makes a sound framework the shared one, in a database that has no school yet. */
export async function shipFramework(database: RootDatabase, framework: Framework): Promise<void> {
	await database.transaction(async (transaction) => {
		await transaction.run('INSERT IGNORE INTO framework (id) VALUES (?)', [SHARED]);
		await write(transaction, SHARED, framework);
	});
}

/**
 * Brings a sound framework into a school: domains and skills by their codes, new ones added, those that are there
 * changed, none taken out. Prerequisites of the skills that come are as stated there. Other schools notice nothing: the
 * first time the school gets a copy of its own, of the same skills, so that answers and groups stay with them. All or
 * nothing.
 */
export async function changeFramework(
	database: RootDatabase,
	staff: Staff,
	framework: Framework,
	at: Date
): Promise<void> {
	await database.transaction(async (transaction) => {
		await write(transaction, await ownFramework(transaction, staff.schoolId), framework);
		await bumpRevision(transaction, staff.schoolId);
		await audit(transaction, staff, at, 'import skills', {
			framework: framework.title,
			skills: framework.skills.length
		});
	});
}

/** The school's own framework, copied from the one it teaches from where it has none. */
async function ownFramework(transaction: Database, schoolId: number): Promise<number> {
	// One at a time a school.
	const taught = (await transaction.row<{ id: number }>(
		'SELECT framework_id AS id FROM school WHERE id = ? FOR UPDATE',
		[schoolId]
	))!;
	const own = await transaction.row<{ id: number }>('SELECT id FROM framework WHERE school_id = ?', [schoolId]);
	if (own) return own.id;
	const { insertId } = await transaction.run('INSERT INTO framework (school_id) VALUES (?)', [schoolId]);
	for (const [table, columns] of [
		['framework_domain', 'domain_id, name, position'],
		['framework_skill', 'skill_id, domain_id, statement, short_name, also, grade, term, position'],
		['framework_edge', 'prerequisite_id, skill_id']
	])
		await transaction.run(
			`INSERT INTO ${table} (framework_id, ${columns}) SELECT ?, ${columns} FROM ${table} WHERE framework_id = ?`,
			[insertId, taught.id]
		);
	await transaction.run('UPDATE school SET framework_id = ? WHERE id = ?', [insertId, schoolId]);
	return insertId;
}

async function write(transaction: Database, frameworkId: number, framework: Framework): Promise<void> {
	const domainIds = await idsByCode(
		transaction,
		'domain',
		frameworkId,
		framework.domains.map(({ code, identifier }) => [framework.subject, code, identifier ?? randomUUID()])
	);
	const nextDomain = await nextPosition(transaction, 'framework_domain', frameworkId);
	await transaction.insertMany(
		`INSERT INTO framework_domain (framework_id, domain_id, name, position) VALUES ?
		ON DUPLICATE KEY UPDATE name = VALUES(name)`,
		framework.domains.map(({ code, name }, i) => [frameworkId, domainIds.get(code)!, name, nextDomain + i])
	);
	const skillIds = await idsByCode(
		transaction,
		'skill',
		frameworkId,
		framework.skills.map(({ code, identifier }) => [code, identifier ?? randomUUID()])
	);
	const nextSkill = await nextPosition(transaction, 'framework_skill', frameworkId);
	await transaction.insertMany(
		`INSERT INTO framework_skill
			(framework_id, skill_id, domain_id, statement, short_name, also, grade, term, position)
		VALUES ?
		ON DUPLICATE KEY UPDATE domain_id = VALUES(domain_id), statement = VALUES(statement),
			short_name = VALUES(short_name), also = VALUES(also), grade = VALUES(grade), term = VALUES(term)`,
		framework.skills.map((skill, i) => [
			frameworkId,
			skillIds.get(skill.code)!,
			domainIds.get(skill.domain)!,
			skill.statement,
			skill.shortName,
			skill.also,
			skill.grade,
			skill.term,
			nextSkill + i
		])
	);
	if (framework.skills.length)
		await transaction.run('DELETE FROM framework_edge WHERE framework_id = ? AND skill_id IN (?)', [
			frameworkId,
			framework.skills.map(({ code }) => skillIds.get(code)!)
		]);
	await transaction.insertMany(
		'INSERT INTO framework_edge (framework_id, prerequisite_id, skill_id) VALUES ?',
		framework.edges.map((edge) => [frameworkId, skillIds.get(edge.prerequisite)!, skillIds.get(edge.skill)!])
	);
}

/** Columns that a domain or a skill begins with, wherever it is taught. */
const BEGINNINGS = {
	domain: ['subject', 'code', 'identifier'],
	skill: ['code', 'identifier']
};

/**
 * Ids by code of what a framework has and of what comes new, which then belongs to this framework.
 *
 * @param rows of what is there or comes, by the columns above
 */
async function idsByCode(
	transaction: Database,
	table: 'domain' | 'skill',
	frameworkId: number,
	rows: string[][]
): Promise<Map<string, number>> {
	const columns = BEGINNINGS[table];
	const code = columns.indexOf('code');
	const ids = new Map<string, number>();
	const learn = async (from: string) => {
		const found = await transaction.rows<{ id: number; code: string }>(
			`SELECT ${table}.id, ${table}.code FROM ${table} ${from}`,
			[frameworkId]
		);
		for (const row of found) ids.set(row.code, row.id);
	};
	await learn(`JOIN framework_${table} AS taught ON taught.${table}_id = ${table}.id WHERE taught.framework_id = ?`);
	await transaction.insertMany(
		`INSERT INTO ${table} (framework_id, ${columns.join(', ')}) VALUES ?`,
		rows.filter((row) => !ids.has(row[code])).map((row) => [frameworkId, ...row])
	);
	await learn(`WHERE ${table}.framework_id = ?`);
	return ids;
}

async function nextPosition(
	transaction: Database,
	table: 'framework_domain' | 'framework_skill',
	frameworkId: number
): Promise<number> {
	const { next } = (await transaction.row<{ next: number }>(
		`SELECT COALESCE(MAX(position), -1) + 1 AS next FROM ${table} WHERE framework_id = ?`,
		[frameworkId]
	))!;
	return Number(next);
}
