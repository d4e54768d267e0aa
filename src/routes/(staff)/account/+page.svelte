<script lang="ts">
	import Table from '$lib/ui/table/Table.svelte';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import { enhance } from '$app/forms';
	import { sayInstant } from '$lib/core/calendar';
	import { plural } from '$lib/core/words';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import { keepingScope } from '$lib/ui/shell/address';

	let { data, form } = $props();
	const others = $derived(data.signIns.filter(({ isThis }) => !isThis).length);
	const when = (at: Date) => sayInstant(at, data.school.timeZone);
</script>

<svelte:head><title>Your account · Orderly Compass</title></svelte:head>

<h1>Your account</h1>
<p class="soft">{data.staff.name}, {data.staff.role} at {data.school.name}</p>
<p><a href={keepingScope('/setup/cards')}>Sign-in cards and new PINs for students</a></p>

{#if data.others.length}
	<section aria-labelledby="schools">
		<h2 id="schools">Your other schools</h2>
		<ul class="schools">
			{#each data.others as { account, school, role } (account)}
				<li>
					{school} <span class="soft">{role}</span>
					<ActionButton action="?/school" fields={{ account }} label="Go to {school}" look="small"
						>Go there</ActionButton
					>
				</li>
			{/each}
		</ul>
	</section>
{/if}

<section aria-labelledby="where">
	<h2 id="where">Where you are signed in</h2>
	<p class="soft">
		A sign-in ends when it is not used for {data.idleMinutes} minutes, and after {data.longestHours} hours in any case.
	</p>
	<Table
		says="Where you are signed in"
		columns={[
			{ label: 'Browser' },
			{ label: 'From' },
			{ label: 'Since' },
			{ label: 'Last used' },
			{ label: 'What can be done', isSilent: true }
		]}
		rows={data.signIns}
		key={({ id }) => id}
	>
		{#snippet cells(one)}
			<th scope="row">{one.browser}</th>
			<td>{one.address}</td>
			<td>{when(one.beganAt)}</td>
			<td>{when(one.lastUsedAt)}</td>
			<td>
				{#if one.isThis}here{:else}
					<ActionButton
						action="?/end"
						fields={{ signIn: one.id }}
						label="Sign out of {one.browser}, since {when(one.beganAt)}"
						look="small">Sign out</ActionButton
					>
				{/if}
			</td>
		{/snippet}
	</Table>
	<div class="elsewhere">
		<ActionButton action="?/endAll" disabled={others === 0}>Sign out everywhere else</ActionButton>
		{#if others === 0}<span class="soft">You are signed in nowhere else.</span>{/if}
	</div>
</section>

<section aria-labelledby="second">
	<h2 id="second">A code beside your password</h2>
	<p class="soft">
		{data.secondFactor
			? `A code of your authenticator is asked for after your password; ${plural(data.secondFactor.codes, 'recovery code is', 'recovery codes are')} left.`
			: 'Your password is enough to sign in. With a code beside it, a password that was seen lets nobody in.'}
	</p>
	<p>
		<a href="/second-factor">{data.secondFactor ? 'Change or take it off' : 'Set it up'}</a>
	</p>
</section>

<section aria-labelledby="digest">
	<h2 id="digest">A letter on Mondays</h2>
	<p class="soft">
		{#if !data.digest.isMailPossible}This installation knows no mail server, so that no letters can be sent.
		{:else if !data.digest.hasAddress}Your account has no address for mail; a coordinator can add it in Setup.
		{:else}What needs you in the week: your notices and tasks from reviews, without names of students. In a week in
			which nothing does, there is none.{/if}
	</p>
	{#if data.digest.isMailPossible && data.digest.hasAddress}
		<ActionButton action="?/digest" fields={{ wanted: data.digest.wanted ? 'no' : 'yes' }}
			>{data.digest.wanted ? 'Stop the letter' : 'Send me the letter'}</ActionButton
		>
	{/if}
</section>

<section aria-labelledby="password">
	<h2 id="password">Password</h2>
	<p class="soft">
		At least 12 characters: a few words together are easier to remember. Other sign-ins end with the change.
	</p>
	<form method="POST" action="?/password" use:enhance class="fields">
		<input type="text" name="userName" autocomplete="username" value={data.staff.name} hidden readonly />
		<label for="old">Old password</label>
		<input id="old" name="old" type="password" autocomplete="current-password" required maxlength="200" />
		<label for="fresh">New password</label>
		<input
			id="fresh"
			name="fresh"
			type="password"
			autocomplete="new-password"
			required
			minlength="12"
			maxlength="200"
		/>
		<label for="again">New password again</label>
		<input id="again" name="again" type="password" autocomplete="new-password" required maxlength="200" />
		<button class="primary">Change the password</button>
	</form>
</section>

<Notice outcome={form} />

<style>
	section {
		margin-top: 24px;
		max-width: 60rem;
	}
	.soft {
		margin: 4px 0 10px;
	}
	.schools {
		display: grid;
		gap: 8px;
		margin: 8px 0 0;
		padding: 0;
		list-style: none;
	}
	.elsewhere {
		display: flex;
		align-items: center;
		gap: 12px;
		margin-top: 12px;
	}
	.elsewhere .soft {
		margin: 0;
	}
</style>
