import { plural } from '../../words';
import type { NoticeRule } from '../notice';

/** Students who have left and were kept as long as the school wants to keep them. */
export const keptLongEnough: NoticeRule = {
	audience: 'set up the school',
	place: '/setup',
	find: ({ keptLongEnough: students }) =>
		students === 0
			? []
			: [
					{
						about: '',
						says: `${plural(students, 'student')} who left ${students === 1 ? 'has' : 'have'} been kept long enough.`,
						because: 'That is as long as the school said it keeps them. Nobody is erased by itself.',
						action: { says: 'See who', path: '/setup/data?over=yes' },
						degree: students
					}
				]
};
