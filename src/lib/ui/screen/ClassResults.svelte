<!-- Results class by class on one measure: distribution, bands, and movement since the window before. -->
<script lang="ts">
	import { summarizeScores } from '$lib/core/screening';
	import DotHistogram from '../charts/DotHistogram.svelte';
	import { keepingScope, withState } from '../shell/address';
	import { scoredStudent, type ScreenRow } from './rows';

	interface Props {
		rows: ScreenRow[];
		measure: number;
		/** What scores are counted in. */
		unit: string;
		/** What the measure is called. */
		name: string;
		axis: { from: number; to: number };
		/** The window before, when there is one. */
		earlier: { name: string } | null;
		/** Whether rows of a whole school stand under their grade. */
		byGrade: boolean;
	}
	let { rows, measure, unit, name, axis, earlier, byGrade }: Props = $props();

	interface Part {
		key: string;
		label: string;
		isGrade: boolean;
		members: ScreenRow[];
	}
	const parts = $derived.by(() => {
		const list: Part[] = [];
		for (const row of rows) {
			const grade = `grade:${row.grade}`;
			const klass = `class:${row.classId}`;
			if (byGrade) {
				const found = list.find(({ key }) => key === grade);
				if (found) found.members.push(row);
				else list.push({ key: grade, label: `Grade ${row.grade}`, isGrade: true, members: [row] });
			}
			const found = list.find(({ key }) => key === klass);
			if (found) found.members.push(row);
			else list.push({ key: klass, label: row.className, isGrade: false, members: [row] });
		}
		return list;
	});
	const round = (value: number) => String(Math.round(value)).replace('-', '−');
	const signed = (value: number) => (value > 0 ? '+' : '') + round(value);
</script>

<table>
	<thead>
		<tr>
			<th>Class</th>
			<th class="number">Scored</th>
			<th>
				<span class="axis soft"
					><span>{axis.from}</span><span>{name}, one dot a student</span><span>{axis.to}</span></span
				>
			</th>
			<th class="number">Median</th>
			<th class="number">Below</th>
			<th class="number">Near the line</th>
			<th class="number">Above</th>
			{#if earlier}
				<th class="number">Since {earlier.name.split(' ')[0].toLowerCase()}</th>
				<th class="number">Risen</th>
				<th class="number">Fallen</th>
			{/if}
			<th></th>
		</tr>
	</thead>
	<tbody>
		{#each parts as { key, label, isGrade, members } (key)}
			{@const scored = members.flatMap((row) => scoredStudent(row, measure) ?? [])}
			{@const summary = summarizeScores(scored)}
			<tr class:grade={isGrade}>
				<th scope="row"><a href={withState({ scope: key, student: null })}>{label}</a></th>
				<td class="number">{summary.scored}<span class="soft">/{members.length}</span></td>
				<td>
					{#if summary.quartiles}
						<DotHistogram
							scores={scored.map(({ score }) => score)}
							cut={new Set(members.map(({ cut }) => cut)).size === 1 ? members[0].cut : null}
							from={axis.from}
							to={axis.to}
							says="{summary.scored} scores, median {round(summary.quartiles.median)}, half of them from {round(
								summary.quartiles.lower
							)} to {round(summary.quartiles.upper)}"
						/>
					{:else}<span class="soft">no scores yet</span>{/if}
				</td>
				<td class="number">{summary.quartiles ? round(summary.quartiles.median) : ''}</td>
				{#each ['below', 'near', 'above'] as const as band (band)}
					<td class="number">
						{#if summary.bands[band]}<a href={withState({ scope: key, status: band, student: null })}
								>{summary.bands[band]}</a
							>{:else}<span class="soft">0</span>{/if}
					</td>
				{/each}
				{#if earlier}
					<td class="number">
						{#if summary.change}{signed(summary.change.mean)}
							<span class="soft">± {round(summary.change.standardError)}</span>{:else}<span class="soft">none</span
							>{/if}
					</td>
					<td class="number">{summary.moved.up}</td>
					<td class="number">{summary.moved.down}</td>
				{/if}
				<td>
					{#if measure && !isGrade}<a href={keepingScope('/gaps/progression', { scope: key, domain: measure })}
							>who is ready for what</a
						>{/if}
				</td>
			</tr>
		{/each}
	</tbody>
</table>
{#if earlier}
	<p class="soft note">
		Since {earlier.name}: mean change in {unit} with its standard error, and how many have risen or fallen beyond the error
		of both scores (reliable change, 90%).
	</p>
{/if}

<style>
	table {
		background: var(--sheet);
		width: 100%;
	}
	td,
	th {
		padding-block: 2px;
		white-space: nowrap;
	}
	tbody th {
		font-weight: 500;
		padding-left: 20px;
	}
	.grade th {
		padding-left: 8px;
	}
	.grade {
		background: var(--paper);
	}
	.axis {
		display: flex;
		width: 260px;
		justify-content: space-between;
		font-weight: 400;
		font-size: 0.8rem;
	}
	.note {
		font-size: 0.85rem;
		margin: 4px 0 14px;
	}
</style>
