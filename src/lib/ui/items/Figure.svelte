<!-- What is drawn beside a question, with the same content in words for a screen reader. -->
<script lang="ts">
	import type { Figure } from '$lib/core/items';

	let { figure }: { figure: Figure } = $props();

	const hand = (degrees: number, length: number) => {
		const angle = ((degrees - 90) * Math.PI) / 180;
		return { x: 60 + length * Math.cos(angle), y: 60 + length * Math.sin(angle) };
	};
	const range = (count: number) => Array.from({ length: count }, (_, i) => i);

	const words = $derived.by(() => {
		switch (figure.kind) {
			case 'bars':
				return `Bar graph of ${figure.unit}. ${figure.labels.map((label, i) => `${label}: ${figure.values[i]}`).join('. ')}.`;
			case 'ruler':
				return `A pencil along a ruler in ${figure.unit}. It begins at ${figure.from} and ends at ${figure.to}.`;
			case 'clock':
				return `A clock. The short hand is just past ${figure.hour}. The long hand points at ${figure.minute / 5}.`;
			case 'strip':
				return `A strip of ${figure.parts} equal parts. ${figure.shaded} of them are shaded.`;
			case 'rectangle':
				return figure.squares
					? `${figure.height} rows of ${figure.width} squares.`
					: `A rectangle, ${figure.width} ${figure.unit} by ${figure.height} ${figure.unit}.`;
			case 'corner':
				return `A ${figure.width} ${figure.unit} by ${figure.height} ${figure.unit} rectangle without one corner of ${figure.cutWidth} ${figure.unit} by ${figure.cutHeight} ${figure.unit}.`;
			case 'triangle':
				return `A triangle with base ${figure.base} ${figure.unit} and height ${figure.height} ${figure.unit}.`;
			case 'angle':
				return `An angle of ${figure.first + figure.second} degrees in two parts; one is ${figure.first} degrees.`;
			case 'plane':
				return figure.points.map(({ label, x, y }) => `Point ${label} is ${x} across and ${y} up.`).join(' ');
			case 'table':
				return '';
		}
	});
</script>

