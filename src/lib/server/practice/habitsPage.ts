import { addDays } from '../../core/calendar';
import type { Database } from '../database';
import type { Staff } from '../request';
import type { School } from '../school';
import { classHabits, ownWorkByClass } from './store/habits';

const WEEK = 7;

/** What each class that a staff member sees does beside what it is given, and how many did it in the last seven days. */
export async function habitsPage(database: Database, staff: Staff, { today }: School) {
	const [classes, done] = await Promise.all([
		classHabits(database, staff, today),
		ownWorkByClass(database, staff, today, addDays(today, 1 - WEEK))
	]);
	return {
		classes: classes.map((habits) => ({
			...habits,
			lately: done.get(habits.classId) ?? { students: 0, review: 0, free: 0, facts: 0 }
		}))
	};
}
