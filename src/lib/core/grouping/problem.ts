/** What brings a group together: students who need the same, or some who have it secure and help. */
export type GroupKind = 'same need' | 'mixed';

/** Which groups to form: students with needs, times at which a group can be held, and the limits. */
export interface GroupingProblem {
	students: {
		id: string;
		tier: 2 | 3;
		/** Need for each focus, weighted by tier; a focus that is absent or 0 is not needed. */
		needs: Record<string, number>;
		/** Slots at which the student is free. */
		available: string[];
		/** How many groups the student may be in; 1 when absent. */
		maximumGroups?: number;
		currentGroup?: { slotId: string; focusId: string };
	}[];
	/** A staff member at a meeting time; hosts at most one group. Without a tier it may host either. */
	slots: { id: string; tier?: 2 | 3 }[];
	sizes: { 2: { minimum: number; maximum: number }; 3: { minimum: number; maximum: number } };
	apart: [string, string][];
	together: [string, string][];
	/** How many groups may be formed; as many as there are slots when absent. */
	mostGroups?: number;
	/**
	 * What it is worth to leave a student in `currentGroup` (same slot, same focus), in units of need; 0 when absent. A
	 * student is moved only for more than that.
	 */
	keepWorth?: number;
}

export interface Group {
	slotId: string;
	focusId: string;
	studentIds: string[];
}

export interface Unplaced {
	studentId: string;
	reason: string;
}

/** A grouping with what it is worth and an upper bound on what any grouping could be worth. */
export interface GroupingResult {
	groups: Group[];
	/** Sum of needs met, and `keepWorth` for each student left where they are. */
	objective: number;
	bound: number;
	/** (bound − objective) / bound: at most this share of need is lost to not being the best grouping. */
	gap: number;
	unplaced: Unplaced[];
}

/** Weight of a tier 3 student's need against another's. */
const TIER_WEIGHT = { 1: 1, 2: 1, 3: 1.5 } as const;

/**
 * Need of a student for a focus skill: severity × readiness × importance × tier weight, the first three from 0 to 1.
 *
 * @param mastered the chance that the skill is mastered; severity is what is missing to it
 * @param readiness the product of the chances that its prerequisites are mastered
 */
export function need(mastered: number, readiness: number, importance: number, tier: 1 | 2 | 3): number {
	return (1 - mastered) * readiness * importance * TIER_WEIGHT[tier];
}

/** The problem with names replaced by indexes, as the solvers use it. */
export interface IndexedProblem {
	source: GroupingProblem;
	focusIds: string[];
	tiers: (2 | 3)[];
	/** needs[student][focus] */
	needs: number[][];
	/** free[slot] lists students free then. */
	free: number[][];
	isFree: boolean[][];
	slotTiers: (2 | 3)[][];
	maximumGroups: number[];
	apart: number[][];
	together: number[][];
	mostGroups: number;
	/** By student: the group they are in now, if it could go on, and what leaving them there is worth. */
	kept: ({ slot: number; focus: number; worth: number } | null)[];
}

/** What seating a student in a group is worth: their need for its focus, and more if that is where they are now. */
export function valueOf({ needs, kept }: IndexedProblem, student: number, slot: number, focus: number): number {
	const stays = kept[student]?.slot === slot && kept[student].focus === focus;
	return needs[student][focus] + (stays ? kept[student]!.worth : 0);
}

/** @throws RangeError naming what does not fit together: a repeated id, an unknown id, sizes out of order, a need below 0 */
export function indexProblem(source: GroupingProblem): IndexedProblem {
	const position = new Map(source.students.map((student, i) => [student.id, i]));
	const slotPosition = new Map(source.slots.map((slot, i) => [slot.id, i]));
	if (position.size !== source.students.length) throw new RangeError('a student stands in the problem twice');
	if (slotPosition.size !== source.slots.length) throw new RangeError('a slot stands in the problem twice');
	for (const tier of [2, 3] as const) {
		const { minimum, maximum } = source.sizes[tier];
		if (!(minimum >= 1 && maximum >= minimum))
			throw new RangeError(`tier ${tier} sizes ${minimum} to ${maximum} hold no group`);
	}
	const { mostGroups = source.slots.length, keepWorth = 0 } = source;
	if (!(mostGroups >= 0)) throw new RangeError(`${mostGroups} groups cannot be formed`);
	if (!(keepWorth >= 0 && Number.isFinite(keepWorth))) throw new RangeError(`staying cannot be worth ${keepWorth}`);
	const focusIds = [...new Set(source.students.flatMap((student) => Object.keys(student.needs)))].sort();
	const isFree = source.slots.map(() => source.students.map(() => false));
	source.students.forEach((student, i) => {
		for (const slotId of student.available) {
			const slot = slotPosition.get(slotId);
			if (slot === undefined)
				throw new RangeError(`student ${student.id} is free at a slot that does not exist: ${slotId}`);
			isFree[slot][i] = true;
		}
		for (const value of Object.values(student.needs)) {
			if (!(value >= 0 && Number.isFinite(value))) throw new RangeError(`student ${student.id} has a need of ${value}`);
		}
	});
	const links = (pairs: [string, string][]) => {
		const lists: number[][] = source.students.map(() => []);
		for (const [one, other] of pairs) {
			const [i, j] = [position.get(one), position.get(other)];
			if (i === undefined || j === undefined || i === j)
				throw new RangeError(`a pair names students ${one} and ${other}`);
			lists[i].push(j);
			lists[j].push(i);
		}
		return lists;
	};
	return {
		source,
		focusIds,
		tiers: source.students.map((student) => student.tier),
		needs: source.students.map((student) => focusIds.map((focus) => student.needs[focus] ?? 0)),
		isFree,
		free: isFree.map((row) => row.flatMap((free, i) => (free ? [i] : []))),
		slotTiers: source.slots.map((slot) => (slot.tier ? [slot.tier] : [2, 3])),
		maximumGroups: source.students.map((student) => student.maximumGroups ?? 1),
		apart: links(source.apart),
		together: closeTogether(links(source.together)),
		mostGroups,
		kept: source.students.map(({ needs, currentGroup }) => {
			const slot = currentGroup && slotPosition.get(currentGroup.slotId);
			if (!currentGroup || slot === undefined || keepWorth === 0 || !(needs[currentGroup.focusId] > 0)) return null;
			return { slot, focus: focusIds.indexOf(currentGroup.focusId), worth: keepWorth };
		})
	};
}

/** Everyone linked through others belongs together, too. */
function closeTogether(links: number[][]): number[][] {
	return links.map((_, start) => {
		const reached = new Set([start]);
		const waiting = [start];
		while (waiting.length) {
			for (const next of links[waiting.pop()!]) {
				if (!reached.has(next)) {
					reached.add(next);
					waiting.push(next);
				}
			}
		}
		reached.delete(start);
		return [...reached];
	});
}
