import { addDays } from '../../../src/lib/core/calendar';
import * as adoptions from '../../../src/lib/server/groups/store/adoptions';
import * as drafts from '../../../src/lib/server/groups/store/drafts';
import * as groupDeeds from '../../../src/lib/server/groups/store/groupDeeds';
import * as groupChanges from '../../../src/lib/server/groups/store/groupChanges';
import * as groupHistory from '../../../src/lib/server/groups/store/groupHistory';
import * as groups from '../../../src/lib/server/groups/store/groups';
import * as handOver from '../../../src/lib/server/groups/store/handOver';
import * as leaving from '../../../src/lib/server/groups/store/leaving';
import * as moves from '../../../src/lib/server/groups/store/moves';
import * as meetings from '../../../src/lib/server/groups/store/meetings';
import * as carriedPlans from '../../../src/lib/server/groups/store/carriedPlans';
import * as sessionCounts from '../../../src/lib/server/groups/store/sessionCounts';
import * as timetable from '../../../src/lib/server/groups/timetable/store/timetable';
import { NOW, seen, seenOne, TODAY } from '../../smallSchool';
import { checks, given, type Asking, type Call } from './asking';

const LATER = addDays(TODAY, 60);
const weekly = { days: [1, 3], startsAt: '13:00', minutes: 30 };

/** A group that refers to everything a group can. */
const newGroup = ({ of, ownSkillId }: Asking): adoptions.NewGroup => ({
	name: 'Tried',
	kind: 'same need',
	tier: 2,
	focusSkillId: ownSkillId,
	slotId: of.slots[2],
	startsOn: LATER,
	endsOn: addDays(LATER, 20),
	studentIds: of.students.slice(0, 3),
	helperIds: [],
	reviewOn: addDays(LATER, 18)
});

/** The change that was made when the school was filled. */
async function oneChange({ database, of }: Asking): Promise<number> {
	const row = await database.row<{ id: number }>(`SELECT id FROM group_change WHERE group_id = ? AND kind = 'leave'`, [
		of.groups.mixed
	]);
	return row!.id;
}

/** Tries each deed on a group of the school asked about, by somebody of the school that asks. */
const changes =
	(...deeds: ((asking: Asking) => groupDeeds.GroupDeed)[]): Call['run'] =>
	async (asking) => {
		const done = [];
		for (const deed of deeds)
			done.push(
				await groupChanges.changeGroup(
					asking.database,
					asking.me.staff.specialist,
					asking.of.groups.a,
					deed(asking),
					'',
					NOW
				)
			);
		return done;
	};

const on = addDays(TODAY, 1);

