<!--
	Suggested groups as a board. The solver runs in a worker; the proven gap shrinks while it works, and every move by
	hand shows what it costs.
-->
<script lang="ts">
	import { fullName, plural } from '$lib/core/words';
	import { onDestroy } from 'svelte';
	import { sayDay, sayMeeting } from '$lib/core/calendar';
	import { isThin } from '$lib/core/grouping';
	import { keepingScope } from '../shell/address';
	import AddStudent from './AddStudent.svelte';
	import AdoptForm from './AdoptForm.svelte';
	import BoardColumn from './BoardColumn.svelte';
	import type { BoardContent, BoardNames } from './board';
	import { Draft } from './draft.svelte';
	import DraftLimits from './DraftLimits.svelte';
	import MoreTimes from './MoreTimes.svelte';
	import { sayBroken } from './sayBroken';
	import { sayDraft } from './sayDraft';

	interface Props {
		data: BoardContent;
		/** Called with the id of the adoption. */
		onadopted: (adoption: string) => void;
	}
	let { data, onadopted }: Props = $props();

	// The board is made anew when the address changes, so what it starts from does not.
	// svelte-ignore state_referenced_locally
	const { problem, choices, helperIds, openTimes, draft: kept } = data;
	const mixing =
		choices.kind === 'mixed' && choices.focusId !== null ? { focusId: String(choices.focusId), helperIds } : undefined;
	const draft = new Draft({ problem, mixing, openTimes, kept: kept ?? undefined });
	onDestroy(() => draft.stop());

	// svelte-ignore state_referenced_locally
	let students = $state.raw(data.students);
	// svelte-ignore state_referenced_locally
	let why = $state.raw(data.why);
	// svelte-ignore state_referenced_locally
	let alsoIn = $state.raw(data.alsoIn);
	const studentOf = $derived(new Map(students.map((student) => [String(student.id), student])));
	const slotOf = $derived(new Map(data.slots.map((slot) => [String(slot.id), slot])));
	const skillOf = $derived(new Map(data.skills.map((skill) => [String(skill.id), skill])));
	const names: BoardNames = {
		student: (id) => {
			const student = studentOf.get(id);
			return student ? fullName(student) : id;
		},
		className: (id) => studentOf.get(id)?.className ?? '',
		skill: (id) => skillOf.get(id)?.shortName ?? id,
		slot: (id) => (slotOf.has(id) ? sayMeeting(slotOf.get(id)!) : id)
	};
	const worth = $derived(draft.judged.worth);
	const broken = $derived(draft.judged.broken.map((one) => sayBroken(one, names)));
	const cost = $derived(draft.result ? draft.result.objective - worth : 0);
	const fromBest = $derived(
		draft.result ? 100 * Math.max(0, (draft.result.bound - worth) / Math.max(draft.result.bound, 1e-9)) : 0
	);
	/** Sums of need in the groups: how evenly mixed groups are filled. */
	const loads = $derived(draft.columns.map((column) => draft.worth(column)));
	/** Students whose needs rest on little evidence: once there are groups, their need for the focus of theirs. */
	const thin = $derived.by(() => {
		const open = data.thin.map(({ studentId }) => studentId).filter((id) => !data.waiting.includes(id));
		if (!draft.result) return open;
		const onThin = draft.columns.flatMap(({ focusId, chips }) =>
			chips.filter(({ id }) => why[id]?.[focusId] && isThin(why[id][focusId])).map(({ id }) => Number(id))
		);
		return open.filter((id) => onThin.includes(id));
	});
	/** Students left in the group that they are in, and what that counts beyond the need met. */
	const staying = $derived(
		draft.groups.flatMap(({ slotId, focusId, studentIds }) =>
			studentIds.filter((id) => {
				const now = draft.posed.students.find((student) => student.id === id)?.currentGroup;
				return now?.slotId === slotId && now.focusId === focusId;
			})
		).length
	);
	const met = $derived(loads.reduce((sum, load) => sum + load, 0));
	const timeOf = new Map(openTimes.map(({ id, label }) => [id, label]));
	const two = (value: number) => value.toFixed(2);
	const people = (count: number) => `${plural(count, 'student')}`;
</script>

<div class="head">
	<div>
		<h1>
			{kept ? kept.name : mixing ? `Mixed groups on ${names.skill(mixing.focusId)}` : 'Suggested groups'}
		</h1>
		<p class="soft">
			{people(students.length)} chosen{data.regrouped.length
				? `, with the members of ${plural(data.regrouped.length, 'group')} that ${data.regrouped.length === 1 ? 'is' : 'are'} formed anew`
				: ''}. Nothing happens for students until you adopt the groups.
		</p>
	</div>
	<a href={keepingScope('/groups')}>Leave without adopting</a>
</div>

