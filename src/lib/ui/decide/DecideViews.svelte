<!-- The pages of the Decide leg, one line above each. -->
<script lang="ts">
	import Views from '../shell/Views.svelte';
</script>

<Views
	label="Pages on decisions"
	views={[
		{ path: '/decide', name: 'Reviews', holds: ['/decide/reviews/'] },
		{ path: '/decide/meetings', name: 'Meetings', holds: ['/decide/meetings/'] },
		{ path: '/decide/decisions', name: 'Decisions' },
		{ path: '/decide/tiers', name: 'Tiers' },
		{ path: '/decide/rules', name: 'Who enters' }
	]}
/>
