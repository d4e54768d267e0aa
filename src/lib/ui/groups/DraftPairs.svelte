<!-- Students who must be apart or together, for this draft. -->
<script lang="ts">
	import { plural } from '$lib/core/words';
	import type { BoardNames, BoardStudent } from './board';
	import type { Draft } from './draft.svelte';

	let { draft, students, names }: { draft: Draft; students: BoardStudent[]; names: BoardNames } = $props();

	let kind = $state<'apart' | 'together'>('apart');
	let one = $state('');
	let other = $state('');
	const count = $derived(draft.limits.apart.length + draft.limits.together.length);

	function add() {
		if (!one || !other || one === other) return;
		const has = draft.limits[kind].some((pair) => pair.includes(one) && pair.includes(other));
		if (!has) draft.limits[kind] = [...draft.limits[kind], [one, other]];
		one = other = '';
	}
	function remove(from: 'apart' | 'together', i: number) {
		draft.limits[from] = draft.limits[from].filter((_, k) => k !== i);
	}
</script>

<details>
	<summary>{count === 0 ? 'nobody apart or together' : `${plural(count, 'pair')} apart or together`}</summary>
	<div class="sheet">
		{#each ['apart', 'together'] as const as which (which)}
			{#each draft.limits[which] as pair, i (pair.join(' '))}
				<p>
					{names.student(pair[0])} and {names.student(pair[1])}: {which}
					<button
						type="button"
						class="plain"
						aria-label="{names.student(pair[0])} and {names.student(pair[1])} need not be {which}"
						onclick={() => remove(which, i)}>Remove</button
					>
				</p>
			{/each}
		{/each}
		<div class="new">
			{#each [0, 1] as place (place)}
				<select
					aria-label={place ? 'Second student' : 'First student'}
					value={place ? other : one}
					onchange={(event) => (place ? (other = event.currentTarget.value) : (one = event.currentTarget.value))}
				>
					<option value="">choose a student</option>
					{#each students as { id } (id)}<option value={String(id)}>{names.student(String(id))}</option>{/each}
				</select>
			{/each}
			<select aria-label="Apart or together" bind:value={kind}>
				<option value="apart">apart</option>
				<option value="together">together</option>
			</select>
			<button type="button" onclick={add}>Add pair</button>
		</div>
	</div>
</details>

<style>
	.new {
		display: flex;
		gap: 6px;
	}
	.new select {
		max-width: 180px;
	}
</style>
