import { loadParts } from '$lib/ui/items/itemParts';

export async function load({ data }) {
	await loadParts(data.sessions.flatMap(({ plan }) => [...plan.samples, ...plan.ticket]));
	return data;
}
