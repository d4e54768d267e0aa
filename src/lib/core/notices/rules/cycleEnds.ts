import { addDays, sayDate } from '../../calendar';
import type { NoticeRule } from '../notice';

/** Days before the last one. */
const AHEAD = 14;

/** An intervention cycle that ends soon, or has ended, within the school year, and no later one is planned. */
export const cycleEnds: NoticeRule = {
	audience: 'set up the school',
	place: '/setup',
	find({ cycles, years, today }) {
		const [newest] = cycles;
		const isYear = years.some(({ startsOn, endsOn }) => startsOn <= today && addDays(today, AHEAD) <= endsOn);
		if (!newest || !isYear || addDays(today, AHEAD) < newest.endsOn) return [];
		const isOver = newest.endsOn < today;
		return [
			{
				about: `cycle ${newest.startsOn}`,
				says: `Cycle ${newest.number} ${isOver ? 'ended' : 'ends'} on ${sayDate(newest.endsOn)}, and no later one is planned.`,
				because: 'Suggested groups end with their cycle; without one they would end in eight weeks.',
				action: { says: 'Plan the next', path: '/setup/school' },
				degree: isOver ? 2 : 1
			}
		];
	}
};
