import { plural } from '../words';
import type { Arrangement } from './arrangement';
import type { IndexedProblem, Unplaced } from './problem';

/** For each student without a group, the first thing that stands in the way and can be acted on. */
export function unplacedReasons(problem: IndexedProblem, arrangement: Arrangement): Unplaced[] {
	const placed = new Set(arrangement.flatMap((seating) => seating?.members ?? []));
	return problem.source.students.flatMap((student, i) =>
		placed.has(i) ? [] : [{ studentId: student.id, reason: reasonFor(problem, arrangement, i) }]
	);
}

function reasonFor(problem: IndexedProblem, arrangement: Arrangement, i: number): string {
	const { source, needs, tiers, isFree, free } = problem;
	const tier = tiers[i];
	const { minimum } = source.sizes[tier];
	const foci = needs[i].flatMap((value, focus) => (value > 0 ? [focus] : []));
	if (foci.length === 0) return 'No skill is both missing and ready to learn: check a prerequisite first.';
	const slots = source.slots.flatMap((_, slot) =>
		isFree[slot][i] && problem.slotTiers[slot].includes(tier) ? [slot] : []
	);
	if (slots.length === 0) return `Free at no time when a tier ${tier} group can meet.`;
	const unit = [i, ...problem.together[i]];
	if (unit.some((a) => tiers[a] !== tier)) return 'Must stay together with a student of another tier.';
	if (unit.some((a) => problem.apart[a].some((b) => unit.includes(b))))
		return 'Must be both together with and apart from the same student.';
	const sharing = (slot: number, focus: number) =>
		free[slot].filter((j) => tiers[j] === tier && needs[j][focus] > 0).length;
	if (!slots.some((slot) => foci.some((focus) => sharing(slot, focus) >= minimum))) {
		return `Too few others share a need at the same free time: a tier ${tier} group takes ${minimum}.`;
	}
	const held = arrangement.filter((group) => group !== null).length;
	if (held >= problem.mostGroups && held < source.slots.length)
		return `Only ${plural(held, 'group')} may be formed, and others meet more need.`;
	const unused = slots.some((slot) => arrangement[slot] === null);
	return unused
		? 'Those who share the need are in other groups: not enough are left for one more.'
		: 'No meeting time is left when this student is free.';
}
