<!-- What one more meeting time would bring for students in no group. -->
<script lang="ts">
	import type { MoreGroup } from '$lib/core/grouping';
	import type { BoardNames } from './board';

	interface Props {
		more: MoreGroup[];
		openTimes: { id: string; label: string }[];
		names: BoardNames;
	}
	let { more, openTimes, names }: Props = $props();

	const MOST = 3;
	const labelOf = $derived(new Map(openTimes.map(({ id, label }) => [id, label])));
</script>

{#if more.length}
	<section>
		<h2>What one more meeting time would do</h2>
		<ul>
			{#each more.slice(0, MOST) as group (group.slotId)}
				<li>
					<strong>{labelOf.get(group.slotId)}</strong>: places {group.studentIds.length} on {names.skill(group.focusId)}
					(tier {group.tier}, need {group.worth.toFixed(2)}): {group.studentIds.map(names.student).join(', ')}
				</li>
			{/each}
		</ul>
	</section>
{/if}

<style>
	section {
		margin-top: 16px;
	}
	ul {
		margin: 4px 0 0;
		padding-left: 18px;
	}
</style>
