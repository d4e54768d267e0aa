import { cardsPage } from '$lib/server/commendations/commendationsPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	return { cards: await cardsPage(locals.database, staff, school, scope, url) };
}
