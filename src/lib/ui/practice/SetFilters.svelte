<!-- Which sets are shown: on one skill, of one author, not open yet, open or past due. -->
<script lang="ts">
	import { SET_STAGES } from '$lib/core/practice';
	import { setState } from '../shell/address';

	interface Props {
		asked: { skillId: number | null; authorId: number | null; stage: string | null };
		choices: { authors: { id: number; name: string }[]; skills: { id: number; name: string }[] };
	}
	let { asked, choices }: Props = $props();
	const change = (name: string, value: string) => setState({ [name]: value || null, sets: null });
</script>

<label
	>Skill <select value={asked.skillId ?? ''} onchange={(event) => change('skill', event.currentTarget.value)}>
		<option value="">any</option>
		{#each choices.skills as { id, name } (id)}<option value={id}>{name}</option>{/each}
	</select></label
>
<label
	>Assigned by <select value={asked.authorId ?? ''} onchange={(event) => change('author', event.currentTarget.value)}>
		<option value="">anyone</option>
		{#each choices.authors as { id, name } (id)}<option value={id}>{name}</option>{/each}
	</select></label
>
<label
	>State <select value={asked.stage ?? ''} onchange={(event) => change('stage', event.currentTarget.value)}>
		<option value="">any</option>
		{#each SET_STAGES as stage (stage)}<option value={stage}>{stage}</option>{/each}
	</select></label
>

<style>
	select {
		max-width: 200px;
	}
</style>
