<!-- The pages of the Practice leg, one line above each. -->
<script lang="ts">
	import Views from '../shell/Views.svelte';
</script>

<Views
	label="Pages on practice"
	views={[
		{ path: '/practice', name: 'Sets' },
		{ path: '/practice/results', name: 'Results' },
		{ path: '/practice/calendar', name: 'Calendar' },
		{ path: '/practice/log', name: 'By student' },
		{ path: '/practice/queues', name: 'Queues' },
		{ path: '/practice/facts', name: 'Facts' },
		{ path: '/practice/given', name: 'Notes and files', holds: ['/practice/given/'] },
		{ path: '/practice/own', name: 'On their own' }
	]}
/>
