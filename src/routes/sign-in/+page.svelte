<script lang="ts">
	import { fullName } from '$lib/core/words';
	import { enhance } from '$app/forms';
	import { keepValues } from '$lib/ui/form/keepValues';
	import Mark from '$lib/ui/glyphs/Mark.svelte';

	let { data, form } = $props();
	const codeKey = $derived(form && 'codeKey' in form ? form.codeKey : data.singleKey);
</script>

<svelte:head><title>Sign in · Orderly Compass</title></svelte:head>

<main class:student={data.as === 'student'}>
	<h1><Mark size={28} /> Orderly Compass</h1>
	{#if data.singleName && !codeKey}
		{#if data.singleProblem}<p class="problem" role="alert">{data.singleProblem}</p>{/if}
		<a class="button single" href="/sign-in/single" data-sveltekit-reload>Sign in with {data.singleName}</a>
	{/if}

	{#if codeKey}
		<form method="POST" action="?/code" use:enhance={keepValues}>
			<input type="hidden" name="key" value={codeKey} />
			<label for="code">The code that your authenticator shows, or a recovery code</label>
			<!-- svelte-ignore a11y_autofocus -->
			<input id="code" name="code" inputmode="text" autocomplete="one-time-code" required maxlength="20" autofocus />
			{#if form && 'problem' in form}<p class="problem" role="alert">{form.problem}</p>{/if}
			<button class="primary">Go on</button>
		</form>
		<p><a href="/sign-in" data-sveltekit-reload>Sign in as somebody else</a></p>
	{:else if data.as === 'staff'}
		<form method="POST" action="?/staff" use:enhance>
			<label for="userName">User name</label>
			<input id="userName" name="userName" autocomplete="username" required maxlength="60" />
			<label for="password">Password</label>
			<input id="password" name="password" type="password" autocomplete="current-password" required maxlength="200" />
			{#if form && 'problem' in form}<p class="problem" role="alert">{form.problem}</p>{/if}
			<button class="primary">Sign in</button>
		</form>
		<p><a href="/sign-in?as=student">I am a student</a></p>
	{:else if !data.found}
		<form method="GET">
			<input type="hidden" name="as" value="student" />
			<label for="class">Your class code</label>
			<input
				id="class"
				name="class"
				defaultValue={data.code}
				autocomplete="off"
				autocapitalize="characters"
				required
				maxlength="20"
			/>
			{#if data.codeProblem}<p class="problem" role="alert">{data.codeProblem}</p>{/if}
			<button class="primary">Next</button>
		</form>
		<p><a href="/sign-in">I am a teacher</a></p>
	{:else}
		<form method="POST" action="?/student&class={data.code}&as=student" use:enhance>
			<label for="student">Your name</label>
			<select id="student" name="student" required>
				<option value="">Choose your name</option>
				{#each data.found.students as student (student.key)}
					<option value={student.key}>{fullName(student)}</option>
				{/each}
			</select>
			<label for="pin">Your PIN</label>
			<input id="pin" name="pin" type="password" inputmode="numeric" autocomplete="off" required maxlength="8" />
			{#if form && 'problem' in form}<p class="problem" role="alert">{form.problem}</p>{/if}
			<button class="primary">Start</button>
		</form>
		<p><a href="/sign-in?as=student">Not class {data.found.name}</a></p>
	{/if}
</main>

<style>
	main {
		max-width: 22rem;
		margin: 12vh auto 0;
		padding: 0 16px;
		display: grid;
		gap: 20px;
	}
	.student {
		font-size: 19px;
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
	select,
	button {
		min-height: 44px;
	}
	.single {
		display: grid;
		place-items: center;
		min-height: 44px;
	}
	button {
		margin-top: 8px;
	}
</style>
