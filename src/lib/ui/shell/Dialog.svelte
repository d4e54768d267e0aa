<!-- A dialog over the page; Escape and the close button end it. <Dialog title="Shortcuts" onclose={…}>…</Dialog> -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import X from '@lucide/svelte/icons/x';

	interface Props {
		title: string;
		/** Takes nearly the whole window. */
		wide?: boolean;
		onclose: () => void;
		children: Snippet;
	}
	let { title, wide = false, onclose, children }: Props = $props();
	const show = (node: HTMLDialogElement) => {
		if (!node.open) node.showModal();
	};
</script>

<dialog {@attach show} {onclose} class:wide aria-label={title}>
	<header>
		<h2>{title}</h2>
		<button class="plain" aria-label="Close" onclick={onclose}><X size={18} aria-hidden="true" /></button>
	</header>
	{@render children()}
</dialog>

<style>
	dialog {
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
		box-shadow: var(--float);
		padding: 16px 20px 20px;
		max-width: min(640px, 92vw);
		color: var(--ink);
	}
	.wide {
		width: 94vw;
		max-width: none;
		min-height: 86vh;
	}
	dialog::backdrop {
		background: rgb(27 39 51 / 0.35);
	}
	header {
		display: flex;
		justify-content: space-between;
		align-items: center;
		gap: 24px;
		margin-bottom: 12px;
	}
</style>
