import type { SchoolDate } from '../../../core/calendar';
import { audit, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** A student's way between classes on a day, so that it can be taken back. */
export interface Way {
	studentId: number;
	/** Memberships that ended, or were planned and are not any more, each with its end before. */
	ended: { id: number; untilOn: SchoolDate | null }[];
	/** The membership that began, with its end; null for who left. */
	begun: { id: number; untilOn: SchoolDate | null } | null;
}

/**
 * Lets students be in another class from a day on, up to what is planned for later, or in none any more. Who is in that
 * class already is passed by.
 *
 * @param toClassId null to leave the school
 * @returns the ways of those who moved; nobody moves into a section, or a class that has ended by then
 */
export async function moveToClass(
	database: RootDatabase,
	staff: Staff,
	studentIds: number[],
	toClassId: number | null,
	{ from, at }: { from: SchoolDate; at: Date }
): Promise<Way[]> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: studentIds, class: [toClassId] });
		if (toClassId !== null) {
			const closed = 'SELECT id FROM class WHERE id = ? AND (is_section OR ended_on <= ?)';
			if (await transaction.row(closed, [toClassId, from])) return [];
		}
		const now = await transaction.rows<{
			id: number;
			studentId: number;
			classId: number;
			fromOn: SchoolDate;
			untilOn: SchoolDate | null;
		}>(
			`SELECT id, student_id AS studentId, class_id AS classId, from_on AS fromOn, until_on AS untilOn
			FROM class_membership
			WHERE student_id IN (?) AND (until_on IS NULL OR until_on > ?)
			ORDER BY student_id, from_on FOR UPDATE`,
			[studentIds, from]
		);
		const ways: Way[] = [];
		for (const studentId of studentIds) {
			const own = now.filter((one) => one.studentId === studentId);
			const current = own.find(({ fromOn }) => fromOn <= from) ?? null;
			// What is planned for later stays, unless the student leaves.
			const later = own.filter(({ fromOn }) => fromOn > from);
			const untilOn = later[0]?.fromOn ?? null;
			if ((current?.classId ?? null) === toClassId && (current?.untilOn ?? null) === untilOn) continue;
			const ended = [...(current ? [current] : []), ...(toClassId === null ? later : [])];
			for (const one of ended)
				await transaction.run('UPDATE class_membership SET until_on = GREATEST(from_on, ?) WHERE id = ?', [
					from,
					one.id
				]);
			let begun: Way['begun'] = null;
			if (toClassId !== null) {
				const { insertId } = await transaction.run(
					'INSERT INTO class_membership (class_id, student_id, from_on, until_on) VALUES (?, ?, ?, ?)',
					[toClassId, studentId, from, untilOn]
				);
				begun = { id: insertId, untilOn };
			}
			ways.push({ studentId, ended: ended.map((one) => ({ id: one.id, untilOn: one.untilOn })), begun });
		}
		if (ways.length)
			await audit(transaction, staff, at, toClassId === null ? 'students leave' : 'move students', {
				students: ways.map(({ studentId }) => studentId),
				class: toClassId,
				from
			});
		return ways;
	});
}

/** Takes moves back. @returns how many students are where they were */
export async function takeBackMoves(database: RootDatabase, staff: Staff, ways: Way[], at: Date): Promise<number> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: ways.map(({ studentId }) => studentId) });
		let back = 0;
		for (const { studentId, ended, begun } of ways) {
			if (begun) {
				const { affected } = await transaction.run(
					'DELETE FROM class_membership WHERE id = ? AND student_id = ? AND until_on <=> ?',
					[begun.id, studentId, begun.untilOn]
				);
				// Moved on since: what came later stays.
				if (!affected) continue;
			}
			for (const { id, untilOn } of ended)
				await transaction.run('UPDATE class_membership SET until_on = ? WHERE id = ? AND student_id = ?', [
					untilOn,
					id,
					studentId
				]);
			back++;
		}
		if (back) await audit(transaction, staff, at, 'take back moves', { students: ways.map((way) => way.studentId) });
		return back;
	});
}
