<!-- Rows of dots. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'dots'> = $props();
</script>

<svg
	viewBox="0 0 {figure.columns * 24} {figure.rows * 24}"
	style:max-width="{figure.columns * 28}px"
	role="img"
	aria-label={words}
>
	{#each range(figure.rows) as row (row)}
		{#each range(figure.columns) as column (column)}
			<circle class="fill outline" cx={column * 24 + 12} cy={row * 24 + 12} r="8" />
		{/each}
	{/each}
</svg>
