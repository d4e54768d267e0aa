<!-- A part of what a roster would do, a row a thing: who, what becomes of it, and the line that says so. -->
<script lang="ts">
	import type { RosterChange, RosterDoubt } from '$lib/core/interchange/roster/schoolRoster';
	import { fullName, sayGrade } from '$lib/core/words';
	import Table from '../table/Table.svelte';

	interface Props {
		says: string;
		rows: ({ doubt: RosterDoubt } | { change: RosterChange })[];
		/** Names of the roster's classes, by the source's ids. */
		classNames: Record<string, string>;
	}
	let { says, rows, classNames }: Props = $props();

	/** The file in which a change's line stands. */
	type File = 'users' | 'classes';
	interface Row {
		who: string;
		becomes: { label: string; was: string; is: string }[];
		says: string;
		where: string;
	}
	const FIELDS: Record<string, string> = {
		givenName: 'given name',
		familyName: 'family name',
		preferredName: 'preferred name',
		number: 'number',
		grade: 'grade',
		birthDate: 'born',
		name: 'name',
		displayName: 'name',
		email: 'mail'
	};
	const sayValue = (field: string, value: unknown) =>
		value === null || value === '' ? 'nothing' : field === 'grade' ? sayGrade(Number(value)) : String(value);
	const differences = (before: object, after: object) =>
		Object.entries(after).flatMap(([field, value]) => {
			const was = (before as Record<string, unknown>)[field] ?? null;
			return was === value
				? []
				: [{ label: FIELDS[field] ?? field, was: sayValue(field, was), is: sayValue(field, value) }];
		});
	const where = (file: File, line: number) => `${file}.csv, line ${line}`;
	const found = (matchedBy: string | null) => (matchedBy ? `found by ${matchedBy}` : '');
	const nameOf = (sourcedId: string) => classNames[sourcedId] ?? sourcedId;

	function sayChange(change: RosterChange): Row {
		const nothing = { becomes: [], says: '', where: '' };
		switch (change.kind) {
			case 'add student': {
				const { record, to, line } = change;
				const who = fullName({ ...record, givenName: record.preferredName ?? record.givenName });
				return {
					who,
					becomes: [],
					says: `joins ${nameOf(to)}, ${sayGrade(record.grade)}`,
					where: where('users', line)
				};
			}
			case 'renew student': {
				const { before, after, matchedBy, line } = change;
				return {
					who: fullName({ ...before, givenName: before.preferredName ?? before.givenName }),
					becomes: differences(before, after),
					says: found(matchedBy),
					where: where('users', line)
				};
			}
			case 'move student':
				return {
					who: change.name,
					becomes: change.from ? [{ label: 'class', was: change.from, is: nameOf(change.to) }] : [],
					says: change.from ? '' : `comes back, into ${nameOf(change.to)}`,
					where: where('users', change.line)
				};
			case 'student leaves':
				return { ...nothing, who: change.name, says: `leaves ${change.from}`, where: 'not in the roster' };
			case 'add class':
				return {
					...nothing,
					who: change.name,
					says: `is new, ${change.isSection ? 'a section of ' : ''}${sayGrade(change.grade)}`,
					where: where('classes', change.line)
				};
			case 'renew class':
				return {
					who: change.before.name,
					becomes: differences(change.before, change.after),
					says: found(change.matchedBy),
					where: where('classes', change.line)
				};
			case 'members of section': {
				const [come, go] = [change.come, change.go].map((ones) => ones.map(({ name }) => name).join(', '));
				return {
					...nothing,
					who: change.name,
					says: [come && `gets ${come}`, go && `is left by ${go}`].filter(Boolean).join('; '),
					where: 'enrollments.csv'
				};
			}
			case 'end class':
				return { ...nothing, who: change.name, says: 'ends', where: 'not in the roster' };
			case 'add adult':
				return {
					...nothing,
					who: change.displayName,
					says: `is new, a teacher with the user name ${change.userName}; to be invited under Staff`,
					where: where('users', change.line)
				};
			case 'renew adult':
				return {
					who: change.before.displayName,
					becomes: differences(change.before, change.after),
					says: found(change.matchedBy),
					where: where('users', change.line)
				};
			case 'adults of class':
				return {
					...nothing,
					who: change.name,
					says: [
						...(change.come.length ? [`${change.come.join(', ')} from today`] : []),
						...(change.go.length ? [`without ${change.go.join(', ')}`] : [])
					].join('; ')
				};
		}
	}
	const sayDoubt = ({ of, name, line, says: why }: RosterDoubt): Row => ({
		who: name,
		becomes: [],
		says: why,
		where: line === null ? 'not in the roster' : where(of === 'class' ? 'classes' : 'users', line)
	});
	const said = $derived(rows.map((row) => ('doubt' in row ? sayDoubt(row.doubt) : sayChange(row.change))));
</script>

<Table
	{says}
	columns={[{ label: 'Who or what' }, { label: 'What becomes of it' }, { label: 'Where it stands' }]}
	rows={said}
	key={(_, i) => i}
	airy
>
	{#snippet cells(row)}
		<th scope="row">{row.who}</th>
		<td>
			{#each row.becomes as { label, was, is }, i (i)}<span class="becomes"
					>{label}: <del>{was}</del> <span aria-hidden="true">→</span> <ins>{is}</ins></span
				>{/each}
			{row.says}
		</td>
		<td class="soft">{row.where}</td>
	{/snippet}
</Table>

<style>
	.becomes {
		margin-right: 14px;
	}
	del {
		color: var(--ink-soft);
	}
	ins {
		text-decoration: none;
		font-weight: 600;
	}
</style>
