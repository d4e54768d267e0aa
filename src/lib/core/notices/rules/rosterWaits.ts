import { sayDate } from '../../calendar';
import type { NoticeRule } from '../notice';

/** A roster that was read and neither applied nor set aside. */
export const rosterWaits: NoticeRule = {
	audience: 'set up the school',
	place: '/setup',
	find: ({ rosterSince, today }) =>
		rosterSince === null || rosterSince >= today
			? []
			: [
					{
						about: `since ${rosterSince}`,
						says: `A roster of ${sayDate(rosterSince)} waits to be looked through.`,
						because: 'Nothing of it is changed here before somebody applies it.',
						action: { says: 'Look at the plan', path: '/setup/roster' },
						degree: 1
					}
				]
};
