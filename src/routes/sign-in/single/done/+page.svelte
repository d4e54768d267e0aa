<script lang="ts">
	let { data } = $props();
</script>

<svelte:head>
	<title>Signing in · Orderly Compass</title>
	<meta http-equiv="refresh" content="0;url={data.next}" />
</svelte:head>

<main>
	<h1>You are signed in</h1>
	<p><a href={data.next} data-sveltekit-reload>Go on</a></p>
</main>

<style>
	main {
		max-width: 22rem;
		margin: 12vh auto 0;
		padding: 0 16px;
	}
</style>
