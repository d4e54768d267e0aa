<script lang="ts">
	import { enhance } from '$app/forms';
	import { EMPHASES, type Emphasis } from '$lib/core/grouping';
	import GroupViews from '$lib/ui/groups/GroupViews.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';

	let { data, form } = $props();

	const SAYS: Record<Emphasis, string> = { full: 'full', less: 'less', none: 'none' };
	const asShipped = $derived(data.emphasis.every(({ byGrade, usual }) => byGrade.every((one) => one === usual)));
</script>

<svelte:head><title>Emphasis · Orderly Compass</title></svelte:head>

<GroupViews />
<h1>What counts when groups are formed</h1>
<p>
	A skill becomes a need for a group by four things: how much of it is missing, how ready the student is for it, how
	much of the coming year builds on it, and what the school puts weight on. The last stands here, by the student’s
	grade.
	<em>Less</em> counts {EMPHASES.less} of full; <em>none</em> leaves the domain out of suggested groups for that grade. Only
	what students have been taught by now counts in any case.
</p>
<p class="soft">
	{asShipped ? 'The table is as it ships: whole' : 'As it ships, whole'} numbers, fractions with ratios, and patterns with
	algebra count in full, because most of what is taught later builds on them; measurement, shapes and data count less.
</p>

<form
	method="POST"
	action="?/set"
	use:enhance={() =>
		({ update }) =>
			update({ reset: false })}
>
	<div class="wide-table">
		<table aria-label="Emphasis by domain and grade">
			<thead>
				<tr>
					<th scope="col">Domain</th>
					{#each data.grades as grade (grade)}<th scope="col">Grade {grade}</th>{/each}
				</tr>
			</thead>
			<tbody>
				{#each data.emphasis as { id, name, byGrade, usual } (id)}
					<tr>
						<th scope="row">{name}</th>
						{#each data.grades as grade, i (grade)}
							<td class:changed={byGrade[i] !== usual}>
								<select name="told" aria-label="{name}, grade {grade}">
									{#each Object.entries(SAYS) as [emphasis, says] (emphasis)}
										<option value="{id} {grade} {emphasis}" selected={byGrade[i] === emphasis}>{says}</option>
									{/each}
								</select>
							</td>
						{/each}
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	<p><button class="primary">Keep this emphasis</button></p>
</form>
<Notice outcome={form} />

<style>
	p {
		max-width: 86ch;
		margin: 6px 0;
	}
	th {
		text-align: left;
		padding: 4px 12px 4px 0;
		font-weight: 600;
	}
	td {
		padding: 3px 8px 3px 0;
	}
	/* What is not as shipped. */
	.changed select {
		border-color: var(--verdigris);
		border-width: 2px;
	}
</style>
