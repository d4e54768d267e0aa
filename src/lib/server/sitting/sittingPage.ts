import { dayBegins } from '../../core/calendar';
import { inWords, type Item, type ShownItem } from '../../core/items';
import { isEnoughForToday } from '../../core/screening';
import { showItem } from './presentItem';
import { type Accommodation, accommodations, NO_ACCOMMODATION } from '../people';
import { itemsAsked } from '../library';
import { findSchool } from '../school';
import type { ClosedBy } from './store/closings';
import { answersSince, openItem, type Sitting } from './store/sittings';
import { windowsToSit } from '../screen';
import type { SignedInStudent } from '../request';

/** A question of a diagnostic as a student gets it: without its key. */
interface AskedItem {
	position: number;
	item: ShownItem;
	/** The question and its options for reading aloud. */
	spoken: string;
}

/** What is read aloud of a question: its text, then its options by letter. */
export function spokenText({ stem, response }: Pick<Item, 'stem' | 'response'>): string {
	const options = 'options' in response ? response.options : [];
	return [inWords(stem), ...options.map((option, i) => `${String.fromCharCode(65 + i)}: ${inWords(option)}.`)].join(
		' '
	);
}

/** A question as it is shown in a diagnostic. */
export const askedItem = ({ position, item }: { position: number; item: Item }): AskedItem => ({
	position,
	item: showItem(item),
	spoken: spokenText(item)
});

const CLOSED: Record<ClosedBy, string> = {
	'window closed': 'The time for this is over.',
	'ended by staff': 'Your teacher has ended this.',
	'taken back': 'Your teacher has taken this back.',
	'past due': 'The time for this is over.',
	'left the school': 'You are in no class at this school any more.'
};

/** Why a sitting takes no answers any more, as a child understands it. */
export function sayClosed(why: ClosedBy, isKeptAside = false): string {
	const kept = isKeptAside
		? 'What you answered without the school’s server is kept for your teacher to see.'
		: 'What you answered before is kept.';
	return `${CLOSED[why]} ${kept}`;
}

export async function accommodationOf(locals: App.Locals, student: SignedInStudent): Promise<Accommodation> {
	return (await accommodations(locals.database, [student.id])).get(student.id) ?? NO_ACCOMMODATION;
}

/** Where a diagnostic is: the question that waits, and whether it is enough for today. */
export async function diagnosticProgress(
	locals: App.Locals,
	student: SignedInStudent,
	sitting: Sitting
): Promise<{ next: AskedItem | null; enough: boolean }> {
	const { database, at } = locals;
	const waiting = await openItem(database, sitting.id);
	if (!waiting) return { next: null, enough: false };
	const school = await findSchool(database, student.schoolId, at);
	const [today, own, windows] = await Promise.all([
		answersSince(database, sitting.id, dayBegins(at, school.timeZone)),
		accommodationOf(locals, student),
		windowsToSit(database, student.id, school.today)
	]);
	// On the last day there is no tomorrow to put it off to.
	const goesOn = windows.some(({ id, lastDay }) => id === sitting.windowId && lastDay > school.today);
	const [next] = await itemsAsked(database, [waiting]);
	return { next: askedItem(next), enough: goesOn && isEnoughForToday(today, own) };
}
