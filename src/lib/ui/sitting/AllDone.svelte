<!-- What stands at the end of a sitting: how it went where that is told, and what could come next. -->
<script lang="ts">
	import type { ComponentProps } from 'svelte';
	import LookBack from './LookBack.svelte';

	interface Props {
		isPractice: boolean;
		/** Right at the first try, and of how many, where all were told at once; else null. */
		counted: { right: number; of: number } | null;
		/** Whether it is told how many were right; else only counts that it is done. */
		isScored: boolean;
		/** Right among what was told at once. */
		told: number;
		lookBack: ComponentProps<typeof LookBack>['questions'];
		/** Whether it is told once the set is due. */
		isToldLater: boolean;
		/** A few from before, in words; null for none. */
		review: string | null;
	}
	let { isPractice, counted, isScored, told, lookBack, isToldLater, review }: Props = $props();
</script>

<h1>All done</h1>
{#if isPractice && !isScored}
	<p>It is done, and that is what counts here.</p>
	{#if lookBack.length}<LookBack questions={lookBack} {told} {isScored} />{/if}
{:else if isPractice && counted}
	<p>You got <strong>{counted.right} of {counted.of}</strong> right at the first try.</p>
{:else if isPractice && lookBack.length}
	<LookBack questions={lookBack} {told} {isScored} />
{:else if isPractice && isToldLater}
	<p>What was right is told here once the set is due.</p>
{:else}
	<p>Thank you. Your answers help your teacher see what to do next.</p>
{/if}
{#if review}
	<form method="POST" action="/today?/start">
		<input type="hidden" name="kind" value="review" />
		<input type="hidden" name="id" value="1" />
		<p><strong>A few from before</strong>, so that you keep what you can do: {review}.</p>
		<button class="primary">Do them now</button>
	</form>
{/if}
<p class="end"><a class="button" class:primary={!review} href="/today">Back to my page</a></p>

<style>
	h1 + p {
		margin-top: 8px;
	}
	form {
		display: grid;
		gap: 16px;
		margin-top: 20px;
		border-top: 1px solid var(--rule);
		padding-top: 16px;
	}
	button {
		min-height: 52px;
		font-size: 1em;
	}
	.end {
		margin-top: 24px;
	}
	.end a {
		min-height: 52px;
	}
</style>
