<!-- What the needles of a map mean. -->
<script lang="ts">
	import Needle from '../glyphs/Needle.svelte';
	import { standingWords, type NeedleState } from '../glyphs/standings';

	let { ground }: { ground: boolean } = $props();
</script>

<p>
	{#each Object.entries(standingWords) as [state, name] (state)}<span
			><Needle state={state as NeedleState} size={18} {ground} />{name}</span
		>{/each}
	<span><Needle state="forming" inferred size={18} />inferred, no evidence yet</span>
	<span><Needle state="gap" ready size={18} {ground} />ready next</span>
</p>

<style>
	p {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
	}
	span {
		display: inline-flex;
		gap: 6px;
		align-items: center;
	}
</style>
