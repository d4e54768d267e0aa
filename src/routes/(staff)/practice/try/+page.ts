import { loadParts } from '$lib/ui/items/itemParts';

export async function load({ data }) {
	await loadParts([...data.items.map(({ item }) => item)]);
	return data;
}
