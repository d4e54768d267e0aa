import Type from 'typebox';
import { cellsOfText } from '../../core/interchange/studentList';
import { readInterventions } from '../../core/interchange/interventionList';
import type { InterventionPlan } from '../../core/interchange/interventionPlan';
import { plural } from '../../core/words';
import { fileForm, formCheck, id, jsonCheck, jsonIn, longForm, readFile } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { bringInterventions, interventionsPlan, takeBackInterventions } from './interventions';

/** Lines of one list, and characters of pasted text or bytes of a file. */
const MOST_LINES = 2_000;
const LONGEST_LIST = 400_000;

const readForm = formCheck(
	Type.Object({ text: Type.String({ maxLength: LONGEST_LIST, default: '' }) }),
	fileForm(LONGEST_LIST)
);
const bringForm = formCheck(Type.Object({ text: Type.String({ maxLength: LONGEST_LIST }) }), longForm(LONGEST_LIST));
const undoForm = formCheck(Type.Object({ brought: Type.String({ maxLength: 60_000 }) }), longForm(60_000));
const ids = (maxItems: number) => Type.Array(id, { maxItems });
const broughtCheck = jsonCheck(
	Type.Object({
		tiers: ids(MOST_LINES),
		past: ids(MOST_LINES),
		slots: ids(200),
		adoption: Type.Union([id, Type.Null()])
	})
);

/** What a plan brings, in words; empty for nothing. */
function sayPlan({ tiers, groups, past }: InterventionPlan): string {
	const parts = [
		...(tiers.length ? [`${plural(tiers.length, 'student')} in their tier`] : []),
		...(groups.length ? [plural(groups.length, 'group')] : []),
		...(past.length ? [`${plural(past.length, 'entry', 'entries')} of what was before`] : [])
	];
	return parts.length > 1 ? `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}` : (parts[0] ?? '');
}

/** The form actions by which what a school did before comes in: read, brought in, taken back. */
export const interventionsActions = {
	read: staffAction('set up the school', readForm, async ({ staff, school, database, at, form, file }) => {
		let cells = cellsOfText(form.text);
		if (file) {
			const read = await readFile('table', { content: await file.bytes() });
			if ('problem' in read) return refuse(read.problem);
			cells = read.found;
		}
		if (cells.length < 2) return refuse('Paste a list whose first line names the columns, or choose a file');
		if (cells.length > MOST_LINES)
			return refuse(`The list has ${cells.length} lines; bring in at most ${MOST_LINES} at once`);
		const read = readInterventions(cells, school.today);
		if ('problem' in read) return refuse(read.problem);
		const plan = await interventionsPlan(database, staff, school, read.listed, at);
		const bad = [...read.bad, ...plan.bad].sort((a, b) => a.line - b.line);
		return {
			step: 'check' as const,
			text: file ? cells.map((row) => row.map((cell) => cell.replace(/\s+/g, ' ')).join('\t')).join('\n') : form.text,
			says: sayPlan(plan),
			unread: read.unread,
			plan: { ...plan, bad }
		};
	}),
	bring: staffAction('set up the school', bringForm, async ({ staff, school, database, at, form }) => {
		const read = readInterventions(cellsOfText(form.text), school.today);
		if ('problem' in read) return refuse(read.problem);
		const plan = await interventionsPlan(database, staff, school, read.listed, at);
		const says = sayPlan(plan);
		if (!says) return refuse('Nothing of the list is new here');
		const brought = await bringInterventions(database, staff, school, plan, at);
		if (!brought) return refuse('A meeting time was given away meanwhile: read the list again');
		return {
			step: 'brought' as const,
			done: `Brought in: ${says}.`,
			undo: { action: '?/takeBack', fields: { brought: JSON.stringify(brought) } }
		};
	}),
	takeBack: staffAction('set up the school', undoForm, async ({ staff, database, at, form }) => {
		const brought = broughtCheck(jsonIn(form.brought));
		if ('problem' in brought) return refuse('What was done could not be read');
		const isBack = await takeBackInterventions(database, staff, brought.value, at);
		return isBack
			? { done: 'Taken back: nothing of the list is here any more.' }
			: refuse('Something was built on it since: end groups and change tiers one by one');
	})
};
