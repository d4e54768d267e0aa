import type { Snippet } from 'svelte';

/** A column of a table, as its head says it. */
export interface Column {
	/** Read out but not shown where `isSilent`: every column says what it holds. */
	label: string;
	isSilent?: boolean;
	/** Said in full where the label is short. */
	title?: string;
	isNumber?: boolean;
	/** Whether its label stands upright, where there are many. */
	isUpright?: boolean;
	/** What the address sorts by; absent where it cannot. */
	sort?: string;
	/** Stands for the label. */
	head?: Snippet;
}
