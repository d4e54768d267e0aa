<!--
	Finds a student of the scope or a skill of the library by any part of a name or any word. Enter takes the first;
	arrow keys go through the rest; Escape closes and goes back to where the focus was.
-->
<script lang="ts">
	import { goto } from '$app/navigation';
	import type { Hit } from '$lib/core/finding';
	import { LibrarySearch } from '../library/librarySearch.svelte';
	import { keepingScope, setState } from './address';

	interface Props {
		students: { id: number; givenName: string; familyName: string; className: string }[];
		scopeInWords: string;
	}
	let { students, scopeInWords }: Props = $props();

	const MOST_STUDENTS = 6;
	const MOST_SKILLS = 5;
	let typed = $state('');
	let box: HTMLInputElement;
	let list = $state<HTMLElement>();
	const search = new LibrarySearch();

	const wanted = $derived(typed.trim().toLowerCase());
	const found = $derived(
		wanted.length < 2
			? []
			: students
					.filter(({ givenName, familyName }) => `${givenName} ${familyName}`.toLowerCase().includes(wanted))
					.slice(0, MOST_STUDENTS)
	);

	// When the server is away, students can still be found.
	const skills = $derived((search.hits ?? []).filter(({ kind }) => kind === 'skill').slice(0, MOST_SKILLS));

	/** What had the focus before, so that the keys of the page work again afterwards. */
	let before: HTMLElement | null = null;

	export function focus() {
		before = document.activeElement as HTMLElement | null;
		box.focus();
	}
	function leave() {
		const back = before?.isConnected && before !== document.body ? before : document.getElementById('work');
		back?.focus({ preventScroll: true });
	}

	function close() {
		typed = '';
		search.ask('');
	}
	function show(studentId: number) {
		setState({ student: studentId });
		close();
		leave();
	}
	function open(skill: Hit) {
		goto(keepingScope(`/library/${encodeURIComponent(skill.code)}`));
		close();
	}
	function onkeydown(event: KeyboardEvent) {
		const choices = [...(list?.querySelectorAll<HTMLElement>('button') ?? [])];
		const at = choices.indexOf(document.activeElement as HTMLElement);
		if (event.key === 'Escape') {
			close();
			leave();
		} else if (event.key === 'Enter' && at < 0) choices[0]?.click();
		else if (event.key === 'ArrowDown') (choices[at + 1] ?? choices[0])?.focus();
		else if (event.key === 'ArrowUp') (choices[at - 1] ?? box).focus();
		else return;
		event.preventDefault();
	}
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<div class="search" role="search" {onkeydown}>
	<input
		bind:this={box}
		bind:value={typed}
		oninput={() => search.ask(wanted.length < 2 ? '' : typed)}
		maxlength="120"
		placeholder="Find a student or skill  /"
		aria-label="Find a student in this scope, or a skill"
	/>
	{#if wanted.length >= 2}
		<ul bind:this={list}>
			{#each found as student (student.id)}
				<li>
					<button class="plain" onclick={() => show(student.id)}
						>{student.givenName} {student.familyName} <span class="soft">{student.className}</span></button
					>
				</li>
			{:else}
				<li class="soft">Nobody in {scopeInWords} is called that.</li>
			{/each}
			{#each skills as skill (skill.code)}
				<li>
					<button class="plain" onclick={() => open(skill)}
						>{skill.title} <span class="soft">{skill.code} · {skill.sits}</span></button
					>
				</li>
			{:else}
				<li class="soft">
					No skill is called that. <a href={keepingScope('/library')} onclick={close}>Browse the library</a>
				</li>
			{/each}
		</ul>
	{/if}
</div>

<style>
	.search {
		position: relative;
	}
	.search input {
		width: 200px;
	}
	.search ul {
		position: absolute;
		top: 36px;
		z-index: 30;
		list-style: none;
		margin: 0;
		padding: 6px;
		width: 340px;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		box-shadow: var(--float);
	}
	.search li button {
		width: 100%;
		justify-content: flex-start;
		color: var(--ink);
	}
</style>
