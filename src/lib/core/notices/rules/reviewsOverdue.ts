import { plural } from '../../words';
import type { NoticeRule } from '../notice';

/** Reviews whose day was more than a week ago, and that stand on no agenda to come. */
export const reviewsOverdue: NoticeRule = {
	audience: 'decide',
	place: '/decide',
	find: ({ overdueReviews }) =>
		overdueReviews === 0
			? []
			: [
					{
						about: '',
						says: `${plural(overdueReviews, 'review was', 'reviews were')} due more than a week ago and ${overdueReviews === 1 ? 'is' : 'are'} on no agenda.`,
						because: 'Until a review is decided, the plan goes on as it is, whether it helps or not.',
						action: { says: 'Plan a meeting', path: '/decide/meetings?scope=school' },
						degree: overdueReviews
					}
				]
};
