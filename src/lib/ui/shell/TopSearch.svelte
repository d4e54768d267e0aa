<!--
	Finds a student, of the scope first and else of all whom the person may see, or a skill of the library by any part of a name or any word. Arrow keys go through what
	is found, Enter takes the first or the one that is marked; Escape closes and goes back to where the focus was.
-->
<script lang="ts">
	import { fullName } from '$lib/core/words';
	import { Combobox } from 'bits-ui';
	import { onDestroy, tick } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import type { Hit } from '$lib/core/finding';
	import { Search } from '../form/search.svelte';
	import type { FoundStudent } from '../form/foundStudent';
	import { keepingScope, setState } from './address';

	let { scopeInWords }: { scopeInWords: string } = $props();

	const MOST_STUDENTS = 6;
	const MOST_SKILLS = 5;
	/** No skill: the library itself. */
	const BROWSE = 'skill:';
	let typed = $state('');
	let box = $state<HTMLElement | null>(null);
	const students = new Search<FoundStudent>('/students/find');
	/** Asked where nobody in the scope is called so. */
	const beyond = new Search<FoundStudent>('/students/find');
	const library = new Search<Hit>('/library/find');
	onDestroy(() => {
		students.stop();
		beyond.stop();
		library.stop();
	});

	const isAsked = $derived(typed.trim().length >= 2);
	/** What both said to the last question; shown at once, so that what is marked is the first of all. */
	let answer = $state.raw<{ students: FoundStudent[]; isBeyond: boolean; skills: Hit[] } | null>(null);

	/** What had the focus before, so that the keys of the page work again afterwards. */
	let before: HTMLElement | null = null;

	export function focus() {
		before = document.activeElement as HTMLElement | null;
		box?.focus();
	}
	function leave() {
		const back = before?.isConnected && before !== document.body ? before : document.getElementById('work');
		back?.focus({ preventScroll: true });
	}
	let asked: Promise<unknown> = Promise.resolve();
	let isAsking = false;
	async function askStudents(wanted: string) {
		beyond.stop();
		const scope = page.data.scope.key;
		await students.ask(wanted, { scope });
		if (wanted && wanted !== typed) return;
		const isElsewhere = wanted && scope !== 'school' && students.found?.length === 0;
		await beyond.ask(isElsewhere ? wanted : '', { scope: 'school' });
	}
	function ask(text: string) {
		typed = text;
		const wanted = isAsked ? text : '';
		const now = Promise.all([askStudents(wanted), library.ask(wanted)]).then(() => {
			if (asked !== now) return;
			isAsking = false;
			const isBeyond = Boolean(beyond.found?.length);
			answer = wanted
				? {
						students: ((isBeyond ? beyond.found : students.found) ?? []).slice(0, MOST_STUDENTS),
						isBeyond,
						skills: (library.found ?? []).filter(({ kind }) => kind === 'skill').slice(0, MOST_SKILLS)
					}
				: null;
		});
		asked = now;
		isAsking = true;
	}
	/** Enter before the answer has come takes the first of what comes. */
	async function onkeydown(event: KeyboardEvent) {
		if (event.key !== 'Enter' || !isAsked) return;
		const marked = (event.currentTarget as HTMLElement).getAttribute('aria-activedescendant');
		if (!isAsking && marked && document.getElementById(marked)) return;
		event.preventDefault();
		await asked;
		if (!answer) return;
		const [student, skill] = [answer.students[0], answer.skills[0]];
		take(student ? `student:${student.id}` : skill ? `skill:${skill.code}` : BROWSE);
	}
	function close() {
		ask('');
		leave();
	}
	/** @param choice `student:12`, `skill:F41` or `skill:` */
	function take(choice: string) {
		const [kind, value] = [choice.slice(0, choice.indexOf(':')), choice.slice(choice.indexOf(':') + 1)];
		if (kind === 'student') setState(answer?.isBeyond ? { student: value, scope: 'school' } : { student: value });
		if (kind === 'skill') goto(keepingScope(value ? `/library/${encodeURIComponent(value)}` : '/library'));
		// Once the list has put the name of what was chosen into the box.
		if (kind) void tick().then(close);
	}
</script>

<div class="search" role="search">
	<Combobox.Root
		type="single"
		bind:open={() => isAsked, (isOpen) => !isOpen && isAsked && close()}
		value=""
		inputValue={typed}
		onValueChange={take}
		allowDeselect={false}
	>
		<Combobox.Input
			bind:ref={box}
			oninput={(event) => ask(event.currentTarget.value)}
			{onkeydown}
			maxlength={120}
			placeholder="Find a student or skill  /"
			aria-label="Find a student or a skill"
		/>
		<Combobox.Portal disabled>
			<Combobox.Content class="floating" sideOffset={4} align="start" preventScroll={false} aria-label="Found">
				{#key answer}
					{#if answer?.isBeyond}
						<Combobox.Item class="option" disabled value="beyond" label="">
							Nobody in {scopeInWords} is called that; elsewhere:
						</Combobox.Item>
					{/if}
					{#each answer?.students ?? [] as student (student.id)}
						<Combobox.Item class="option" value="student:{student.id}" label={fullName(student)}>
							{fullName(student)} <span class="soft">{student.className}</span>
						</Combobox.Item>
					{:else}
						<Combobox.Item class="option" disabled value="nobody" label="">
							{#if answer}
								Nobody is called that. Newcomers come with the class list that the coordinator brings in.
							{:else}Looking …{/if}
						</Combobox.Item>
					{/each}
					{#each answer?.skills ?? [] as skill (skill.code)}
						<Combobox.Item class="option" value="skill:{skill.code}" label={skill.title}>
							{skill.title} <span class="soft">{skill.code} · {skill.sits}</span>
						</Combobox.Item>
					{:else}
						{#if answer}
							<Combobox.Item class="option" value={BROWSE} label="Library">
								No skill is called that: browse the library
							</Combobox.Item>
						{/if}
					{/each}
				{/key}
				{#if students.failed || library.failed}
					<Combobox.Item class="option" disabled value="failed" label="">
						The server could not be asked. Try again in a moment.
					</Combobox.Item>
				{/if}
			</Combobox.Content>
		</Combobox.Portal>
	</Combobox.Root>
</div>

<style>
	.search :global(input) {
		width: 200px;
	}
</style>
