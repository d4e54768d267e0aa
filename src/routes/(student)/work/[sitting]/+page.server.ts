import { idOf, studentContext } from '$lib/server/request';
import { error } from '@sveltejs/kit';
import { itemFrom } from '$lib/core/items';
import { RESIT_ITEMS, USUAL_LENGTH, warmUpItems } from '$lib/core/screening';
import { closings, findSitting, practiceItem, showItem, sittingItems } from '$lib/server/sitting';
import { accommodationOf, diagnosticProgress, sayClosed, spokenText } from '$lib/server/sitting/sittingPage';
import { itemsAsked, skillList } from '$lib/server/library';

export async function load({ locals, params }) {
	const student = studentContext(locals);
	const id = idOf(params.sitting);
	const sitting = id === null ? null : await findSitting(locals.database, student.id, id);
	if (!sitting) error(404, 'This is not on your page.');
	const isDiagnostic = sitting.kind === 'diagnostic';
	const practice = sitting.kind === 'practice';
	const [items, accommodation, progress, closed] = await Promise.all([
		sittingItems(locals.database, sitting.id),
		accommodationOf(locals, student),
		isDiagnostic ? diagnosticProgress(locals, student, sitting) : null,
		closings(locals.database, [sitting.id], locals.at)
	]);
	const closing = closed.get(sitting.id);
	// Of what is closed no question is shown any more.
	const shownItems = closing ? [] : items;
	const warmUp =
		isDiagnostic && !closing && sitting.answered === 0
			? warmUpItems(await skillList(locals.database, student.schoolId), { grade: student.grade, term: 2 }, student.id)
			: [];
	return {
		sitting: {
			id: sitting.id,
			kind: sitting.kind,
			adaptive: sitting.adaptive,
			// Of an adaptive sitting: about how many.
			itemCount: sitting.adaptive ? Math.min(USUAL_LENGTH, Math.max(sitting.itemCount, RESIT_ITEMS)) : sitting.itemCount
		},
		readAloud: accommodation.readAloud,
		largerType: accommodation.largerType,
		enough: progress?.enough ?? false,
		closed: closing ? sayClosed(closing.why) : null,
		// Practice questions before a diagnostic: they count for nothing.
		warmUp: await Promise.all(
			warmUp.map(async ({ familyId, seed }, position) => ({
				position,
				correct: null,
				done: false,
				missed: null,
				item: await practiceItem(locals.database, itemFrom(familyId, seed)),
				spoken: spokenText(itemFrom(familyId, seed))
			}))
		),
		items: await Promise.all(
			(await itemsAsked(locals.database, shownItems)).map(async ({ position, item, attempts, correct, response }) => {
				return {
					position,
					correct: practice ? correct : null,
					done: attempts > 0,
					missed: practice && attempts === 1 && correct === false ? response : null,
					// Feedback is immediate only in practice, and only there is anything told that it needs.
					item: practice ? await practiceItem(locals.database, item) : { ...showItem(item), practice: false as const },
					spoken: spokenText(item)
				};
			})
		)
	};
}
