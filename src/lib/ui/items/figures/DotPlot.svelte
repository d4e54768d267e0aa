<!-- A line plot: a cross for each value above a number line. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'dot plot'> = $props();
	const count = $derived(Math.round((figure.to - figure.from) / figure.step));
	const x = (value: number) => 20 + ((value - figure.from) / (figure.to - figure.from)) * 280;
	const columns = $derived(
		range(count + 1).map((i) => {
			const value = figure.from + i * figure.step;
			return { value, crosses: figure.values.filter((one) => Math.abs(one - value) < figure.step / 2).length };
		})
	);
	const tallest = $derived(Math.max(...columns.map(({ crosses }) => crosses)));
	const base = $derived(tallest * 18 + 14);
	const label = (value: number) => {
		const [whole, part] = [Math.floor(value + 1e-9), Math.round((value % 1) * 4)];
		return part ? `${whole || ''}${['', '¼', '½', '¾'][part]}` : String(whole);
	};
</script>

<svg viewBox="0 0 320 {base + 44}" role="img" aria-label={words}>
	<line class="medium" x1="10" x2="310" y1={base} y2={base} />
	{#each columns as { value, crosses } (value)}
		<line x1={x(value)} x2={x(value)} y1={base} y2={base + 6} />
		<text x={x(value)} y={base + 20} text-anchor="middle">{label(value)}</text>
		{#each range(crosses) as i (i)}
			<path class="outline" d="M{x(value) - 5} {base - 14 - i * 18}l10 10m0 -10l-10 10" />
		{/each}
	{/each}
	<text x="160" y={base + 38} text-anchor="middle">{figure.unit}</text>
</svg>
