import { error } from '@sveltejs/kit';
import { itemFrom } from '$lib/core/items';
import { showItem, showItemWithKey } from '$lib/server/presentItem';
import { findSitting, sittingItems } from '$lib/server/store/sittings';
import { studentContext } from '$lib/server/studentPage';

export async function load({ locals, params }) {
	const student = studentContext(locals);
	const sitting = /^\d{1,10}$/.test(params.sitting)
		? await findSitting(locals.database, student.id, Number(params.sitting))
		: null;
	if (!sitting) error(404, 'This is not on your page.');
	const items = await sittingItems(locals.database, sitting.id);
	const practice = sitting.kind === 'practice';
	return {
		sitting: { id: sitting.id, kind: sitting.kind, itemCount: sitting.itemCount },
		// Keys travel only with practice, where feedback is immediate.
		items: items.map((place) => {
			const item = itemFrom(place.familyId, place.seed);
			const shown = practice
				? { ...showItemWithKey(item), practice: true as const }
				: { ...showItem(item), practice: false as const };
			return {
				position: place.position,
				correct: practice ? place.correct : null,
				done: place.attempts > 0,
				item: shown
			};
		})
	};
}