{#if thin.length && data.can.check}
	<p class="thin">
		{draft.result ? 'In these groups the needs' : 'The needs'} of {people(thin.length)} rest on little evidence.
		<a
			href={keepingScope('/gaps/check', {
				students: thin.join(','),
				back: kept ? `draft:${kept.id}` : null
			})}>Confirm them with a short check first</a
		>
	</p>
{/if}
{#if data.waiting.length}
	<p class="soft">
		A skill check is waiting for {people(new Set(data.waiting).size)}; what it shows will flow in here.
	</p>
{/if}
{#if kept}
	{#if kept.changes.length}
		<details class="thin">
			<summary
				>Since this draft was kept on {sayDay(new Date(kept.savedAt).toISOString())}, {kept.changes.length === 1
					? 'one need has'
					: `${kept.changes.length} needs have`} changed</summary
			>
			<ul>
				{#each kept.changes as { studentId, focusId, before, now, rather } (studentId + focusId)}
					<li>
						{names.student(studentId)}, {names.skill(focusId)}: {two(before)} then, {two(now)} now{rather
							? `; needs ${names.skill(rather)} more`
							: ''}
					</li>
				{/each}
			</ul>
		</details>
	{:else}
		<p class="soft">Nothing its groups rest on has changed since this draft was kept.</p>
	{/if}
{/if}

<DraftLimits
	{draft}
	slots={problem.slots.map(({ id }) => slotOf.get(id)!)}
	{students}
	{names}
	skills={data.skills}
	secure={data.secure}
/>

<p class="said" aria-live="polite">
	{#if draft.failure}
		<span class="problem">No grouping could be found: {draft.failure}.</span>
	{:else if draft.result}
		{sayDraft({
			students: students.length,
			placed: draft.placed,
			groups: draft.groups.length,
			more: draft.more,
			sayTime: (id) => timeOf.get(id) ?? id,
			worth: { now: worth, suggested: draft.edited ? draft.result.objective : worth }
		})}
		{#if draft.solving}Still looking for better ones…{/if}
	{:else if draft.solving}
		Looking for groups…
	{:else}
		<span class="soft">Choose limits, then ask for a suggestion.</span>
	{/if}
</p>
{#if draft.result}
	<details class="proof">
		<summary>Why these</summary>
		<p>
			Each student’s need for a skill is how much of it is missing × how ready the student is for it × how much depends
			on it (<a href={keepingScope('/groups/emphasis')}>with the school’s emphasis</a>), each from 0 to 1, and one and a
			half times that in tier 3. Groups are chosen so that the needs met add up to most.
		</p>
		<p>
			{#if staying && draft.limits.keepWorth > 0}Worth {two(worth)}: a need of {two(met)} met, and {people(staying)} left
				where they are, at {two(draft.limits.keepWorth)} each{:else}Meets a need of {two(
					met
				)}{/if}{#if draft.edited && Math.abs(cost) > 0.004}, {two(Math.abs(cost))}
				{cost > 0 ? 'less' : 'more'} than {kept ? 'the draft' : 'the suggestion'}{/if}. {#if !draft.isProven}What was
				asked has changed since: how far from the best it is now, a new search shows.{:else if two(draft.result.bound) === two(worth)}No
				grouping can reach more: that is proven.{:else}No grouping can reach more than {two(draft.result.bound)}: proven
				within
				{fromBest.toFixed(1)}% of the best.{/if}
			{#if mixing && loads.length}Sums of need in the groups go from {two(Math.min(...loads))} to {two(
					Math.max(...loads)
				)}.{/if}
		</p>
	</details>
{/if}
{#each broken as text (text)}<p class="broken">{text}</p>{/each}

{#if draft.result}
	<div class="board">
		{#each draft.columns as column (column.slotId)}
			<BoardColumn {draft} {column} slot={slotOf.get(column.slotId)!} {names} {why} {alsoIn} {studentOf} />
		{/each}
		<BoardColumn {draft} column={null} slot={null} {names} {why} {alsoIn} {studentOf}>
			<AddStudent
				{draft}
				onadded={(added) => {
					students = [...students, added.student];
					why = { ...why, [added.student.id]: added.why };
					alsoIn = { ...alsoIn, [added.student.id]: added.alsoIn };
				}}
			/>
		</BoardColumn>
	</div>
	<MoreTimes more={draft.more} openTimes={data.openTimes} {names} />
	{#if draft.placed}<AdoptForm
			{draft}
			dates={data.dates}
			{broken}
			regrouped={data.regrouped}
			keptName={kept?.name ?? ''}
			isProven={draft.isProven}
			{onadopted}
		/>{/if}
{/if}

<style>
	.head {
		display: flex;
		justify-content: space-between;
		gap: 16px;
	}
	.said {
		font-size: 1.05rem;
	}
	.proof {
		font-variant-numeric: tabular-nums;
		margin-bottom: 8px;
	}
	.proof summary {
		cursor: pointer;
	}
	.proof p {
		max-width: 90ch;
		margin: 4px 0;
	}
	.thin {
		border-left: 3px solid var(--forming-ink);
		padding: 2px 10px;
		margin-top: 6px;
	}
	.thin summary {
		cursor: pointer;
	}
	.broken {
		color: var(--slipping-ink);
		border-left: 3px solid var(--slipping-ink);
		padding-left: 8px;
	}
	.board {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(216px, 1fr));
		gap: 12px;
		align-items: start;
	}
</style>
