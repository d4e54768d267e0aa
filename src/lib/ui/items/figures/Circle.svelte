<!-- A circle with its radius or diameter. -->
<script lang="ts">
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'circle'> = $props();
</script>

<svg class="small" viewBox="0 0 180 170" role="img" aria-label={words}>
	<circle class="outline pale" cx="90" cy="85" r="76" />
	<line class="medium" x1={figure.line === 'radius' ? 90 : 14} x2="166" y1="85" y2="85" />
	<circle cx="90" cy="85" r="3" />
	<text x={figure.line === 'radius' ? 128 : 90} y="78" text-anchor="middle">{figure.label}</text>
</svg>
