<!-- What can be noted of students in a window, and what they need to sit it. Says who and how many. -->
<script lang="ts">
	import { fullName, plural } from '$lib/core/words';
	import { enhance } from '$app/forms';
	import Dialog from '../shell/Dialog.svelte';
	import type { SittingRow } from './sittingRows';

	interface Props {
		what: 'excused' | 'make-up' | 'accommodate';
		/** Ids of all students that are meant. */
		ids: number[];
		/** Those of them whose rows have come, the first among them. */
		students: SittingRow[];
		windowId: number;
		/** A day to offer for a make-up. */
		day: string;
		onclose: () => void;
	}
	let { what, ids, students, windowId, day, onclose }: Props = $props();

	const titles = { excused: 'Excuse from this window', 'make-up': 'Let make up', accommodate: 'Accommodations' };
	const MOST_NAMED = 6;
	const names = $derived(
		students.slice(0, MOST_NAMED).map(fullName).join(', ') +
			(ids.length > MOST_NAMED ? ` and ${ids.length - MOST_NAMED} more` : '')
	);
	const first = $derived(students[0].accommodation);
</script>

<Dialog title={titles[what]} {onclose}>
	<form
		method="POST"
		action={what === 'accommodate' ? '?/accommodate' : '?/note'}
		use:enhance={() =>
			async ({ update }) => {
				onclose();
				await update({ reset: false });
			}}
	>
		<p><strong>{plural(ids.length, 'student')}:</strong> {names}</p>
		<input type="hidden" name="students" value={ids.join(',')} />
		{#if what === 'accommodate'}
			<label><input type="checkbox" name="readAloud" checked={first.readAloud} /> Read questions aloud on request</label
			>
			<label><input type="checkbox" name="largerType" checked={first.largerType} /> Larger type</label>
			<label>
				Time
				<select name="timeFactor">
					{#each [1, 1.5, 2] as factor (factor)}
						<option value={factor} selected={first.timeFactor === factor}
							>{factor === 1 ? 'as usual' : `${factor} times the usual`}</option
						>
					{/each}
				</select>
			</label>
			<p class="soft">
				A diagnostic has no clock. More time puts off the point at which it is left for the next day: 40 minutes of
				answering as usual.
			</p>
			<label>
				Most questions a day
				<select name="itemsADay">
					<option value="">no limit</option>
					{#each [5, 10, 15, 20] as most (most)}<option value={most} selected={first.itemsADay === most}>{most}</option
						>{/each}
				</select>
			</label>
			<button class="primary">Set for {plural(ids.length, 'student')}</button>
		{:else}
			<input type="hidden" name="window" value={windowId} />
			<input type="hidden" name="kind" value={what} />
			{#if what === 'excused'}
				<label for="reason">Why</label>
				<input
					id="reason"
					name="reason"
					required
					maxlength="200"
					placeholder="Joined in November, tested at the last school"
				/>
				<p class="soft">The window does not ask excused students. They stay on the board.</p>
			{:else}
				<label for="makeUp">Until</label>
				<input id="makeUp" name="makeUp" type="date" required value={day} />
				<p class="soft">The diagnostic stays on their page through this day, also after the window has closed.</p>
			{/if}
			<button class="primary"
				>{what === 'excused' ? 'Excuse' : 'Let'}
				{plural(ids.length, 'student')}{what === 'make-up' ? ' make up' : ''}</button
			>
		{/if}
	</form>
</Dialog>

<style>
	form {
		display: grid;
		gap: 8px;
		min-width: 340px;
	}
</style>
