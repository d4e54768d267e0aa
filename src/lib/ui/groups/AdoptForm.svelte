<!-- Makes a draft's groups real, from and until which day, and when their students are first reviewed. -->
<script lang="ts">
	import { enhance } from '$app/forms';
	import ActionBar from '../shell/ActionBar.svelte';
	import type { Draft } from './draft.svelte';

	interface Props {
		draft: Draft;
		dates: { startsOn: string; endsOn: string; reviewOn: string };
		/** Called with the ids of the new groups. */
		onadopted: (ids: string) => void;
	}
	let { draft, dates, onadopted }: Props = $props();

	const groups = $derived(draft.groups.filter(({ studentIds }) => studentIds.length > 0));
	const says = $derived(
		`${groups.length} ${groups.length === 1 ? 'group' : 'groups'} with ${draft.placed} ${draft.placed === 1 ? 'student' : 'students'}`
	);
	const sent = $derived(
		groups.map((group) => ({
			slotId: Number(group.slotId),
			focusId: Number(group.focusId),
			tier: group.tier,
			studentIds: group.studentIds.map(Number)
		}))
	);
</script>

<ActionBar {says}>
	<form
		method="POST"
		action="?/adopt"
		use:enhance={() =>
			async ({ result, update }) => {
				if (result.type === 'success') onadopted(String(result.data?.adopted));
				else await update();
			}}
	>
		<input type="hidden" name="groups" value={JSON.stringify(sent)} />
		<label>From <input type="date" name="startsOn" value={dates.startsOn} required /></label>
		<label>to <input type="date" name="endsOn" value={dates.endsOn} required /></label>
		<label>first review <input type="date" name="reviewOn" value={dates.reviewOn} required /></label>
		<button class="primary">Adopt {says}</button>
	</form>
</ActionBar>

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 12px;
		align-items: center;
	}
</style>
