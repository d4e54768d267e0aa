import type { NoticeRule } from '../notice';

/** Colleagues whom an invitation did not reach. */
export const mailNotSent: NoticeRule = {
	audience: 'set up the school',
	place: '/setup',
	find: ({ unsentMails }) =>
		unsentMails.map(({ id, name, address, problem }) => ({
			about: `account ${id}`,
			says: `Mail to ${name} was not taken.`,
			because: `The mail server says of ${address}: ${problem.replace(/\.?$/, '')}.`,
			action: { says: 'Correct the address, or hand the link over', path: '/setup/people' },
			degree: 1
		}))
};
