import type { SchoolDate } from '../../../core/calendar';
import type { InterventionPlan, PastIntervention } from '../../../core/interchange/interventionPlan';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff, VisibleId } from '../../request';

/** Support of a student that was over, or went on in another way, when it was brought in. */
export interface PastSupport {
	tier: 2 | 3;
	fromOn: SchoolDate;
	/** The first day after it. */
	untilOn: SchoolDate;
	did: string;
	came: string;
}

/** What a student had before it was kept here, newest first. */
export async function pastSupport(database: Database, studentId: VisibleId): Promise<PastSupport[]> {
	return database.rows<PastSupport>(
		`SELECT tier, from_on AS fromOn, until_on AS untilOn, did, came FROM past_intervention
		WHERE student_id = ? ORDER BY from_on DESC, id DESC`,
		[studentId]
	);
}

/** Days in a tier of students of a school, those to come among them. */
export async function tierSpans(
	database: Database,
	{ schoolId }: Staff
): Promise<{ studentId: number; tier: 1 | 2 | 3; from: SchoolDate; until: SchoolDate | null }[]> {
	return database.rows(
		`SELECT tier.student_id AS studentId, tier.tier, tier.from_on AS \`from\`, tier.until_on AS until
		FROM student JOIN tier_interval AS tier ON tier.student_id = student.id
		WHERE student.school_id = ? ORDER BY tier.student_id, tier.from_on`,
		[schoolId]
	);
}

/** Ids of rows that were brought in, so that they can be taken back. */
export interface Brought {
	tiers: number[];
	past: number[];
}

/** Lets students be in tiers since the days that a list says, and keeps what they had before. */
export async function bringSupport(
	database: RootDatabase,
	staff: Staff,
	{ tiers, past }: Pick<InterventionPlan, 'tiers' | 'past'>,
	at: Date
): Promise<Brought> {
	return database.transaction(async (transaction) => {
		const students = [...new Set([...tiers, ...past].map(({ studentId }) => studentId))];
		await requireOwn(transaction, staff, { student: students });
		const brought: Brought = { tiers: [], past: [] };
		const begin = async (studentId: number, tier: number, from: SchoolDate, until: SchoolDate | null) => {
			const { insertId } = await transaction.run(
				'INSERT INTO tier_interval (student_id, tier, from_on, until_on) VALUES (?, ?, ?, ?)',
				[studentId, tier, from, until]
			);
			brought.tiers.push(insertId);
		};
		for (const one of past) {
			if (one.isOver) await begin(one.studentId, one.tier, one.from, one.until);
			brought.past.push(await keep(transaction, staff, one, at));
		}
		for (const { studentId, tier, from } of tiers) await begin(studentId, tier, from, null);
		if (students.length) await audit(transaction, staff, at, 'bring in interventions', { students });
		return brought;
	});
}

async function keep(transaction: Database, staff: Staff, one: PastIntervention, at: Date): Promise<number> {
	const { insertId } = await transaction.run(
		`INSERT INTO past_intervention (student_id, tier, from_on, until_on, did, came, brought_by, brought_at)
		VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
		[one.studentId, one.tier, one.from, one.until, one.did, one.came, staff.id, at]
	);
	return insertId;
}

/** Takes back what was brought in: tiers that nobody has decided on since, and what was kept of before. @returns whether all of it is gone */
export async function takeBackSupport(
	database: RootDatabase,
	staff: Staff,
	{ tiers, past }: Brought,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const own = 'student_id IN (SELECT id FROM student WHERE school_id = ?)';
		const decided = await transaction.row(`SELECT 1 FROM review WHERE ended_tier_id IN (?) AND ${own} LIMIT 1`, [
			[0, ...tiers],
			staff.schoolId
		]);
		if (decided) return false;
		let gone = 0;
		for (const [table, ids] of [
			['tier_interval', tiers],
			['past_intervention', past]
		] as const)
			if (ids.length)
				gone += (await transaction.run(`DELETE FROM ${table} WHERE id IN (?) AND ${own}`, [ids, staff.schoolId]))
					.affected;
		if (gone) await audit(transaction, staff, at, 'take back interventions', { tiers, past });
		return gone === tiers.length + past.length;
	});
}
