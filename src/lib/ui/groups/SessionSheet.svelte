<!--
	The sessions of a day on paper, for whoever holds them, a substitute too: when and where, what it is about, a question
	to model, who comes with a box to tick, and the questions for the end. Seen in print only.
	<SessionSheet title="Sessions today, Mon, Nov 23" school="…" sessions={data.sessions} />
-->
<script lang="ts">
	import type { ComponentProps } from 'svelte';
	import TierBars from '../glyphs/TierBars.svelte';
	import type SampleItems from '../items/SampleItems.svelte';
	import ExitTicket from './ExitTicket.svelte';

	interface Session {
		group: { id: number; name: string; tier: number };
		slot: { startsAt: string; minutes: number; room: string; staffName: string };
		skill: { shortName: string; statement: string };
		students: { id: number; name: string; className: string }[];
		isPaused: boolean;
		isAway: boolean;
		plan: {
			samples: ComponentProps<typeof SampleItems>['samples'];
			ticket: ComponentProps<typeof ExitTicket>['ticket'];
		};
	}
	interface Props {
		title: string;
		school: string;
		sessions: Session[];
	}
	let { title, school, sessions }: Props = $props();
	const held = $derived(sessions.filter(({ isPaused }) => !isPaused));
</script>

<div class="print-only">
	<h1>{title} <span>{school}</span></h1>
	{#each held as { group, slot, skill, students, isAway, plan } (group.id)}
		<section>
			<div>
				<p class="time">{slot.startsAt}</p>
				<p>{slot.minutes} min<br />{slot.room}<br />{slot.staffName}{isAway ? ' (away)' : ''}</p>
			</div>
			<div>
				<p><span class="focus"><TierBars tier={group.tier} /> {skill.shortName}.</span> {skill.statement}.</p>
				{#if plan.samples.length}
					<!-- eslint-disable svelte/no-at-html-tags -- escaped on the server -->
					<p>
						<strong>Show first:</strong>
						{@html plan.samples[0].stemHtml}
						{#if plan.samples[0].optionsHtml.length}({#each plan.samples[0].optionsHtml as option, i (i)}{i
									? '; '
									: ''}{@html option}{/each}){/if}
						<span class="soft">Key: {@html plan.samples[0].keyHtml}</span>
					</p>
					<!-- eslint-enable svelte/no-at-html-tags -->
					<p><strong>At the end, each alone:</strong></p>
					<div class="ticket"><ExitTicket ticket={plan.ticket} /></div>
				{:else}
					<p>No questions are written for this skill; the group’s adult has the material.</p>
				{/if}
			</div>
			<table>
				<thead
					><tr
						><th>Here</th><th>Who</th>{#if plan.ticket.length}<th>Right</th>{/if}</tr
					></thead
				>
				<tbody>
					{#each students as { id, name, className } (id)}
						<tr>
							<td><span class="box"></span></td>
							<td>{name} <span class="soft">{className}</span></td>
							{#if plan.ticket.length}<td>__ of {plan.ticket.length}</td>{/if}
						</tr>
					{/each}
				</tbody>
			</table>
		</section>
	{/each}
</div>

<style>
	h1 span {
		font: 400 1rem var(--text);
		margin-left: 10px;
	}
	section {
		display: grid;
		grid-template-columns: 92px minmax(0, 1fr) 250px;
		gap: 4px 16px;
		border-top: 1.5px solid var(--ink);
		padding: 4px 0 5px;
		break-inside: avoid;
		font-size: 0.9rem;
	}
	.time {
		font: 600 1.25rem var(--head);
		font-variant-numeric: tabular-nums lining-nums;
	}
	.focus {
		font: 600 1.1rem var(--head);
	}
	p {
		line-height: 1.25;
	}
	.ticket {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 0 12px;
	}
	table {
		align-self: start;
	}
	td,
	th {
		padding: 0 6px 0 0;
		line-height: 1.35;
	}
	.box {
		display: inline-block;
		width: 11px;
		height: 11px;
		border: 1px solid var(--ink);
	}
</style>
