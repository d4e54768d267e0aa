<!-- Selects all rows that are shown, or none. <SelectShown ids={[4, 7]} bind:chosen /> -->
<script lang="ts">
	interface Props {
		/** Of the rows that are shown. */
		ids: number[];
		chosen: number[];
	}
	let { ids, chosen = $bindable() }: Props = $props();
	const isAll = $derived(ids.every((id) => chosen.includes(id)));
</script>

{#if ids.length}
	<p class="no-print">
		<button type="button" class="plain" onclick={() => (chosen = isAll ? [] : ids)}
			>{isAll ? 'Select nobody' : `Select the ${ids.length} shown`}</button
		>
	</p>
{/if}
