<!-- Adds a student, found by name, to those whom the address says that something is for (`with=5,6`). -->
<script lang="ts">
	import { page } from '$app/state';
	import type { FoundStudent } from '../form/foundStudent';
	import StudentPicker from '../form/StudentPicker.svelte';
	import { setState } from '../shell/address';

	/** Those who are there already. */
	let { not }: { not: number[] } = $props();
	let added = $state<FoundStudent | null>(null);
	$effect(() => {
		if (!added) return;
		const others = (page.url.searchParams.get('with') ?? '').split(',').filter(Boolean);
		const next = [...others, String(added.id)].join(',');
		added = null;
		void setState({ with: next });
	});
</script>

<StudentPicker label="Add a student" {not} bind:chosen={added} />
