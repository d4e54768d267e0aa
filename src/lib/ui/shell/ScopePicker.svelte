<!-- Who is being looked at: a button that opens a list to type in. Arrow keys move, Enter chooses, Escape closes. -->
<script lang="ts">
	import { Combobox } from 'bits-ui';
	import { goto } from '$app/navigation';
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import { withState } from './address';

	interface Choice {
		key: string;
		label: string;
		kind: string;
	}
	let { label, count }: { label: string; count: number } = $props();

	let open = $state(false);
	let typed = $state('');
	let choices = $state<Choice[] | 'failed' | null>(null);
	/** Enter was pressed before there was anything to choose from: the first of what comes is meant. */
	let isFirstMeant = false;
	let opener: HTMLButtonElement;
	let list = $state<HTMLElement>();
	const shown = $derived(
		Array.isArray(choices)
			? choices.filter((choice) => choice.label.toLowerCase().includes(typed.trim().toLowerCase()))
			: []
	);
	const kinds = $derived([...new Set(shown.map(({ kind }) => kind))]);

	async function toggle() {
		setOpen(!open);
		if (!open) return;
		const reply = await fetch('/scopes').catch(() => null);
		choices = reply?.ok ? (await reply.json()).choices : 'failed';
		if (isFirstMeant) chooseFirst();
	}
	function setOpen(isOpen: boolean) {
		open = isOpen;
		typed = '';
		isFirstMeant = false;
		if (!isOpen) opener.focus({ preventScroll: true });
	}
	/** Whoever types faster than the list follows is understood; the combobox itself would close without a choice. */
	function onkeydowncapture(event: KeyboardEvent) {
		if (event.key !== 'Enter' || (choices !== null && list!.querySelector('[data-highlighted]'))) return;
		event.preventDefault();
		event.stopPropagation();
		if (choices === null) isFirstMeant = true;
		else chooseFirst();
	}
	function chooseFirst() {
		if (shown.length === 0) return;
		const [{ key }] = shown;
		setOpen(false);
		choose(key);
	}
	function choose(key: string) {
		if (key) goto(withState({ scope: key, student: null, cell: null }));
	}
	const focusNow = (node: HTMLElement) => node.focus();
</script>

<div class="picker">
	<button bind:this={opener} aria-haspopup="dialog" aria-expanded={open} onclick={toggle}>
		{label} <span class="soft">{count}</span>
		<ChevronDown size={14} aria-hidden="true" />
	</button>
	{#if open}
		<div
			class="floating list"
			role="dialog"
			aria-label="Who to look at"
			tabindex="-1"
			bind:this={list}
			{onkeydowncapture}
		>
			<Combobox.Root type="single" bind:open={() => open, setOpen} value="" inputValue={typed} onValueChange={choose}>
				<Combobox.Input
					{@attach focusNow}
					oninput={(event) => (typed = event.currentTarget.value)}
					aria-label="Find a grade, class or group"
					placeholder="Find a grade, class or group"
				/>
				<Combobox.ContentStatic class="choices" aria-label="Scopes">
					{#each kinds as kind (kind)}
						<Combobox.Group>
							<Combobox.GroupHeading class="kind soft">{kind}</Combobox.GroupHeading>
							{#each shown.filter((choice) => choice.kind === kind) as choice (choice.key)}
								<Combobox.Item class="option" value={choice.key} label={choice.label}>{choice.label}</Combobox.Item>
							{/each}
						</Combobox.Group>
					{:else}
						<Combobox.Item class="option" disabled value="none" label="">
							{choices === null
								? 'Loading …'
								: choices === 'failed'
									? 'The server could not be asked. Try again in a moment.'
									: 'No grade, class or group is called that.'}
						</Combobox.Item>
					{/each}
				</Combobox.ContentStatic>
			</Combobox.Root>
		</div>
	{/if}
</div>

<style>
	.picker {
		position: relative;
	}
	.picker > button {
		white-space: nowrap;
	}
	.list {
		position: absolute;
		top: 36px;
		left: 0;
		width: 280px;
	}
	.list :global(input) {
		width: 100%;
		margin-bottom: 6px;
	}
	.list :global(.choices) {
		max-height: 60vh;
		overflow-y: auto;
	}
	.list :global(.kind) {
		padding: 8px 8px 0;
		font-size: 0.85rem;
	}
</style>
