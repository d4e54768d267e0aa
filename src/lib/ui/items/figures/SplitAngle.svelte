<!-- An angle in two parts, one of them given. -->
<script lang="ts">
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'angle'> = $props();
	const ray = (degrees: number, length: number) => {
		const angle = (-degrees * Math.PI) / 180;
		return { x: 160 + length * Math.cos(angle), y: 130 + length * Math.sin(angle) };
	};
	const all = $derived(figure.first + figure.second);
	const first = $derived(ray(figure.first / 2, 52));
	const second = $derived(ray(figure.first + figure.second / 2, 52));
</script>

<svg viewBox="0 0 320 150" role="img" aria-label={words}>
	{#each [0, figure.first, all] as degrees (degrees)}
		{@const end = ray(degrees, 110)}
		<line class="medium" x1="160" y1="130" x2={end.x} y2={end.y} />
	{/each}
	<text x={first.x} y={first.y} text-anchor="middle">{figure.first}°</text>
	<text x={second.x} y={second.y} text-anchor="middle">?</text>
</svg>
