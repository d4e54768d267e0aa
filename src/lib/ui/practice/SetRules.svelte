<!-- What can be changed of a set for all of its students: its name, what helps, what follows, what an adult leads. -->
<script lang="ts">
	import { enhance } from '$app/forms';
	import { ABOVE_STEPS, BELOW_STEPS, FEEDBACK_TIMES, type SetHow } from '$lib/core/practice';
	import { keepValues } from '../form/keepValues';
	import { DONE_ONLY, IN_ONE_GO } from './saySet';
	import { ABOVE_WORDS, BELOW_WORDS } from './sayFollow';

	interface Props {
		name: string | null;
		/** What it is called by its skills. */
		usualName: string;
		task: string | null;
		how: SetHow;
		/** How many have begun: what is told of their questions stays for them. */
		begun: number;
	}
	let { name, usualName, task, how, begun }: Props = $props();
</script>

<details class="no-print">
	<summary>Change its name, help and what follows</summary>
	<form method="POST" action="?/how" use:enhance={keepValues}>
		<p class="one-line">
			<label>Called <input name="name" maxlength="80" value={name ?? ''} placeholder={usualName} /></label>
			<label>Task that an adult leads <input name="task" maxlength="120" value={task ?? ''} placeholder="none" /></label
			>
		</p>
		<p class="one-line">
			<label
				>Told what was right <select name="feedback" value={how.feedback}>
					{#each FEEDBACK_TIMES as time (time)}
						<option value={time} disabled={how.untilRight !== null && time !== 'at once'}
							>{time === 'none' ? 'never' : time}</option
						>
					{/each}
				</select></label
			>
			<label><input type="checkbox" name="hints" value="yes" checked={how.hints} /> hints</label>
			<label><input type="checkbox" name="secondTry" value="yes" checked={how.secondTry} /> second try</label>
			<label><input type="checkbox" name="solutions" value="yes" checked={how.solutions} /> solutions</label>
			<label title={IN_ONE_GO}
				><input type="checkbox" name="pausing" value="yes" checked={how.pausing} /> can be left and gone on with</label
			>
			<label title={DONE_ONLY}
				><input type="checkbox" name="doneOnly" value="yes" checked={how.doneOnly} /> only counts whether it is done</label
			>
		</p>
		<p class="one-line">
			<label>Line <input name="line" type="number" min="1" max="100" value={how.line} /> % right at the first try</label
			>
			<label
				>at or above it <select name="above" value={how.above}>
					{#each ABOVE_STEPS as step (step)}<option value={step}>{ABOVE_WORDS[step]}</option>{/each}
				</select></label
			>
			<label
				>below it <select name="below" value={how.below}>
					{#each BELOW_STEPS as step (step)}<option value={step}>{BELOW_WORDS[step]}</option>{/each}
				</select></label
			>
		</p>
		<p class="one-line">
			<button>Keep for all</button>
			<span class="soft"
				>{begun === 0
					? 'Nobody has begun: it is so for all.'
					: `${begun} ${begun === 1 ? 'has' : 'have'} begun: hints, solutions and whether it can be left change at once, when they are told and second tries stay as they are for them. What follows goes by when they finish.`}</span
			>
		</p>
	</form>
</details>

<style>
	form {
		display: grid;
		gap: 6px;
		margin: 6px 0 10px;
	}
	[type='number'] {
		width: 76px;
	}
</style>
