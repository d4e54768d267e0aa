import { plural } from '../../words';
import type { NoticeRule } from '../notice';

/** Students who get too few of the planned sessions for the plan to have been tried. */
export const notDelivered: NoticeRule = {
	audience: 'decide',
	place: '/decide',
	find: ({ atStake }) => {
		const count = atStake['not delivered'];
		return count === 0
			? []
			: [
					{
						about: '',
						says: `${plural(count, 'student gets', 'students get')} fewer than 60% of their planned sessions.`,
						because: 'A plan that is not delivered cannot be judged: no rule advises to change it before.',
						action: { says: 'See sessions', path: '/track/sessions?scope=school' },
						degree: count
					}
				];
	}
};
