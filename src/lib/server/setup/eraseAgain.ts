import type { RootDatabase } from '../database';
import { findSchool } from '../school';
import { moveToClass, schoolsWithCoordinator } from '../people';
import { erasedAgain, eraseStudents } from './store/erasing';

const LINE = { school: /^\d{1,10}$/, student: /^\d{1,10}$/, mark: /^[0-9a-f]{64}$/ };

/**
 * Erases students again who were erased and whom a restored backup has brought back, as a coordinator of each school. Those
 * who are in a class by then leave it first, as they had.
 *
 * @param lines of a list that Setup gave out: `school`, `student`, `mark`
 */
export async function eraseAgain(
	database: RootDatabase,
	lines: Record<string, string>[],
	at: Date
): Promise<{ erased: number; others: number[]; unread: number }> {
	const sound = lines.filter((line) => Object.entries(LINE).every(([name, pattern]) => pattern.test(line[name] ?? '')));
	let erased = 0;
	const others: number[] = [];
	for (const { staff } of await schoolsWithCoordinator(database)) {
		const own = sound
			.filter(({ school }) => Number(school) === staff.schoolId)
			.map(({ student, mark }) => ({ studentId: Number(student), mark }));
		if (own.length === 0) continue;
		const { today } = await findSchool(database, staff.schoolId, at);
		const found = await erasedAgain(database, staff.schoolId, own);
		others.push(...found.others);
		if (found.same.length === 0) continue;
		await moveToClass(database, staff, found.same, null, { from: today, at });
		erased += (await eraseStudents(database, staff, found.same, 'asked for', { today, at })).length;
	}
	return { erased, others, unread: lines.length - sound.length };
}
