/**
 * Rows of a long list: the page brings the ids of all, in order, and the first rows; the rest is asked for as it is
 * scrolled to, from `rows` under the page's own address, which answers `?rows=1,2,3` with `{ rows }`.
 *
 * const rows = new Rows(() => ({ ids: data.ids, first: data.rows }));
 * rows.need(40, 80);  {#each rows.ids as id}{rows.at(id)?.name}
 */
export class Rows<Row extends { id: number }> {
	/** Rows asked for since the page brought its own; they are shown until newer ones come. */
	#asked = $state.raw(new Map<number, Row>());
	/** Ids under way or up to date, so that nothing is asked for twice. */
	#known = new Set<number>();
	#first: Row[] | null = null;
	/** The last question could not be answered. */
	failed = $state(false);
	readonly #page = $derived.by(() => this.source());
	readonly ids = $derived(this.#page.ids);
	readonly #brought = $derived(new Map(this.#page.first.map((row) => [row.id, row])));

	constructor(private readonly source: () => { ids: number[]; first: Row[] }) {}

	/** The row of a student; undefined until it has come. */
	at(id: number): Row | undefined {
		return this.#brought.get(id) ?? this.#asked.get(id);
	}

	/** Asks for rows at places of the order that have not come yet. */
	async need(from: number, to: number): Promise<void> {
		if (this.#first !== this.#page.first) {
			// The page was loaded anew: what was asked for before may be old.
			this.#first = this.#page.first;
			this.#known = new Set(this.#page.first.map(({ id }) => id));
		}
		const missing = this.ids.slice(Math.max(0, from), to).filter((id) => !this.#known.has(id));
		for (let i = 0; i < missing.length; i += ROWS_A_TIME) await this.#ask(missing.slice(i, i + ROWS_A_TIME));
	}

	/** All rows, for paper. */
	async all(): Promise<void> {
		await this.need(0, this.ids.length);
	}

	async #ask(ids: number[]): Promise<void> {
		for (const id of ids) this.#known.add(id);
		const address = new URL(location.href);
		address.pathname += '/rows';
		address.searchParams.set('rows', ids.join(','));
		try {
			const reply = await fetch(address);
			if (!reply.ok) throw new Error(String(reply.status));
			const { rows }: { rows: Row[] } = await reply.json();
			this.#asked = new Map([...this.#asked, ...rows.map((row) => [row.id, row] as const)]);
			this.failed = false;
		} catch {
			for (const id of ids) this.#known.delete(id);
			this.failed = true;
		}
	}
}

/** As many as one question may ask for. */
const ROWS_A_TIME = 100;
