<!-- A rule of who enters a tier to be tried: what it would change is shown before it is taken. <TierRuleFields {rule} /> -->
<script lang="ts">
	import { goto } from '$app/navigation';
	import type { TierRule } from '$lib/core/growth';
	import { withState } from '../shell/address';

	let { rule }: { rule: TierRule } = $props();

	function tryIt(event: SubmitEvent) {
		event.preventDefault();
		const fields = new FormData(event.currentTarget as HTMLFormElement);
		const asked = (name: string) => String(fields.get(name) ?? '') || null;
		const names = ['farBelow', 'sure', 'gaps', 'leastWeeks', 'mostWeeks'];
		void goto(
			withState({ ...Object.fromEntries(names.map((name) => [name, asked(name)])), word: asked('word') ?? 'no' }),
			{ noScroll: true, keepFocus: true }
		);
	}
</script>

<form onsubmit={tryIt} aria-label="Another rule">
	<label
		>Tier 3 from so many points under the cut
		<input type="number" name="farBelow" min="1" max="200" value={rule.farBelow} required /></label
	>
	<label
		>Sure to, in 100
		<input type="number" name="sure" min="50" max="95" value={Math.round(100 * rule.sure)} required /></label
	>
	<label
		>Gaps that count where it may be under (0: none do)
		<input type="number" name="gaps" min="0" max="50" value={rule.gaps ?? 0} required /></label
	>
	<label><input type="checkbox" name="word" value="yes" checked={rule.word} /> an adult’s word counts, too</label>
	<label
		>First review after weeks, soonest
		<input type="number" name="leastWeeks" min="1" max="20" value={rule.leastWeeks} required /></label
	>
	<label>latest <input type="number" name="mostWeeks" min="1" max="30" value={rule.mostWeeks} required /></label>
	<button>See whom it would move</button>
</form>

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 18px;
		align-items: center;
		margin: 8px 0;
	}
	input[type='number'] {
		width: 76px;
	}
</style>
