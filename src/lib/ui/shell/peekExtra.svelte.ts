import type { Snippet } from 'svelte';

/** What the leg in view adds to the peek; the leg sets it while it is shown. */
export const peekExtra = $state<{ snippet: Snippet | undefined }>({ snippet: undefined });
