<script lang="ts">
	import Mark from '$lib/ui/glyphs/Mark.svelte';

	let { data, children } = $props();
</script>

<header>
	<a href="/today"><Mark size={24} /><span class="visually-hidden">Orderly Compass, my page</span></a>
	<span>{data.givenName}</span>
	<form method="POST" action="/sign-out"><button class="plain">Sign out</button></form>
</header>
<main>{@render children()}</main>

<style>
	header {
		display: flex;
		align-items: center;
		gap: 12px;
		padding: 6px 16px;
		border-bottom: 1px solid var(--rule);
		font-size: 17px;
	}
	header form {
		margin-left: auto;
	}
	header a,
	header button {
		min-height: 44px;
		min-width: 44px;
		display: flex;
		align-items: center;
	}
	main {
		max-width: 560px;
		margin: 0 auto;
		padding: 16px;
		font-size: 19px;
	}
</style>
