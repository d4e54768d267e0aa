<script lang="ts">
	import { onMount } from 'svelte';
	import '../app.css';
	let { children } = $props();

	// From here on every control of the page does what it says.
	onMount(() => (document.documentElement.dataset.alive = ''));
</script>

{@render children()}
