import type { SchoolDate } from '$lib/core/calendar';
import { type Advice, type DecisionSaid, isAsAdvised, tierAfter, type Verdict, verdictOf } from '$lib/core/growth';

type Tier = 1 | 2 | 3;

/** A group that the student could join. */
export interface JoinChoice {
	id: number;
	name: string;
	tier: 2 | 3;
	focusSkillId: number;
	focus: string;
	when: string;
	members: number;
	places: number;
}

/** What a decision begins from. */
export interface DecisionBasis {
	name: string;
	tier: Tier;
	advice: Advice;
	/** The group that the review is about; null for none. */
	groupName: string | null;
	/** The same, where it goes on. */
	own: { tier: 2 | 3 } | null;
	fitting: JoinChoice[];
	dates: { effectiveOn: SchoolDate; nextReviewOn: SchoolDate };
	/** Of the weekly probes; null without any. */
	goal: { right: number; on: SchoolDate } | null;
}

/** A verdict while it is put together: what is advised is chosen at first, and tier and group follow from the verdict. */
export class Decision {
	verdict = $state<Verdict>('continue');
	effectiveOn = $state('');
	nextReviewOn = $state('');
	against = $state('');
	change = $state('');
	familyTold = $state('');
	/** The group's focus from then on; 0 for the one it has. */
	focus = $state(0);
	goalCorrect = $state(0);
	goalOn = $state('');
	tasks = $state<{ what: string; who: number; due: SchoolDate }[]>([]);
	#tier = $state<Tier | null>(null);
	#group = $state<string | null>(null);

	constructor(readonly basis: DecisionBasis) {
		this.verdict = verdictOf(basis.advice);
		this.effectiveOn = basis.dates.effectiveOn;
		this.nextReviewOn = basis.dates.nextReviewOn;
		this.goalCorrect = basis.goal?.right ?? 0;
		this.goalOn = basis.goal?.on ?? '';
	}

	get tier(): Tier {
		return this.#tier ?? tierAfter(this.verdict, this.basis.tier);
	}
	set tier(tier: Tier) {
		this.#tier = tier;
		this.#group = null;
	}

	/** Groups of the tier from then on that have a place. */
	get offered(): JoinChoice[] {
		return this.basis.fitting.filter(({ tier }) => tier === this.tier);
	}

	/** `stays`, `leaves`, or the id of the group that is joined. */
	get group(): string {
		if (this.verdict === 'exit') return 'leaves';
		const isOffered = this.offered.some(({ id }) => String(id) === this.#group);
		if (this.#group === 'stays' || this.#group === 'leaves' || isOffered) return this.#group!;
		// More than the group gives: the one that fits best, where there is one.
		const isMore = this.tier > (this.basis.own?.tier ?? 1);
		return isMore && this.offered.length ? String(this.offered[0].id) : 'stays';
	}
	set group(group: string) {
		this.#group = group;
	}

	get joins(): JoinChoice | null {
		return this.offered.find(({ id }) => String(id) === this.group) ?? null;
	}

	/** Chooses a verdict; tier and group follow it anew. */
	choose(verdict: Verdict): void {
		this.verdict = verdict;
		this.#tier = null;
		this.#group = null;
	}

	get isAsAdvised(): boolean {
		return isAsAdvised(this.verdict, this.basis.advice);
	}

	/** The whole of it, as it is said. @param skillName of the focus */
	said(skillName: (id: number) => string): DecisionSaid {
		const { basis, joins } = this;
		const isNewGoal = basis.goal && (this.goalCorrect !== basis.goal.right || this.goalOn !== basis.goal.on);
		return {
			name: basis.name,
			verdict: this.verdict,
			effectiveOn: this.effectiveOn,
			tier: { now: basis.tier, then: this.tier },
			group: basis.groupName && `“${basis.groupName}”`,
			leaves: this.group !== 'stays',
			joins: joins && `“${joins.name}” (${joins.focus}, ${joins.when})`,
			change: this.change.trim(),
			focus: this.focus ? skillName(this.focus) : null,
			goal: isNewGoal ? { right: this.goalCorrect, on: this.goalOn } : null,
			nextReviewOn: this.verdict === 'exit' ? null : this.nextReviewOn,
			tasks: this.tasks.filter(({ what }) => what.trim()).length,
			tellsFamily: Boolean(this.familyTold.trim())
		};
	}
}
