<script lang="ts">
	import { plural } from '$lib/core/words';
	import { page } from '$app/state';
	import { reportText } from '$lib/core/screening';
	import ReportPage from '$lib/ui/screen/ReportPage.svelte';
	import { keepingScope, setState } from '$lib/ui/shell/address';
	import { sayDate } from '$lib/core/calendar';

	let { data } = $props();

	const { audience, longer } = $derived(data);
</script>

<svelte:head><title>Student report · Orderly Compass</title></svelte:head>

<div class="no-print top">
	<p>
		<a
			href={keepingScope('/screen', {
				window: page.url.searchParams.get('window'),
				for: null,
				length: null,
				all: null
			})}>Back to {data.window.name}</a
		>
	</p>
	<h1>Student report</h1>
	<div class="tools">
		<label>
			For
			<select onchange={(event) => setState({ for: event.currentTarget.value === 'family' ? 'family' : null })}>
				<option value="staff">staff</option>
				<option value="family" selected={audience === 'family'}>the family</option>
			</select>
		</label>
		<label>
			Skills
			<select onchange={(event) => setState({ length: event.currentTarget.value === 'longer' ? 'longer' : null })}>
				<option value="short">the first few, on one page</option>
				<option value="longer" selected={longer}>all of them</option>
			</select>
		</label>
		<label>
			Who
			<select onchange={(event) => setState({ all: event.currentTarget.value === 'yes' ? 'yes' : null })}>
				<option value="no"
					>{data.reports[0] && !data.all
						? `${data.reports[0].givenName} ${data.reports[0].familyName}`
						: 'one student'}</option
				>
				<option value="yes" selected={data.all}>all {data.scope.size} of {data.scope.inWords}</option>
			</select>
		</label>
		<button class="primary" onclick={() => print()}>Print {plural(data.reports.length, 'report')}</button>
		<a class="button" href={keepingScope(`/screen/report.pdf${page.url.search}`)} data-sveltekit-reload
			>Take out as PDF</a
		>
	</div>
	{#if data.left}<p>
			Only the first {data.reports.length} are shown; {data.left} more are in a smaller scope each.
		</p>{/if}
	{#if data.reports.length === 0}<p>Nobody is in this scope, so there is nothing to report.</p>{/if}
</div>

{#each data.reports as report (report.id)}
	<ReportPage
		report={reportText(report, { window: data.window, earlier: data.earlier, audience, longer })}
		school={data.school.name}
		printed={sayDate(data.today)}
	/>
{/each}

<style>
	.top {
		display: grid;
		gap: 8px;
	}
	.tools {
		display: flex;
		flex-wrap: wrap;
		gap: 10px;
		align-items: center;
	}
</style>
