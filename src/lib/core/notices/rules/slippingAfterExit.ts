import { plural } from '../../words';
import type { NoticeRule } from '../notice';

/** Students whose group ended because they no longer needed it, and who are losing what they had. */
export const slippingAfterExit: NoticeRule = {
	audience: 'decide',
	place: '/decide',
	find: ({ atStake }) => {
		const count = atStake['slipping after exit'];
		return count === 0
			? []
			: [
					{
						about: '',
						says: `${plural(count, 'student is', 'students are')} slipping after an exit.`,
						because: 'What was secure when the group ended is lost again by two probes in a row, or by other answers.',
						action: { says: 'See who', path: '/track?scope=school&show=slipping+after+exit' },
						degree: count
					}
				];
	}
};
