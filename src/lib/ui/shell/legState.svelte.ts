import type { Snippet } from 'svelte';

/** What the leg in view gives to the shell while it is shown. */
export const legState = $state<{
	/** Stands at the top of the peek, such as the answers behind a chosen cell. */
	peek: Snippet | undefined;
	/** Students in the order of the leg's rows, where not all rows are drawn; else the order on the page counts. */
	order: number[] | undefined;
}>({ peek: undefined, order: undefined });
