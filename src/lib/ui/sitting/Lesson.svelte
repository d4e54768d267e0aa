<!-- What a set begins with: a note, page, file or sound that is looked at before the questions. -->
<script lang="ts">
	import type { ShownMaterial } from '$lib/core/practice';
	import MaterialView from '../materials/MaterialView.svelte';

	let { lesson, ondone }: { lesson: ShownMaterial; ondone: () => void } = $props();
</script>

<p class="soft">Look at this first</p>
<h1>{lesson.title}</h1>
<MaterialView material={lesson} />
<button class="primary" onclick={ondone}>Go on to the questions</button>

<style>
	h1 {
		margin: 10px 0;
	}
	.primary {
		width: 100%;
		min-height: 52px;
		font-size: 1em;
		margin-top: 16px;
	}
</style>
