import Type from 'typebox';
import { plural } from '$lib/core/words';
import { refuse, scopeOf, staffAction, staffContext } from '$lib/server/shell/staffPage';
import { currentGroups } from '$lib/server/groups';
import { practiceSets, queuedSets, restoreSet, withdrawSet } from '$lib/server/practice';
import { skillList } from '$lib/server/library';
import { readStandings } from '$lib/server/standing';
import { formCheck, id, numberIn } from '$lib/server/request';

/** Sets that are shown at once. */
const AT_ONCE = 40;

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const { database } = locals;
	const part = { from: numberIn(url, 'sets'), most: AT_ONCE };
	const students = await scope.students();
	const ids = students.map((student) => student.id);
	const [sets, queued, skills, standings, groups] = await Promise.all([
		practiceSets(database, scope.roster, part),
		queuedSets(database, ids, school.today),
		skillList(database, school.id),
		readStandings(database, ids),
		currentGroups(database, staff, school.today)
	]);
	const waiting = new Map<number, number>();
	for (const { studentId } of queued) waiting.set(studentId, (waiting.get(studentId) ?? 0) + 1);
	return {
		...part,
		...sets,
		skills,
		groupNames: Object.fromEntries(groups.map((group) => [group.id, group.name])),
		queues: students.map((student) => ({
			...student,
			waiting: waiting.get(student.id) ?? 0,
			late: queued.filter((set) => set.studentId === student.id && set.dueOn < school.today).length,
			gaps: [...standings.get(student.id)!.values()].filter((now) => now.standing === 'gap').length
		}))
	};
}

const withdrawForm = formCheck(Type.Object({ set: id }));

export const actions = {
	withdraw: staffAction('assign practice', withdrawForm, async ({ staff, database, at, form }) => {
		const started = await withdrawSet(database, staff, form.set, at);
		if (started === null) return refuse('This set was taken back already, or is not yours to take back');
		return {
			done: started
				? `Taken back. ${plural(started, 'student had', 'students had')} started; their answers are kept and count.`
				: 'Taken back before anyone had started.',
			undo: { action: '?/restore', fields: { set: String(form.set) } }
		};
	}),
	restore: staffAction('assign practice', withdrawForm, async ({ staff, database, at, form }) => {
		const students = await restoreSet(database, staff, form.set, at);
		if (students === null) return refuse('This set is there already, or is not yours to give again');
		return { done: `Given to ${plural(students, 'student')} again.` };
	})
};
