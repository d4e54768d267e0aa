import {
	movesOf,
	judgeMixed,
	judgeOf,
	mixedFrom,
	usualLimits,
	whatWouldPlace,
	withLimits,
	type CloseCall,
	type DraftLimits,
	type GroupingProblem,
	type GroupingResult,
	type Judge,
	type MixedProblem,
	type MoreGroup,
	type Move,
	type PossibleSlot
} from '$lib/core/grouping';
import GroupingWorker from '$lib/workers/grouping.worker?worker';
import type { GroupingReport, GroupingRequest } from '$lib/workers/grouping.worker';

const TIME_LIMIT_MS = 10_000;
/** Who could sit elsewhere for so little less need was close to it. */
const CLOSE = 0.15;

/** A student on the board; an object, since drag and drop knows what it moves by its `id`. */
export interface Chip {
	id: string;
}
/** A group on the board. */
export interface Column {
	slotId: string;
	focusId: string;
	tier: 2 | 3;
	chips: Chip[];
}
/** A draft as the board shows it: one place for each slot that is used. */
export interface DraftGroup {
	slotId: string;
	focusId: string;
	tier: 2 | 3;
	studentIds: string[];
}

/** Mixed groups on one focus: who of the students can help. */
interface Mixing {
	focusId: string;
	helperIds: string[];
}

/** What a draft is made from. */
interface DraftSource {
	problem: GroupingProblem;
	/** Set for mixed groups. */
	mixing?: Mixing;
	/** Meeting times that nobody holds yet. */
	openTimes?: PossibleSlot[];
	/** A draft to begin from, as it was kept; `bound` is null when what was proven of it does not hold any more. */
	kept?: { groups: DraftGroup[]; limits: DraftLimits; bound: number | null };
}

/**
 * A grouping in the making: its limits, the solver at work in a worker, and the board that people change by hand. While
 * nobody has changed anything, the board follows the best grouping found so far.
 *
 * const draft = new Draft({ problem });
 * draft.suggest();
 * draft.move('17', draft.columns[0].slotId);
 */
export class Draft {
	/** What a person sets before and between searches. */
	limits: DraftLimits;
	/** The limits and students that the bound was proven for. */
	private provenFor = $state.raw('');
	columns: Column[] = $state([]);
	/** Students in no group. */
	out: Chip[] = $state([]);
	solving = $state(false);
	result: GroupingResult | null = $state.raw(null);
	failure = $state('');
	/** Whether a student is being carried by keyboard: Tab then goes from group to group only. */
	carrying = $state(false);
	/** The student who is held over the board, or whose menu is open, with what each place would cost. */
	lifted: { id: string; moves: Move[] } | null = $state.raw(null);
	/** Whether a person has changed what the solver found. */
	edited = $state(false);
	/** Students who could sit in another group for little less. */
	closeCalls: CloseCall[] = $state.raw([]);

	private problem: GroupingProblem;
	private openTimes: PossibleSlot[];
	readonly mixing: Mixing | null;
	readonly posed: GroupingProblem = $derived.by(() => withLimits(this.problem, $state.snapshot(this.limits)));
	private readonly posedMixed: MixedProblem | null = $derived.by(
		() => this.mixing && mixedFrom(this.posed, this.mixing.focusId, this.mixing.helperIds)
	);
	private readonly question = $derived.by(() => JSON.stringify([this.limits, this.problem.students.length]));
	/** Whether the bound holds: nothing that was asked has changed since it was proven. */
	readonly isProven: boolean = $derived.by(
		() => Number.isFinite(this.result?.bound) && this.question === this.provenFor
	);
	readonly judge: Judge = $derived(this.posedMixed ? judgeMixed(this.posedMixed) : judgeOf(this.posed));
	readonly groups: DraftGroup[] = $derived(
		this.columns.map(({ chips, ...column }) => ({ ...column, studentIds: chips.map(({ id }) => id) }))
	);
	/** What the board is worth now, and which limits it breaks. */
	readonly judged = $derived(this.judge(this.groups.filter(({ studentIds }) => studentIds.length > 0)));
	readonly placed: number = $derived(this.columns.reduce((sum, { chips }) => sum + chips.length, 0));
	/** Why the solver left a student out, by id. */
	readonly reasons: Map<string, string> = $derived(
		new Map(this.result?.unplaced.map(({ studentId, reason }) => [studentId, reason]) ?? [])
	);
	/** What one more meeting time would bring, the most first. */
	readonly more: MoreGroup[] = $derived.by(() =>
		this.mixing || !this.result || this.solving ? [] : whatWouldPlace(this.posed, this.groups, this.openTimes)
	);

	private worker: Worker | null = null;
	private needs: Map<string, Record<string, number>>;
	private tiers: Map<string, 2 | 3>;

	constructor({ problem, mixing, openTimes = [], kept }: DraftSource) {
		this.problem = $state.raw(problem);
		this.openTimes = $state.raw(openTimes);
		this.mixing = mixing ?? null;
		this.limits = $state(structuredClone(kept?.limits ?? usualLimits(problem)));
		this.needs = new Map(problem.students.map(({ id, needs }) => [id, needs]));
		this.tiers = new Map(problem.students.map(({ id, tier }) => [id, tier]));
		if (kept) {
			this.take(kept.groups, kept.bound);
			this.provenFor = this.question;
		}
	}

	/** A student's need for a focus. */
	need(studentId: string, focusId: string): number {
		return this.needs.get(studentId)?.[focusId] ?? 0;
	}

