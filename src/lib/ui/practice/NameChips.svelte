<!-- Names of those whom something is for, each of which can be left out and taken back in. -->
<script lang="ts">
	interface Props {
		label: string;
		students: { id: number; name: string; isOut: boolean; isWarned?: boolean }[];
		leaveOut: (id: number) => void;
		takeBackIn: (id: number) => void;
	}
	let { label, students, leaveOut, takeBackIn }: Props = $props();
</script>

<ul aria-label={label}>
	{#each students as { id, name, isOut, isWarned } (id)}
		<li class:warned={isWarned} class:out={isOut}>
			{name}
			{#if isOut}
				<button type="button" class="plain" aria-label="Take {name} back in" onclick={() => takeBackIn(id)}>+</button>
			{:else}
				<button type="button" class="plain" aria-label="Leave out {name}" onclick={() => leaveOut(id)}>×</button>
			{/if}
		</li>
	{/each}
</ul>

<style>
	ul {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 6px;
		list-style: none;
		margin: 0;
		padding: 0;
		max-height: 142px;
		overflow-y: auto;
	}
	li {
		display: flex;
		align-items: center;
		padding-left: 8px;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
	}
	.warned {
		border-color: var(--gap-ink);
	}
	.out {
		color: var(--ink-soft);
		text-decoration: line-through;
		border-style: dashed;
	}
	button {
		min-height: 26px;
		min-width: 26px;
		padding: 0;
	}
</style>
