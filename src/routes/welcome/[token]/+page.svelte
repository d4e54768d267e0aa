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
		{#if data.signedInAs}
			<form method="POST" action="?/join" use:enhance>
				<p class="soft">
					This browser is signed in as {data.signedInAs.name} at {data.signedInAs.school}. If that is you, you need no
					second password: you go from one school to the other.
				</p>
				<button class="primary">Go on as {data.signedInAs.name}</button>
			</form>
			<p>Or choose a password for {data.person.school} alone:</p>
		{:else}
			<p class="soft">
				You have an account at another school here? Sign in there first, then open this link again: you need no second
				password.
			</p>
		{/if}
		<form method="POST" action="?/choose" use:enhance>
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
			<button class={{ primary: !data.signedInAs }}>Keep it, and sign in</button>
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
