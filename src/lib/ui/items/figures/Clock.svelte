<!-- A clock that shows a time. -->
<script lang="ts">
	import ClockFace from '../ClockFace.svelte';
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'clock'> = $props();
</script>

<ClockFace hour={figure.hour} minute={figure.minute} {words} />
