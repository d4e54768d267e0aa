import { loadParts } from '$lib/ui/items/itemParts';

export async function load({ data }) {
	await loadParts([...data.plan.samples, ...data.plan.ticket]);
	return data;
}
