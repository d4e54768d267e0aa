<!-- The pages of the Groups leg, one line above each. -->
<script lang="ts">
	import Views from '../shell/Views.svelte';

	let { drafts }: { drafts?: number } = $props();
</script>

<Views
	label="Pages on groups"
	views={[
		{ path: '/groups', name: 'Groups' },
		{ path: '/groups/today', name: 'Sessions today' },
		{ path: '/groups/timetable', name: 'Timetable' },
		{ path: '/groups/drafts', name: drafts ? `Drafts (${drafts})` : 'Drafts' }
	]}
/>