{#if figure.kind === 'table'}
	<table>
		<thead
			><tr
				>{#each figure.head as cell (cell)}<th scope="col">{cell}</th>{/each}</tr
			></thead
		>
		<tbody>
			{#each figure.rows as row (row[0])}
				<tr
					>{#each row as cell, i (i)}{#if i === 0}<th scope="row">{cell}</th>{:else}<td>{cell}</td>{/if}{/each}</tr
				>
			{/each}
		</tbody>
	</table>
{:else if figure.kind === 'bars'}
	{@const top = Math.ceil(Math.max(...figure.values) / figure.step / 2) * 2 * figure.step}
	{@const y = (value: number) => 150 - (value / top) * 130}
	<svg viewBox="0 0 320 180" role="img" aria-label={words}>
		{#each range(Math.round(top / figure.step) + 1) as i (i)}
			<line class="faint" x1="36" x2="316" y1={y(i * figure.step)} y2={y(i * figure.step)} />
			{#if i % 2 === 0}<text x="30" y={y(i * figure.step) + 4} text-anchor="end">{i * figure.step}</text>{/if}
		{/each}
		{#each figure.values as value, i (i)}
			<rect class="fill" x={52 + i * 68} width="40" y={y(value)} height={150 - y(value)} />
			<text x={72 + i * 68} y="168" text-anchor="middle">{figure.labels[i]}</text>
		{/each}
	</svg>
{:else if figure.kind === 'ruler'}
	<svg viewBox="0 0 320 90" role="img" aria-label={words}>
		<path
			class="fill"
			d="M{10 + figure.from * 20} 18h{(figure.to - figure.from) * 20 - 14}l14 9 -14 9h-{(figure.to - figure.from) * 20 -
				14}z"
		/>
		<rect class="outline" x="4" y="46" width="312" height="36" />
		{#each range(16) as i (i)}
			<line x1={10 + i * 20} x2={10 + i * 20} y1="46" y2="58" />
			<text x={10 + i * 20} y="74" text-anchor="middle">{i}</text>
		{/each}
	</svg>
{:else if figure.kind === 'clock'}
	{@const minute = hand(figure.minute * 6, 42)}
	{@const hour = hand((figure.hour % 12) * 30 + figure.minute / 2, 27)}
	<svg class="small" viewBox="0 0 120 120" role="img" aria-label={words}>
		<circle class="outline" cx="60" cy="60" r="57" />
		{#each range(12) as i (i)}
			{@const at = hand((i + 1) * 30, 48)}
			<text x={at.x} y={at.y + 4} text-anchor="middle">{i + 1}</text>
		{/each}
		<line class="thick" x1="60" y1="60" x2={hour.x} y2={hour.y} />
		<line class="medium" x1="60" y1="60" x2={minute.x} y2={minute.y} />
		<circle cx="60" cy="60" r="3" />
	</svg>
{:else if figure.kind === 'strip'}
	<svg viewBox="0 0 320 50" role="img" aria-label={words}>
		{#each range(figure.parts) as i (i)}
			<rect
				class={i < figure.shaded ? 'fill outline' : 'outline'}
				x={4 + (i * 312) / figure.parts}
				y="5"
				width={312 / figure.parts}
				height="40"
			/>
		{/each}
	</svg>
{:else if figure.kind === 'rectangle'}
	{@const scale = Math.min(250 / figure.width, 120 / figure.height)}
	<svg viewBox="0 0 320 150" role="img" aria-label={words}>
		<rect class="outline pale" x="10" y="6" width={figure.width * scale} height={figure.height * scale} />
		{#if figure.squares}
			{#each range(figure.width - 1) as i (i)}<line
					x1={10 + (i + 1) * scale}
					x2={10 + (i + 1) * scale}
					y1="6"
					y2={6 + figure.height * scale}
				/>{/each}
			{#each range(figure.height - 1) as i (i)}<line
					x1="10"
					x2={10 + figure.width * scale}
					y1={6 + (i + 1) * scale}
					y2={6 + (i + 1) * scale}
				/>{/each}
		{:else}
			<text x={10 + (figure.width * scale) / 2} y={figure.height * scale + 22} text-anchor="middle"
				>{figure.width} {figure.unit}</text
			>
			<text x={16 + figure.width * scale} y={10 + (figure.height * scale) / 2}>{figure.height} {figure.unit}</text>
		{/if}
	</svg>
{:else if figure.kind === 'corner'}
	{@const s = Math.min(230 / figure.width, 112 / figure.height)}
	<svg viewBox="0 0 320 160" role="img" aria-label={words}>
		<path
			class="outline pale"
			d="M34 18h{(figure.width - figure.cutWidth) * s}v{figure.cutHeight * s}h{figure.cutWidth * s}v{(figure.height -
				figure.cutHeight) *
				s}H34z"
		/>
		<text x={34 + (figure.width * s) / 2} y={figure.height * s + 34} text-anchor="middle"
			>{figure.width} {figure.unit}</text
		>
		<text x="28" y={22 + (figure.height * s) / 2} text-anchor="end">{figure.height}</text>
		<text x={34 + (figure.width - figure.cutWidth / 2) * s} y={figure.cutHeight * s + 12} text-anchor="middle"
			>{figure.cutWidth}</text
		>
		<text x={38 + (figure.width - figure.cutWidth) * s} y={20 + (figure.cutHeight * s) / 2 - 4}>{figure.cutHeight}</text
		>
	</svg>
{:else if figure.kind === 'triangle'}
	<svg viewBox="0 0 320 150" role="img" aria-label={words}>
		<path class="outline pale" d="M40 120H240L180 16z" />
		<line class="dashed" x1="180" x2="180" y1="16" y2="120" />
		<text x="140" y="140" text-anchor="middle">{figure.base} {figure.unit}</text>
		<text x="186" y="80">{figure.height} {figure.unit}</text>
	</svg>
{:else if figure.kind === 'angle'}
	{@const whole = figure.first + figure.second}
	{@const ray = (degrees: number) => ({
		x: (whole > 90 ? 160 : 60) + 110 * Math.cos((degrees * Math.PI) / 180),
		y: 124 - 110 * Math.sin((degrees * Math.PI) / 180)
	})}
	{@const at = whole > 90 ? 160 : 60}
	<svg viewBox="0 0 320 140" role="img" aria-label={words}>
		{#each [0, figure.first, whole] as degrees (degrees)}
			<line class="medium" x1={at} y1="124" x2={ray(degrees).x} y2={ray(degrees).y} />
		{/each}
		<text x={at + 62 * Math.cos((figure.first * Math.PI) / 360)} y={128 - 62 * Math.sin((figure.first * Math.PI) / 360)}
			>{figure.first}°</text
		>
		<text
			x={at + 56 * Math.cos(((figure.first + figure.second / 2) * Math.PI) / 180)}
			y={124 - 62 * Math.sin(((figure.first + figure.second / 2) * Math.PI) / 180)}
			text-anchor="middle">?</text
		>
	</svg>
{:else if figure.kind === 'plane'}
	{@const step = 200 / figure.size}
	<svg class="square" viewBox="0 0 240 240" role="img" aria-label={words}>
		{#each range(figure.size + 1) as i (i)}
			<line class="faint" x1={24 + i * step} x2={24 + i * step} y1="14" y2="214" />
			<line class="faint" x1="24" x2="224" y1={14 + i * step} y2={14 + i * step} />
			<text x={24 + i * step} y="230" text-anchor="middle">{i}</text>
			<text x="16" y={218 - i * step} text-anchor="end">{i}</text>
		{/each}
		<path class="medium" fill="none" d="M24 14V214H224" />
		{#each figure.points as point (point.label)}
			<circle cx={24 + point.x * step} cy={214 - point.y * step} r="5" />
			<text class="label" x={32 + point.x * step} y={208 - point.y * step}>{point.label}</text>
		{/each}
	</svg>
{/if}

<style>
	svg {
		display: block;
		width: 100%;
		max-width: 420px;
		color: var(--ink);
		font: 12px var(--text);
	}
	.small,
	.square {
		max-width: 230px;
	}
	text,
	circle {
		fill: var(--ink);
	}
	line,
	.medium {
		stroke: var(--ink);
		stroke-width: 1;
	}
	.faint {
		stroke: var(--rule);
	}
	.dashed {
		stroke-dasharray: 4 3;
	}
	.medium {
		stroke-width: 2;
	}
	.thick {
		stroke-width: 4;
	}
	.outline {
		fill: none;
		stroke: var(--ink);
		stroke-width: 1.4;
	}
	.fill {
		fill: #8fb5b5;
	}
	.pale {
		fill: var(--verdigris-wash);
	}
	.label {
		font-weight: 700;
	}
	table {
		background: var(--sheet);
	}
	table th,
	table td {
		border: 1px solid var(--rule);
		padding: 6px 12px;
	}
</style>
