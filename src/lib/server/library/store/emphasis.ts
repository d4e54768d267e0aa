import { usualEmphasis, type Emphasis } from '../../../core/grouping';
import { audit, requireOwn, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { domainList, type Domain } from './skills';

/** Grades that emphasis is told for. */
export const EMPHASIS_GRADES = [1, 2, 3, 4, 5, 6, 7, 8];

/** A domain with a school's emphasis on it: by grade, and what it is as shipped. */
interface DomainEmphasis extends Domain {
	byGrade: Emphasis[];
	usual: Emphasis;
}

/** What a school puts weight on when it forms groups, by domain; grades in the order of `EMPHASIS_GRADES`. */
export async function schoolEmphasis(database: Database, schoolId: number): Promise<DomainEmphasis[]> {
	const [domains, rows] = await Promise.all([
		domainList(database, schoolId),
		database.rows<{ domainId: number; grade: number; emphasis: Emphasis }>(
			'SELECT domain_id AS domainId, grade, emphasis FROM emphasis WHERE school_id = ?',
			[schoolId]
		)
	]);
	const told = new Map(rows.map(({ domainId, grade, emphasis }) => [`${domainId} ${grade}`, emphasis]));
	return domains.map((domain) => {
		const usual = usualEmphasis(domain.code);
		return { ...domain, usual, byGrade: EMPHASIS_GRADES.map((grade) => told.get(`${domain.id} ${grade}`) ?? usual) };
	});
}

/** Sets a school's emphasis on its domains; what is as shipped is not kept. */
export async function setEmphasis(
	database: RootDatabase,
	staff: Staff,
	changes: { domainId: number; grade: number; emphasis: Emphasis }[],
	at: Date
): Promise<void> {
	await database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { domain: changes.map(({ domainId }) => domainId) });
		const usual = new Map(
			(await schoolEmphasis(transaction, staff.schoolId)).map((domain) => [domain.id, domain.usual])
		);
		for (const { domainId, grade, emphasis } of changes) {
			if (usual.get(domainId) === emphasis)
				await transaction.run('DELETE FROM emphasis WHERE school_id = ? AND domain_id = ? AND grade = ?', [
					staff.schoolId,
					domainId,
					grade
				]);
			else
				await transaction.run(
					`INSERT INTO emphasis (school_id, domain_id, grade, emphasis) VALUES (?, ?, ?, ?)
					ON DUPLICATE KEY UPDATE emphasis = VALUES(emphasis)`,
					[staff.schoolId, domainId, grade, emphasis]
				);
		}
		await audit(transaction, staff, at, 'set emphasis', { changes });
	});
}
