import { addDays, type SchoolDate } from '../../../core/calendar';
import { refreshStudents } from '../../standing';
import { isBegunSql } from '../../track';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { changeWithin, undoWithin } from './groupChanges';
import type { GroupDeed } from './groupDeeds';
import type { SmallGroup } from './groups';

export interface NewGroup extends Pick<
	SmallGroup,
	'name' | 'kind' | 'tier' | 'focusSkillId' | 'slotId' | 'startsOn' | 'endsOn'
> {
	studentIds: number[];
	helperIds: number[];
	/** First review of each member who learns. */
	reviewOn: SchoolDate;
	/** The group that goes on as this one: same time, focus, tier and kind. */
	goesOnAs?: SmallGroup;
}

interface Adoption {
	groups: NewGroup[];
	/** Groups that end the day before the new ones start. */
	ends: { id: number; lastDay: SchoolDate }[];
	draftId: number | null;
	/** Why limits are broken, where they are. */
	reason: string;
}

/** A slot in which another group meets while one of these would run, or that has ended by then; or null. */
async function slotTaken(transaction: Database, groups: NewGroup[]): Promise<number | null> {
	if (groups.length === 0) return null;
	const slotIds = groups.map(({ slotId }) => slotId);
	// Whoever else would give one of these slots away waits until this is decided.
	const slots = await transaction.rows<{ id: number; endedOn: SchoolDate | null }>(
		'SELECT id, ended_on AS endedOn FROM slot WHERE id IN (?) ORDER BY id FOR UPDATE',
		[slotIds]
	);
	const endOf = new Map(slots.map(({ id, endedOn }) => [id, endedOn]));
	const hasEnded = ({ slotId, endsOn }: NewGroup) => (endOf.get(slotId) ?? '9999-12-31') <= endsOn;
	const running = await transaction.rows<{ id: number; slotId: number; startsOn: SchoolDate; endsOn: SchoolDate }>(
		'SELECT id, slot_id AS slotId, starts_on AS startsOn, ends_on AS endsOn FROM small_group WHERE slot_id IN (?)',
		[slotIds]
	);
	const taken = groups.find(
		(group) =>
			hasEnded(group) ||
			running.some(
				(one) =>
					one.id !== group.goesOnAs?.id &&
					one.slotId === group.slotId &&
					one.startsOn <= group.endsOn &&
					group.startsOn <= one.endsOn
			)
	);
	return taken?.slotId ?? null;
}

