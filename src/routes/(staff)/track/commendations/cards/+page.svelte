<script lang="ts">
	import { sayInstant } from '$lib/core/calendar';
	import { fullName, plural } from '$lib/core/words';
	import { keepingScope } from '$lib/ui/shell/address';

	let { data } = $props();
</script>

<svelte:head><title>Cards · Commendations · Orderly Compass</title></svelte:head>

<div class="bar no-print">
	<a href={keepingScope('/track/commendations', { cards: null })}>Back to commendations</a>
	{#if data.cards.length}<button class="primary" onclick={() => print()}
			>Print {plural(data.cards.length, 'card')}</button
		>{/if}
</div>
<h1 class="visually-hidden">Cards</h1>
{#each data.cards as { id, kind, said, sentence, givenBy, givenAt, student } (id)}
	<article>
		<p class="soft">{data.school.name}</p>
		<h2>{fullName(student)}</h2>
		<p class="kind">for {kind}</p>
		<p class="sentence">{sentence}</p>
		<p>{said}</p>
		<p class="soft">{givenBy}, {sayInstant(givenAt, data.school.timeZone)}</p>
	</article>
{:else}
	<p>There are no such cards in this scope, or they were taken back.</p>
{/each}

<style>
	.bar {
		display: flex;
		gap: 20px;
		align-items: center;
		margin-bottom: 12px;
	}
	article {
		max-width: 620px;
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
		background: var(--sheet);
		padding: 20px 26px;
		margin-bottom: 16px;
		break-inside: avoid;
	}
	h2 {
		font-size: 1.7rem;
		margin: 2px 0;
	}
	.kind {
		color: var(--verdigris);
	}
	.sentence {
		font: 500 1.25rem/1.45 var(--head);
		margin: 12px 0;
	}
</style>
