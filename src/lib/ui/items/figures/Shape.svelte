<!-- A flat shape from its corners, with labels at its sides and lines inside it. -->
<script lang="ts">
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'shape'> = $props();

	const xs = $derived(figure.corners.map(([x]) => x));
	const ys = $derived(figure.corners.map(([, y]) => y));
	const [left, top] = $derived([Math.min(...xs), Math.min(...ys)]);
	const scale = $derived(Math.min(230 / (Math.max(...xs) - left), 150 / (Math.max(...ys) - top)));
	const at = ([x, y]: [number, number]): [number, number] => [45 + (x - left) * scale, 18 + (y - top) * scale];
	const height = $derived((Math.max(...ys) - top) * scale + 40);
	const middle = $derived(at([xs.reduce((a, b) => a + b) / xs.length, ys.reduce((a, b) => a + b) / ys.length]));
	/** A label beside a line, on the side away from the middle of the shape. */
	function beside(from: [number, number], to: [number, number]) {
		const [[x1, y1], [x2, y2]] = [at(from), at(to)];
		const [mx, my] = [(x1 + x2) / 2, (y1 + y2) / 2];
		const length = Math.hypot(x2 - x1, y2 - y1) || 1;
		let [nx, ny] = [-(y2 - y1) / length, (x2 - x1) / length];
		if ((mx + nx - middle[0]) ** 2 + (my + ny - middle[1]) ** 2 < (mx - middle[0]) ** 2 + (my - middle[1]) ** 2)
			[nx, ny] = [-nx, -ny];
		return {
			x: mx + nx * 12,
			y: my + ny * 12 + 4,
			'text-anchor': nx > 0.5 ? 'start' : nx < -0.5 ? 'end' : 'middle'
		} as const;
	}
	const corner = (i: number) => figure.corners[(i + figure.corners.length) % figure.corners.length];
	/** The small square that marks a right angle. */
	function rightAngle(i: number) {
		const [x, y] = at(corner(i));
		const towards = (other: [number, number]) => {
			const [u, v] = at(other);
			const length = Math.hypot(u - x, v - y);
			return [((u - x) / length) * 10, ((v - y) / length) * 10];
		};
		const [[a, b], [c, d]] = [towards(corner(i - 1)), towards(corner(i + 1))];
		return `M${x + a} ${y + b}l${c} ${d}l${-a} ${-b}`;
	}
</script>

<svg viewBox="0 0 320 {height}" role="img" aria-label={words}>
	<path class="outline pale" d="M{figure.corners.map((one) => at(one).join(' ')).join('L')}z" />
	{#each figure.inner ?? [] as { from, to, label }, i (i)}
		{@const [[x1, y1], [x2, y2]] = [at(from), at(to)]}
		<line class="dashed" {x1} {y1} {x2} {y2} />
		{#if label}<text x={(x1 + x2) / 2 + 6} y={(y1 + y2) / 2 + 4}>{label}</text>{/if}
	{/each}
	{#each figure.sides ?? [] as label, i (i)}
		{#if label}<text {...beside(corner(i), corner(i + 1))}>{label}</text>{/if}
	{/each}
	{#each figure.square ?? [] as i (i)}<path class="outline" d={rightAngle(i)} />{/each}
</svg>
