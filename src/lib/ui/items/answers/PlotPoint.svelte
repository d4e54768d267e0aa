<!-- Plotting a point: tap the grid, or step across and up. -->
<script lang="ts">
	import { describeAnswer } from '$lib/core/items';
	import CoordinatePlane from '../CoordinatePlane.svelte';
	import Stepper from './Stepper.svelte';
	import type { Answering } from './answering';

	let { response, answer = $bindable(), disabled = false }: Answering<'plot'> & { answer: number[] | null } = $props();

	const points = $derived(answer ? [{ label: '', x: answer[0], y: answer[1] }] : []);

	function place(x: number, y: number) {
		if (!disabled) answer = [x, y];
	}
</script>

<CoordinatePlane
	plane={{ kind: 'plane', from: response.from, to: response.to, points, segments: response.segments }}
	words={answer ? `The point is at ${describeAnswer({ response }, answer)}.` : 'A grid without a point yet.'}
	onplace={place}
/>
<Stepper
	label="Across"
	value={answer ? answer[0] : null}
	min={response.from}
	max={response.to}
	start={0}
	{disabled}
	onchange={(x) => (answer = [x, answer?.[1] ?? 0])}
/>
<Stepper
	label="Up"
	value={answer ? answer[1] : null}
	min={response.from}
	max={response.to}
	start={0}
	{disabled}
	onchange={(y) => (answer = [answer?.[0] ?? 0, y])}
/>
