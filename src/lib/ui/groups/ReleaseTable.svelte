<!-- When each class keeps its students through the week: shaded parts of a day; what is blank can be released. -->
<script lang="ts">
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { sayMeeting } from '$lib/core/calendar';
	import { timeOf, minutesOf, type BlockKind } from '$lib/core/timetable';
	import { hoursOf, placeOf } from './weekPlan';

	interface Block {
		id: number;
		classId: number;
		kind: BlockKind;
		days: number[];
		startsAt: string;
		minutes: number;
	}
	interface Props {
		classes: { id: number; name: string; grade: number }[];
		blocks: Block[];
		may: boolean;
	}
	let { classes, blocks, may }: Props = $props();

	const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri'];
	const WIDTH = 150;
	const hours = $derived(hoursOf(blocks));
	const ends = ({ startsAt, minutes }: Block) => timeOf(minutesOf(startsAt) + minutes);
	const sayBlock = (block: Block) => `${block.kind}, ${block.startsAt} to ${ends(block)}`;
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="wide" role="region" aria-label="When classes release students" tabindex="0">
	<div class="wide-table">
		<table>
			<thead>
				<tr
					><th>Class</th>{#each DAYS as day (day)}<th
							>{day} <span class="soft">{timeOf(hours.from)}–{timeOf(hours.until)}</span></th
						>{/each}{#if may}<td class="no-print"></td>{/if}</tr
				>
			</thead>
			<tbody>
				{#each classes as { id, name, grade } (id)}
					{@const own = blocks.filter(({ classId }) => classId === id)}
					<tr>
						<th scope="row">{name} <span class="soft">grade {grade}</span></th>
						{#each DAYS as day, d (day)}
							{@const today = own.filter(({ days }) => days.includes(d + 1))}
							<td>
								<svg
									width={WIDTH}
									height="16"
									role="img"
									aria-label="{name}, {day}: {today.map(sayBlock).join('; ') || 'can release all day'}"
								>
									<rect class="open" width={WIDTH} height="16" />
									{#each today as block (block.id)}
										{@const { start, length } = placeOf(block, hours)}
										<rect class="kept" x={start * WIDTH} width={length * WIDTH} height="16"
											><title>{sayBlock(block)}</title></rect
										>
										{#if length * WIDTH > 12}<text x={(start + length / 2) * WIDTH} y="12"
												>{block.kind[0].toUpperCase()}</text
											>{/if}
									{/each}
								</svg>
							</td>
						{/each}
						{#if may}
							<td class="no-print">
								<details>
									<summary aria-label="What {name} keeps">change</summary>
									<ul>
										{#each own as block (block.id)}
											<li>
												{block.kind}, {sayMeeting(block)}, {block.minutes} min
												<ActionButton
													action="?/removeBlocks"
													fields={{ ids: block.id }}
													label="Remove {block.kind} of {name}, {sayMeeting(block)}"
													look="plain">Remove</ActionButton
												>
											</li>
										{:else}<li>Nothing is kept.</li>{/each}
									</ul>
								</details>
							</td>
						{/if}
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
</div>
<p class="soft">C core lesson · R recess · L lunch · O other</p>

<style>
	.wide {
		overflow-x: auto;
	}
	table {
		background: var(--sheet);
	}
	th,
	td {
		padding: 2px 8px;
		white-space: nowrap;
	}
	tbody th {
		font-weight: 500;
	}
	svg {
		display: block;
	}
	.open {
		fill: var(--paper);
		stroke: var(--rule);
	}
	.kept {
		fill: var(--rule);
	}
	text {
		font-size: 11px;
		text-anchor: middle;
		fill: var(--ink);
	}
	summary {
		cursor: pointer;
		color: var(--verdigris);
	}
	details ul {
		list-style: none;
		margin: 0;
		padding: 0;
	}
</style>
