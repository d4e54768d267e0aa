<!--
	A standing as a needle: up secure, right forming, down gap, down-right with a dashed tail slipping, a dot unseen.
	Hollow when inferred; ringed when ready next. <Needle state="gap" ready />
-->
<script lang="ts">
	import { turns, type NeedleState } from './standings';

	interface Props {
		state: NeedleState;
		inferred?: boolean;
		ready?: boolean;
		ground?: boolean;
		size?: number;
	}
	let { state, inferred = false, ready = false, ground = true, size = 20 }: Props = $props();
</script>

<svg class="{state} {inferred ? 'inferred' : ''}" width={size} height={size} viewBox="0 0 20 20" aria-hidden="true">
	{#if state !== 'unseen' && ground && !inferred}<rect class="ground" width="20" height="20" rx="3" />{/if}
	{#if state === 'unseen'}
		<circle class="dot" cx="10" cy="10" r="1.6" />
	{:else}
		<g transform="rotate({turns[state]} 10 10)">
			<path class="tail" d="M10 9V16.2" />
			<path class="head" d="M10 3.6 13 9.6H7Z" />
		</g>
	{/if}
	{#if ready}<rect class="ready" x="0.75" y="0.75" width="18.5" height="18.5" rx="3" />{/if}
</svg>

<style>
	svg {
		display: block;
		--needle: var(--unseen-ink);
	}
	.gap {
		--needle: var(--gap-ink);
		--ground: var(--gap-ground);
	}
	.forming {
		--needle: var(--forming-ink);
		--ground: var(--forming-ground);
	}
	.secure {
		--needle: var(--secure-ink);
		--ground: var(--secure-ground);
	}
	.slipping {
		--needle: var(--slipping-ink);
		--ground: var(--slipping-ground);
	}
	.ground {
		fill: var(--ground);
	}
	.dot {
		fill: var(--unseen-ink);
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
	.inferred .head {
		fill: none;
		stroke-width: 1.1;
	}
	.inferred .tail {
		stroke-width: 1;
	}
	.ready {
		fill: none;
		stroke: var(--verdigris);
		stroke-width: 1.5;
	}
</style>
