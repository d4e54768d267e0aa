import { describe, expect, it } from 'vitest';
import { NO_VARIATION, USUAL_HOW, type PracticeWarning } from '$lib/core/practice';
import { NewSet, type NewSetData, type StudentChoice } from './newSet.svelte';
import { sayPlan } from './sayPlan';
import { sayNames, sayWarning } from './sayWarning';

const TODAY = '2026-11-23';
const student = (id: number, steps: number[] = []): StudentChoice => ({
	...{
		id,
		name: `Student ${id}`,
		className: 'Avocet',
		readAloud: false,
		largerType: false,
		waitingMinutes: 0,
		now: []
	},
	steps: steps.map((skillId) => ({ skillId, why: 'due', now: null, last: null }))
});
const skill = (id: number, ms = 60_000) => ({
	...{ id, domainId: 1, code: `S${id}`, shortName: `Skill ${id}`, grade: 4, term: 1, statement: '', ms }
});
const data = (more: Partial<NewSetData> = {}): NewSetData => ({
	who: { label: 'Avocet', groupId: null },
	isOwnStep: false,
	students: [1, 2, 3].map((id) => student(id)),
	skills: [skill(1), skill(2, 120_000), skill(3)],
	chosen: [1],
	warnings: [],
	usual: { how: USUAL_HOW, practice: 5, hasChecks: false, hasExample: false },
	dates: { opensOn: TODAY, dueOn: '2026-11-27' },
	cycle: { endsOn: '2026-12-18' },
	school: { calendar: { schoolDays: [1, 2, 3, 4, 5], off: [] } },
	...more
});
const say = (set: NewSet, names: string[]) => sayPlan(set, (id) => names[id - 1], TODAY);

describe('a set that is put together', () => {
	it('begins as the last one was, for all who were found', () => {
		const how = { ...USUAL_HOW, hints: false };
		const set = new NewSet(() => data({ usual: { how, practice: 10, hasChecks: true, hasExample: true } }));
		expect(set.plan).toMatchObject({
			students: [1, 2, 3].map((studentId) => ({ studentId, skillId: null, dueOn: null, variation: NO_VARIATION })),
			skills: [{ skillId: 1, practice: 10, checks: 2, hasExample: true }],
			how,
			weeks: 1,
			onMeetings: true
		});
		expect([set.questions, set.minutes]).toEqual([12, 12]);
	});

	it('gives its questions out over the skills, and says how long each takes', () => {
		const set = new NewSet(() => data({ chosen: [1, 2] }));
		set.practice = 10;
		set.setParts(2, { hasChecks: true });
		expect(set.skills.map(({ practice, checks }) => [practice, checks])).toEqual([
			[5, 0],
			[5, 2]
		]);
		expect(set.skills.map((one) => set.minutesOn(one))).toEqual([5, 14]);
		expect(set.minutes).toBe(19);
	});

	it('leaves out who was taken out, and what is warned of them', () => {
		const warnings: PracticeWarning[] = [{ kind: 'much waiting', studentIds: [1, 2] }];
		const set = new NewSet(() => data({ warnings }));
		set.leaveOut(1);
		expect(set.plan.students.map(({ studentId }) => studentId)).toEqual([2, 3]);
		expect(set.warnings).toEqual([{ kind: 'much waiting', studentIds: [2] }]);
		set.leaveOut(2);
		expect(set.warnings).toEqual([]);
		set.takeBackIn(1);
		expect(set.leftOut.map(({ id }) => id)).toEqual([2]);
	});

	it('has for some what is otherwise for them, each in one place only', () => {
		const set = new NewSet(() => data());
		set.addSome({ ids: [1, 2], dueOn: '2026-12-04', variation: { ...NO_VARIATION, practice: 3 } });
		set.addSome({ ids: [2], dueOn: null, variation: { ...NO_VARIATION, readAloud: true } });
		expect(set.some.map(({ ids }) => [...ids])).toEqual([[1], [2]]);
		expect(set.plan.students.map(({ dueOn, variation }) => [dueOn, variation.practice, variation.readAloud])).toEqual([
			['2026-12-04', 3, null],
			[null, null, true],
			[null, null, null]
		]);
		set.removeSome(set.some[0]);
		expect(set.plan.students[0].variation).toEqual(NO_VARIATION);
	});

	it('has neither checks nor older questions where it ends once enough are right, and is told at once', () => {
		const usual = {
			how: { ...USUAL_HOW, older: 2, feedback: 'none' as const },
			practice: 5,
			hasChecks: true,
			hasExample: false
		};
		const set = new NewSet(() => data({ usual }));
		set.untilRight = 8;
		expect(set.how).toMatchObject({ untilRight: 5, older: 0, feedback: 'at once' });
		expect(set.skills[0].checks).toBe(0);
	});

	it('is laid out over weeks up to the end of the cycle', () => {
		expect(new NewSet(() => data()).mostWeeks).toBe(4);
		expect(new NewSet(() => data({ cycle: null })).mostWeeks).toBe(1);
		const set = new NewSet(() => data({ cycle: { endsOn: '2026-11-29' } }));
		set.weeks = 3;
		expect(set.plan.weeks).toBe(1);
	});
});

