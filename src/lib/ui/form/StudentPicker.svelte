<!--
	One student, of all whom the person may see, found by typing part of a name. In a form the choice goes by `name`.

	<StudentPicker label="Who joins" name="students" not={ids} />
-->
<script lang="ts">
	import { fullName } from '$lib/core/words';
	import { Combobox } from 'bits-ui';
	import { onDestroy } from 'svelte';
	import { sayFound, type FoundStudent } from './foundStudent';
	import { Search } from './search.svelte';

	interface Props {
		label: string;
		/** Of the form's field. */
		name?: string;
		/** Ids of students who cannot be chosen. */
		not?: number[];
		/** The one that is chosen; null for nobody. */
		chosen?: FoundStudent | null;
	}
	let { label, name, not = [], chosen = $bindable(null) }: Props = $props();

	let typed = $state('');
	let open = $state(false);
	const search = new Search<FoundStudent>('/students/find');
	onDestroy(() => search.stop());
	const found = $derived((search.found ?? []).filter(({ id }) => !not.includes(id)));
	const shown = $derived(chosen ? sayFound(chosen) : typed);

	function ask(text: string) {
		chosen = null;
		typed = text;
		open = text.trim() !== '';
		search.ask(text, { scope: 'school' });
	}
	function take(id: string) {
		chosen = found.find((student) => String(student.id) === id) ?? chosen;
		typed = '';
	}
</script>

<Combobox.Root type="single" bind:open value={String(chosen?.id ?? '')} inputValue={shown} onValueChange={take}>
	<Combobox.Input
		oninput={(event) => ask(event.currentTarget.value)}
		aria-label={label}
		placeholder="type a name"
		maxlength={120}
		autocomplete="off"
	/>
	<Combobox.Portal disabled>
		<Combobox.Content class="floating" sideOffset={4} align="start" preventScroll={false} aria-label="Students found">
			{#each found as student (student.id)}
				<Combobox.Item class="option" value={String(student.id)} label={sayFound(student)}>
					{fullName(student)} <span class="soft">{student.className}</span>
				</Combobox.Item>
			{:else}
				<Combobox.Item class="option" disabled value="nobody" label="">
					{search.failed
						? 'The server could not be asked. Try again in a moment.'
						: search.found
							? 'Nobody else is called that.'
							: 'Looking …'}
				</Combobox.Item>
			{/each}
		</Combobox.Content>
	</Combobox.Portal>
</Combobox.Root>
{#if name && chosen}<input type="hidden" {name} value={chosen.id} />{/if}
