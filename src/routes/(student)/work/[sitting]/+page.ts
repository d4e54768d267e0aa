import { loadParts } from '$lib/ui/items/itemParts';

export async function load({ data }) {
	await loadParts([...[...data.warmUp, ...data.items].map(({ item }) => item), ...data.examples, ...data.lookBack]);
	return data;
}
