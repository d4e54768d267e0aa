<!-- The fields of what is otherwise for some students within a set; what nobody touches is not sent. -->
<script lang="ts">
	import { MOST_QUESTIONS } from '$lib/core/practice';
	import { OWN_CHOICES } from './ownChoices';

	let practice = $state<number | null>(null);
	const chosen = $state<Record<string, string>>({});
</script>

<label
	>Questions <input
		name={practice === null ? undefined : 'practice'}
		type="number"
		min="1"
		max={MOST_QUESTIONS}
		bind:value={practice}
	/>
</label>
{#each OWN_CHOICES as { name, label, options } (name)}
	<label
		>{label}
		<select name={chosen[name] ? name : undefined} bind:value={chosen[name]}>
			<option value={undefined}>as it is</option>
			{#each options as { value, says } (value)}<option {value}>{says}</option>{/each}
			<option value="as for all">as for all</option>
		</select></label
	>
{/each}

<style>
	input {
		width: 64px;
	}
</style>
