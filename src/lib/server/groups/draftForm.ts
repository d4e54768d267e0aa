import Type, { type Static } from 'typebox';
import type { RequestEvent } from '@sveltejs/kit';
import { addDays } from '../../core/calendar';
import { formCheck, oneOf, idIn, idsIn, jsonCheck, jsonIn, longForm, schoolDate, type Staff } from '../request';
import { groupingFor, judgeDraft, MOST_GROUPED } from './grouping';
import { refuse, staffAction } from '../shell/staffPage';
import { beginProbes } from './adoptedProbes';
import { adoptGroups } from './store/adoptions';
import type { School } from '../school';
import { findDraft, saveDraft, type DraftChoices, type SavedDraft } from './store/drafts';

/** What the address asks to group. */
export const choicesOf = (url: URL): DraftChoices => ({
	kind: url.searchParams.get('kind') === 'mixed' ? 'mixed' : 'same need',
	studentIds: idsIn(url, 'students', MOST_GROUPED),
	regroups: idsIn(url, 'regroup', 60),
	focusId: idIn(url, 'focus')
});

const idOnBoard = Type.String({ pattern: '^[0-9]{1,10}$' });
const groupsCheck = jsonCheck(
	Type.Array(
		Type.Object(
			{
				slotId: idOnBoard,
				focusId: idOnBoard,
				tier: oneOf([2, 3]),
				studentIds: Type.Array(idOnBoard, { minItems: 1, maxItems: 40, uniqueItems: true })
			},
			{ additionalProperties: false }
		),
		{ minItems: 1, maxItems: 60 }
	)
);
const size = Type.Object(
	{ minimum: Type.Integer({ minimum: 1, maximum: 40 }), maximum: Type.Integer({ minimum: 1, maximum: 40 }) },
	{ additionalProperties: false }
);
const pairs = Type.Array(Type.Tuple([idOnBoard, idOnBoard], { uniqueItems: true }), { maxItems: 400 });
const limitsCheck = jsonCheck(
	Type.Object(
		{
			sizes: Type.Object({ 2: size, 3: size }, { additionalProperties: false }),
			slotIds: Type.Array(idOnBoard, { maxItems: 400 }),
			mostGroups: Type.Union([Type.Integer({ minimum: 1, maximum: 400 }), Type.Null()]),
			keepWorth: Type.Number({ minimum: 0, maximum: 100 }),
			excludedIds: Type.Array(idOnBoard, { maxItems: MOST_GROUPED }),
			apart: pairs,
			together: pairs
		},
		{ additionalProperties: false }
	)
);
/** Characters of its groups. */
const LONGEST_BOARD = 100_000;
/** What the board sends, whatever is done with it. */
const sentBoard = Type.Object({
	groups: Type.String({ maxLength: LONGEST_BOARD }),
	limits: Type.String({ maxLength: 60_000 }),
	students: Type.String({ pattern: '^[0-9]{1,10}(,[0-9]{1,10}){0,399}$' })
});
const adoptForm = formCheck(
	Type.Object({
		...sentBoard.properties,
		startsOn: schoolDate,
		endsOn: schoolDate,
		reviewOn: schoolDate,
		/** Questions of sixteen that weekly probes aim at; 0 for no probes. */
		probeGoal: Type.Integer({ minimum: 0, maximum: 16, default: 0 }),
		reason: Type.String({ maxLength: 500, default: '' })
	}),
	longForm(LONGEST_BOARD)
);
const keepForm = formCheck(
	Type.Object({
		...sentBoard.properties,
		name: Type.String({ minLength: 1, maxLength: 80 }),
		bound: Type.Number({ minimum: 0, maximum: 100_000 })
	}),
	longForm(LONGEST_BOARD)
);

/** The draft that the address names, or null. */
export async function draftInView(locals: App.Locals, url: URL, schoolId: number): Promise<SavedDraft | null> {
	const id = idIn(url, 'draft');
	return id === null ? null : findDraft(locals.database, schoolId, id);
}

/** The choices that a board is made from: of the draft that the address names, else of the address itself. */
export async function choicesFor(locals: App.Locals, url: URL, schoolId: number): Promise<DraftChoices> {
	return (await draftInView(locals, url, schoolId))?.choices ?? choicesOf(url);
}

