import { goto } from '$app/navigation';
import { tinykeys } from 'tinykeys';

/**
 * Lets J and K lead to the page of the next student and of the one before, on a page of one student. For an `$effect`.
 *
 * @param pageOf the address of a student's page of this kind
 * @returns ends it
 */
export function walkByKey(
	walk: { before: number; after: number; size: number } | null,
	pageOf: (studentId: number) => string
): () => void {
	const goTo = (to: 'before' | 'after') => (event: KeyboardEvent) => {
		if ((event.target as HTMLElement).closest('input, select, textarea, dialog')) return;
		if (walk && walk.size > 1) void goto(pageOf(walk[to]));
	};
	return tinykeys(window, { j: goTo('after'), k: goTo('before') });
}
