<!-- Said while answers cannot get to the server, or are not taken there. -->
<script lang="ts">
	interface Props {
		queue: { offline: boolean; refused: string } | null;
		/** What a student can do in the meantime. */
		meanwhile: string;
	}
	let { queue, meanwhile }: Props = $props();
</script>

{#if queue?.offline}
	<p role="status">
		The school’s server cannot be reached. Your answers are kept on this device and will be sent when it is back.
		{meanwhile}
	</p>
{:else if queue?.refused}
	<p role="alert">{queue.refused}</p>
{/if}

<style>
	p {
		background: var(--sheet);
		border-left: 4px solid var(--slipping-ink);
		padding: 10px 14px;
		margin-bottom: 14px;
		font-size: 0.9em;
	}
</style>
