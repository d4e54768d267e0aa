<!--
	A standing as a needle: up secure, right forming, down gap, down-right with a dashed tail slipping, a dot unseen.
	Hollow when inferred; quiet when it is known only roughly; ringed when ready next. Its shape is in NeedleSheet, which the page must hold.
	<Needle state="gap" ready />
-->
<script lang="ts">
	import { QUIET } from './needleShape';
	import type { Standing } from '$lib/core/mastery';

	interface Props {
		state: Standing;
		inferred?: boolean;
		ready?: boolean;
		quiet?: boolean;
		ground?: boolean;
		size?: number;
	}
	let { state, inferred = false, ready = false, quiet = false, ground = true, size = 20 }: Props = $props();
</script>

<svg class:flat={!ground} width={size} height={size} aria-hidden="true">
	<use href="#{inferred ? 'hollow' : 'needle'}-{state}" opacity={quiet ? QUIET : null} />
	{#if ready}<use href="#ready-ring" />{/if}
</svg>

<style>
	svg {
		display: block;
	}
	.flat {
		--ground-opacity: 0;
	}
</style>
