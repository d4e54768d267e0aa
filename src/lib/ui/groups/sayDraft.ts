import { plural } from '$lib/core/words';
import type { MoreGroup } from '$lib/core/grouping';

/** Less than this share of the need is not worth a word. */
const LEAST_SHARE = 0.005;

interface Drafted {
	students: number;
	placed: number;
	groups: number;
	/** What one more meeting time would hold, the best first. */
	more: MoreGroup[];
	/** Of a meeting time that there is not yet. */
	sayTime: (slotId: string) => string;
	/** What the groups are worth now, and as they were suggested; equal where nothing was changed by hand. */
	worth: { now: number; suggested: number };
}

/** A suggestion of groups for a practitioner: whom it places, what one more meeting time would do, what changes by hand did. */
export function sayDraft({ students, placed, groups, more, sayTime, worth }: Drafted): string {
	const whom = placed === students ? `all ${students}` : `${placed} of ${students}`;
	const sentences = [`Places ${whom} ${students === 1 ? 'student' : 'students'} in ${plural(groups, 'group')}.`];
	if (placed < students) {
		sentences.push(
			more.length
				? `One more meeting time, ${sayTime(more[0].slotId)}, would place ${more[0].studentIds.length} of the others.`
				: 'One more meeting time would place nobody else.'
		);
	}
	const share = worth.suggested > 0 ? (worth.suggested - worth.now) / worth.suggested : 0;
	if (Math.abs(share) >= LEAST_SHARE)
		sentences.push(
			`As changed by hand it meets ${Math.max(1, Math.round(100 * Math.abs(share)))}% ${share > 0 ? 'less' : 'more'} of what these students need than it did.`
		);
	return sentences.join(' ');
}
