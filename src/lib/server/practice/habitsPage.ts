import { mondayOf } from '../../core/calendar';
import type { Database } from '../database';
import type { Staff } from '../request';
import type { School } from '../school';
import { classHabits, ownWorkByClass } from './store/habits';

/** What each class that a staff member sees does beside what it is given, and how many did it this week. */
export async function habitsPage(database: Database, staff: Staff, { today }: School) {
	const [classes, done] = await Promise.all([
		classHabits(database, staff, today),
		ownWorkByClass(database, staff, today, mondayOf(today))
	]);
	return {
		classes: classes.map((habits) => ({
			...habits,
			thisWeek: done.get(habits.classId) ?? { students: 0, review: 0, free: 0, facts: 0 }
		}))
	};
}