async function makeGroup(
	transaction: Database,
	staff: Staff,
	group: NewGroup,
	reason: string,
	at: Date
): Promise<number> {
	const { insertId } = await transaction.run(
		`INSERT INTO small_group (school_id, name, kind, tier, focus_skill_id, slot_id, starts_on, ends_on, adopted_by, adopted_at)
		VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		[
			staff.schoolId,
			group.name,
			group.kind,
			group.tier,
			group.focusSkillId,
			group.slotId,
			group.startsOn,
			group.endsOn,
			staff.id,
			at
		]
	);
	const until = addDays(group.endsOn, 1);
	await transaction.insertMany(
		'INSERT INTO group_membership (group_id, student_id, from_on, until_on, helps) VALUES ?',
		group.studentIds.map((studentId) => [
			insertId,
			studentId,
			group.startsOn,
			until,
			group.helperIds.includes(studentId)
		])
	);
	await transaction.insertMany(
		'INSERT INTO review (student_id, group_id, due_on) VALUES ?',
		group.studentIds
			.filter((studentId) => !group.helperIds.includes(studentId))
			.map((studentId) => [studentId, insertId, group.reviewOn])
	);
	await refreshStudents(transaction, group.studentIds);
	await transaction.run(
		`INSERT INTO group_change (group_id, kind, effective_on, detail, reason, changed_by, changed_at)
		VALUES (?, 'start', ?, ?, ?, ?, ?)`,
		[
			insertId,
			group.startsOn,
			JSON.stringify({ studentIds: group.studentIds, skillId: group.focusSkillId }),
			reason,
			staff.id,
			at
		]
	);
	return insertId;
}

/** What it takes for a group to go on as a group of the draft: its last day, who leaves, who joins to learn or to help. */
function deedsFor({ goesOnAs: old, ...group }: NewGroup): GroupDeed[] {
	if (!old) return [];
	const { startsOn: on, reviewOn } = group;
	const helps = (id: number) => group.helperIds.includes(id);
	// Who learned and helps now, or the other way round, leaves as the one and joins as the other.
	const before = { members: new Set<number>(old.studentIds), helpers: new Set<number>(old.helperIds) };
	const stays = (id: number) =>
		before.members.has(id) && group.studentIds.includes(id) && before.helpers.has(id) === helps(id);
	const leaving = old.studentIds.filter((id) => !stays(id));
	const joining = group.studentIds.filter((id) => !stays(id));
	const join = (studentIds: number[], asHelpers: boolean): GroupDeed[] =>
		studentIds.length ? [{ kind: 'join', studentIds, helps: asHelpers, reviewOn, on }] : [];
	return [
		...(group.endsOn === old.endsOn ? [] : [{ kind: 'end', on: group.endsOn } as const]),
		...(leaving.length ? [{ kind: 'leave', studentIds: leaving, on } as const] : []),
		...join(
			joining.filter((id) => !helps(id)),
			false
		),
		...join(joining.filter(helps), true)
	];
}

/**
 * Makes a draft's groups real, in one step: groups that are there go on or end, new ones start, and a review is set for
 * each who joins.
 *
 * @returns the adoption and ids of its groups; or, with nothing changed, a slot that another group has, or that has ended
 */
export async function adoptGroups(
	database: RootDatabase,
	staff: Staff,
	{ groups, ends, draftId, reason }: Adoption,
	at: Date
): Promise<{ id: number; ids: number[] } | { takenSlotId: number }> {
	class Taken extends Error {
		constructor(readonly slotId: number) {
			super('slot taken');
		}
	}
	try {
		return await database.transaction(async (transaction) => {
			await requireOwn(transaction, staff, {
				draft: [draftId],
				skill: groups.map(({ focusSkillId }) => focusSkillId),
				slot: groups.map(({ slotId }) => slotId),
				student: groups.flatMap(({ studentIds }) => studentIds)
			});
			const changed: number[] = [];
			const change = async (groupId: number, deed: GroupDeed) => {
				const id = await changeWithin(transaction, staff, groupId, deed, reason, at);
				if (id !== null) changed.push(id);
			};
			for (const { id, lastDay } of ends) await change(id, { kind: 'end', on: lastDay });
			const takenSlotId = await slotTaken(transaction, groups);
			if (takenSlotId !== null) throw new Taken(takenSlotId);
			const made: number[] = [];
			const ids: number[] = [];
			for (const group of groups) {
				if (group.goesOnAs) {
					for (const deed of deedsFor(group)) await change(group.goesOnAs.id, deed);
					ids.push(group.goesOnAs.id);
					continue;
				}
				const id = await makeGroup(transaction, staff, group, reason, at);
				made.push(id);
				ids.push(id);
			}
			const { insertId } = await transaction.run(
				`INSERT INTO adoption (school_id, draft_id, held, made, changed, reason, adopted_by, adopted_at)
				VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
				[
					staff.schoolId,
					draftId,
					JSON.stringify(ids),
					JSON.stringify(made),
					JSON.stringify(changed),
					reason,
					staff.id,
					at
				]
			);
			await audit(transaction, staff, at, 'adopt groups', {
				groups: ids,
				students: groups.reduce((sum, group) => sum + group.studentIds.length, 0),
				reason
			});
			return { id: insertId, ids };
		});
	} catch (error) {
		if (error instanceof Taken) return { takenSlotId: error.slotId };
		throw error;
	}
}

/**
 * Takes an adoption back within a day, as long as nothing has been built on its groups: those it made are gone, those it
 * changed are as before.
 *
 * @returns whether it was taken back
 */
