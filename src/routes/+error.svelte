<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head><title>Not found · Orderly Compass</title></svelte:head>

<main>
	<h1>{page.status === 404 ? 'Nothing here' : page.status === 403 ? 'Not allowed' : 'Something went wrong'}</h1>
	<p>{page.error?.message}</p>
	<p><a href="/">Back to the start</a></p>
</main>

<style>
	main {
		max-width: 36rem;
		margin: 12vh auto 0;
		padding: 0 16px;
		display: grid;
		gap: 12px;
	}
</style>
