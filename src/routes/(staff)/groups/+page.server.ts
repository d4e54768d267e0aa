import { addDays } from '$lib/core/calendar';
import { problemFromStandings } from '$lib/core/grouping';
import { cycleDates } from '$lib/server/overview';
import { refuse, scopeOf, staffContext, staffWho } from '$lib/server/staffPage';
import { currentCycle } from '$lib/server/store/calendar';
import {
	adoptGroups,
	currentGroups,
	slotList,
	studentPairs,
	undoAdoption,
	type Slot,
	type SmallGroup
} from '$lib/server/store/groups';
import { visibleAmong } from '$lib/server/store/people';
import { skillGraph, skillList } from '$lib/server/store/skills';
import { readStandings } from '$lib/server/store/standings';
import { formCheck, id, idList, jsonCheck, readForm, schoolDate } from '$lib/server/validate';

const SIZES = { 2: { minimum: 3, maximum: 6 }, 3: { minimum: 1, maximum: 3 } };

const minutesOf = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5));

/** Whether two slots meet at the same time on some day. */
function overlap(a: Slot, b: Slot): boolean {
	const [startA, startB] = [minutesOf(a.startsAt), minutesOf(b.startsAt)];
	return a.days.some((day) => b.days.includes(day)) && startA < startB + b.minutes && startB < startA + a.minutes;
}

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const { database } = locals;
	const [groups, slots, skills, cycle] = await Promise.all([
		currentGroups(database, school.id, school.today),
		slotList(database, school.id),
		skillList(database),
		currentCycle(database, school.id, school.today)
	]);
	const inScope = new Set(scope.students.map((student) => student.id));
	const members = await visibleAmong(
		database,
		staff,
		[...new Set(groups.flatMap(({ studentIds }) => studentIds))],
		school.today
	);
	const shown = groups.filter(({ studentIds }) => studentIds.some((one) => inScope.has(one)) || scope.key === 'school');
	const { endsOn, reviewOn } = cycleDates(cycle, school.today);
	const dates = { startsOn: addDays(school.today, 1), endsOn, reviewOn };
	return { groups: shown, members, slots, skills, dates, draft: await draft() };

	async function draft() {
		const wanted = (url.searchParams.get('suggest') ?? '')
			.split(',')
			.map(Number)
			.filter((one) => Number.isInteger(one) && one > 0);
		if (wanted.length === 0) return null;
		const students = await visibleAmong(database, staff, wanted.slice(0, 400), school.today);
		const [standings, graph, pairs] = await Promise.all([
			readStandings(
				database,
				students.map((student) => student.id),
				school.today
			),
			skillGraph(database, skills),
			studentPairs(database, school.id)
		]);
		const free = slots.filter((slot) => !groups.some((group) => group.slotId === slot.id));
		const problem = problemFromStandings({
			students: students.map((student) => ({
				...student,
				standings: standings.get(student.id)!,
				currentFocusIds: groups
					.filter(({ studentIds }) => studentIds.includes(student.id))
					.map(({ focusSkillId }) => focusSkillId)
			})),
			graph,
			slots: free.map((slot) => ({ ...slot, busyStudentIds: busyAt(slot, groups, slots) })),
			sizes: SIZES,
			pairs
		});
		return { problem, students, freeSlotIds: free.map((slot) => slot.id) };
	}
}

function busyAt(slot: Slot, groups: SmallGroup[], slots: Slot[]): number[] {
	const byId = new Map(slots.map((one) => [one.id, one]));
	return groups.filter((group) => overlap(slot, byId.get(group.slotId)!)).flatMap((group) => group.studentIds);
}

