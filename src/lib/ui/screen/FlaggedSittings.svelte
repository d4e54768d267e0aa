<!-- Sittings that must be looked at before their scores are used: why, and what can be done about each. -->
<script lang="ts">
	import { fullName, plural } from '$lib/core/words';
	import { enhance } from '$app/forms';
	import { keepingScope, withState } from '../shell/address';
	import { mostDoubtfulDomain, type SittingRow } from './sittingRows';

	interface Props {
		windowId: number;
		/** How many there are; the first of them are the rows. */
		count: number;
		rows: SittingRow[];
		domains: { id: number; name: string }[];
		open: boolean;
	}
	let { windowId, count, rows, domains, open }: Props = $props();
</script>

<details class="attention" {open}>
	<summary>{plural(count, 'sitting needs', 'sittings need')} another look before the scores are used</summary>
	{#if count > rows.length}<p class="soft">The first {rows.length}; the next come as these are decided.</p>{/if}
	<ul>
		{#each rows as row (row.id)}
			{@const { id, sitting } = row}
			{@const doubtful = mostDoubtfulDomain(sitting?.flags ?? [])}
			<li>
				<a href={withState({ student: id })}>{fullName(row)}</a>
				<span class="soft">{row.className}</span>
				<a href={keepingScope('/screen/score', { window: windowId, of: id })} aria-label="Answers of {fullName(row)}"
					>answers</a
				>
				<span class="why">{sitting?.flags.map(({ reason }) => reason).join(' ')}</span>
				<form method="POST" action="?/trust" use:enhance>
					<input type="hidden" name="sitting" value={sitting?.id} />
					<button name="decision" value="kept">Keep</button>
					<button name="decision" value="set aside">Set aside, sit all again</button>
					<select name="domain" aria-label="Domain to sit again">
						{#each domains as domain (domain.id)}
							<option value={domain.id} selected={domain.id === doubtful}>{domain.name}</option>
						{/each}
					</select>
					<button name="decision" value="resit">Sit this domain again</button>
				</form>
			</li>
		{/each}
	</ul>
</details>

<style>
	details {
		margin-bottom: 12px;
	}
	summary {
		cursor: pointer;
		font-weight: 600;
	}
	ul {
		list-style: none;
		padding: 0;
		margin: 8px 0 0;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 12px;
		align-items: center;
		border-top: 1px solid var(--rule);
		padding: 6px 0;
	}
	.why {
		flex: 1 1 320px;
	}
	form {
		margin-left: auto;
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
	}
</style>
