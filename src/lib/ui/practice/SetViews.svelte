<!-- The pages of one set, one line: <SetViews id={set.id} /> -->
<script lang="ts">
	import Views from '../shell/Views.svelte';

	let { id }: { id: number } = $props();
</script>

<Views
	label="Pages of this set"
	views={[
		{ path: '/practice', name: 'All sets' },
		{ path: `/practice/${id}/results`, name: 'Results' },
		{ path: `/practice/${id}`, name: 'The set' },
		{ path: `/practice/${id}/print`, name: 'On paper' }
	]}
/>
