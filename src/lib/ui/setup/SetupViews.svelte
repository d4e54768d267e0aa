<!-- The pages of Setup, one line above each. -->
<script lang="ts">
	import Views from '../shell/Views.svelte';
</script>

<Views
	label="Pages of Setup"
	views={[
		{ path: '/setup', name: 'What is missing' },
		{ path: '/setup/school', name: 'School and year' },
		{ path: '/setup/classes', name: 'Classes', holds: ['/setup/classes/', '/setup/sections/'] },
		{ path: '/setup/add', name: 'Add students' },
		{ path: '/setup/roster', name: 'Roster' },
		{ path: '/setup/cards', name: 'Sign-in cards' },
		{ path: '/setup/people', name: 'Staff', holds: ['/setup/people/'] },
		{ path: '/setup/caseload', name: 'Caseload' },
		{ path: '/setup/interventions', name: 'Interventions so far' },
		{ path: '/setup/year', name: 'New year' },
		{ path: '/setup/data', name: 'Data' },
		{ path: '/setup/log', name: 'Who did what' }
	]}
/>
