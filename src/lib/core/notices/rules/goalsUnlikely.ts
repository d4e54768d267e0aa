import { plural } from '../../words';
import type { NoticeRule } from '../notice';

/** Students who will hardly reach their goal although their sessions take place. */
export const goalsUnlikely: NoticeRule = {
	audience: 'decide',
	place: '/decide',
	find: ({ atStake }) => {
		const count = atStake['goal unlikely'];
		return count === 0
			? []
			: [
					{
						about: '',
						says: `The goals of ${plural(count, 'student')} are unlikely, though sessions take place.`,
						because: 'By three probes or more the chance of the goal is under one in five: the plan may need changing.',
						action: { says: 'See who', path: '/track?scope=school&show=goal+unlikely' },
						degree: count
					}
				];
	}
};