describe('each their own next step', () => {
	const own = () =>
		new NewSet(() =>
			data({ isOwnStep: true, chosen: [], students: [student(1, [2, 1]), student(2, [2]), student(3)] })
		);

	it('is the best that is ready, and who has none is told and gets nothing', () => {
		const set = own();
		expect(set.plan.students.map(({ studentId, skillId }) => [studentId, skillId])).toEqual([
			[1, 2],
			[2, 2]
		]);
		expect(set.skills).toEqual([{ skillId: 2, practice: 5, checks: 0, hasExample: false }]);
		expect(set.withoutStep.map(({ id }) => id)).toEqual([3]);
	});

	it('can be changed for each, and all have as many questions', () => {
		const set = own();
		set.chooseStep(1, 1);
		set.leaveOut(2);
		expect(set.skills.map(({ skillId }) => skillId)).toEqual([1]);
		expect(set.questions).toBe(5);
	});
});

describe('the sentence of what will happen', () => {
	it('says who, what, how much and when', () => {
		const set = new NewSet(() => data({ chosen: [1, 2] }));
		set.practice = 10;
		expect(say(set, ['A', 'B'])).toBe(
			'Assign A and B to 3 students: 10 questions, about 15 min, opens now, due Fri, Nov 27.'
		);
		set.name = 'Thirds before Friday';
		[set.opensOn, set.opensAt, set.dueAt] = ['2026-11-24', '08:00', '16:00'];
		set.addSome({ ids: [2], dueOn: '2026-11-30', variation: NO_VARIATION });
		expect(say(set, ['A', 'B'])).toBe(
			'Assign “Thirds before Friday” to 3 students: 2 skills, 10 questions, about 15 min, opens Tue, Nov 24, 08:00, ' +
				'due Fri, Nov 27, 16:00 (Student 2: Mon, Nov 30).'
		);
	});

	it('says that it ends early, is never due, or comes again', () => {
		const set = new NewSet(() => data());
		[set.untilRight, set.dueOn, set.weeks] = [3, '', 2];
		expect(say(set, ['A'])).toBe(
			'Assign A to 3 students: until 3 right at the first try, 5 at most, about 5 min, opens now, no due date, ' +
				'and again each week, 2 times in all.'
		);
	});
});

describe('what speaks against it', () => {
	it('names some and counts the others', () => {
		expect([1, 2, 3, 5].map((n) => sayNames(['A', 'B', 'C', 'D', 'E'].slice(0, n)))).toEqual([
			...['A', 'A and B', 'A, B and C', 'A, B, C and 2 more']
		]);
	});

	it.each<[PracticeWarning, string]>([
		[{ kind: 'much waiting', studentIds: [1] }, 'S1 has 35 min or more waiting already.'],
		[{ kind: 'from elsewhere', studentIds: [1, 2] }, 'S1 and S2 are not among those who are looked at.'],
		[{ kind: 'waits already', studentIds: [1], skillId: 7 }, 'S1 has K7 waiting already.'],
		[{ kind: 'secure already', studentIds: [1, 2], skillId: 7 }, 'S1 and S2 are secure in K7.'],
		[
			{ kind: 'prerequisite is a gap', studentIds: [1], skillId: 7, prerequisiteId: 6 },
			'For S1 K6, which comes before K7, is a gap.'
		]
	])('%j', (warning, said) => {
		expect(
			sayWarning(
				warning,
				(id) => `S${id}`,
				(id) => `K${id}`
			)
		).toBe(said);
	});

	it('proposes something else where the same failed often', () => {
		const warning = { kind: 'failed often' as const, studentIds: [1], skillId: 7 };
		expect(
			sayWarning(
				warning,
				() => 'S',
				() => 'K'
			)
		).toMatch(/^S failed K in the last 3 sets: .*small group/);
	});

	it('is parted into several sets where all of a domain was picked, at once or one a week', () => {
		const ids = Array.from({ length: 8 }, (_, i) => i + 1);
		const set = new NewSet(() => data({ skills: ids.map((id) => skill(id)), chosen: ids }));
		set.practice = 6;
		expect([set.sets, set.questions]).toEqual([3, 6]);
		// Three, two and three skills, each set with six questions.
		expect(set.plan.skills.map(({ practice }) => practice)).toEqual([2, 2, 2, 3, 3, 2, 2, 2]);
		expect(set.plan.weeks).toBe(1);
		set.weeks = 2;
		expect(set.plan.weeks).toBe(set.mostWeeks >= 3 ? 3 : 1);
		expect(set.minutes).toBeLessThanOrEqual(set.plan.skills.reduce((sum, one) => sum + set.minutesOn(one), 0));
	});
});
