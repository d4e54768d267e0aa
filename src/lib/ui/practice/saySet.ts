import { sayDayAt } from '$lib/core/calendar';
import { LEFT_AFTER_MINUTES } from '$lib/core/practice/pausing';
import type { SetDates, SetHow, Variation } from '$lib/core/practice';

/** `due Fri, Dec 4, 16:00`, or that it never is. */
export const sayDue = ({ dueOn, dueMinute }: Pick<SetDates, 'dueOn' | 'dueMinute'>): string =>
	dueOn === null ? 'no due date' : `due ${sayDayAt(dueOn, dueMinute)}`;

/** What happens when a set is due. */
export function sayAfterDue({ dueOn, dueMinute, closes }: Pick<SetDates, 'dueOn' | 'dueMinute' | 'closes'>): string {
	if (dueOn === null) return 'It stays open until you take it back.';
	const day = sayDayAt(dueOn, dueMinute);
	return closes
		? `After ${day} it takes no answers any more; what is unfinished stays unfinished.`
		: `After ${day} it stays open; what comes later is accepted and marked late.`;
}

/** What is otherwise for a student than for the others, shortly: `6 questions; read aloud`. */
export function sayVariation({ practice, families, hints, readAloud, largerType }: Variation): string {
	const parts = [
		practice !== null && `${practice} questions`,
		families && `${families} questions`,
		hints !== null && (hints ? 'hints' : 'no hints'),
		readAloud !== null && (readAloud ? 'read aloud' : 'not read aloud'),
		largerType !== null && (largerType ? 'larger type' : 'usual type')
	];
	const said = parts.filter(Boolean).join('; ');
	return practice !== null && families
		? said.replace(`${practice} questions; ${families}`, `${practice} ${families}`)
		: said;
}

/** What it means that a set cannot be left and gone on with. */
export const IN_ONE_GO = `In one go: who has begun and answers nothing for ${LEFT_AFTER_MINUTES} minutes goes on once you let them. What they answered is kept and counts.`;

/** What it means that only counts whether a set is done. */
export const DONE_ONLY =
	'Done or not: no score is told, to students or here, and nothing follows from one. What was answered still says which ideas are wrong, and what they can do.';

const FEEDBACK: Record<SetHow['feedback'], string> = {
	'at once': 'told at once whether it was right',
	'at the end': 'told at the end what was right',
	'after the due date': 'told after the due date what was right',
	none: 'not told what was right'
};

/** How a set is worked on where that is not as usual, as parts of a sentence. */
export function sayHow(how: SetHow): string[] {
	const { older, untilRight, ownQuestions, feedback, hints, secondTry, solutions, pausing, doneOnly } = how;
	return [
		untilRight !== null && `until ${untilRight} are right at the first try`,
		older > 0 && `${older} from before mixed in`,
		ownQuestions && 'numbers of their own',
		feedback !== 'at once' && FEEDBACK[feedback],
		!hints && 'no hints',
		!secondTry && 'one try each',
		!solutions && 'no solutions',
		!pausing && 'in one go',
		doneOnly && 'only counts whether it is done'
	].filter((part) => part !== false);
}
