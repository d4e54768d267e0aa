/** The longest text that is asked for. */
const LONGEST = 120;

/**
 * What the server finds for a text as it is typed: each question takes the place of the one before.
 *
 * const skills = new Search<Hit>('/library/find');
 * <input oninput={() => skills.ask(text)} />  {#each skills.found ?? [] as hit}
 */
export class Search<Found> {
	/** Null until something was asked for. */
	found = $state<Found[] | null>(null);
	/** The last question could not be answered; what is found is of an earlier one. */
	failed = $state(false);
	private asking: AbortController | null = null;

	/** @param path that answers `?q=` with `{ found }` */
	constructor(private readonly path: string) {}

	/** @param more of the address, such as the scope */
	async ask(text: string, more: Record<string, string> = {}): Promise<void> {
		this.stop();
		const wanted = text.trim().slice(0, LONGEST);
		if (!wanted) {
			this.found = null;
			return;
		}
		this.asking = new AbortController();
		try {
			const asked = new URLSearchParams({ q: wanted, ...more });
			const reply = await fetch(`${this.path}?${asked}`, { signal: this.asking.signal });
			if (!reply.ok) throw new Error(String(reply.status));
			this.found = (await reply.json()).found;
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
