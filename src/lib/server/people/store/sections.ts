import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/**
 * Who is in sections on a day, as FROM and WHERE about `section` (`student_id`, `class_id`); who is in a section that has
 * ended is in none.
 *
 * @param where SQL that begins with AND, with its values
 */
export function inSections(today: SchoolDate, where: string, values: unknown[]): { sql: string; values: unknown[] } {
	return {
		sql: `FROM section_membership AS section
			JOIN class AS taught ON taught.id = section.class_id AND (taught.ended_on IS NULL OR taught.ended_on > ?)
			WHERE section.from_on <= ? AND (section.until_on IS NULL OR section.until_on > ?) ${where}`,
		values: [today, today, today, ...values]
	};
}

/** A section that a student is in. */
export interface SectionOf {
	id: number;
	name: string;
}

/** The sections of students on a day, by student; of whom is in none, nothing. */
export async function sectionsOf(
	database: Database,
	ids: { id: number }[],
	today: SchoolDate
): Promise<Map<number, SectionOf[]>> {
	if (ids.length === 0) return new Map();
	const own = inSections(today, 'AND section.student_id IN (?) ORDER BY taught.grade, taught.name', [
		ids.map(({ id }) => id)
	]);
	const rows = await database.rows<SectionOf & { studentId: number }>(
		`SELECT section.student_id AS studentId, taught.id, taught.name ${own.sql}`,
		own.values
	);
	const found = new Map<number, SectionOf[]>();
	for (const { studentId, ...one } of rows) found.set(studentId, [...(found.get(studentId) ?? []), one]);
	return found;
}

/** Those in each section of a school on a day, by section. */
export async function sectionMembers(
	database: Database,
	schoolId: number,
	today: SchoolDate
): Promise<Map<number, number[]>> {
	const all = inSections(today, 'AND taught.school_id = ? ORDER BY section.student_id', [schoolId]);
	const rows = await database.rows<{ classId: number; studentId: number }>(
		`SELECT section.class_id AS classId, section.student_id AS studentId ${all.sql}`,
		all.values
	);
	const members = new Map<number, number[]>();
	for (const { classId, studentId } of rows) members.set(classId, [...(members.get(classId) ?? []), studentId]);
	return members;
}

/** Memberships in a section that began or ended, so that it can be taken back. */
export interface SectionChange {
	/** Ids of those that began. */
	begun: number[];
	/** Those that ended, each with its end before. */
	ended: { id: number; untilOn: SchoolDate | null }[];
}

/** Lets students be in a section from a day on, beside their class. Who is in it already is passed by. */
export async function joinSection(
	database: RootDatabase,
	staff: Staff,
	sectionId: number,
	studentIds: number[],
	{ from, at }: { from: SchoolDate; at: Date }
): Promise<SectionChange> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { class: [sectionId], student: studentIds });
		const section = await transaction.row<{ id: number }>(
			'SELECT id FROM class WHERE id = ? AND is_section AND (ended_on IS NULL OR ended_on > ?) FOR UPDATE',
			[sectionId, from]
		);
		if (!section) return { begun: [], ended: [] };
		const there = await openMemberships(transaction, sectionId, studentIds, from);
		const fresh = studentIds.filter((id) => !there.some(({ studentId }) => studentId === id));
		if (fresh.length === 0) return { begun: [], ended: [] };
		await transaction.insertMany(
			'INSERT INTO section_membership (class_id, student_id, from_on) VALUES ?',
			fresh.map((id) => [sectionId, id, from])
		);
		const begun = await openMemberships(transaction, sectionId, fresh, from);
		await audit(transaction, staff, at, 'join section', { students: fresh, class: sectionId, from });
		return { begun: begun.map(({ id }) => id), ended: [] };
	});
}

/** Takes students out of a section from a day on; who was planned to join it later does not. */
export async function leaveSection(
	database: RootDatabase,
	staff: Staff,
	sectionId: number,
	studentIds: number[],
	{ from, at }: { from: SchoolDate; at: Date }
): Promise<SectionChange> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { class: [sectionId], student: studentIds });
		const there = await openMemberships(transaction, sectionId, studentIds, from);
		for (const { id } of there)
			await transaction.run('UPDATE section_membership SET until_on = GREATEST(from_on, ?) WHERE id = ?', [from, id]);
		const students = there.map(({ studentId }) => studentId);
		if (students.length) await audit(transaction, staff, at, 'leave section', { students, class: sectionId, from });
		return { begun: [], ended: there.map(({ id, untilOn }) => ({ id, untilOn })) };
	});
}

/** Memberships that hold on a day or later. */
const openMemberships = (transaction: Database, sectionId: number, studentIds: number[], from: SchoolDate) =>
	transaction.rows<{ id: number; studentId: number; untilOn: SchoolDate | null }>(
		`SELECT id, student_id AS studentId, until_on AS untilOn FROM section_membership
		WHERE class_id = ? AND student_id IN (?) AND (until_on IS NULL OR until_on > ?) FOR UPDATE`,
		[sectionId, studentIds, from]
	);

/** Takes a change of a section back. @returns how many memberships are as they were */
export async function takeBackSection(
	database: RootDatabase,
	staff: Staff,
	sectionId: number,
	{ begun, ended }: SectionChange,
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { class: [sectionId] });
		let back = 0;
		if (begun.length) {
			const gone = 'DELETE FROM section_membership WHERE id IN (?) AND class_id = ? AND until_on IS NULL';
			back += (await transaction.run(gone, [begun, sectionId])).affected;
		}
		for (const { id, untilOn } of ended) {
			const put = 'UPDATE section_membership SET until_on = ? WHERE id = ? AND class_id = ?';
			back += (await transaction.run(put, [untilOn, id, sectionId])).affected;
		}
		if (back) await audit(transaction, staff, at, 'take back section', { class: sectionId });
		return back;
	});
}
