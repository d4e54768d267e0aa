<!-- Below the needle map: it goes to paper as a whole, and says where rows could not be loaded. -->
<script lang="ts">
	import { flushSync } from 'svelte';
	import type { Rows } from '../table/rows.svelte';
	import type { MapStudent } from './map';

	interface Props {
		rows: Rows<MapStudent>;
		/** Whether all rows are drawn, for paper. */
		isPrinting: boolean;
		onretry: () => void;
	}
	let { rows, isPrinting = $bindable(), onretry }: Props = $props();

	/** Every row is asked for first. */
	async function printAll() {
		await rows.all();
		print(true);
		window.print();
		print(false);
	}
	function print(is: boolean) {
		flushSync(() => (isPrinting = is));
	}
</script>

<svelte:window onbeforeprint={() => print(true)} onafterprint={() => print(false)} />
<p class="no-print">
	<button class="plain" onclick={printAll}>Print all {rows.ids.length} rows</button>
	{#if rows.failed}<span role="alert"
			>Some rows could not be loaded. <button class="plain" onclick={onretry}>Try again</button></span
		>{/if}
</p>

<style>
	p {
		margin-top: 6px;
	}
</style>
