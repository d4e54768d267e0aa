<!-- A solid, with its lengths listed beside it. -->
<script lang="ts">
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'solid'> = $props();
</script>

<svg viewBox="0 0 320 140" role="img" aria-label={words}>
	{#if figure.shape === 'cube' || figure.shape === 'box'}
		{@const wide = figure.shape === 'cube' ? 76 : 120}
		<path class="outline pale" d="M14 46h{wide}v80H14zM14 46l34-28h{wide}l-34 28M{14 + wide} 126l34-28V18" />
		<path class="outline dashed" d="M48 18v80H{48 + wide}M48 98L14 126" />
	{:else if figure.shape === 'cylinder'}
		<path class="outline pale" d="M20 28v84a56 16 0 0 0 112 0V28" />
		<ellipse class="outline pale" cx="76" cy="28" rx="56" ry="16" />
		<path class="outline dashed" d="M20 112a56 16 0 0 1 112 0" />
	{:else if figure.shape === 'cone'}
		<path class="outline pale" d="M76 8L20 112a56 16 0 0 0 112 0z" />
		<path class="outline dashed" d="M20 112a56 16 0 0 1 112 0M76 8v104" />
	{:else if figure.shape === 'sphere'}
		<circle class="outline pale" cx="76" cy="70" r="60" />
		<path class="outline" d="M16 70a60 16 0 0 0 120 0" />
		<path class="outline dashed" d="M16 70a60 16 0 0 1 120 0" />
	{:else if figure.shape === 'pyramid'}
		<path class="outline pale" d="M84 8L14 108l70 24 62-38z" />
		<path class="outline" d="M84 8v124M84 8l62 86" />
		<path class="outline dashed" d="M14 108l66-36 66 22M80 72L84 8" />
	{:else}
		<path class="outline pale" d="M14 118l34-76 34 76zM48 42l84-26 34 76-84 26" />
		<path class="outline dashed" d="M14 118l84-26 68 0M98 92l34-76" />
	{/if}
	{#each figure.labels as label, i (label)}<text x="190" y={50 + i * 22}>{label}</text>{/each}
</svg>
