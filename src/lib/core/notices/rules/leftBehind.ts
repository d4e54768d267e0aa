import type { NoticeRule } from '../notice';

/** What a colleague runs who cannot sign in any more. */
export const leftBehind: NoticeRule = {
	audience: 'set up the school',
	place: '/setup',
	find: ({ people }) =>
		people
			.filter(({ isActive, runs }) => !isActive && runs !== '')
			.map(({ id, name, runs }) => ({
				about: `account ${id}`,
				says: `${name} cannot sign in any more and still has ${runs}.`,
				because: 'Nobody else sees these as their own until they are handed over.',
				action: { says: 'Hand over', path: `/setup/people/hand-over?staff=${id}` },
				degree: 1
			}))
};