const adoptForm = formCheck<{ groups: string; startsOn: string; endsOn: string; reviewOn: string }>({
	type: 'object',
	properties: {
		groups: { type: 'string', maxLength: 100_000 },
		startsOn: schoolDate,
		endsOn: schoolDate,
		reviewOn: schoolDate
	},
	required: ['groups', 'startsOn', 'endsOn', 'reviewOn']
});
const groupsCheck = jsonCheck<{ slotId: number; focusId: number; tier: 2 | 3; studentIds: number[] }[]>({
	type: 'array',
	minItems: 1,
	maxItems: 60,
	items: {
		type: 'object',
		additionalProperties: false,
		properties: { slotId: id, focusId: id, tier: { enum: [2, 3] }, studentIds: idList(40) },
		required: ['slotId', 'focusId', 'tier', 'studentIds']
	}
});
const undoForm = formCheck<{ groups: string }>({
	type: 'object',
	properties: { groups: { type: 'string', pattern: '^[0-9]{1,10}(,[0-9]{1,10}){0,59}$' } },
	required: ['groups']
});

function parsed(text: string): unknown {
	try {
		return JSON.parse(text);
	} catch {
		return null;
	}
}

export const actions = {
	adopt: async (event) => {
		const { staff, school } = await staffWho(event.locals, 'form groups');
		const { database, at } = event.locals;
		const form = await readForm(event, adoptForm);
		if ('problem' in form) return refuse(form.problem);
		const { startsOn, endsOn, reviewOn } = form.value;
		const checked = groupsCheck(parsed(form.value.groups));
		if ('problem' in checked) return refuse(`The draft cannot be read: ${checked.problem}`);
		const groups = checked.value;
		if (startsOn < addDays(school.today, -14) || startsOn > addDays(school.today, 120))
			return refuse('Start within two weeks back and four months ahead');
		if (endsOn <= startsOn) return refuse('The groups must end after they start');
		if (reviewOn <= startsOn || reviewOn > addDays(endsOn, 14))
			return refuse('The first review lies between the start and two weeks after the end');
		const [slots, skills] = await Promise.all([slotList(database, school.id), skillList(database)]);
		const slotById = new Map(slots.map((slot) => [slot.id, slot]));
		const skillById = new Map(skills.map((skill) => [skill.id, skill]));
		const ids = [...new Set(groups.flatMap(({ studentIds }) => studentIds))];
		if ((await visibleAmong(database, staff, ids, school.today)).length !== ids.length)
			return refuse('The draft names students you cannot see');
		if (new Set(groups.map(({ slotId }) => slotId)).size !== groups.length)
			return refuse('Two groups share a meeting time');
		for (const { slotId, focusId } of groups) {
			if (!slotById.has(slotId) || !skillById.has(focusId))
				return refuse('The draft names a meeting time or skill that does not exist');
		}
		const adopted = await adoptGroups(
			database,
			staff,
			groups.map((group) => ({
				name: `${skillById.get(group.focusId)!.shortName} ${slotById.get(group.slotId)!.startsAt}`,
				tier: group.tier,
				focusSkillId: group.focusId,
				slotId: group.slotId,
				startsOn,
				endsOn,
				studentIds: group.studentIds,
				reviewOn
			})),
			at
		);
		if ('takenSlotId' in adopted) {
			const { staffName, startsAt } = slotById.get(adopted.takenSlotId)!;
			return refuse(`${staffName} has another group at ${startsAt}`);
		}
		const { ids: created } = adopted;
		return {
			done: `${created.length} ${created.length === 1 ? 'group' : 'groups'} with ${ids.length} students adopted, from ${startsOn} to ${endsOn}.`,
			adopted: created.join(',')
		};
	},
	undo: async (event) => {
		const { staff } = await staffWho(event.locals, 'form groups');
		const form = await readForm(event, undoForm);
		if ('problem' in form) return refuse(form.problem);
		const undone = await undoAdoption(
			event.locals.database,
			staff,
			form.value.groups.split(',').map(Number),
			event.locals.at
		);
		if (!undone)
			return refuse('These groups have practice, probes or attendance by now; end them instead of taking them back');
		return { done: 'Taken back: the groups are gone, nothing else has changed.' };
	}
};
