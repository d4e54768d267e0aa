<script lang="ts">
	import { enhance } from '$app/forms';
	import { LIST_COLUMNS } from '$lib/core/interchange/studentList';
	import type { PlannedStudent } from '$lib/core/interchange/studentPlan';
	import { plural, sayGrade } from '$lib/core/words';
	import { keepValues } from '$lib/ui/form/keepValues';
	import CheckList from '$lib/ui/setup/CheckList.svelte';
	import SetupViews from '$lib/ui/setup/SetupViews.svelte';
	import Notice from '$lib/ui/shell/Notice.svelte';
	import { keepingScope } from '$lib/ui/shell/address';

	let { data, form } = $props();
	const read = $derived(form && 'step' in form && form.step === 'check' ? form : null);
	const added = $derived(form && 'step' in form && form.step === 'added' ? form : null);
	const empty = $derived(data.classes.filter(({ students }) => students === 0));
	/** The class of the address, else the first with nobody in it. */
	const proposed = $derived(data.into || empty[0]?.name || data.classes[0]?.name || '');
	let text = $state('');
	$effect(() => {
		if (added) text = '';
	});

	/** As they were read, until somebody corrects them. */
	let students = $derived.by(() => {
		const rows = $state<PlannedStudent[]>($state.snapshot(read?.plan.students) ?? []);
		return rows;
	});
	const takes = $derived(students.filter(({ effect, problem }) => !problem && effect !== 'here').length);
	/** Who is here already, and of whom the list says more. */
	const saysMore = $derived(
		students.filter(({ effect, problem, homeLanguage }) => !problem && effect === 'here' && homeLanguage).length
	);
	const bad = $derived(students.filter(({ problem }) => problem).length);
	const rows = $derived(
		JSON.stringify(
			students.map(({ givenName, familyName, preferredName, number, grade, birthDate, className, homeLanguage }) => ({
				...{ givenName, familyName, preferredName, number, grade, birthDate, className, homeLanguage }
			}))
		)
	);
</script>

<svelte:head><title>Add students · Orderly Compass</title></svelte:head>

<SetupViews />
<h1>Add students</h1>

{#if data.classes.length === 0}
	<p>
		Students come into classes, and there is none yet. <a href={keepingScope('/setup/classes')}>Add classes first</a>,
		or bring in a list that names the class and grade of each.
	</p>
{/if}
{#if form && 'problem' in form}<p class="problem" role="alert">{form.problem}</p>{/if}
{#if added}
	<p class="attention">
		{added.done} They are in {added.classes.join(', ')} and can be screened; to sign in they need
		<a href={keepingScope('/setup/cards')}>PINs</a>.
		{#if empty.length}Nobody is in {empty.map(({ name }) => name).join(', ')} yet.{/if}
	</p>
{/if}

{#if !read}
	<form method="POST" action="?/read" use:enhance={keepValues} enctype="multipart/form-data" class="list">
		<label for="into">Into</label>
		<select id="into" name="into" value={proposed}>
			{#each data.classes as { name, grade, students: size } (name)}
				<option value={name}>{name} · {sayGrade(grade)}, {plural(size, 'student')}</option>
			{/each}
			<option value="">the class that the list names</option>
		</select>
		<label for="text">Students, one a line</label>
		<textarea
			id="text"
			name="text"
			rows="14"
			maxlength="400000"
			bind:value={text}
			aria-describedby="how"
			spellcheck="false"></textarea>
		<p id="how" class="soft">
			As they stand in a mail, a document or a spreadsheet: “Ilse Rahimi”, “Rahimi, Ilse”, or columns with number,
			grade, birth date, class or home language. What was understood is shown before anything is stored.
		</p>
		<label for="file">or a file (CSV, XLSX)</label>
		<input id="file" name="file" type="file" accept=".csv,.tsv,.txt,.xlsx" />
		<button class="primary">Look at it</button>
	</form>
{:else}
	<form method="POST" action="?/read" use:enhance={keepValues} class="layout">
		<input type="hidden" name="text" value={read.text} />
		<input type="hidden" name="into" value={read.into} />
		<fieldset>
			<legend>How the list was read</legend>
			<div class="one-line">
				{#each read.layout.columns as column, i (i)}
					<label
						>{i + 1}. <span class="soft">{read.sample[i] ?? ''}</span>
						<select name="columns" value={column}>
							{#each LIST_COLUMNS as one (one)}<option value={one}>{one}</option>{/each}
						</select></label
					>
				{/each}
				<label
					>First line
					<select name="hasHeader" value={read.layout.hasHeader ? 'yes' : 'no'}>
						<option value="no">is a student</option>
						<option value="yes">names the columns</option>
					</select></label
				>
				{#if read.layout.columns.includes('name')}
					<label
						>Names
						<select name="familyFirst" value={read.layout.isFamilyFirst ? 'yes' : 'no'}>
							<option value="no">given name first</option>
							<option value="yes">family name first</option>
						</select></label
					>
				{/if}
				<button>Read it this way</button>
				{#if read.isKnown}<span class="soft">As a list with these headings was read before.</span>{/if}
			</div>
		</fieldset>
	</form>
	<CheckList bind:students today={data.today} hasClasses={read.layout.columns.includes('class')} />
	{#if read.plan.newClasses.length}
		<p class="new-classes">
			New {read.plan.newClasses.length === 1 ? 'class' : 'classes'}: {read.plan.newClasses
				.map(({ name, grade }) => `${name} (${sayGrade(grade)})`)
				.join(', ')}
		</p>
	{/if}
	<form method="POST" action="?/add" use:enhance={keepValues} class="one-line add">
		<input type="hidden" name="rows" value={rows} />
		<input type="hidden" name="into" value={read.into} />
		<button class="primary" disabled={takes + saysMore === 0}
			>{takes
				? `Add ${plural(takes, 'student')}${read.into ? ` to ${read.into}` : ''} from today`
				: `Note the home language of ${plural(saysMore, 'student')}`}</button
		>
		{#if bad}<span class="soft">{plural(bad, 'line')} cannot be taken and {bad === 1 ? 'is' : 'are'} left out.</span
			>{/if}
		<a href={keepingScope('/setup/add')} data-sveltekit-reload>Start again</a>
	</form>
{/if}
<Notice outcome={form && 'done' in form ? form : null} />

<style>
	.list {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 6px;
		max-width: 44rem;
		margin-top: 12px;
	}
	.list :is(button, select) {
		justify-self: start;
	}
	textarea {
		font-family: inherit;
		line-height: 1.5;
	}
	.layout {
		margin: 12px 0;
	}
	fieldset {
		border: 1px solid var(--rule);
	}
	.attention,
	.problem {
		margin: 10px 0;
	}
	.new-classes,
	.add {
		margin-top: 12px;
	}
</style>
