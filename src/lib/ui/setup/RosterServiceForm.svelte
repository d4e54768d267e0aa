<!-- Where a school's roster can be fetched from, and fetching it: now, to be looked through, or each night. -->
<script lang="ts">
	import type { SubmitFunction } from '@sveltejs/kit';
	import { enhance } from '$app/forms';
	import { sayDate } from '$lib/core/calendar';
	import ActionButton from '../form/ActionButton.svelte';

	interface Props {
		/** Null where none is known. */
		source: {
			address: string;
			tokenAddress: string;
			clientId: string;
			isNightly: boolean;
			syncedOn: string | null;
			syncSays: string;
		} | null;
		/** The service's schools, where one has to be chosen; else null. */
		schools: { sourcedId: string; name: string }[] | null;
	}
	let { source, schools }: Props = $props();
	let isReading = $state(false);
	let isChanging = $state(false);
	/** Once it is kept, fetching is next. */
	const keepAndClose: SubmitFunction =
		() =>
		async ({ update, result }) => {
			await update({ reset: false });
			isChanging = result.type !== 'success';
		};
</script>

<section class="no-print" aria-labelledby="service">
	<h2 id="service">From a roster service</h2>
	{#if source}
		<form
			method="POST"
			action="?/fetch"
			class="one-line"
			use:enhance={() => {
				isReading = true;
				return async ({ update }) => {
					await update();
					isReading = false;
				};
			}}
		>
			{#if schools}
				<label for="serviceSchool">Which school is yours?</label>
				<select id="serviceSchool" name="school" required>
					<option value="" disabled selected>choose a school</option>
					{#each schools as { sourcedId, name } (sourcedId)}<option value={sourcedId}>{name}</option>{/each}
				</select>
			{/if}
			<button class="primary" disabled={isReading}>{isReading ? 'Fetching …' : 'Fetch it and look at it'}</button>
			<span class="soft"
				>{source.isNightly ? 'Each night after 3:00 by the school’s clock.' : 'Not fetched at night.'}
				{#if source.syncedOn}The night to {sayDate(source.syncedOn)}: {source.syncSays}{/if}</span
			>
		</form>
	{/if}
	<details bind:open={isChanging}>
		<summary>{source ? 'Change where it is' : 'A service that speaks OneRoster 1.2 (REST)'}</summary>
		<form method="POST" action="?/service" use:enhance={keepAndClose} class="fields">
			<label for="address">Address, without /ims/oneroster/…</label>
			<input id="address" name="address" type="url" required maxlength="300" value={source?.address ?? ''} />
			<label for="tokenAddress">Address for tokens (OAuth 2.0)</label>
			<input
				id="tokenAddress"
				name="tokenAddress"
				type="url"
				required
				maxlength="300"
				value={source?.tokenAddress ?? ''}
			/>
			<label for="clientId">Client</label>
			<input id="clientId" name="clientId" required maxlength="200" autocomplete="off" value={source?.clientId ?? ''} />
			<label for="clientSecret">Secret{source ? ' (empty: as it is)' : ''}</label>
			<input
				id="clientSecret"
				name="clientSecret"
				type="password"
				required={source === null}
				maxlength="200"
				autocomplete="off"
			/>
			<label class="wide"
				><input type="checkbox" name="nightly" value="yes" checked={source?.isNightly ?? false} /> Fetch it each night, and
				apply it where nobody need look</label
			>
			<button>Keep</button>
		</form>
		{#if source}<ActionButton action="?/dropService">Forget this service</ActionButton>{/if}
	</details>
</section>

<style>
	section {
		margin-top: 20px;
	}
	.one-line,
	details {
		margin-top: 8px;
	}
	.fields {
		margin: 8px 0;
	}
	.wide {
		grid-column: 1 / -1;
	}
</style>