/** The board as it was sent, worked out anew: its groups, its limits, the problem, and which limits it breaks. */
async function readBoard({ locals, url }: RequestEvent, staff: Staff, school: School, sent: Static<typeof sentBoard>) {
	const groups = groupsCheck(jsonIn(sent.groups));
	if ('problem' in groups) return { problem: `The draft cannot be read: ${groups.problem}` };
	const limits = limitsCheck(jsonIn(sent.limits));
	if ('problem' in limits) return { problem: `The limits cannot be read: ${limits.problem}` };
	const draft = await draftInView(locals, url, school.id);
	const choices = { ...(draft?.choices ?? choicesOf(url)), studentIds: sent.students.split(',').map(Number) };
	const setting = await groupingFor(locals.database, staff, school, choices);
	const students = new Set(setting.problem.students.map((student) => student.id));
	const slots = new Map(setting.slots.map((slot) => [String(slot.id), slot]));
	const skills = new Map(setting.skills.map((skill) => [String(skill.id), skill]));
	if (!groups.value.every(({ studentIds }) => studentIds.every((one) => students.has(one))))
		return { problem: 'The draft names students you cannot see' };
	if (new Set(groups.value.map(({ slotId }) => slotId)).size !== groups.value.length)
		return { problem: 'Two groups share a meeting time' };
	if (groups.value.some(({ slotId, focusId }) => !slots.has(slotId) || !skills.has(focusId)))
		return { problem: 'The draft names a meeting time or skill that is not free or does not exist' };
	let judged;
	try {
		judged = judgeDraft(setting, choices, limits.value)(groups.value);
	} catch (cause) {
		if (!(cause instanceof RangeError)) throw cause;
		return { problem: `The limits contradict each other: ${cause.message}` };
	}
	const helps = new Set(setting.helperIds);
	return {
		draft,
		choices,
		limits: limits.value,
		setting,
		slots,
		skills,
		judged,
		groups: groups.value.map((group) => ({ ...group, helperIds: group.studentIds.filter((one) => helps.has(one)) }))
	};
}

/** The form action that makes a draft’s groups real. Broken limits take a reason. */
export const adoptAction = staffAction(
	'form groups',
	adoptForm,
	async ({ staff, school, database, at, form, event }) => {
		const { startsOn, endsOn, reviewOn } = form;
		const reason = form.reason.trim();
		if (startsOn < addDays(school.today, -14) || startsOn > addDays(school.today, 120))
			return refuse('Start within two weeks back and four months ahead');
		if (endsOn <= startsOn) return refuse('The groups must end after they start');
		if (reviewOn <= startsOn || reviewOn > addDays(endsOn, 14))
			return refuse('The first review lies between the start and two weeks after the end');
		const read = await readBoard(event, staff, school, form);
		if ('problem' in read) return refuse(read.problem!);
		const { draft, choices, groups, slots, skills, judged, setting } = read;
		if (judged.broken.length && !reason) return refuse('Limits are broken: say in a few words why that is right here');
		const notBegun = setting.regrouped.find((group) => group.startsOn >= startsOn);
		if (notBegun) return refuse(`“${notBegun.name}” begins only then; take its adoption back instead of ending it`);
		const drafted = groups.map((group) => ({
			name: `${skills.get(group.focusId)!.shortName} ${slots.get(group.slotId)!.startsAt}`,
			kind: choices.kind,
			tier: group.tier,
			focusSkillId: Number(group.focusId),
			slotId: Number(group.slotId),
			startsOn,
			endsOn,
			studentIds: group.studentIds.map(Number),
			helperIds: group.helperIds.map(Number),
			reviewOn,
			goesOnAs: setting.regrouped.find(
				(old) =>
					old.slotId === Number(group.slotId) &&
					old.focusSkillId === Number(group.focusId) &&
					old.tier === group.tier &&
					old.kind === choices.kind
			)
		}));
		const goingOn = new Set(drafted.map(({ goesOnAs }) => goesOnAs?.id));
		const adopted = await adoptGroups(
			database,
			staff,
			{
				groups: drafted,
				ends: setting.regrouped
					.filter(({ id: old }) => !goingOn.has(old))
					.map(({ id: old }) => ({ id: old, lastDay: addDays(startsOn, -1) })),
				draftId: draft?.id ?? null,
				reason
			},
			at
		);
		if ('takenSlotId' in adopted) {
			const { staffName, startsAt } = slots.get(String(adopted.takenSlotId))!;
			return refuse(`${staffName} cannot hold the group at ${startsAt}: another has that time by now, or it has ended`);
		}
		if (form.probeGoal) await beginProbes(database, staff, school, adopted, drafted, slots, form.probeGoal, at);
		return { adopted: adopted.id };
	}
);

/** The form action that keeps a draft beside others. */
export const keepAction = staffAction('form groups', keepForm, async ({ staff, school, database, at, form, event }) => {
	const read = await readBoard(event, staff, school, form);
	if ('problem' in read) return refuse(read.problem!);
	const { choices, limits, setting, groups, judged } = read;
	const name = form.name.trim();
	if (!name) return refuse('Give the draft a name');
	// What the solver proved in the browser; a grouping is never worth more than the best one.
	const bound = Math.max(form.bound, judged.worth);
	const kept = await saveDraft(database, staff, { name, choices, limits, problem: setting.problem, groups, bound }, at);
	return { done: `Kept as “${name}”, beside the other drafts.`, kept };
});
