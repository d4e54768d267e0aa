import { fullName } from '$lib/core/words';
import Type from 'typebox';
import { draftFigures } from '$lib/core/grouping';
import { meetingMinutes } from '$lib/core/timetable';
import { currentGroups, discardDraft, draftList, judgeDraft, MOST_DRAFTS, type SavedDraft } from '$lib/server/groups';
import { refuse, staffAction, staffWho } from '$lib/server/shell/staffPage';
import { visibleAmong } from '$lib/server/people';
import { skillList } from '$lib/server/library';
import { slotList } from '$lib/server/groups/timetable';
import { formCheck, id } from '$lib/server/request';

const helpersOf = ({ groups }: SavedDraft) => groups.flatMap(({ helperIds }) => helperIds);

export async function load({ locals }) {
	const { staff, school } = await staffWho(locals, 'form groups');
	const { database } = locals;
	const [drafts, slots, skills, current] = await Promise.all([
		draftList(database, school.id),
		slotList(database, school.id),
		skillList(database, school.id),
		currentGroups(database, staff, school.today)
	]);
	const minutes = new Map(slots.map((slot) => [String(slot.id), meetingMinutes(slot)]));
	const ids = [...new Set(drafts.flatMap(({ groups }) => groups.flatMap(({ studentIds }) => studentIds.map(Number))))];
	const students = await visibleAmong(database, staff, ids, school.today);
	return {
		most: MOST_DRAFTS,
		drafts: drafts.map((draft) => ({
			id: draft.id,
			name: draft.name,
			kind: draft.choices.kind,
			savedBy: draft.savedBy,
			savedAt: draft.savedAt,
			isAdopted: draft.isAdopted,
			groups: draft.groups,
			left: draft.problem.students.length - new Set(draft.groups.flatMap(({ studentIds }) => studentIds)).size,
			figures: draftFigures(
				draft.problem,
				draft.groups,
				{
					worth: judgeDraft(
						{ problem: draft.problem, helperIds: helpersOf(draft) },
						draft.choices,
						draft.limits
					)(draft.groups).worth,
					bound: draft.bound
				},
				(slotId) => minutes.get(slotId) ?? 0,
				// Who is moved is asked of the groups that it would form anew.
				current
					.filter((group) => draft.choices.regroups.includes(group.id))
					.map(({ slotId, focusSkillId, studentIds }) => ({
						slotId: String(slotId),
						focusId: String(focusSkillId),
						studentIds: studentIds.map(String)
					}))
			)
		})),
		slots,
		skills: skills.map(({ id: skillId, shortName }) => ({ id: skillId, shortName })),
		students: students.map((student) => ({
			id: student.id,
			name: fullName(student)
		}))
	};
}

const draftForm = formCheck(Type.Object({ draft: id }));

export const actions = {
	discard: staffAction('form groups', draftForm, async ({ staff, database, at, form }) => {
		if (!(await discardDraft(database, staff, form.draft, true, at))) return refuse('There is no such draft any more');
		return { done: 'Put away.', undo: { action: '?/restore', fields: { draft: String(form.draft) } } };
	}),
	restore: staffAction('form groups', draftForm, async ({ staff, database, at, form }) => {
		return (await discardDraft(database, staff, form.draft, false, at))
			? { done: 'Brought back.' }
			: refuse('There is no such draft');
	})
};
