<!-- What the needles of a map mean. -->
<script lang="ts">
	import Needle from '../glyphs/Needle.svelte';
	import { standingWords } from '$lib/core/mastery';

	let { ground }: { ground: boolean } = $props();

	const SEEN = ['gap', 'forming', 'secure', 'slipping'] as const;
</script>

<p>
	{#each SEEN as state (state)}<span><Needle {state} size={18} {ground} />{standingWords[state]}</span>{/each}
	<span><Needle state="forming" inferred size={18} />Unseen: as what is near suggests</span>
	<span><Needle state="forming" quiet size={18} {ground} />pale: known only roughly</span>
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
