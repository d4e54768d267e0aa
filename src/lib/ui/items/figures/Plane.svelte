<!-- A grid with points and lines. -->
<script lang="ts">
	import CoordinatePlane from '../CoordinatePlane.svelte';
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'plane'> = $props();
</script>

<CoordinatePlane plane={figure} {words} />
