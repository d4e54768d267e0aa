<!-- What is otherwise for some students within the same set; what helps them everywhere is named. -->
<script lang="ts">
	import { sayDate } from '$lib/core/calendar';
	import { NO_VARIATION, type Variation } from '$lib/core/practice';
	import AssignPart from './AssignPart.svelte';
	import type { ForSomeEntry, NewSet } from './newSet.svelte';
	import { OWN_CHOICES } from './ownChoices';
	import { sayVariation } from './saySet';
	import { sayNames } from './sayWarning';

	let { newSet, moreTime }: { newSet: NewSet; moreTime: string } = $props();

	let isOpen = $state(false);
	let ids = $state<number[]>([]);
	let dueOn = $derived(moreTime);
	let practice = $state<number | null>(null);
	let own = $state<Record<string, string>>({});

	const nameOf = (id: number) => newSet.students.find((student) => student.id === id)?.name;
	const present = (entry: ForSomeEntry) => entry.ids.filter((id) => nameOf(id) !== undefined);
	const helped = (kind: 'readAloud' | 'largerType') =>
		newSet.students.filter((student) => student[kind]).map(({ name }) => name);
	const yesNo = (value: string | undefined) => (value ? value === 'yes' : null);

	function add() {
		const variation: Variation = {
			...NO_VARIATION,
			practice,
			families: (own.families as Variation['families']) || null,
			hints: yesNo(own.hints),
			readAloud: yesNo(own.readAloud),
			largerType: yesNo(own.largerType)
		};
		newSet.addSome({ ids: [...ids], dueOn: dueOn || null, variation });
		[ids, practice, own, isOpen] = [[], null, {}, false];
	}
	const says = (entry: ForSomeEntry) =>
		[entry.dueOn && `due ${sayDate(entry.dueOn)}`, sayVariation(entry.variation)].filter(Boolean).join('; ');
</script>

<AssignPart name="For some">
	{#each newSet.some.filter((entry) => present(entry).length) as entry (entry)}
		<p class="entry">
			{sayNames(present(entry).map((id) => nameOf(id)!))}: {says(entry)}
			<button class="plain" aria-label="As for all again" onclick={() => newSet.removeSome(entry)}>×</button>
		</p>
	{/each}
	{#if helped('readAloud').length}<p class="soft">Read aloud, as always: {sayNames(helped('readAloud'))}.</p>{/if}
	{#if helped('largerType').length}<p class="soft">Larger type, as always: {sayNames(helped('largerType'))}.</p>{/if}
	{#if isOpen}
		<div class="new">
			<label
				>Who <select multiple size={Math.min(6, Math.max(2, newSet.students.length))} bind:value={ids}>
					{#each newSet.students as { id, name } (id)}<option value={id}>{name}</option>{/each}
				</select></label
			>
			<label>due <input type="date" min={newSet.opensOn} bind:value={dueOn} /></label>
			<label
				>questions <input
					type="number"
					min="1"
					max={newSet.practice}
					placeholder={String(newSet.practice)}
					bind:value={practice}
				/></label
			>
			{#each OWN_CHOICES as { name, label, options } (name)}
				<label
					>{label.toLowerCase()}
					<select bind:value={own[name]}>
						<option value={undefined}>as for all</option>
						{#each options as { value, says } (value)}<option {value}>{says}</option>{/each}
					</select></label
				>
			{/each}
			<button disabled={ids.length === 0} onclick={add}>Add</button>
			<button class="plain" onclick={() => (isOpen = false)}>Cancel</button>
		</div>
	{:else}
		<p>
			<button disabled={newSet.students.length === 0} onclick={() => (isOpen = true)}
				>Otherwise for one or several</button
			>
		</p>
	{/if}
</AssignPart>

<style>
	.entry button {
		min-height: 26px;
		padding: 0 4px;
	}
	.new {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 14px;
		align-items: end;
	}
	.new input[type='number'] {
		width: 64px;
	}
	.new select[multiple] {
		min-width: 180px;
	}
</style>
