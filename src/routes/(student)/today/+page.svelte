<script lang="ts">
	import { FREE_QUESTIONS } from '$lib/core/practice';
	import GivenThings from '$lib/ui/sitting/GivenThings.svelte';
	import { OPERATION_NAMES } from '$lib/core/fluency';
	import { plural } from '$lib/core/words';

	let { data } = $props();

	/** What a thing is called by its button: with until when, where two have the same name. */
	const called = ({ title, note, why }: (typeof data.todo)[number]) =>
		data.todo.filter((other) => other.title === title).length > 1 ? [title, why || note].join(', ') : title;
</script>

<svelte:head><title>My page · Orderly Compass</title></svelte:head>

<h1>Hello, {data.givenName}</h1>
{#if data.link === 'not here'}
	<p role="status">The set of your link is not on your page: it is done, not open yet, or was not given to you.</p>
{/if}
{#if data.todo.length}
	<p class="soft">
		{data.todo.length === 1 ? 'One thing' : `${data.todo.length} things`} to do. {data.todo.some(
			({ isInOneGo }) => isInOneGo
		)
			? 'You can stop and go on later, but for what is done in one go.'
			: 'You can stop any time and go on later.'}
	</p>
	<ul>
		{#each data.todo as one, i (one.kind + one.id)}
			<li class:first={i === 0}>
				<div>
					{#if i === 0 && (data.todo.length > 1 || data.link === 'found')}<p class="soft">
							{data.link === 'found' ? 'Your link led here' : one.isBegun ? 'Go on where you stopped' : 'Do this first'}
						</p>{/if}
					<strong>{one.title}</strong>
					<p class="soft">{[one.note, one.why].filter(Boolean).join(', ')}</p>
				</div>
				{#if one.isForTomorrow}
					<p class="soft">Enough for today. It goes on tomorrow.</p>
				{:else if one.isLeft}
					<p class="soft">You stopped. Ask your teacher to let you go on.</p>
				{:else}<form method="POST" action="?/start">
						<input type="hidden" name="kind" value={one.kind} />
						<input type="hidden" name="id" value={one.id} />
						<button class="primary" aria-label="{one.isBegun ? 'Go on with' : 'Start'} {called(one)}"
							>{one.isBegun ? 'Go on' : 'Start'}</button
						>
					</form>{/if}
			</li>
		{/each}
	</ul>
{:else}
	<p>Nothing is waiting for you. When your teacher gives you something, it will be here.</p>
{/if}

<GivenThings given={data.given} tasks={data.tasks} />

{#if data.facts.length}
	<h2>Facts</h2>
	<form class="facts" method="POST" action="?/facts">
		{#each data.facts as { operation, minutes, done, isOpen } (operation)}
			<button name="operation" value={operation}
				><strong>{OPERATION_NAMES[operation]}</strong>
				<span class="soft"
					>{isOpen ? 'go on' : minutes === 1 ? 'one minute' : 'two minutes'}{done
						? `, done ${done === 1 ? 'once' : `${done} times`} today`
						: ''}</span
				></button
			>
		{/each}
	</form>
{/if}

{#if data.free && (data.free.isAfterGiven || data.free.proposals.length || data.free.secure.length)}
	<h2>Choose for yourself</h2>
	{#if data.free.isAfterGiven}
		<p class="soft">When you are done with what you were given, you can choose something here.</p>
	{:else}
		<p class="soft">
			{FREE_QUESTIONS} questions each. {data.free.proposals.length ? 'Something new:' : ''}
		</p>
		<form method="POST" action="?/start">
			<input type="hidden" name="kind" value="free" />
			<ul class="choice">
				{#each data.free.proposals as { id, name } (id)}
					<li><button name="id" value={id}>{name}</button></li>
				{/each}
			</ul>
		</form>
		{#if data.free.secure.length}
			<form class="keep" method="POST" action="?/start">
				<input type="hidden" name="kind" value="free" />
				<label
					>Something you can do already
					<select name="id">
						{#each data.free.secure as { id, name } (id)}<option value={id}>{name}</option>{/each}
					</select></label
				>
				<button>Start</button>
			</form>
		{/if}
	{/if}
{/if}

{#if data.commended.length}
	<h2>Well done</h2>
	{#each data.commended as { id, said, sentence, givenBy } (id)}
		<p class="commended">{sentence} <span class="soft">{givenBy}</span></p>
		<p class="soft">{said}</p>
	{/each}
{/if}

{#if data.done.length || data.minutes}
	<h2>Done this week</h2>
	{#if data.minutes}<p class="soft">About {plural(data.minutes, 'minute')} of practice.</p>{/if}
	<ul class="done">
		{#each data.done as { sitting, title, day, right } (sitting)}
			<li>
				<a href="/work/{sitting}">{title}</a>
				<span class="soft">{day}{right ? `, ${right.right} of ${right.of} right at the first try` : ''}</span>
			</li>
		{/each}
	</ul>
{/if}

{#if data.secure.length}
	<h2>You have these</h2>
	<p class="soft">Your answers show that you can do {plural(data.secureInAll, 'skill')} well. Lately:</p>
	<p>{data.secure.join(' · ')}</p>
{/if}

<style>
	.commended {
		font: 500 1.1em/1.4 var(--head);
		margin: 12px 0 2px;
	}
	ul {
		list-style: none;
		padding: 0;
		margin: 16px 0;
	}
	li {
		display: flex;
		justify-content: space-between;
		align-items: center;
		gap: 12px;
		padding: 14px 0;
		border-top: 1px solid var(--rule);
	}
	.first strong {
		font: 600 1.15em/1.3 var(--head);
	}
	li p {
		font-size: 0.85em;
	}
	h2 {
		margin-top: 28px;
	}
	.facts {
		display: flex;
		flex-wrap: wrap;
		gap: 8px;
		margin: 8px 0;
	}
	.facts button {
		display: grid;
		flex: 1 1 140px;
		justify-items: start;
		padding: 8px 14px;
		white-space: normal;
	}
	.facts strong::first-letter {
		text-transform: uppercase;
	}
	.facts strong {
		display: inline-block;
	}
	.facts .soft {
		font-size: 0.8em;
	}
	.choice {
		margin: 10px 0;
	}
	.choice li {
		border: 0;
		padding: 4px 0;
	}
	.choice button {
		width: 100%;
		justify-content: flex-start;
		white-space: normal;
	}
	.keep {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: 10px;
		font-size: 0.9em;
	}
	.keep label {
		display: grid;
		flex: 1 1 220px;
		gap: 4px;
	}
	.keep select {
		min-width: 0;
		width: 100%;
		min-height: 48px;
	}
	.done {
		margin: 6px 0;
	}
	.done li {
		flex-wrap: wrap;
		padding: 6px 0;
		font-size: 0.9em;
	}
	.done a {
		display: inline-flex;
		align-items: center;
		min-height: 44px;
	}
	button {
		min-height: 48px;
		min-width: 92px;
	}
</style>
