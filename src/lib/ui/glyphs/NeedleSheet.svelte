<!-- The needles as symbols, drawn once a page and used by every needle on it: <svg><use href="#needle-gap" /></svg> -->
<script lang="ts">
	import { HEAD, TAIL, TURNS } from './needleShape';

	const states = Object.entries(TURNS);
</script>

<svg width="0" height="0" aria-hidden="true" class="sheet">
	<defs>
		{#each states as [state, turn] (state)}
			<symbol id="needle-{state}" viewBox="0 0 20 20">
				<rect class="ground {state}" width="20" height="20" rx="3" />
				<g class={state} transform="rotate({turn} 10 10)"
					><path class="tail" d={TAIL} /><path class="head" d={HEAD} /></g
				>
			</symbol>
			<symbol id="hollow-{state}" viewBox="0 0 20 20">
				<g class="{state} hollow" transform="rotate({turn} 10 10)"
					><path class="tail" d={TAIL} /><path class="head" d={HEAD} /></g
				>
			</symbol>
		{/each}
		{#each ['needle', 'hollow'] as kind (kind)}
			<symbol id="{kind}-unseen" viewBox="0 0 20 20"><circle class="dot" cx="10" cy="10" r="1.6" /></symbol>
		{/each}
		<symbol id="ready-ring" viewBox="0 0 20 20"
			><rect class="ring" x="0.75" y="0.75" width="18.5" height="18.5" rx="3" /></symbol
		>
	</defs>
</svg>

<style>
	.sheet {
		position: absolute;
	}
	.gap {
		--needle: var(--gap-ink);
		fill: var(--gap-ground);
	}
	.forming {
		--needle: var(--forming-ink);
		fill: var(--forming-ground);
	}
	.secure {
		--needle: var(--secure-ink);
		fill: var(--secure-ground);
	}
	.slipping {
		--needle: var(--slipping-ink);
		fill: var(--slipping-ground);
	}
	rect.ground {
		opacity: var(--ground-opacity, 1);
	}
	.tail {
		stroke: var(--needle);
		stroke-width: 1.6;
		fill: none;
	}
	.slipping .tail {
		stroke-dasharray: 1.8 1.3;
	}
	.head {
		fill: var(--needle);
		stroke: var(--needle);
		stroke-width: 0.6;
		stroke-linejoin: round;
	}
	.hollow .head {
		fill: none;
		stroke-width: 1.1;
	}
	.hollow .tail {
		stroke-width: 1;
	}
	.dot {
		fill: var(--unseen-ink);
	}
	.ring {
		fill: none;
		stroke: var(--verdigris);
		stroke-width: 1.5;
	}
</style>
