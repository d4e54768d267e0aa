<!-- The pages of the Groups leg, one line above each. -->
<script lang="ts">
	import { page } from '$app/state';
	import Views from '../shell/Views.svelte';

	let { drafts }: { drafts?: number } = $props();
</script>

<Views
	label="Pages on groups"
	views={[
		{ path: '/groups', name: 'Groups' },
		{ path: '/groups/today', name: 'Sessions today' },
		{ path: '/groups/timetable', name: 'Timetable' },
		...(page.data.can.group
			? [
					{ path: '/groups/drafts', name: drafts ? `Drafts (${drafts})` : 'Drafts' },
					{ path: '/groups/emphasis', name: 'Emphasis' }
				]
			: [])
	]}
/>
