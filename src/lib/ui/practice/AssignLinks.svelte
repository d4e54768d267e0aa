<!-- From some students to the page on which practice is assigned. <AssignLinks ids={selected} /> -->
<script lang="ts">
	import { keepingScope } from '../shell/address';

	let { ids }: { ids: number[] } = $props();
	const to = (own: string | null) =>
		keepingScope('/practice/new', { for: `students:${ids.join(',')}`, own, student: null });
</script>

<a class="button" href={to(null)}>Assign practice</a>
<a class="button" href={to('yes')}>Each their own next step</a>
<a class="button" href={keepingScope('/practice/given', { for: `students:${ids.join(',')}`, student: null })}
	>Note or file</a
>
