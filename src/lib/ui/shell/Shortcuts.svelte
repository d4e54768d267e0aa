<!-- The keys that work on every staff page, as a list. -->
<script lang="ts">
	import Dialog from './Dialog.svelte';

	let { onclose }: { onclose: () => void } = $props();
</script>

<Dialog title="Keyboard shortcuts" {onclose}>
	<table>
		<tbody>
			<tr><th scope="row"><kbd>J</kbd> <kbd>K</kbd></th><td>Next and previous student; the panel follows</td></tr>
			<tr><th scope="row"><kbd>A</kbd></th><td>Answers of the selected student</td></tr>
			<tr><th scope="row"><kbd>/</kbd></th><td>Find a student or a skill</td></tr>
			<tr
				><th scope="row"><kbd>G</kbd> then <kbd>1</kbd>…<kbd>6</kbd></th><td>Go to a leg, keeping who is looked at</td
				></tr
			>
			<tr
				><th scope="row"><kbd>←</kbd> <kbd>↑</kbd> <kbd>→</kbd> <kbd>↓</kbd></th><td
					>Move on the needle map; <kbd>Enter</kbd> shows the answers, <kbd>Space</kbd> selects the student</td
				></tr
			>
			<tr
				><th scope="row"><kbd>Space</kbd></th><td
					>Pick up a student on the group board; <kbd>Tab</kbd> carries to the next group, <kbd>Space</kbd> drops</td
				></tr
			>
			<tr><th scope="row"><kbd>?</kbd></th><td>This list</td></tr>
		</tbody>
	</table>
</Dialog>

<style>
	kbd {
		font: inherit;
		border: 1px solid var(--rule-strong);
		border-radius: var(--corner);
		padding: 0 5px;
	}
</style>