export async function undoAdoption(
	database: RootDatabase,
	staff: Staff,
	adoptionId: number,
	at: Date
): Promise<boolean> {
	class NotPossible extends Error {}
	try {
		return await database.transaction(async (transaction) => {
			const own = await transaction.row<{ made: string; changed: string; plans: string }>(
				`SELECT made, changed, plans FROM adoption
				WHERE id = ? AND school_id = ? AND undone_at IS NULL AND adopted_at > ? - INTERVAL 1 DAY FOR UPDATE`,
				[adoptionId, staff.schoolId, at]
			);
			if (!own) return false;
			const [made, changed, plans]: number[][] = [own.made, own.changed, own.plans].map((list) => JSON.parse(list));
			await endUnbegun(transaction, plans);
			if (made.length && (await isBuiltOn(transaction, made))) throw new NotPossible();
			for (const changeId of changed.reverse()) {
				if (!(await undoWithin(transaction, staff, changeId, at))) throw new NotPossible();
			}
			for (const id of made) {
				const reviewed = await transaction.rows<{ studentId: number }>(
					'SELECT student_id AS studentId FROM review WHERE group_id = ?',
					[id]
				);
				await transaction.run('DELETE FROM review WHERE group_id = ?', [id]);
				await refreshStudents(
					transaction,
					reviewed.map(({ studentId }) => studentId)
				);
				await transaction.run('DELETE FROM group_membership WHERE group_id = ?', [id]);
				await transaction.run('DELETE FROM small_group WHERE id = ?', [id]);
			}
			await transaction.run('UPDATE adoption SET undone_at = ? WHERE id = ?', [at, adoptionId]);
			await audit(transaction, staff, at, 'undo adopt groups', { adoption: adoptionId, groups: made });
			return true;
		});
	} catch (error) {
		if (error instanceof NotPossible) return false;
		throw error;
	}
}

/** Keeps which plans of weekly probes began with an adoption. */
export async function keepAdoptedPlans(
	database: Database,
	staff: Staff,
	adoptionId: number,
	planIds: number[]
): Promise<void> {
	await database.run('UPDATE adoption SET plans = ? WHERE id = ? AND school_id = ?', [
		JSON.stringify(planIds),
		adoptionId,
		staff.schoolId
	]);
}

/** Takes away those of the plans of which no probe was begun. */
async function endUnbegun(transaction: Database, planIds: number[]): Promise<void> {
	if (planIds.length === 0) return;
	const gone = await transaction.rows<{ studentId: number }>(
		`DELETE FROM probe_plan WHERE id IN (?) AND NOT ${isBegunSql('probe_plan')}
		RETURNING student_id AS studentId`,
		[planIds]
	);
	await refreshStudents(
		transaction,
		gone.map(({ studentId }) => studentId)
	);
}

/** Whether practice, probes, verdicts, meetings, notes or changes rest on one of the groups. */
async function isBuiltOn(transaction: Database, groupIds: number[]): Promise<boolean> {
	await transaction.rows('SELECT id FROM small_group WHERE id IN (?) ORDER BY id FOR UPDATE', [groupIds]);
	const tables = [
		'practice_set',
		'probe_plan',
		'attendance',
		'group_meeting',
		'session_watch',
		'student_note',
		'group_focus',
		'group_pause'
	];
	const counts = tables.map((table) => `(SELECT COUNT(*) FROM ${table} WHERE group_id IN (?))`).join(' + ');
	const used = await transaction.row<{ uses: number }>(
		`SELECT ${counts} + (SELECT COUNT(*) FROM review WHERE group_id IN (?) AND verdict IS NOT NULL)
			+ (SELECT COUNT(*) FROM group_change WHERE group_id IN (?) AND kind <> 'start' AND undone_at IS NULL) AS uses`,
		[...tables.map(() => groupIds), groupIds, groupIds]
	);
	return Number(used?.uses) > 0;
}

/** Groups of an adoption that stands: made by it, or going on in it. */
export async function adoptionGroups(database: Database, schoolId: number, adoptionId: number): Promise<number[]> {
	const row = await database.row<{ held: string }>(
		'SELECT held FROM adoption WHERE id = ? AND school_id = ? AND undone_at IS NULL',
		[adoptionId, schoolId]
	);
	return row ? JSON.parse(row.held) : [];
}
