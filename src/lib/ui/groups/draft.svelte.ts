import type { GroupingProblem, GroupingResult } from '$lib/core/grouping';
import GroupingWorker from '$lib/workers/grouping.worker?worker';
import type { GroupingReport } from '$lib/workers/grouping.worker';
import type { DraftGroup } from './judgeDraft';

const TIME_LIMIT_MS = 10_000;

/** A student on the board; an object, since drag and drop knows what it moves by its `id`. */
export interface Chip {
	id: string;
}
/** A group on the board. */
export interface Column extends Omit<DraftGroup, 'studentIds'> {
	chips: Chip[];
}

/**
 * A grouping in the making: its limits, the solver at work in a worker, and the board that people change by hand. While
 * nobody has changed anything, the board follows the best grouping found so far.
 *
 * const draft = new Draft(problem);
 * draft.suggest();
 * draft.move('17', draft.columns[0].slotId);
 */
export class Draft {
	sizes: GroupingProblem['sizes'];
	/** Ids of the meeting times that may be used. */
	chosenSlots: string[];
	columns: Column[] = $state([]);
	/** Students in no group. */
	out: Chip[] = $state([]);
	solving = $state(false);
	result: GroupingResult | null = $state.raw(null);
	failure = $state('');
	/** Whether a student is being carried by keyboard: Tab then goes from group to group only. */
	carrying = $state(false);
	/** Whether a person has changed what the solver found. */
	edited = $state(false);

	readonly posed: GroupingProblem = $derived.by(() => ({
		...this.problem,
		sizes: $state.snapshot(this.sizes),
		slots: this.problem.slots.filter(({ id }) => this.chosenSlots.includes(id)),
		students: this.problem.students.map((student) => ({
			...student,
			available: student.available.filter((id) => this.chosenSlots.includes(id))
		}))
	}));
	readonly groups: DraftGroup[] = $derived(
		this.columns.map(({ chips, ...column }) => ({ ...column, studentIds: chips.map(({ id }) => id) }))
	);
	readonly placed: number = $derived(this.columns.reduce((sum, { chips }) => sum + chips.length, 0));
	/** Why the solver left a student out, by id. */
	readonly reasons: Map<string, string> = $derived(
		new Map(this.result?.unplaced.map(({ studentId, reason }) => [studentId, reason]) ?? [])
	);

	private worker: Worker | null = null;
	private readonly needs: Map<string, Record<string, number>>;
	private readonly tiers: Map<string, 2 | 3>;

	constructor(private readonly problem: GroupingProblem) {
		this.sizes = $state(structuredClone(problem.sizes));
		this.chosenSlots = $state(problem.slots.map(({ id }) => id));
		this.needs = new Map(problem.students.map(({ id, needs }) => [id, needs]));
		this.tiers = new Map(problem.students.map(({ id, tier }) => [id, tier]));
	}

	/** A student's need for a focus. */
	need(studentId: string, focusId: string): number {
		return this.needs.get(studentId)?.[focusId] ?? 0;
	}

	/** Need that a group meets. */
	worth({ chips, focusId }: Column): number {
		return chips.reduce((sum, { id }) => sum + this.need(id, focusId), 0);
	}

	suggest(): void {
		this.stop();
		Object.assign(this, { failure: '', result: null, edited: false, columns: [], out: [], solving: true });
		this.worker = new GroupingWorker();
		this.worker.onmessage = ({ data }: MessageEvent<GroupingReport>) => {
			if (data.kind === 'failed') {
				this.failure = data.message;
				return this.stop();
			}
			const better = !this.result || data.result.objective > this.result.objective + 1e-9;
			this.result = data.result;
			if (!this.edited && better) this.show(data.result);
			if (data.kind === 'done') this.stop();
		};
		this.worker.postMessage({ problem: $state.snapshot(this.posed), timeLimitMs: TIME_LIMIT_MS });
	}

	/** Ends the search; what was found stays. */
	stop(): void {
		this.worker?.terminate();
		this.worker = null;
		this.solving = false;
	}

	/** Moves a student to the group of a slot, or with '' out of all. */
	move(studentId: string, slotId: string): void {
		this.columns = this.columns.map((column) => {
			const chips = column.chips.filter((chip) => chip.id !== studentId);
			return { ...column, chips: column.slotId === slotId ? [...chips, { id: studentId }] : chips };
		});
		this.out = [...this.out.filter((chip) => chip.id !== studentId), ...(slotId === '' ? [{ id: studentId }] : [])];
		this.edited = true;
	}

	/** Takes over what drag and drop has made of a group, or with null of those in no group. */
	rearrange(column: Column | null, chips: Chip[], dropped: boolean): void {
		if (column) this.columns = this.columns.map((one) => (one.slotId === column.slotId ? { ...one, chips } : one));
		else this.out = chips;
		if (dropped) this.edited = true;
	}

	private show(best: GroupingResult): void {
		this.columns = best.groups.map(({ slotId, focusId, studentIds }) => ({
			slotId,
			focusId,
			tier: this.tiers.get(studentIds[0])!,
			chips: studentIds.map((id) => ({ id }))
		}));
		this.out = best.unplaced.map(({ studentId }) => ({ id: studentId }));
	}
}
