import { plural } from '../../words';
import type { NoticeRule } from '../notice';

/** Names that are told; of more only how many. */
const NAMED = 4;

/** Colleagues who cannot sign in since nobody has invited them, or since the invitation ran out. */
export const notInvited: NoticeRule = {
	audience: 'set up the school',
	place: '/setup',
	find({ people }) {
		const out = people.filter(({ isActive, hasPassword, isInvited }) => isActive && !hasPassword && !isInvited);
		if (out.length === 0) return [];
		const named =
			out.length > NAMED
				? plural(out.length, 'colleague')
				: new Intl.ListFormat('en-US').format(out.map(({ name }) => name));
		return [
			{
				about: '',
				says: `${named} cannot sign in yet.`,
				because: 'They were never invited, or the invitation was not used in time.',
				action: { says: 'Invite', path: '/setup/people' },
				degree: out.length
			}
		];
	}
};
