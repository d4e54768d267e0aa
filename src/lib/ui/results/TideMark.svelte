<!--
	How a question went, as a mark on a line: right stands above it (full height at the first try, half and hollow later), a
	miss hangs below. Told by shape and place, so that it reads in gray and on paper. One element, since a grid has hundreds of
	them. <TideMark outcome="later" />
-->
<script lang="ts">
	import type { Outcome } from '$lib/core/results';

	let { outcome }: { outcome: Outcome } = $props();
	const LOOKS: Record<Outcome, string> = { 'first try': 'first', later: 'later', missed: 'missed', unanswered: '' };
</script>

<i class={LOOKS[outcome]}></i>

<style>
	/* The line, at 19 of 34 pixels. Shapes are borders, which stay where backgrounds are not drawn. */
	i {
		position: relative;
		display: block;
		width: 40px;
		height: 34px;
	}
	i::before {
		content: '';
		position: absolute;
		inset: 19px 1px auto;
		border-top: 1px solid var(--rule-strong);
	}
	i::after {
		position: absolute;
		left: 11px;
		box-sizing: border-box;
		width: 18px;
	}
	.first::after {
		content: '';
		top: 2px;
		border-top: 17px solid var(--verdigris);
	}
	.later::after {
		content: '';
		top: 9px;
		height: 10px;
		border: 1.5px solid var(--verdigris);
		background: var(--sheet);
	}
	.missed::after {
		content: '';
		top: 20px;
		border: solid transparent;
		border-width: 11px 9px 0;
		border-top-color: var(--gap-ink);
	}
	@media (forced-colors: active) {
		i::after {
			forced-color-adjust: none;
		}
	}
</style>
