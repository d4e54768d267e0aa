<!-- The hundred facts of an operation: fluent, slow, not yet, unseen, each told by shape and text. -->
<script lang="ts">
	import { askFact, FACT_NUMBERS, placeOfFact, type FactState, type Operation } from '$lib/core/fluency';

	interface Props {
		operation: Operation;
		/** In the order of the operation's facts. */
		states: FactState[];
		caption: string;
	}
	let { operation, states, caption }: Props = $props();

	const SHAPES: Record<FactState, string> = { fluent: '●', slow: '◐', 'not yet': '○', unseen: '·' };
	const counts = $derived(
		(Object.keys(SHAPES) as FactState[]).map((state) => [state, states.filter((one) => one === state).length] as const)
	);
	const stateOf = (first: number, second: number) => states[placeOfFact(operation, { first, second })];
</script>

<div class="scroll" role="region" aria-label={caption} tabindex="-1">
	<table>
		<caption class="visually-hidden">{caption}</caption>
		<thead>
			<tr>
				<td></td>
				{#each FACT_NUMBERS as second (second)}<th scope="col">{second}</th>{/each}
			</tr>
		</thead>
		<tbody>
			{#each FACT_NUMBERS as first (first)}
				<tr>
					<th scope="row">{first}</th>
					{#each FACT_NUMBERS as second (second)}
						{@const state = stateOf(first, second)}
						<td class={state.replace(' ', '-')} title="{askFact(operation, { first, second }).text}: {state}"
							><span aria-hidden="true">{SHAPES[state]}</span><span class="visually-hidden">{state}</span></td
						>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
</div>
<p class="key">
	{#each counts as [state, count] (state)}
		<span><span class="shape {state.replace(' ', '-')}" aria-hidden="true">{SHAPES[state]}</span> {count} {state}</span>
	{/each}
</p>

<style>
	.scroll {
		overflow-x: auto;
	}
	table {
		border-collapse: collapse;
		font-size: 14px;
		width: auto;
	}
	th,
	td {
		width: 28px;
		height: 26px;
		padding: 0;
		text-align: center;
		border: 1px solid var(--rule);
	}
	thead td {
		border: 0;
	}
	th {
		font-weight: 400;
		color: var(--ink-soft);
		font-size: 12px;
	}
	.fluent {
		color: var(--secure-ink);
	}
	.slow {
		color: var(--forming-ink);
	}
	.not-yet {
		color: var(--gap-ink);
	}
	.unseen {
		color: var(--ink-soft);
	}
	.key {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
		margin-top: 8px;
		font-size: 14px;
	}
	@media (max-width: 480px) {
		th,
		td {
			width: 26px;
		}
	}
</style>
