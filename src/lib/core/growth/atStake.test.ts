import { describe, expect, it } from 'vitest';
import { atStake, byStake, type CaseLook, type PlanLook, type Stake } from './atStake';

const plan: PlanLook = {
	planId: 7,
	skillId: 3,
	startedDaysAgo: 40,
	lastProbeDaysAgo: 5,
	lastTwo: [
		{ right: 8, of: 16 },
		{ right: 9, of: 16 }
	],
	probes: 6,
	sessionsPlanned: 20,
	chanceOfGoal: 0.5,
	goalIsOver: false,
	kept: null
};
const group = { groupId: 2, skillId: 3, planned: 20, attended: 18 };
const fine: CaseLook = { tier: 2, groups: [group], plans: [plan], slippingAfterExit: [], levelFell: [] };
const kinds = (changes: Partial<CaseLook>) => atStake({ ...fine, ...changes }).map(({ is }) => is);
const withPlan = (changes: Partial<PlanLook>) => kinds({ plans: [{ ...plan, ...changes }] });

describe('what is at stake for a student', () => {
	it('is nothing where all goes its way', () => {
		expect(kinds({})).toEqual([]);
		expect(kinds({ tier: 1, groups: [], plans: [] })).toEqual([]);
	});

	it('is the goal where it is unlikely although the sessions took place, and the sessions where they did not', () => {
		expect(withPlan({ chanceOfGoal: 0.1 })).toEqual(['goal unlikely']);
		expect(withPlan({ chanceOfGoal: 0.2 })).toEqual([]);
		expect(withPlan({ chanceOfGoal: 0.1, goalIsOver: true })).toEqual([]);
		// One or two probes, or a group that has hardly met, say nothing yet; outside a group there are no sessions to wait for.
		expect(withPlan({ chanceOfGoal: 0.1, probes: 2 })).toEqual([]);
		expect(withPlan({ chanceOfGoal: 0.1, sessionsPlanned: 3 })).toEqual([]);
		expect(withPlan({ chanceOfGoal: 0.1, sessionsPlanned: null })).toEqual(['goal unlikely']);
		const short = { groups: [{ ...group, attended: 11 }] };
		expect(kinds({ ...short, plans: [{ ...plan, chanceOfGoal: 0.1 }] })).toEqual(['not delivered']);
		expect(kinds({ groups: [{ ...group, attended: 12 }] })).toEqual([]);
		// Two sessions say nothing yet.
		expect(kinds({ groups: [{ ...group, planned: 3, attended: 0 }] })).toEqual([]);
	});

	it('is the measuring where no probe was taken for two weeks, or none since the plan began', () => {
		expect(withPlan({ lastProbeDaysAgo: 14 })).toEqual(['not measured']);
		expect(withPlan({ lastProbeDaysAgo: 13 })).toEqual([]);
		expect(withPlan({ lastProbeDaysAgo: null, lastTwo: [], chanceOfGoal: null })).toEqual(['not measured']);
		expect(withPlan({ lastProbeDaysAgo: null, lastTwo: [], chanceOfGoal: null, startedDaysAgo: 5 })).toEqual([]);
	});

	it('is that nothing is left to grow into after two probes at the ceiling', () => {
		const at = (...right: number[]) => withPlan({ lastTwo: right.map((one) => ({ right: one, of: 16 })) });
		expect(at(15, 16)).toEqual(['at the ceiling']);
		expect(at(14, 16)).toEqual([]);
		expect(at()).toEqual([]);
	});

	it('is a group or probes that a student in a tier has not got, and one skill in two groups', () => {
		expect(kinds({ groups: [], plans: [] })).toEqual(['no group']);
		expect(kinds({ plans: [] })).toEqual(['no probes']);
		expect(kinds({ groups: [group, { ...group, groupId: 4 }] })).toEqual(['two groups']);
		expect(kinds({ groups: [group, { ...group, groupId: 4, skillId: 9 }] })).toEqual([]);
	});

	it('is what was reached at an exit once two probes of the watch say that it is lost', () => {
		const watched = (...kept: [number, number]) =>
			kinds({ tier: 1, groups: [], plans: [{ ...plan, kept, chanceOfGoal: 0.05, lastProbeDaysAgo: 15 }] });
		expect(watched(0.2, 0.1)).toEqual(['slipping after exit']);
		expect(watched(0.6, 0.1)).toEqual([]);
		expect(withPlan({ kept: [0.1, 0.1], probes: 1 })).toEqual([]);
		// Said once, though standings say so as well.
		expect(kinds({ slippingAfterExit: [3], plans: [{ ...plan, kept: [0, 0] }] })).toEqual(['slipping after exit']);
	});

	it('comes in the order of what it costs not to see it', () => {
		expect(
			kinds({
				slippingAfterExit: [5],
				levelFell: [6],
				plans: [{ ...plan, chanceOfGoal: 0.05, lastProbeDaysAgo: 20 }]
			})
		).toEqual(['slipping after exit', 'level fell', 'goal unlikely', 'not measured']);
	});
});

describe('a caseload', () => {
	it('begins with those for whom most is at stake, the least likely goals first; nobody is left out', () => {
		const unlikely = (chance: number): Stake => ({ is: 'goal unlikely', planId: 1, skillId: 1, chance });
		const students: { id: number; stakes: Stake[] }[] = [
			{ id: 1, stakes: [] },
			{ id: 2, stakes: [unlikely(0.15)] },
			{ id: 3, stakes: [{ is: 'no probes' }] },
			{ id: 4, stakes: [unlikely(0.06)] },
			{ id: 5, stakes: [] },
			{ id: 6, stakes: [{ is: 'slipping after exit', skillId: 2 }, { is: 'no group' }] }
		];
		expect(byStake(students).map(({ id }) => id)).toEqual([6, 4, 2, 3, 1, 5]);
	});
});
