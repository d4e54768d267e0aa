import { sayDate } from '../../calendar';
import { plural } from '../../words';
import type { NoticeRule } from '../notice';

/** Students who cannot sign in while a window is open or about to be. */
export const withoutPin: NoticeRule = {
	audience: 'set up the school',
	place: '/setup',
	find({ pins, windows, today }) {
		const [window] = windows
			.filter(({ closesOn }) => closesOn >= today)
			.toSorted((a, b) => (a.opensOn < b.opensOn ? -1 : 1));
		if (!window || pins.withoutPin === 0) return [];
		return [
			{
				about: '',
				says: `${plural(pins.withoutPin, 'student')} cannot sign in: they have no PIN.`,
				because:
					window.opensOn <= today
						? `${window.name} is open until ${sayDate(window.closesOn)}.`
						: `${window.name} opens on ${sayDate(window.opensOn)}.`,
				action: { says: 'Make PINs and cards', path: '/setup/cards' },
				degree: pins.withoutPin
			}
		];
	}
};
