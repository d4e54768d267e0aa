import { plural } from '../../core/words';
import { fieldsOf, sayDates } from './datesForm';
import type { KnownChange, SetChange, StudentsChange } from './store/history';
import type { OneSet } from './store/oneSet';
import { questionsFields } from './questionsForm';
import type { SetContent, SetRules } from './store/setContent';
import { rulesFields } from './rulesForm';

/** So many names are told of a change; more are counted. */
const NAMES_TOLD = 3;
/** So many skills are told of a change of questions one by one. */
const SKILLS_TOLD = 6;

const STUDENTS_SAY: Record<StudentsChange, (who: string) => string> = {
	'given to more': (who) => `Given to ${who} too.`,
	'taken from': (who) => `Taken from ${who}.`,
	'turned in': (who) => `Turned in for ${who}.`,
	'open again': (who) => `Open again for ${who}.`,
	excused: (who) => `${who} excused.`,
	'marked done': (who) => `Counts as done for ${who}.`,
	'not excused': (who) => `On the page of ${who} again.`,
	'given again': (who) => `Given once more to ${who}.`,
	'not given again': (who) => `No further run for ${who}.`,
	'task done': (who) => `Task done with ${who}.`,
	'task not done': (who) => `Task still to do with ${who}.`,
	'may go on': (who) => `${who} may go on.`,
	'may not go on': (who) => `${who} may not go on yet.`,
	'begun anew': (who) => `Begun anew by ${who}; what was answered before is kept aside.`,
	'not begun anew': (who) => `Not begun anew by ${who}: what was kept aside counts again.`
};

/** The action that undoes what was done for some students. */
const UNDONE_BY: Record<StudentsChange, string> = {
	'given to more': '?/take',
	'taken from': '?/add',
	'turned in': '?/reopen',
	'open again': '?/turnIn',
	excused: '?/need',
	'marked done': '?/need',
	'not excused': '?/excuse',
	'given again': '?/notAgain',
	'not given again': '?/again',
	'task done': '?/taskNotDone',
	'task not done': '?/taskDone',
	'may go on': '?/notOn',
	'may not go on': '?/goOn',
	'begun anew': '?/notAnew',
	'not begun anew': '?/anew'
};

const RULE_WORDS: Record<keyof SetRules, string> = {
	name: 'its name',
	task: 'the task',
	feedback: 'when it is told what was right',
	hints: 'hints',
	secondTry: 'a second try',
	solutions: 'solutions',
	pausing: 'whether it can be left and gone on with',
	doneOnly: 'whether only counts that it is done',
	line: 'the line',
	above: 'what follows above it',
	below: 'what follows below it'
};

/** What is another than before: `hints, the line`. */
const sayRules = (before: SetRules, after: SetRules) =>
	(Object.keys(RULE_WORDS) as (keyof SetRules)[])
		.filter((rule) => before[rule] !== after[rule])
		.map((rule) => RULE_WORDS[rule])
		.join(', ');

/** What a set asks, shortly: `5 on Thirds, 2 without help on Halves, 2 from before`. */
function sayContent({ skills, older, untilRight }: SetContent, skillName: (id: number) => string): string {
	// Where each has a step of their own there are many, all as long.
	const told = skills.length > SKILLS_TOLD ? skills.slice(0, 1) : skills;
	const parts = told.map(({ skillId, practice, checks }) =>
		[practice && `${practice} with help`, checks && `${checks} without`]
			.filter(Boolean)
			.join(', ')
			.concat(told === skills ? ` on ${skillName(skillId)}` : ` on each of ${plural(skills.length, 'skill')}`)
	);
	if (older) parts.push(`${older} from before`);
	return `${parts.join('; ')}${untilRight === null ? '' : `; until ${untilRight} are right`}`;
}

/** What a change was, in a sentence. */
function sayChange(change: SetChange, who: (ids: number[]) => string, skillName: (id: number) => string): string {
	switch (change.kind) {
		case 'dates':
			return `${sayDates(change.after)} Before: ${sayDates(change.before).replace('Opens', 'opens')}`;
		case 'how':
			return `Otherwise for all: ${sayRules(change.before, change.after)}.`;
		case 'questions':
			return `Other questions: ${sayContent(change.after, skillName)}. Before: ${sayContent(change.before, skillName)}.`;
		case 'for some':
			return `Otherwise for ${who(change.before.map(({ student }) => student))}.`;
		case 'taken back':
			return 'Taken back from all.';
		case 'given back':
			return 'Given back to all.';
		default:
			return STUDENTS_SAY[change.kind](who(change.students));
	}
}

/** A form that undoes a change; null where a later one stands in the way. */
function undoOf(
	change: SetChange,
	isNewestOfKind: boolean,
	isWithdrawn: boolean
): { action: string; fields: Record<string, string> } | null {
	if (change.kind === 'taken back') return isNewestOfKind && isWithdrawn ? { action: '?/giveBack', fields: {} } : null;
	if (isWithdrawn) return null;
	if (change.kind === 'given back') return isNewestOfKind ? { action: '?/takeBack', fields: {} } : null;
	if (change.kind === 'how') return isNewestOfKind ? { action: '?/how', fields: rulesFields(change.before) } : null;
	if (change.kind === 'questions')
		return isNewestOfKind ? { action: '?/questions', fields: questionsFields(change.before) } : null;
	if (change.kind === 'dates') return isNewestOfKind ? { action: '?/dates', fields: fieldsOf(change.before) } : null;
	if ('students' in change) return { action: UNDONE_BY[change.kind], fields: { students: change.students.join(',') } };
	if (change.kind !== 'for some' || !isNewestOfKind) return null;
	return { action: '?/someBack', fields: { ways: JSON.stringify(change.before) } };
}

/**
 * What was done to a set, the newest first, each with what undoes it.
 *
 * @param names of the students who may be seen; others are counted
 */
export function historyOf(
	{ isWithdrawn }: Pick<OneSet, 'isWithdrawn'>,
	changes: KnownChange[],
	names: Map<number, string>,
	skillName: (id: number) => string
) {
	const who = (ids: number[]) => {
		const known = ids.flatMap((id) => names.get(id) ?? []);
		return ids.length <= NAMES_TOLD && known.length === ids.length ? known.join(', ') : plural(ids.length, 'student');
	};
	return changes.map((change, i) => ({
		id: change.id,
		says: sayChange(change, who, skillName),
		by: change.by,
		at: change.at,
		undo: undoOf(change, changes.findIndex(({ kind }) => kind === change.kind) === i, isWithdrawn)
	}));
}
