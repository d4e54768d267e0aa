<!-- The pages of the Gaps leg, one line above each. -->
<script lang="ts">
	import { page } from '$app/state';
	import Views from '../shell/Views.svelte';
</script>

<Views
	label="Pages on gaps"
	views={[
		{ path: '/gaps', name: 'Needle map' },
		{ path: '/gaps/progression', name: 'Progression' },
		{ path: '/gaps/then', name: 'Then and now' },
		{ path: '/gaps/class', name: 'For the class' },
		...(page.data.can.screen ? [{ path: '/gaps/assumptions', name: 'Assumptions' }] : [])
	]}
/>
