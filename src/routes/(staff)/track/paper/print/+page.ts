import { loadParts } from '$lib/ui/items/itemParts';

export async function load({ data }) {
	await loadParts(data.page.questions);
	return data;
}
