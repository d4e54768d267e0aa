/**
 * How far something wide is scrolled sideways: by the page, or in its own place where the page is narrow.
 *
 * const sideways = new Sideways(() => scroller);  <svelte:window onscrollcapture={() => sideways.follow()} />
 */
export class Sideways {
	/** Pixels, as of the last frame. */
	left = $state(0);

	constructor(private readonly place: () => HTMLElement | undefined) {}

	now(): number {
		return window.scrollX + (this.place()?.scrollLeft ?? 0);
	}

	/** Reads where the page stands before anything changes: read later, it would have to be laid out for that. */
	follow(): void {
		const now = this.now();
		if (now !== this.left) requestAnimationFrame(() => (this.left = now));
	}

	/** Scrolls as little as needed to have a column in view. @param room pixels that are seen at once */
	show(column: { left: number; right: number }, room: number): void {
		const now = this.now();
		if (column.left < now) this.#scrollTo(column.left);
		else if (column.right > now + room) this.#scrollTo(column.right - room);
	}

	#scrollTo(left: number): void {
		const place = this.place()!;
		if (place.scrollWidth > place.clientWidth) place.scrollTo({ left });
		else window.scrollTo({ left });
	}
}
