import { createWindowVirtualizer } from '@tanstack/svelte-virtual';
import { untrack } from 'svelte';
import { fromStore, get } from 'svelte/store';

/** Rows that are drawn beyond the window, each way. */
const OVERSCAN = 8;

interface Source {
	/** How many rows there are. */
	count: () => number;
	/** Height of each, in pixels. */
	height: number;
	/** Where the first one begins, in pixels from the top of the page. */
	top: () => number;
	/** What is taken for the window until there is one. */
	firstWindow: { width: number; height: number };
}

/**
 * Which rows of a long list are drawn as the page is scrolled: those in view and some beyond; on paper all.
 *
 * const inView = new RowsInView({ count: () => ids.length, height: 24, top: () => place?.offsetTop ?? 0, firstWindow });
 * {#each inView.visible as index (ids[index])} … {/each}
 */
export class RowsInView {
	isPrinting = $state(false);
	readonly #virtualizer;
	readonly #items;
	readonly visible = $derived.by(() => this.#drawn());
	/** Pixels of the rows that are not drawn, above and below. */
	readonly above = $derived.by(() => (this.visible[0] ?? 0) * this.source.height);
	readonly below = $derived.by(() => (this.source.count() - 1 - (this.visible.at(-1) ?? -1)) * this.source.height);

	constructor(private readonly source: Source) {
		this.#virtualizer = createWindowVirtualizer<HTMLElement>({
			count: 0,
			estimateSize: () => source.height,
			overscan: OVERSCAN,
			initialRect: source.firstWindow
		});
		this.#items = fromStore(this.#virtualizer);
		$effect.pre(() => {
			const options = { count: source.count(), scrollMargin: source.top() };
			untrack(() => get(this.#virtualizer).setOptions(options));
		});
	}

	#drawn(): number[] {
		const count = this.source.count();
		if (this.isPrinting) return Array.from({ length: count }, (_, index) => index);
		return this.#items.current.getVirtualItems().flatMap(({ index }) => (index < count ? [index] : []));
	}

	scrollTo(row: number): void {
		get(this.#virtualizer).scrollToIndex(row, { align: 'auto' });
	}
}
