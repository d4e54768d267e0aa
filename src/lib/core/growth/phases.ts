import type { SchoolDate } from '../calendar';
import type { Verdict } from './advise';

/** A change of the plan, from which on growth may go on at a new pace. */
export type Phase = { on: SchoolDate } & (
	| { is: 'group'; name: string }
	| { is: 'focus'; skillId: number }
	| { is: 'tier'; tier: 1 | 2 | 3 }
	/** `change` says what is done in another way; empty where nobody said. */
	| { is: 'verdict'; verdict: Verdict; change: string }
);

/**
 * Weeks of a series before whose probe a phase begins.
 *
 * @param taken days of the probes and the weeks they are of, in their order
 */
export function phaseWeeks(phases: Pick<Phase, 'on'>[], taken: { on: SchoolDate; week: number }[]): number[] {
	const weeks = phases.flatMap(({ on }) => taken.find((probe) => probe.on >= on)?.week ?? []);
	return [...new Set(weeks)].filter((week) => week > (taken[0]?.week ?? 0));
}

/** How often the plan was changed for what the probes said: days with a new focus or a verdict to adjust or intensify. */
export function adjustmentsTried(phases: Phase[]): number {
	const changes = phases.filter(
		(phase) => phase.is === 'focus' || (phase.is === 'verdict' && phase.verdict !== 'fade' && phase.verdict !== 'exit')
	);
	return new Set(changes.map(({ on }) => on)).size;
}
