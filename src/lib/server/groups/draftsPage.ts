import { draftFigures } from '../../core/grouping';
import { meetingMinutes } from '../../core/timetable';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { skillList } from '../library';
import { visibleAmong } from '../people';
import type { Staff } from '../request';
import type { School } from '../school';
import { judgeDraft } from './grouping';
import { draftList, MOST_DRAFTS, type SavedDraft } from './store/drafts';
import { currentGroups, type SmallGroup } from './store/groups';
import { type Slot, slotList } from './timetable';

/** Drafts side by side, with the figures that tell them apart and what their groups name. */
export async function draftsPage(database: Database, staff: Staff, school: School) {
	const [drafts, slots, skills] = await Promise.all([
		draftList(database, school.id),
		slotList(database, school.id),
		skillList(database, school.id)
	]);
	const regroups = drafts.some(({ choices }) => choices.regroups.length > 0);
	const current = regroups ? await currentGroups(database, staff, school.today) : [];
	const groups = drafts.flatMap((draft) => draft.groups);
	const ids = [...new Set(groups.flatMap(({ studentIds }) => studentIds.map(Number)))];
	const students = await visibleAmong(database, staff, ids, school.today);
	const [slotIds, skillIds] = [new Set(groups.map(({ slotId }) => slotId)), new Set(groups.map((one) => one.focusId))];
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
			figures: figuresOf(draft, slots, current)
		})),
		slots: slots.filter(({ id }) => slotIds.has(String(id))),
		skills: skills.filter(({ id }) => skillIds.has(String(id))).map(({ id, shortName }) => ({ id, shortName })),
		students: students.map((student) => ({ id: student.id, name: fullName(student) }))
	};
}

function figuresOf(draft: SavedDraft, slots: Slot[], current: SmallGroup[]) {
	const minutes = new Map(slots.map((slot) => [String(slot.id), meetingMinutes(slot)]));
	const helperIds = draft.groups.flatMap((group) => group.helperIds);
	const { worth } = judgeDraft({ problem: draft.problem, helperIds }, draft.choices, draft.limits)(draft.groups);
	return draftFigures(
		draft.problem,
		draft.groups,
		{ worth, bound: draft.bound },
		(slotId) => minutes.get(slotId) ?? 0,
		// Who is moved is asked of the groups that it would form anew.
		current
			.filter(({ id }) => draft.choices.regroups.includes(id))
			.map(({ slotId, focusSkillId, studentIds }) => ({
				slotId: String(slotId),
				focusId: String(focusSkillId),
				studentIds: studentIds.map(String)
			}))
	);
}
