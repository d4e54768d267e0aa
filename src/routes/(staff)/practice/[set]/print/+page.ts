import { loadParts } from '$lib/ui/items/itemParts';

export async function load({ data }) {
	await loadParts(data.sheets.flatMap(({ questions }) => questions));
	return data;
}