	canHelp(studentId: string): boolean {
		return this.mixing?.helperIds.includes(studentId) ?? false;
	}

	/** Need that a group meets. */
	worth({ chips, focusId }: Column): number {
		return chips.reduce((sum, { id }) => sum + this.need(id, focusId), 0);
	}

	suggest(): void {
		this.stop();
		Object.assign(this, {
			failure: '',
			result: null,
			edited: false,
			columns: [],
			out: [],
			closeCalls: [],
			lifted: null,
			solving: true,
			provenFor: this.question
		});
		this.ask(
			this.posedMixed
				? { kind: 'mixed', problem: this.posedMixed, focusId: this.mixing!.focusId }
				: { kind: 'same need', problem: $state.snapshot(this.posed), timeLimitMs: TIME_LIMIT_MS }
		);
	}

	private ask(request: GroupingRequest): void {
		this.worker = new GroupingWorker();
		this.worker.onmessage = ({ data }: MessageEvent<GroupingReport>) => {
			if (data.kind === 'failed') {
				this.failure = data.message;
				return this.stop();
			}
			if (data.kind === 'close calls') {
				this.closeCalls = data.calls;
				return this.stop();
			}
			const isBetter = !this.result || data.result.objective > this.result.objective + 1e-9;
			this.result = data.result;
			if (!this.edited && isBetter) this.show(data.result);
			if (data.kind === 'done') {
				this.stop();
				this.askWhoWasClose();
			}
		};
		this.worker.postMessage(request);
	}

	private askWhoWasClose(): void {
		if (this.mixing || this.columns.length < 2) return;
		const groups = $state.snapshot(this.groups);
		this.ask({ kind: 'close calls', problem: $state.snapshot(this.posed), groups, mostLost: CLOSE });
	}

	/** Ends the search; what was found stays. */
	stop(): void {
		this.worker?.terminate();
		this.worker = null;
		this.solving = false;
	}

	/** Takes a student up, so that what each place would cost can be shown; null puts down. */
	lift(studentId: string | null): void {
		this.lifted = studentId === null ? null : { id: studentId, moves: movesOf(this.judge, this.groups, studentId) };
	}

	/** What moving the lifted student to the group of a slot, or with null out of all, would do. */
	costOf(slotId: string | null): Move | null {
		return this.lifted?.moves.find((move) => move.slotId === slotId) ?? null;
	}

	/** Moves a student to the group of a slot, or with '' out of all. */
	move(studentId: string, slotId: string): void {
		this.columns = this.columns.map((column) => {
			const chips = column.chips.filter((chip) => chip.id !== studentId);
			return { ...column, chips: column.slotId === slotId ? [...chips, { id: studentId }] : chips };
		});
		this.out = [...this.out.filter((chip) => chip.id !== studentId), ...(slotId === '' ? [{ id: studentId }] : [])];
		this.changed();
	}

	/** Takes over what drag and drop has made of a group, or with null of those in no group. */
	rearrange(column: Column | null, chips: Chip[], dropped: boolean): void {
		if (column) this.columns = this.columns.map((one) => (one.slotId === column.slotId ? { ...one, chips } : one));
		else this.out = chips;
		if (dropped) this.changed();
	}

	/** Brings one more student in, in no group at first. */
	add(student: GroupingProblem['students'][number], openAt: string[]): void {
		if (this.needs.has(student.id)) return;
		this.problem = { ...this.problem, students: [...this.problem.students, student] };
		this.openTimes = this.openTimes.map((time) =>
			openAt.includes(time.id) ? { ...time, availableIds: [...time.availableIds, student.id] } : time
		);
		this.needs.set(student.id, student.needs);
		this.tiers.set(student.id, student.tier);
		this.out = [...this.out, { id: student.id }];
		this.changed();
	}

	private changed(): void {
		this.edited = true;
		this.lifted = null;
		this.closeCalls = [];
	}

	private show(best: GroupingResult): void {
		this.columns = best.groups.map(({ slotId, focusId, studentIds }) => ({
			slotId,
			focusId,
			tier: this.mixing ? 2 : this.tiers.get(studentIds[0])!,
			chips: studentIds.map((id) => ({ id }))
		}));
		const placed = new Set(best.groups.flatMap(({ studentIds }) => studentIds));
		this.out = this.problem.students.filter(({ id }) => !placed.has(id)).map(({ id }) => ({ id }));
	}

	/** Begins from a grouping that was kept; students who are gone from the school are left out of it. */
	private take(groups: DraftGroup[], bound: number | null): void {
		const remaining = groups
			.map((group) => ({ ...group, studentIds: group.studentIds.filter((id) => this.needs.has(id)) }))
			.filter(({ slotId }) => this.problem.slots.some(({ id }) => id === slotId));
		this.columns = remaining.map(({ studentIds, ...column }) => ({
			...column,
			chips: studentIds.map((id) => ({ id }))
		}));
		const placed = new Set(remaining.flatMap(({ studentIds }) => studentIds));
		this.out = this.problem.students.filter(({ id }) => !placed.has(id)).map(({ id }) => ({ id }));
		const objective = this.judge(remaining).worth;
		// Of what has changed since, nothing is proven.
		const most = bound === null ? Infinity : Math.max(bound, objective);
		this.result = {
			groups: remaining,
			objective,
			bound: most,
			gap: most > 0 && most < Infinity ? (most - objective) / most : 0,
			unplaced: []
		};
	}
}
