import { addDays, sayDate, schoolDayBy } from '../../calendar';
import { plural } from '../../words';
import type { NoticeRule } from '../notice';

/** Days before the last one, without those off, on which there is still time to call students in. */
const SCHOOL_DAYS = 2;

/** A window that closes soon while students have not finished. */
export const windowCloses: NoticeRule = {
	audience: 'run screening',
	place: '/screen',
	find: ({ windows, today, calendar }) =>
		windows
			.filter(({ opensOn, closesOn, toFinish }) => {
				let from = schoolDayBy(closesOn, calendar);
				for (let i = 0; i < SCHOOL_DAYS; i++) from = schoolDayBy(addDays(from, -1), calendar);
				return toFinish > 0 && opensOn <= today && from <= today && today <= closesOn;
			})
			.map(({ id, name, closesOn, toFinish }) => ({
				about: `window ${id}`,
				says: `${name} closes on ${sayDate(closesOn)}, and ${plural(toFinish, 'student has', 'students have')} not finished.`,
				because: 'After that day nobody can go on unless a later day is noted for them.',
				action: { says: 'See who', path: `/screen?scope=school&window=${id}` },
				degree: 1
			}))
};
