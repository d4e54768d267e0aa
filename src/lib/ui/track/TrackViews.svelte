<!-- The pages of the Track leg, one line above each. -->
<script lang="ts">
	import Views from '../shell/Views.svelte';
</script>

<Views
	label="Pages on progress"
	views={[
		{ path: '/track', name: 'Caseload' },
		{ path: '/track/charts', name: 'Charts' },
		{ path: '/track/probes', name: 'Probes this week' },
		{ path: '/track/measures', name: 'Measures' },
		{ path: '/track/sessions', name: 'Sessions' },
		{ path: '/track/commendations', name: 'Commendations' }
	]}
/>
