import type { FieldEstimate } from './estimateField';
import type { SkillField } from './field';
import { levelFor, MASTERED_SHARE, shareAt, shareAtLeast } from './share';

/** A prerequisite, near or far, whose being mastered would raise a skill. */
export interface RootCause {
	/** Codes of the skills on the way, from the direct prerequisite down to the root, the nearest way. */
	way: string[];
	/** By how much the skill's level would be higher, in logits. */
	raise: number;
	/** The share of right first tries on the skill's usual question now, and with the root mastered. */
	share: { now: number; then: number };
}

/** A raise that changes the share by less is not worth a word. */
const LEAST_CHANGE = 0.05;

/**
 * Why a skill is a gap: prerequisites that are rather not mastered, by how much the skill would be raised were they: its
 * level given that the root's is where 70% of first tries are right (conditioning in the field). That what comes before
 * is what is missing is the surmise relation (Doignon & Falmagne 1985); how much it means is what the field has learned.
 *
 * @param code of the skill
 * @returns the greatest raise first; none when every prerequisite is rather mastered
 * @throws RangeError for no skill of the field
 */
export function rootCauses({ skills, placeOf }: SkillField, estimate: FieldEstimate, code: string): RootCause[] {
	const levelOf = (place: number) => ({ mean: estimate.mean[place], standardError: estimate.standardError[place] });
	const place = placeOf.get(code);
	if (place === undefined) throw new RangeError(`the field has no skill ${code}`);
	const { difficulty } = skills[place];
	const now = shareAt(estimate.mean[place], difficulty);
	return waysDown(skills, placeOf, code)
		.flatMap(([root, way]) => {
			const { mean, standardError } = levelOf(root);
			const line = levelFor(MASTERED_SHARE, skills[root].difficulty);
			if (shareAtLeast({ mean, standardError }, skills[root].difficulty, MASTERED_SHARE) >= 0.5) return [];
			const raise = (estimate.together(code, skills[root].code) / standardError ** 2) * (line - mean);
			const then = shareAt(estimate.mean[place] + raise, difficulty);
			return then - now < LEAST_CHANGE ? [] : [{ way, raise, share: { now, then } }];
		})
		.sort((a, b) => b.raise - a.raise || a.way.length - b.way.length);
}

/** Places of all that comes before a skill, near or far, each with the nearest way down to it. */
function waysDown(skills: SkillField['skills'], placeOf: Map<string, number>, code: string): [number, string[]][] {
	const ways = new Map<number, string[]>();
	let layer = [{ code, way: [] as string[] }];
	while (layer.length) {
		const next: typeof layer = [];
		for (const { code: from, way } of layer)
			for (const before of skills[placeOf.get(from)!].prerequisites) {
				const place = placeOf.get(before);
				if (place === undefined || ways.has(place)) continue;
				const further = [...way, before];
				ways.set(place, further);
				next.push({ code: before, way: further });
			}
		layer = next;
	}
	return [...ways];
}
