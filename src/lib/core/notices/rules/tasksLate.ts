import { plural } from '../../words';
import type { NoticeRule } from '../notice';

/** What was agreed at reviews, and is not done although its day is over. */
export const tasksLate: NoticeRule = {
	audience: 'decide',
	place: '/decide',
	find: ({ lateTasks }) =>
		lateTasks.length === 0
			? []
			: [
					{
						about: '',
						says: `${plural(lateTasks.length, 'task')} agreed at reviews ${lateTasks.length === 1 ? 'is' : 'are'} late.`,
						because: `With ${[...new Set(lateTasks.map(({ who }) => who))].join(', ')}.`,
						action: { says: 'See the decisions', path: '/decide/decisions?scope=school' },
						degree: lateTasks.length
					}
				]
};
