<!-- Sittings that must be looked at before their scores are used: why, and what to do. -->
<script lang="ts">
	import { enhance } from '$app/forms';
	import { withState } from '../shell/address';
	import type { ScreenRow } from './rows';

	let { rows, open }: { rows: ScreenRow[]; open: boolean } = $props();
</script>

<details {open}>
	<summary
		>{rows.length}
		{rows.length === 1 ? 'sitting needs' : 'sittings need'} another look before the scores are used</summary
	>
	<ul>
		{#each rows as row (row.id)}
			<li>
				<a href={withState({ student: row.id })}>{row.givenName} {row.familyName}</a>
				<span class="soft">{row.className}</span>
				<span>{row.flags.map((flag) => flag.reason).join(' ')}</span>
				<form method="POST" action="?/trust" use:enhance>
					<input type="hidden" name="sitting" value={row.sittingId} />
					<button name="decision" value="kept">Keep</button>
					<button name="decision" value="set aside">Set aside, sit again</button>
				</form>
			</li>
		{/each}
	</ul>
</details>

<style>
	details {
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-left: 3px solid var(--slipping-ink);
		padding: 8px 12px;
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
	form {
		margin-left: auto;
		display: flex;
		gap: 6px;
	}
</style>
