<script lang="ts">
	import { sayDate } from '$lib/core/calendar';

	let { data } = $props();
</script>

<svelte:head><title>My page · Orderly Compass</title></svelte:head>

<h1>Hello, {data.givenName}</h1>
{#if data.work.length}
	<p class="soft">
		{data.work.length === 1 ? 'One thing' : `${data.work.length} things`} to do. You can stop any time and go on later.
	</p>
	<ul>
		{#each data.work as one (one.kind + one.id)}
			<li>
				<div>
					<strong>{one.title}</strong>
					<p class="soft">
						{one.answered
							? `${one.answered}${one.itemCount === null ? '' : ` of ${one.itemCount}`} done`
							: one.note}{#if one.dueOn}, {one.late ? 'was due' : 'due'}
							{sayDate(one.dueOn)}{/if}
						{#if one.late}· still open, counts as late{/if}
					</p>
				</div>
				{#if one.tomorrow}
					<p class="soft">Enough for today. It goes on tomorrow.</p>
				{:else}<form method="POST" action="?/start">
						<input type="hidden" name="kind" value={one.kind} />
						<input type="hidden" name="id" value={one.id} />
						<button class="primary" aria-label="{one.answered ? 'Go on with' : 'Start'} {one.title}"
							>{one.answered ? 'Go on' : 'Start'}</button
						>
					</form>{/if}
			</li>
		{/each}
	</ul>
{:else}
	<p>Nothing is waiting for you. When your teacher gives you something, it will be here.</p>
{/if}

<style>
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
	li p {
		font-size: 0.85em;
	}
	button {
		min-height: 48px;
		min-width: 92px;
	}
</style>
