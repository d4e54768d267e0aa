<!-- What can be done to a group: its focus, who joins and leaves, a pause, its last day, its name. Each from a day on. -->
<script lang="ts">
	import { keepValues } from '$lib/ui/form/keepValues';
	import { enhance } from '$app/forms';
	import { sayLeaving, type GroupWork } from '$lib/core/grouping';
	import StudentPicker from '../form/StudentPicker.svelte';

	interface Props {
		group: { name: string; focusSkillId: number; endsOn: string; pausedUntil: string | null };
		students: { id: number; name: string; work: GroupWork }[];
		skills: { id: number; code: string; shortName: string }[];
		/** Where a student could move to. */
		others: { id: number; name: string; tier: number; focusSkillId: number; focus: string; when: string }[];
		today: string;
		/** From when a change holds unless another day is chosen. */
		changesOn: string;
	}
	let { group, students, skills, others, today, changesOn }: Props = $props();

	const kinds = $derived({
		join: 'Somebody joins',
		leave: 'Somebody leaves',
		...(others.length ? { move: 'Somebody moves to another group' } : {}),
		focus: 'Change the focus',
		...(group.pausedUntil ? { resume: 'Meet again' } : { pause: 'Pause' }),
		end: 'Change the last day',
		rename: 'Rename'
	});
	type Kind = 'join' | 'leave' | 'move' | 'focus' | 'resume' | 'pause' | 'end' | 'rename';
	let kind = $state<Kind>('join');
	let who = $state<number | null>(null);
	let to = $state<number | null>(null);
	const destination = $derived(others.find(({ id }) => id === to) ?? null);
	const leaver = $derived(students.find(({ id }) => id === who) ?? null);
	/** What becomes of the student's work, said before it is done. */
	const ends = $derived(
		leaver ? sayLeaving([leaver.work], kind === 'move' ? (destination?.focusSkillId ?? null) : null) : ''
	);
</script>

<section class="no-print">
	<h2>Change the group</h2>
	<form method="POST" action="?/change" use:enhance={keepValues}>
		<select name="kind" aria-label="What changes" bind:value={kind}>
			{#each Object.entries(kinds) as [value, says] (value)}<option {value}>{says}</option>{/each}
		</select>
		{#if kind === 'join'}
			<StudentPicker label="Who joins" name="students" not={students.map(({ id }) => id)} />
		{:else if kind === 'leave' || kind === 'move'}
			<select name="students" aria-label={kind === 'leave' ? 'Who leaves' : 'Who moves'} required bind:value={who}>
				<option value={null} disabled>choose a student</option>
				{#each students as { id, name } (id)}<option value={id}>{name}</option>{/each}
			</select>
			{#if kind === 'move'}
				<select name="to" aria-label="To which group" required bind:value={to}>
					<option value={null} disabled>choose a group</option>
					{#each others as { id, name, tier, focus, when } (id)}
						<option value={id}>{name}, tier {tier}, {focus} ({when})</option>
					{/each}
				</select>
			{/if}
			{#if leaver}<p class="soft" aria-live="polite">{ends || 'Nothing of this group waits for the student.'}</p>{/if}
		{:else if kind === 'focus'}
			<select name="skill" aria-label="The new focus" required>
				{#each skills as { id, code, shortName } (id)}<option value={id} disabled={id === group.focusSkillId}
						>{shortName} · {code}</option
					>{/each}
			</select>
		{:else if kind === 'rename'}
			<input name="name" aria-label="The new name" maxlength="80" value={group.name} required />
		{/if}
		{#if kind === 'rename'}
			<input type="hidden" name="on" value={today} />
		{:else}
			<label
				>{kind === 'end' ? 'Last day' : 'From'}
				{#key kind}<input
						type="date"
						name="on"
						value={kind === 'end' ? group.endsOn : kind === 'leave' || kind === 'resume' ? today : changesOn}
						required
					/>{/key}</label
			>
		{/if}
		{#if kind === 'pause'}<label>meets again on <input type="date" name="untilOn" /></label>{/if}
		{#if kind !== 'rename'}<input
				name="reason"
				aria-label="Reason"
				maxlength="500"
				placeholder="reason, if you like"
			/>{/if}
		<button>{kinds[kind as keyof typeof kinds] ?? 'Change'}</button>
	</form>
</section>

<style>
	section {
		margin-top: 18px;
		display: grid;
		gap: 6px;
	}
	form {
		display: grid;
		gap: 6px;
		justify-items: start;
	}
	select,
	input[name='name'],
	input[name='reason'] {
		width: 100%;
	}
</style>
