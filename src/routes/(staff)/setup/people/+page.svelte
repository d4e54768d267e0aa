<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayInstant } from '$lib/core/calendar';
	import { plural } from '$lib/core/words';
	import ActionButton from '$lib/ui/form/ActionButton.svelte';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import Dialog from '$lib/ui/shell/Dialog.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import Pager from '$lib/ui/table/Pager.svelte';
	import Table from '$lib/ui/table/Table.svelte';

	let { data, form } = $props();
	type Person = (typeof data.people)[number];

	const ROLES = ['teacher', 'interventionist', 'specialist', 'coordinator'];
	/** Who is being changed, or added. */
	let editing = $state<Person | 'new' | null>(null);
	const person = $derived(editing === 'new' ? null : editing);
	const link = $derived(form && 'link' in form ? form.link : null);
	/** The address of whom the link is for, where it can be sent there. */
	const mailTo = $derived(
		data.invitable === null ? null : (data.people.find(({ id }) => id === link?.account)?.email ?? null)
	);
	const when = (at: Date) => sayInstant(at, data.school.timeZone);
	/** How it stands with the newest letter to a person. */
	function sayMail({ sentAt, problem, isGivenUp }: NonNullable<Person['mail']>): string {
		if (sentAt) return `mailed ${when(sentAt)}`;
		if (isGivenUp) return `mail was not taken: ${problem}`;
		return problem ? `mail is tried again; it was said: ${problem}` : 'mail is about to go';
	}
	/** How it stands with a person's signing in. */
	function sayAccess(person: Person): string {
		const { deactivatedAt, hasPassword, isFromOther, hasSecondFactor, invitedUntil, lastSignIn, mail } = person;
		if (deactivatedAt) return `cannot sign in since ${when(deactivatedAt)}`;
		if (!hasPassword)
			return invitedUntil ? `invited, until ${when(invitedUntil)}${mail ? `; ${sayMail(mail)}` : ''}` : 'not invited';
		const code = hasSecondFactor ? ', with a code' : '';
		const from = isFromOther ? ', by an account at another school' : '';
		return (lastSignIn ? `signed in ${when(lastSignIn)}` : 'can sign in') + from + code;
	}
</script>

<svelte:head><title>Staff · Orderly Compass</title></svelte:head>

