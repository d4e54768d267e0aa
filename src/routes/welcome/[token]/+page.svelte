<script lang="ts">
	import { enhance } from '$app/forms';
	import Mark from '$lib/ui/glyphs/Mark.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Welcome · Orderly Compass</title></svelte:head>

<main>
	<h1><Mark size={28} /> Orderly Compass</h1>
	{#if data.person}
		<p>
			Welcome, {data.person.name}. Choose a password for {data.person.school}; you sign in with the user name
			<strong>{data.person.userName}</strong>.
		</p>
		<form method="POST" use:enhance>
			<input type="text" name="userName" autocomplete="username" value={data.person.userName} hidden readonly />
			<label for="fresh">Password</label>
			<input
				id="fresh"
				name="fresh"
				type="password"
				autocomplete="new-password"
				required
				minlength="12"
				maxlength="200"
			/>
			<span class="soft">At least 12 characters: a few words together are easier to remember.</span>
			<label for="again">Password again</label>
			<input id="again" name="again" type="password" autocomplete="new-password" required maxlength="200" />
			{#if form?.problem}<p class="problem" role="alert">{form.problem}</p>{/if}
			<button class="primary">Keep it, and sign in</button>
		</form>
	{:else}
		<p>This invitation was used already, or is over. Ask your coordinator for another.</p>
		<p><a href="/sign-in">Sign in</a></p>
	{/if}
</main>

<style>
	main {
		display: grid;
		gap: 20px;
		max-width: 24rem;
		margin: 12vh auto 0;
		padding: 0 16px;
	}
	h1 {
		display: flex;
		gap: 10px;
		align-items: center;
		font-size: 1.6rem;
	}
	form {
		display: grid;
		gap: 8px;
	}
	input,
	button {
		min-height: 44px;
	}
</style>
