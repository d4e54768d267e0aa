<script lang="ts">
	import { enhance } from '$app/forms';
	import { plural } from '$lib/core/words';
	import Mark from '$lib/ui/glyphs/Mark.svelte';

	let { data, form } = $props();
	const codes = $derived(form && 'codes' in form ? form.codes : null);
	const problem = $derived(form && 'problem' in form ? form.problem : null);
	const image = $derived(data.offer && `data:image/svg+xml;base64,${btoa(data.offer.image)}`);
</script>

<svelte:head><title>Second factor · Orderly Compass</title></svelte:head>

<main>
	<h1><Mark size={28} /> A code beside your password</h1>
	{#if codes}
		<section aria-label="Recovery codes">
			<p>{form && 'done' in form ? form.done : ''}</p>
			<p>
				<strong>Keep these ten codes where you keep your keys.</strong> Each lets you in once when your authenticator is not
				at hand. They are shown only now.
			</p>
			<ul>
				{#each codes as code (code)}<li><code>{code}</code></li>{/each}
			</ul>
			<p class="no-print"><button onclick={() => print()}>Print</button></p>
		</section>
	{:else if data.offer}
		{#if data.isNeeded}<p class="attention">{data.schoolName} needs it of all staff: set it up, then go on.</p>{/if}
		<ol>
			<li>
				Take this into an authenticator, an app that shows codes of six digits:
				<img src={image} alt="Square code for an authenticator" width="180" height="180" />
				or type it in: <code>{data.offer.secret}</code>
			</li>
			<li>
				<form method="POST" action="?/accept" use:enhance>
					<input type="hidden" name="key" value={data.offer.key} />
					<label for="code">The code that it shows now</label>
					<input id="code" name="code" inputmode="numeric" autocomplete="one-time-code" required maxlength="20" />
					{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
					<button class="primary">Use it from now on</button>
				</form>
			</li>
		</ol>
	{:else}
		<p>
			A code is asked for after your password. {plural(data.codesLeft ?? 0, 'recovery code is', 'recovery codes are')} left.
		</p>
		{#if form && 'done' in form}<p class="attention" role="status">{form.done}</p>{/if}
		<form method="POST" action="?/codes" use:enhance>
			<label for="code">A code of your authenticator, or one of the recovery codes</label>
			<input id="code" name="code" autocomplete="one-time-code" required maxlength="20" />
			{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
			<button class="primary">Make new recovery codes</button>
			{#if !data.isNeeded}<button formaction="?/drop">Ask for no code any more</button>{/if}
		</form>
	{/if}
	{#if data.isNeeded && data.offer && !codes}
		<form method="POST" action="/sign-out" class="no-print"><button>Sign out</button></form>
	{:else}
		<p class="no-print"><a href="/account">Back to your account</a></p>
	{/if}
</main>

<style>
	main {
		display: grid;
		gap: 16px;
		max-width: 30rem;
		margin: 8vh auto 0;
		padding: 0 16px 24px;
	}
	h1 {
		display: flex;
		gap: 10px;
		align-items: center;
		font-size: 1.5rem;
	}
	ol {
		display: grid;
		gap: 16px;
		padding-left: 1.3em;
	}
	img {
		display: block;
		margin: 10px 0;
		background: white;
	}
	form {
		display: grid;
		gap: 8px;
	}
	ul {
		columns: 2;
		list-style: none;
		padding: 0;
		margin: 10px 0;
	}
	li code {
		font-size: 1.05rem;
		line-height: 2;
	}
	section p {
		margin-bottom: 8px;
	}
	input,
	button {
		min-height: 40px;
	}
</style>
