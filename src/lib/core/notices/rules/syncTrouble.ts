import { sayDate } from '../../calendar';
import type { NoticeRule } from '../notice';

/** A night's roster that a person has to look at. */
export const syncTrouble: NoticeRule = {
	audience: 'set up the school',
	place: '/setup',
	find: ({ syncTrouble: trouble }) =>
		trouble === null
			? []
			: [
					{
						about: '',
						says: `The roster of the night to ${sayDate(trouble.on)} needs somebody.`,
						because: trouble.says,
						action: { says: 'Look at the roster', path: '/setup/roster' },
						degree: 1
					}
				]
};
