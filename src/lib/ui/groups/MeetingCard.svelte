<!--
	A meeting of a group: who is here, in two taps (everybody is until tapped; then Save), the exit ticket's result by
	student, and a note. What is on record is shown, and can be changed.
-->
<script lang="ts">
	import { enhance } from '$app/forms';
	import { AWAY, type Away, NOT_HELD, type NotHeld } from '$lib/core/timetable';
	import { keepingScope } from '../shell/address';

	interface Props {
		groupId: number;
		on: string;
		students: { id: number; name: string; helps: boolean }[];
		/** What is on record of that day. */
		record: {
			held: boolean;
			whyNot: NotHeld | null;
			makesUp: string | null;
			note: string;
			students: { studentId: number; present: boolean; whyAway: Away | null; ticketRight: number | null }[];
		} | null;
		/** Questions of the exit ticket. */
		ticket: number;
		may: boolean;
	}
	let { groupId, on, students, record, ticket, may }: Props = $props();

	/** What was tapped and is not saved yet. */
	let away = $state<Record<number, boolean>>({});
	let right = $state<Record<number, number | null>>({});
	let whyAway = $state<Record<number, Away | null>>({});
	let whyNot = $state<NotHeld | ''>('');
	let note = $state<string | null>(null);

	const recordOf = (id: number) => record?.students.find(({ studentId }) => studentId === id);
	const isHere = (id: number) => !(away[id] ?? (recordOf(id) ? !recordOf(id)!.present : record?.held === false));
	const rightOf = (id: number) => (id in right ? right[id] : (recordOf(id)?.ticketRight ?? null));
	const whyAwayOf = (id: number) => (id in whyAway ? whyAway[id] : (recordOf(id)?.whyAway ?? null));
	const said = $derived(note ?? record?.note ?? '');
	const isSaved = $derived(Boolean(record));
	const isChanged = $derived(
		Object.keys(away).length > 0 || Object.keys(right).length > 0 || Object.keys(whyAway).length > 0 || note !== null
	);
	const whole = (held: boolean) =>
		JSON.stringify({
			groupId,
			on,
			held,
			whyNot: held ? null : whyNot || null,
			makesUp: held ? (record?.makesUp ?? null) : null,
			note: said.trim(),
			students: held
				? students.map(({ id }) => ({
						studentId: id,
						present: isHere(id),
						whyAway: isHere(id) ? null : whyAwayOf(id),
						ticketRight: isHere(id) ? rightOf(id) : null
					}))
				: []
		});
	const here = $derived(students.filter(({ id }) => isHere(id)).length);

	function turnTicket(id: number) {
		const now = rightOf(id);
		right = { ...right, [id]: now === null ? ticket : now === 0 ? null : now - 1 };
	}
	const saved =
		() =>
		async ({ update }: { update: (options?: { reset?: boolean }) => Promise<void> }) => {
			await update({ reset: false });
			[away, right, whyAway, note] = [{}, {}, {}, null];
		};
</script>

<div class="card">
	<ul>
		{#each students as { id, name, helps } (id)}
			<li>
				<button
					type="button"
					class="who"
					aria-pressed={isHere(id)}
					disabled={!may}
					onclick={() => (away = { ...away, [id]: isHere(id) })}
					><span>{name}{helps ? ' (helps)' : ''}</span><span class="state">{isHere(id) ? 'here' : 'away'}</span></button
				>
				{#if ticket && isHere(id)}
					<button
						type="button"
						class="ticket"
						disabled={!may}
						aria-label="Exit ticket of {name}: {rightOf(id) === null
							? 'not noted'
							: `${rightOf(id)} of ${ticket} right`}"
						onclick={() => turnTicket(id)}>{rightOf(id) === null ? 'ticket –' : `${rightOf(id)} of ${ticket}`}</button
					>
				{/if}
				{#if may && !isHere(id)}
					<select
						aria-label="Why {name} is not here"
						value={whyAwayOf(id) ?? ''}
						onchange={({ currentTarget: { value } }) =>
							(whyAway = { ...whyAway, [id]: (value || null) as Away | null })}
					>
						<option value="">why not</option>
						{#each AWAY as why (why)}<option>{why}</option>{/each}
					</select>
				{/if}
				<a class="soft" href={keepingScope(`/students/${id}`)} aria-label="Page of {name}">page</a>
			</li>
		{/each}
	</ul>
	{#if may}
		<label class="note"
			>Note on the session
			<textarea rows="2" maxlength="2000" value={said} oninput={(event) => (note = event.currentTarget.value)}
			></textarea>
		</label>
		<div class="save">
			<form method="POST" action="?/record" use:enhance={saved}>
				<input type="hidden" name="record" value={whole(true)} />
				<button class="primary" disabled={isSaved && !isChanged && record?.held}
					>{isSaved && !isChanged && record?.held ? 'Saved' : 'Save'}: {here} of {students.length} here</button
				>
			</form>
			<form method="POST" action="?/record" use:enhance={saved}>
				<input type="hidden" name="record" value={whole(false)} />
				<select aria-label="Why it was not held" bind:value={whyNot}>
					<option value="">{record?.whyNot ?? 'why not'}</option>
					{#each NOT_HELD as why (why)}<option>{why}</option>{/each}
				</select>
				<button class="plain" disabled={record?.held === false && !whyNot}
					>{record?.held === false ? 'Not held' : 'Was not held'}</button
				>
			</form>
		</div>
	{:else if record}
		<p class="soft">{record.held ? `${here} of ${students.length} here. ${record.note}` : 'Not held.'}</p>
	{/if}
</div>

<style>
	.card {
		display: grid;
		gap: 8px;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 4px;
	}
	li {
		display: flex;
		gap: 6px;
		align-items: center;
	}
	.who {
		flex: 1;
		min-height: 36px;
		justify-content: space-between;
	}
	.who[aria-pressed='true'] {
		border-color: var(--verdigris);
		background: var(--verdigris-wash);
	}
	.who[aria-pressed='false'] {
		border-style: dashed;
		color: var(--ink-soft);
	}
	.state {
		font-size: 0.85rem;
	}
	.ticket {
		min-width: 84px;
		min-height: 36px;
		font-variant-numeric: tabular-nums;
	}
	.note {
		display: grid;
	}
	.save {
		display: flex;
		gap: 8px;
	}
</style>
