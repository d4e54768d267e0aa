import { addDays, sayDate } from '../../calendar';
import type { NoticeRule } from '../notice';

/** Days before the last one. */
const AHEAD = 21;

/** A school year that ends soon, or has ended, while no later one was begun. */
export const yearEnds: NoticeRule = {
	audience: 'set up the school',
	place: '/setup',
	find({ years, yearBegunOn, today }) {
		const year = years.find(({ startsOn }) => startsOn <= today);
		if (!year || addDays(today, AHEAD) < year.endsOn) return [];
		if (yearBegunOn !== null && yearBegunOn > year.endsOn) return [];
		const isOver = year.endsOn < today;
		return [
			{
				about: `year ${year.startsOn}`,
				says: `The school year ${isOver ? 'ended' : 'ends'} on ${sayDate(year.endsOn)}.`,
				because: isOver
					? 'Classes are still those of that year, and its groups go on.'
					: 'What each class becomes can be looked through before, and is done in one step after.',
				action: { says: isOver ? 'Begin the new year' : 'Look at the plan', path: '/setup/year' },
				degree: isOver ? 2 : 1
			}
		];
	}
};