export const groupCalls: [object, Record<string, Call>][] = [
	[
		adoptions,
		{
			adoptGroups: checks((asking) =>
				adoptions.adoptGroups(
					asking.database,
					asking.me.staff.specialist,
					{
						groups: [newGroup(asking)],
						ends: [{ id: asking.of.groups.b, lastDay: TODAY }],
						draftId: asking.of.draft,
						reason: ''
					},
					NOW
				)
			),
			undoAdoption: checks(
				({ database, me, of }) => adoptions.undoAdoption(database, me.staff.specialist, of.adoption, NOW),
				async ({ database, of }) => {
					// As if nothing had been built on its groups.
					const ids = Object.values(of.groups);
					for (const table of ['practice_set', 'probe_plan', 'student_note'])
						await database.run(`UPDATE ${table} SET group_id = NULL WHERE group_id IN (?)`, [ids]);
					for (const table of ['attendance', 'group_meeting', 'session_watch', 'group_focus', 'group_pause'])
						await database.run(`DELETE FROM ${table} WHERE group_id IN (?)`, [ids]);
					await database.run(`UPDATE group_change SET undone_at = ? WHERE group_id IN (?) AND kind <> 'start'`, [
						NOW,
						ids
					]);
					const decided = 'review WHERE verdict IS NOT NULL AND group_id IN (?)';
					await database.run(`DELETE FROM review WHERE follows_id IN (SELECT id FROM ${decided})`, [ids]);
					await database.run(`DELETE FROM ${decided}`, [ids]);
				}
			),
			adoptionGroups: checks(({ database, me, of }) => adoptions.adoptionGroups(database, me.base, of.adoption)),
			keepAdoptedPlans: checks(({ database, me, of }) =>
				adoptions.keepAdoptedPlans(database, me.staff.specialist, of.adoption, [of.plans.a])
			)
		}
	],
	[
		drafts,
		{
			countDrafts: given(({ database, me }) => drafts.countDrafts(database, me.base)),
			draftList: given(({ database, me }) => drafts.draftList(database, me.base)),
			findDraft: checks(({ database, me, of }) => drafts.findDraft(database, me.base, of.draft)),
			saveDraft: given(async ({ database, me }) => {
				const kept = await drafts.findDraft(database, me.base, me.draft);
				return drafts.saveDraft(database, me.staff.specialist, kept!, NOW);
			}),
			discardDraft: checks(({ database, me, of }) =>
				drafts.discardDraft(database, me.staff.specialist, of.draft, true, NOW)
			)
		}
	],
	[
		handOver,
		{
			handOverTimes: checks(({ database, me, of }) =>
				handOver.handOverTimes(
					database,
					me.staff.coordinator,
					{ slotIds: of.slots.slice(0, 1), toId: of.staff.interventionist.id },
					{ on: TODAY, at: NOW }
				)
			),
			takeTimesBack: checks(
				async (asking) => {
					const [slot] = await asking.database.rows<{ ended: number; begun: number }>(
						`SELECT old.id AS ended, new.id AS begun FROM slot AS old JOIN slot AS new ON new.starts_at = old.starts_at
						WHERE old.id = ? AND new.staff_id = ? AND new.id > old.id`,
						[asking.of.slots[0], asking.of.staff.interventionist.id]
					);
					const changes = await asking.database.rows<{ id: number }>(
						`SELECT change_.id FROM group_change AS change_ JOIN small_group ON small_group.id = change_.group_id
						WHERE small_group.slot_id = ? AND change_.kind = 'hand over' ORDER BY change_.id`,
						[slot.begun]
					);
					const handed = { slots: [slot], changes: changes.map(({ id }) => id) };
					await handOver.takeTimesBack(asking.database, asking.me.staff.coordinator, handed, NOW);
				},
				({ database, of }) =>
					handOver.handOverTimes(
						database,
						of.staff.coordinator,
						{ slotIds: of.slots.slice(0, 1), toId: of.staff.interventionist.id },
						{ on: TODAY, at: NOW }
					)
			)
		}
	],
	[
		carriedPlans,
		{
			carryToFocus: given(({ database, me, skills }) =>
				carriedPlans.carryToFocus(database, me.groups.a, skills[2].id, TODAY)
			),
			carryToJoining: given(({ database, me }) =>
				carriedPlans.carryToJoining(database, me.groups.a, [me.students[3]], TODAY)
			),
			carryToEnd: given(({ database, me }) =>
				carriedPlans.carryToEnd(database, me.groups.a, '2026-12-18', '2026-12-19')
			),
			isProbedSince: given(({ database, me }) =>
				carriedPlans.isProbedSince(database, { ended: [], begun: [me.plans.a], goals: [] })
			),
			takeCarriedBack: given(({ database }) =>
				carriedPlans.takeCarriedBack(database, { ended: [], begun: [], goals: [] })
			)
		}
	],
	[
		leaving,
		{
			endSchoolWork: given(({ database, me }) => leaving.endSchoolWork(database, me.base, me.students, TODAY)),
			groupWork: given(({ database, me }) => leaving.groupWork(database, me.groups.a, seen(...me.students))),
			endGroupWork: given(({ database, me }) =>
				leaving.endGroupWork(database, me.groups.a, me.students.slice(0, 2), TODAY, null)
			),
			restoreGroupWork: given(async ({ database, me }) => {
				const ended = await leaving.endGroupWork(database, me.groups.a, me.students.slice(0, 2), TODAY, null);
				await leaving.restoreGroupWork(database, ended, me.students.slice(0, 2));
				return ended;
			})
		}
	],
	[
		moves,
		{
			moveStudents: checks((asking) =>
				moves.moveStudents(
					asking.database,
					asking.me.staff.specialist,
					{
						from: asking.of.groups.a,
						to: { groupId: asking.of.groups.b, skillId: asking.ownSkillId },
						studentIds: asking.of.students.slice(0, 1),
						on,
						reviewOn: LATER
					},
					'',
					NOW
				)
			)
		}
	],
	[
		groupDeeds,
		{
			membershipsPast: given(({ database, me }) => groupDeeds.membershipsPast(database, me.groups.a, TODAY)),
			carryOut: given(async ({ database, me }) => {
				const group = (await groupChanges.lockGroup(database, me.staff.specialist, me.groups.a))!;
				return groupDeeds.carryOut(database, group, { kind: 'rename', name: group.name, on });
			})
		}
	],
	[
		groupChanges,
		{
			lockGroup: checks(({ database, me, of }) => groupChanges.lockGroup(database, me.staff.specialist, of.groups.a)),
			changeWithin: checks(({ database, me, of }) =>
				groupChanges.changeWithin(
					database,
					me.staff.specialist,
					of.groups.a,
					{ kind: 'pause', untilOn: null, on },
					'',
					NOW
				)
			),
			changeGroup: checks(
				changes(
					() => ({ kind: 'rename', name: 'Other', on }),
					() => ({ kind: 'end', on: addDays(TODAY, 9) })
				)
			),
			undoWithin: checks(async (asking) =>
				groupChanges.undoWithin(asking.database, asking.me.staff.specialist, await oneChange(asking), NOW)
			),
			undoChange: checks(async (asking) =>
				groupChanges.undoChange(asking.database, asking.me.staff.specialist, await oneChange(asking), NOW)
			)
		}
	],
	[
		groupHistory,
		{
			groupHistory: checks(({ database, me, of }) =>
				groupHistory.groupHistory(database, me.staff.specialist, of.groups.mixed, TODAY)
			),
			groupPauses: given(({ database, me }) => groupHistory.groupPauses(database, [me.groups.a]))
		}
	],
	[
		groups,
		{
			countGroups: given(({ database, me }) => groups.countGroups(database, me.staff.teacher, null, TODAY)),
			currentGroupsOf: checks(({ database, me, of }) =>
				groups.currentGroupsOf(database, me.staff.specialist, seenOne(of.students[0]), TODAY)
			),
			currentGroups: given(({ database, me }) => groups.currentGroups(database, me.staff.teacher, TODAY)),
			groupsOn: given(({ database, me }) => groups.groupsOn(database, me.staff.specialist, TODAY, TODAY)),
			findGroup: checks(({ database, me, of }) => groups.findGroup(database, me.staff.specialist, of.groups.a, TODAY)),
			heldSlots: given(({ database, me }) => groups.heldSlots(database, me.base, TODAY)),
			studentPairs: given(({ database, me }) => groups.studentPairs(database, me.base)),
			groupsOfStudent: given(({ database, me }) => groups.groupsOfStudent(database, me.base, seenOne(me.students[0])))
		}
	],
	[
		sessionCounts,
		{
			sessionCounts: given(({ database, me }) =>
				sessionCounts.sessionCounts(database, seen(...me.students), me.school)
			),
			absencesByReason: given(({ database, me, of }) =>
				sessionCounts.absencesByReason(database, seen(...me.students), [of.groups.a, me.groups.a], {
					from: '2026-08-01',
					until: TODAY
				})
			),
			sessionDaysOf: given(({ database, me }) => sessionCounts.sessionDaysOf(database, seen(...me.students), me.school))
		}
	],
	[
		meetings,
		{
			meetingRecords: checks(({ database, me, of }) =>
				meetings.meetingRecords(database, me.staff.specialist, [of.groups.b], {
					from: TODAY,
					until: TODAY,
					today: TODAY
				})
			),
			recordMeeting: checks(({ database, me, of }) =>
				meetings.recordMeeting(
					database,
					me.staff.specialist,
					{
						groupId: of.groups.a,
						on: TODAY,
						held: true,
						whyNot: null,
						makesUp: null,
						note: '',
						students: [{ studentId: of.students[0], present: true, whyAway: null, ticketRight: 2 }]
					},
					NOW
				)
			)
		}
	],
	[
		timetable,
		{
			releasingSlots: given(({ database, me }) => timetable.releasingSlots(database, me.base, TODAY)),
			slotList: given(({ database, me }) => timetable.slotList(database, me.base)),
			classBlocks: given(({ database, me }) => timetable.classBlocks(database, me.base)),
			addSlots: checks(({ database, me, of }) =>
				timetable.addSlots(
					database,
					me.staff.specialist,
					[{ ...weekly, staffId: of.staff.interventionist.id, room: '', tier: null }],
					NOW
				)
			),
			endSlot: checks(({ database, me, of }) =>
				timetable.endSlot(database, me.staff.specialist, of.slots[0], LATER, NOW)
			),
			restoreSlots: checks(
				({ database, me, of }) => timetable.restoreSlots(database, me.staff.specialist, of.slots, NOW),
				({ database, of }) => database.run('UPDATE slot SET ended_on = ? WHERE id IN (?)', [LATER, of.slots])
			),
			removeSlots: checks(
				({ database, me, of }) => timetable.removeSlots(database, me.staff.specialist, of.slots, NOW),
				({ database, of }) =>
					database.run('UPDATE small_group SET slot_id = ? WHERE slot_id = ?', [of.slots[0], of.slots[1]])
			),
			addBlocks: checks(({ database, me, of }) =>
				timetable.addBlocks(database, me.staff.specialist, [{ ...weekly, classId: of.classes.a, kind: 'recess' }], NOW)
			),
			removeBlocks: checks(({ database, me, of }) =>
				timetable.removeBlocks(database, me.staff.specialist, of.blocks, NOW)
			),
			staffAbsences: given(({ database, me }) => timetable.staffAbsences(database, me.staff.teacher)),
			addAbsences: checks(({ database, me, of }) =>
				timetable.addAbsences(
					database,
					me.staff.specialist,
					[{ staffId: of.staff.interventionist.id, fromOn: TODAY, untilOn: LATER, note: '' }],
					NOW
				)
			),
			removeAbsences: checks(({ database, me, of }) =>
				timetable.removeAbsences(database, me.staff.specialist, [of.absence], NOW)
			)
		}
	]
];

/** Deeds that refer to rows of another school, on a group of the own; each is a call of its own. */
export const deedCalls: Record<string, Call> = {
	'a focus on a skill': checks(({ database, me, ownSkillId }) =>
		groupChanges.changeGroup(
			database,
			me.staff.specialist,
			me.groups.a,
			{ kind: 'focus', skillId: ownSkillId, on },
			'',
			NOW
		)
	),
	'students who join': checks(({ database, me, of }) =>
		groupChanges.changeGroup(
			database,
			me.staff.specialist,
			me.groups.a,
			{ kind: 'join', studentIds: [of.students[5]], reviewOn: LATER, on },
			'',
			NOW
		)
	)
};
