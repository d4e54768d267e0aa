const CONTROLS = 'a[href], button, input:not([type="hidden"]), select, textarea, summary';

/**
 * Makes one tab stop of a table's body or a list: Tab goes to the control that had the focus last (the first one, before),
 * arrow keys go up and down between rows, left and right within a row. Home and End go to the first and last row.
 *
 * <tbody {@attach oneTabStop}>
 */
export const oneTabStop = (body: HTMLElement): (() => void) => tabStopOver(body, () => [...body.children]);

/** The same where the rows lie deeper: <div {@attach oneTabStopOver('li')}> */
export const oneTabStopOver =
	(rows: string) =>
	(body: HTMLElement): (() => void) =>
		tabStopOver(body, () => [...body.querySelectorAll(rows)]);

function tabStopOver(body: HTMLElement, rowsIn: () => Element[]): () => void {
	let current: HTMLElement | null = null;
	const controlsIn = (element: Element) =>
		[...element.querySelectorAll<HTMLElement>(CONTROLS)].filter((one) => !one.matches(':disabled'));
	const rows = () => rowsIn().filter((row) => controlsIn(row).length > 0);

	function mark(): void {
		const all = controlsIn(body);
		if (!current || !body.contains(current)) current = all[0] ?? null;
		for (const one of all) one.tabIndex = one === current ? 0 : -1;
	}
	function onfocusin({ target }: FocusEvent): void {
		const control = (target as HTMLElement).closest<HTMLElement>(CONTROLS);
		if (!control || control === current || !body.contains(control)) return;
		if (current) current.tabIndex = -1;
		current = control;
		current.tabIndex = 0;
	}
	function onkeydown(event: KeyboardEvent): void {
		const control = (event.target as HTMLElement).closest<HTMLElement>(CONTROLS);
		if (!control || event.altKey || event.ctrlKey || event.metaKey || takesArrows(control, event.key)) return;
		const all = rows();
		const row = all.find((one) => one.contains(control));
		if (!row) return;
		const inRow = controlsIn(row);
		const [at, place] = [all.indexOf(row), inRow.indexOf(control)];
		const inColumn = (to: Element | undefined) => {
			const own = to ? controlsIn(to) : [];
			return own[Math.min(place, own.length - 1)];
		};
		const goes: Record<string, () => HTMLElement | undefined> = {
			ArrowDown: () => inColumn(all[at + 1]),
			ArrowUp: () => inColumn(all[at - 1]),
			ArrowRight: () => inRow[place + 1],
			ArrowLeft: () => inRow[place - 1],
			Home: () => inColumn(all[0]),
			End: () => inColumn(all.at(-1))
		};
		const next = goes[event.key]?.();
		// Before a row that has not come yet the focus stays, and the page, too: scrolled on, it would lose the focus.
		const beside = { ArrowDown: row.nextElementSibling, ArrowUp: row.previousElementSibling }[event.key];
		if (!next && !beside) return;
		event.preventDefault();
		if (!next) return;
		next.focus();
		next.scrollIntoView({ block: 'nearest' });
	}

	const watch = new MutationObserver(mark);
	watch.observe(body, { childList: true, subtree: true });
	body.addEventListener('focusin', onfocusin);
	body.addEventListener('keydown', onkeydown);
	mark();
	return () => {
		watch.disconnect();
		body.removeEventListener('focusin', onfocusin);
		body.removeEventListener('keydown', onkeydown);
	};
}

/** Whether a control needs an arrow key itself: to move the caret or to choose. */
function takesArrows(control: HTMLElement, key: string): boolean {
	if (control instanceof HTMLSelectElement || control instanceof HTMLTextAreaElement) return true;
	if (!(control instanceof HTMLInputElement)) return false;
	if (control.type === 'checkbox') return false;
	return control.type === 'radio' || control.type === 'date' || !key.startsWith('Arrow') || /Left|Right/.test(key);
}
