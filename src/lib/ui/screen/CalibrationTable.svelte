<!-- What a calibration found, family by family, to be looked through and approved. -->
<script lang="ts">
	import { page } from '$app/state';
	import type { Column } from '../table/columns';
	import Table from '../table/Table.svelte';
	import { number, plural } from '$lib/core/words';
	import { enhance } from '$app/forms';
	import { POINTS_PER_LOGIT, toPoints } from '$lib/core/measurement';
	import { ENOUGH_ANSWERS, type FamilyFlag } from '$lib/core/screening';
	import { keepingScope } from '../shell/address';

	interface Family {
		familyId: string;
		skill: { code: string; name: string };
		sample: string;
		answers: number;
		right: number;
		medianMs: number;
		discrimination: number;
		standardErrors: { discrimination: number };
		before: { discrimination: number };
		points: { before: number; found: number; error: number; drift: number | null };
		misfit: number;
		isEnough: boolean;
		isProposed: boolean;
		flags: FamilyFlag[];
	}
	interface Props {
		jobId: number;
		found: {
			families: Family[];
			groups: { grade: number; windowId: number; window: string; mean: number; sd: number; students: number }[];
			logLikelihood: number;
			iterations: number;
			converged: boolean;
		};
		isApplied: boolean;
		mayApply: boolean;
	}
	let { jobId, found, isApplied, mayApply }: Props = $props();

	// svelte-ignore state_referenced_locally
	let chosen = $state(found.families.filter(({ isProposed }) => isProposed).map(({ familyId }) => familyId));
	let show = $state('all');

	const flagged = $derived(found.families.filter(({ flags }) => flags.length));
	const few = $derived(found.families.filter(({ isEnough }) => !isEnough));
	const change = ({ points }: Family) => points.found - points.before;
	const keys = {
		code: ({ skill }: Family) => skill.code,
		answers: ({ answers }: Family) => -answers,
		discrimination: ({ discrimination }: Family) => discrimination,
		change: (family: Family) => -Math.abs(change(family)),
		misfit: ({ misfit }: Family) => -misfit
	};
	const sort = $derived.by(() => {
		const wanted = page.url.searchParams.get('sort') ?? '';
		return Object.hasOwn(keys, wanted) ? (wanted as keyof typeof keys) : 'code';
	});
	const shown = $derived(
		(show === 'flagged' ? flagged : show === 'few' ? few : found.families).toSorted((a, b) => {
			const [one, other] = [keys[sort](a), keys[sort](b)];
			return one < other ? -1 : one > other ? 1 : 0;
		})
	);
	const signed = (value: number) => (Math.round(value) > 0 ? '+' : '') + number(value);
	const columns = $derived<(Column | false)[]>([
		mayApply && { label: 'Use' },
		{ label: 'Skill, and such a question', sort: 'code' },
		{ label: 'Right', isNumber: true },
		{ label: 'Median time', isNumber: true },
		{ label: 'Answers', sort: 'answers', title: 'First tries in diagnostics that count', isNumber: true },
		{
			label: 'Discrimination',
			sort: 'discrimination',
			title: 'How sharply it tells students apart; 1.2 is supposed at first',
			isNumber: true
		},
		{
			label: 'Difficulty',
			sort: 'change',
			title: 'In points: supposed or used until now, and found',
			isNumber: true
		},
		{
			label: 'Misfit',
			sort: 'misfit',
			title: 'Root of the mean squared distance of right answers from the curve',
			isNumber: true
		},
		{ label: 'Drift', isNumber: true },
		{ label: 'Doubt' }
	]);
</script>

<p class="about">
	<strong>{found.families.length}</strong> families of questions, {flagged.length} with a doubt, {few.length} with fewer than
	{ENOUGH_ANSWERS} answers, which stay as they are. Log-likelihood {number(found.logLikelihood, 2)} after
	{found.iterations}
	passes{found.converged ? '' : ', not settled'}.
</p>
<details>
	<summary>Ability found, by grade and window</summary>
	<Table
		says="Groups of students"
		columns={[
			{ label: 'Window' },
			{ label: 'Grade' },
			{ label: 'Sittings', isNumber: true },
			{ label: 'Mean, points', isNumber: true },
			{ label: 'Spread, points', isNumber: true }
		]}
		rows={found.groups}
		key={({ windowId, grade }) => `${windowId} ${grade}`}
		narrow
	>
		{#snippet cells({ grade, window, mean, sd, students })}
			<td>{window}</td><td>{grade}</td><td class="number">{students}</td><td class="number">{number(toPoints(mean))}</td
			><td class="number">{number(POINTS_PER_LOGIT * sd)}</td>
		{/snippet}
	</Table>
</details>

<form method="POST" action="?/apply" use:enhance>
	<input type="hidden" name="job" value={jobId} />
	{#each chosen as family (family)}<input type="hidden" name="families" value={family} />{/each}
	<div class="tools">
		<label>
			Show
			<select bind:value={show}>
				<option value="all">all {found.families.length}</option>
				<option value="flagged">with a doubt: {flagged.length}</option>
				<option value="few">too few answers: {few.length}</option>
			</select>
		</label>
		{#if mayApply}
			<button class="primary" disabled={chosen.length === 0}
				>Use for {plural(chosen.length, 'family', 'families')}, as a new version</button
			>
		{:else if isApplied}<span>This calibration is in use.</span>{/if}
	</div>
</form>

<Table says="Families of questions" {columns} {sort} rows={shown} key={({ familyId }) => familyId}>
	{#snippet cells(family)}
		{#if mayApply}
			<td>
				{#if family.isEnough}<input
						type="checkbox"
						value={family.familyId}
						bind:group={chosen}
						aria-label="Use {family.familyId}"
					/>{/if}
			</td>
		{/if}
		<th scope="row">
			<a href={keepingScope(`/library/${family.skill.code}`)}>{family.skill.code} {family.skill.name}</a>
			<span class="sample soft">{family.sample}</span>
		</th>
		<td class="number">{Math.round(100 * family.right)}%</td>
		<td class="number">{(family.medianMs / 1000).toFixed(1)} s</td>
		<td class="number">{family.answers}</td>
		<td class="number"
			>{number(family.discrimination, 2)}
			<span class="soft">± {family.standardErrors.discrimination.toFixed(2)}</span></td
		>
		<td class="number"
			><span class="soft">{number(family.points.before)} →</span>
			{number(family.points.found)} <span class="soft">± {number(family.points.error)}</span></td
		>
		<td class="number">{family.misfit.toFixed(3)}</td>
		<td class="number">{family.points.drift === null ? '' : signed(family.points.drift)}</td>
		<td>{family.isEnough ? family.flags.join(', ') : 'too few answers'}</td>
	{/snippet}
	{#snippet empty()}No family of questions is so. <button class="plain" onclick={() => (show = 'all')}>Show all</button
		>{/snippet}
</Table>
<p class="soft about">
	Tells little: discrimination under 0.6. Does not fit: misfit beyond what chance gives to 99 of 100 families that fit.
	Has drifted: harder or easier in the newest window than before by more than 7.5 points and three standard errors. A
	doubt is a reason to read its questions in the library.
</p>

<style>
	.about {
		max-width: 74em;
		margin: 10px 0;
	}
	details {
		margin-bottom: 10px;
	}
	.tools {
		display: flex;
		gap: 16px;
		align-items: center;
		margin-bottom: 10px;
	}
	td {
		white-space: nowrap;
	}
	.sample {
		display: block;
		max-width: 360px;
		overflow: hidden;
		text-overflow: ellipsis;
		white-space: nowrap;
		font-size: 0.85rem;
	}
</style>
