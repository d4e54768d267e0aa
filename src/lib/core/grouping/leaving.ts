import { plural } from '../words';
import type { SchoolDate } from '../calendar';

/** What a group has waiting for one of its students. */
export interface GroupWork {
	/** Skills of weekly probes that run. */
	probes: number[];
	/** Sets that are not begun, and those that are and not finished. */
	sets: number;
	begun: number;
	/** Days of open reviews. */
	reviews: SchoolDate[];
}

const listed = new Intl.ListFormat('en-US', { style: 'long', type: 'conjunction' });

/**
 * What becomes of what a group has waiting for students who leave it, in a sentence; empty where nothing waits.
 *
 * @param toSkillId what the group works on to which they move: probes on it go on there; null for no group
 */
export function sayLeaving(works: GroupWork[], toSkillId: number | null = null): string {
	const sum = (count: (work: GroupWork) => number) => works.reduce((total, work) => total + count(work), 0);
	const goOn = sum(({ probes }) => probes.filter((skillId) => skillId === toSkillId).length);
	const end = sum(({ probes }) => probes.length) - goOn;
	const [sets, begun, reviews] = [
		sum((work) => work.sets),
		sum((work) => work.begun),
		sum((work) => work.reviews.length)
	];
	const parts = [
		goOn && `weekly probes of ${plural(goOn, 'student')} go on in the new group`,
		end && `${plural(end, 'series of weekly probes', 'series of weekly probes')} ${end === 1 ? 'ends' : 'end'}`,
		sets && `${plural(sets, 'practice set')} not begun ${sets === 1 ? 'is' : 'are'} taken off the queue`,
		begun && `${plural(begun, 'begun set')} can still be finished`,
		reviews && `${plural(reviews, 'review')} of this group ${reviews === 1 ? 'is' : 'are'} taken off`
	].filter((part): part is string => Boolean(part));
	const sentence = listed.format(parts);
	return sentence && `${sentence[0].toUpperCase()}${sentence.slice(1)}.`;
}
