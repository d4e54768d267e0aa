import type { Hit } from '$lib/core/finding';

/** The longest text that the library is asked for. */
const LONGEST = 120;

/**
 * What the library finds for a text as it is typed: each question to the server takes the place of the one before.
 *
 * const search = new LibrarySearch();
 * <input oninput={() => search.ask(text)} />  {#each search.hits ?? [] as hit}
 */
export class LibrarySearch {
	/** Null until something was asked for. */
	hits = $state<Hit[] | null>(null);
	/** The last question could not be answered; the hits are those of an earlier one. */
	failed = $state(false);
	private asking: AbortController | null = null;

	async ask(text: string): Promise<void> {
		this.stop();
		const wanted = text.trim().slice(0, LONGEST);
		if (!wanted) {
			this.hits = null;
			return;
		}
		this.asking = new AbortController();
		try {
			const reply = await fetch(`/library/find?q=${encodeURIComponent(wanted)}`, { signal: this.asking.signal });
			if (!reply.ok) throw new Error(String(reply.status));
			this.hits = (await reply.json()).hits;
			this.failed = false;
		} catch (error) {
			if ((error as Error).name !== 'AbortError') this.failed = true;
		}
	}

	/** Gives up the question that is under way. */
	stop(): void {
		this.asking?.abort();
	}
}
