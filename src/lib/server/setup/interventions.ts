import {
	namesOf,
	planInterventions,
	type InterventionPlan,
	type KnownOfInterventions
} from '../../core/interchange/interventionPlan';
import type { ListedIntervention } from '../../core/interchange/interventionList';
import { fullName } from '../../core/words';
import { NotDone, type RootDatabase, whole } from '../database';
import { type Brought, bringSupport, takeBackSupport, tierSpans } from '../decide';
import { adoptGroups, currentGroups, cycleDates, heldSlots, undoAdoption } from '../groups';
import { addSlots, removeSlots, slotList } from '../groups/timetable';
import { skillList } from '../library';
import { enrolledByIds, rosterStudents, staffInSetup } from '../people';
import type { Staff } from '../request';
import { currentCycle, type School } from '../school';

/** What was brought in, so that it can be taken back. */
export interface BroughtIn extends Brought {
	/** Null where no group was made. */
	adoption: number | null;
	slots: number[];
}

async function knownOf(database: RootDatabase, staff: Staff, school: School, at: Date): Promise<KnownOfInterventions> {
	const { today } = school;
	const [students, spans, skills, adults, groups, slots, held] = await Promise.all([
		rosterStudents(database, { staff, today }),
		tierSpans(database, staff),
		skillList(database, school.id),
		staffInSetup(database, school.id, at),
		currentGroups(database, staff, today),
		slotList(database, school.id, today),
		heldSlots(database, school.id, today)
	]);
	const records = await enrolledByIds(
		database,
		staff,
		students.map(({ id }) => id),
		today
	);
	const recordOf = new Map(records.map((one) => [one.id, one]));
	return {
		today,
		students: students.map((student) => ({
			id: student.id,
			number: student.number,
			names: namesOf(recordOf.get(student.id)!),
			shown: fullName(student),
			tier: student.tier,
			spans: spans.filter(({ studentId, tier }) => studentId === student.id && tier > 1)
		})),
		skills,
		adults: adults.filter(
			({ role, deactivatedAt }) => deactivatedAt === null && (role === 'specialist' || role === 'interventionist')
		),
		groupNames: groups.map(({ name }) => name),
		times: slots.map((slot) => ({ ...slot, isHeld: held.has(slot.id) }))
	};
}

/** What a list of interventions would bring into a school as it is today. */
export async function interventionsPlan(
	database: RootDatabase,
	staff: Staff,
	school: School,
	listed: ListedIntervention[],
	at: Date
): Promise<InterventionPlan> {
	return planInterventions(listed, await knownOf(database, staff, school, at));
}

/**
 * Brings interventions in: tiers since their days, groups that go on from today at their times, and what was before.
 *
 * @returns what was done; null where a meeting time was given away meanwhile: then nothing is changed
 */
export function bringInterventions(
	database: RootDatabase,
	staff: Staff,
	school: School,
	plan: InterventionPlan,
	at: Date
): Promise<BroughtIn | null> {
	return whole(database, async (all) => {
		const brought = await bringSupport(all, staff, plan, at);
		if (plan.groups.length === 0) return { ...brought, adoption: null, slots: [] };
		const cycle = await currentCycle(all, school.id, school.today);
		const slots: number[] = [];
		const groups: Parameters<typeof adoptGroups>[2]['groups'] = [];
		for (const { name, tier, skillId, staffId, time, slotId, endsOn, students } of plan.groups) {
			const made = slotId === null ? await addSlots(all, staff, [{ staffId, ...time, room: '', tier: null }], at) : [];
			slots.push(...made);
			groups.push({
				...{ name, kind: 'same need' as const, tier, focusSkillId: skillId, slotId: slotId ?? made[0] },
				startsOn: school.today,
				// As the list says, else with the cycle.
				...cycleDates(endsOn ? { endsOn } : cycle, school),
				studentIds: students.map(({ id }) => id),
				helperIds: []
			});
		}
		const adopted = await adoptGroups(
			all,
			staff,
			{ groups, ends: [], draftId: null, reason: 'Brought in as it was' },
			at
		);
		if ('takenSlotId' in adopted) throw new NotDone();
		return { ...brought, adoption: adopted.id, slots };
	});
}

/** Takes interventions back that were brought in, within a day. @returns false where something was built on them since */
export async function takeBackInterventions(
	database: RootDatabase,
	staff: Staff,
	{ adoption, slots, ...brought }: BroughtIn,
	at: Date
): Promise<boolean> {
	const done = await whole(database, async (all) => {
		if (adoption !== null && !(await undoAdoption(all, staff, adoption, at))) throw new NotDone();
		if (slots.length) await removeSlots(all, staff, slots, at);
		if (!(await takeBackSupport(all, staff, brought, at))) throw new NotDone();
		return true;
	});
	return done ?? false;
}
