<!--
	Which part of a list is shown, and the ways to the parts before and after it; nothing where it is all.

	<Pager from={20} most={20} total={57} name="decided" />
-->
<script lang="ts">
	import { withState } from '../shell/address';

	interface Props {
		/** Place of the first that is shown, from 0. */
		from: number;
		/** As many as are shown at once. */
		most: number;
		total: number;
		/** Of the address's parameter. */
		name: string;
	}
	let { from, most, total, name }: Props = $props();
</script>

{#if total > most || from > 0}
	<p class="pager no-print">
		<span class="soft">{Math.min(from + 1, total)} to {Math.min(from + most, total)} of {total}</span>
		{#if from > 0}<a href={withState({ [name]: from > most ? from - most : null })}>Those before</a>{/if}
		{#if from + most < total}<a href={withState({ [name]: from + most })}
				>The next {Math.min(most, total - from - most)}</a
			>{/if}
	</p>
{/if}

<style>
	.pager {
		display: flex;
		gap: 16px;
		margin: 8px 0;
	}
</style>
