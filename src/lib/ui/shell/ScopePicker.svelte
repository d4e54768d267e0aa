<!-- Who is being looked at: a button that opens a list to type in. Arrow keys move, Enter chooses, Escape closes. -->
<script lang="ts">
	import { goto } from '$app/navigation';
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import { withState } from './address';

	interface Choice {
		key: string;
		label: string;
		kind: string;
	}
	let { label, count, choices }: { label: string; count: number; choices: Choice[] } = $props();

	let open = $state(false);
	let typed = $state('');
	let active = $state(0);
	let opener: HTMLButtonElement;
	const shown = $derived(choices.filter((choice) => choice.label.toLowerCase().includes(typed.trim().toLowerCase())));

	function choose(choice: Choice | undefined) {
		if (!choice) return;
		close();
		goto(withState({ scope: choice.key, student: null, cell: null }));
	}
	function close() {
		open = false;
		typed = '';
		active = 0;
		opener.focus();
	}
	function onkeydown(event: KeyboardEvent) {
		if (event.key === 'Escape') close();
		else if (event.key === 'ArrowDown') active = Math.min(active + 1, shown.length - 1);
		else if (event.key === 'ArrowUp') active = Math.max(active - 1, 0);
		else if (event.key === 'Enter') choose(shown[active]);
		else return;
		event.preventDefault();
	}
	const focusNow = (node: HTMLElement) => node.focus();
</script>

<div class="picker">
	<button bind:this={opener} aria-haspopup="dialog" aria-expanded={open} onclick={() => (open = !open)}>
		{label} <span class="soft">{count}</span>
		<ChevronDown size={14} aria-hidden="true" />
	</button>
	{#if open}
		<div class="list" role="dialog" aria-label="Who to look at">
			<input
				{@attach focusNow}
				bind:value={typed}
				oninput={() => (active = 0)}
				{onkeydown}
				role="combobox"
				aria-label="Find a grade, class or group"
				aria-expanded="true"
				aria-controls="scope-choices"
				aria-activedescendant={shown[active] ? `scope-${shown[active].key}` : undefined}
				placeholder="Find a grade, class or group"
			/>
			<ul id="scope-choices" role="listbox" aria-label="Scopes">
				{#each shown as choice, i (choice.key)}
					{#if i === 0 || shown[i - 1].kind !== choice.kind}<li class="kind soft" role="presentation">
							{choice.kind}
						</li>{/if}
					<!-- svelte-ignore a11y_click_events_have_key_events -->
					<li
						id="scope-{choice.key}"
						role="option"
						class:active={i === active}
						aria-selected={i === active}
						onclick={() => choose(choice)}
					>
						{choice.label}
					</li>
				{:else}
					<li class="soft" role="presentation">No grade, class or group is called that.</li>
				{/each}
			</ul>
		</div>
	{/if}
</div>

<style>
	.picker {
		position: relative;
	}
	.picker button {
		white-space: nowrap;
	}
	.list {
		position: absolute;
		z-index: 30;
		top: 36px;
		left: 0;
		width: 280px;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
		box-shadow: var(--float);
		padding: 8px;
	}
	input {
		width: 100%;
	}
	ul {
		list-style: none;
		margin: 6px 0 0;
		padding: 0;
		max-height: 60vh;
		overflow-y: auto;
	}
	li {
		padding: 4px 8px;
		border-radius: var(--corner);
	}
	li[role='option'] {
		cursor: pointer;
	}
	li.active,
	li[role='option']:hover {
		background: var(--verdigris-wash);
	}
	.kind {
		font-size: 0.85rem;
		padding-top: 8px;
	}
</style>