{#snippet handOver({ id, displayName }: Person)}
	<a class="button small" href="/setup/people/hand-over?staff={id}" aria-label="Hand over what {displayName} runs"
		>Hand over</a
	>
{/snippet}

<SetupViews />
<div class="page-head">
	<h1>Staff</h1>
	<span class="soft">{plural(data.active, 'person', 'people')} can sign in or are invited</span>
	<button class="primary" onclick={() => (editing = 'new')}>Add a colleague</button>
	{#if data.invitable}
		<ActionButton action="?/inviteAll">Invite {plural(data.invitable, 'colleague')} by mail</ActionButton>
	{/if}
</div>

{#if link}
	<section class="link" aria-label="Invitation">
		<h2>An invitation for {link.name}</h2>
		<p>
			Whoever opens this address chooses the password of {link.name}. It works once, until {link.until}, and is shown
			only now: hand it over, or print this page.
		</p>
		<p><code>{link.address}</code></p>
		<p class="one-line no-print">
			{#if mailTo}
				<ActionButton action="?/mail" fields={{ account: link.account, token: link.token }}
					>Send it to {mailTo}</ActionButton
				>
			{/if}
			<button onclick={() => print()}>Print</button>
		</p>
	</section>
{/if}

<Table
	says="Staff"
	columns={[
		{ label: 'Name' },
		{ label: 'User name' },
		{ label: 'Role' },
		{ label: 'Mail' },
		{ label: 'Access' },
		{ label: 'What can be done', isSilent: true }
	]}
	rows={data.people}
	key={({ id }) => id}
	attributes={({ deactivatedAt }) => ({ class: { soft: deactivatedAt !== null } })}
	airy
>
	{#snippet cells(one)}
		<th scope="row">{one.displayName}</th>
		<td>{one.userName}</td>
		<td>{one.role}</td>
		<td>{one.email ?? ''}</td>
		<td>{sayAccess(one)}</td>
		<td class="steps">
			{#if one.deactivatedAt}
				{@render handOver(one)}
				<ActionButton
					action="?/reactivate"
					fields={{ account: one.id }}
					label="Let {one.displayName} sign in again"
					look="small">Let in again</ActionButton
				>
			{:else}
				<button class="small" onclick={() => (editing = one)} aria-label="Change {one.displayName}">Change</button>
				{#if one.id !== data.ownId}
					<ActionButton
						action="?/invite"
						fields={{ account: one.id }}
						label="{one.hasPassword ? 'New password for' : 'Invite'} {one.displayName}"
						look="small">{one.hasPassword ? 'New password' : 'Invite'}</ActionButton
					>
					{#if one.hasSecondFactor}
						<ActionButton
							action="?/dropFactor"
							fields={{ account: one.id }}
							label="Ask {one.displayName} for no code"
							look="small">No code</ActionButton
						>
					{/if}
					{@render handOver(one)}
					<ActionButton
						action="?/deactivate"
						fields={{ account: one.id }}
						label="Shut {one.displayName} out"
						look="small">Shut out</ActionButton
					>
				{/if}
			{/if}
		</td>
	{/snippet}
</Table>
<Pager {...data.part} name="from" />

<section class="factor no-print">
	<h2>A code beside the password</h2>
	<p>
		{data.factor.isNeeded
			? `Needed of all staff. ${plural(data.factor.without, 'person has', 'people have')} none yet and set it up when they sign in.`
			: `Everybody chooses for themselves; ${plural(data.factor.without, 'person has', 'people have')} none.`}
	</p>
	<ActionButton action="?/needFactor" fields={{ needed: data.factor.isNeeded ? 'no' : 'yes' }}
		>{data.factor.isNeeded ? 'Let everybody choose' : 'Need it of all staff'}</ActionButton
	>
</section>

{#if editing}
	<Dialog title={person ? `Change ${person.displayName}` : 'Add a colleague'} onclose={() => (editing = null)}>
		<form
			method="POST"
			action={person ? '?/change' : '?/add'}
			class="fields"
			use:enhance={() =>
				async ({ update, result }) => {
					await update();
					if (result.type === 'success') editing = null;
				}}
		>
			{#if person}<input type="hidden" name="account" value={person.id} />{/if}
			<label for="displayName">Name</label>
			<input id="displayName" name="displayName" required maxlength="120" value={person?.displayName ?? ''} />
			{#if !person}
				<label for="userName">User name</label>
				<input id="userName" name="userName" required minlength="3" maxlength="60" autocomplete="off" />
			{/if}
			<label for="role">Role</label>
			<select id="role" name="role">
				{#each ROLES as role (role)}<option value={role} selected={role === (person?.role ?? 'teacher')}>{role}</option
					>{/each}
			</select>
			<label for="email">Mail</label>
			<input id="email" name="email" type="email" maxlength="254" value={person?.email ?? ''} />
			<button class="primary">{person ? 'Keep' : 'Add and make an invitation'}</button>
		</form>
		{#if form && 'problem' in form}<p class="problem" role="alert">{form.problem}</p>{/if}
	</Dialog>
{/if}
<Notice outcome={form && 'link' in form ? null : form} />

<style>
	.page-head {
		margin-bottom: 12px;
	}
	.factor {
		margin-top: 20px;
	}
	.factor p {
		margin: 4px 0 8px;
	}
	.link {
		margin-bottom: 16px;
		padding: 10px 14px;
		border: 1px solid var(--rule);
		border-left: 3px solid var(--verdigris);
		background: var(--sheet);
	}
	.link p {
		margin-top: 6px;
	}
	code {
		font-size: 1rem;
		overflow-wrap: anywhere;
	}
	.steps {
		white-space: nowrap;
	}
	.problem {
		margin-top: 12px;
	}
</style>
