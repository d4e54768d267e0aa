import { idOf, studentContext } from '$lib/server/request';
import { error } from '@sveltejs/kit';
import { itemFrom } from '$lib/core/items/bank';
import { isPracticeKind } from '$lib/core/measurement';
import { warmUpItems } from '$lib/core/screening';
import {
	acceptedAnswers,
	closings,
	findSitting,
	practiceItem,
	showItem,
	sittingItems,
	withAccepted
} from '$lib/server/sitting';
import { reviewAfter } from '$lib/server/sitting/ownPage';
import { practiceSitting } from '$lib/server/sitting/practicePage';
import { accommodationOf, diagnosticProgress, sayClosed, spokenText } from '$lib/server/sitting/sittingPage';
import { itemsAsked, skillList } from '$lib/server/library';

/** Up to this grade questions are read aloud and set larger unless the student turns it off. */
const LAST_GRADE_WITH_SUPPORTS = 2;

export async function load({ locals, params }) {
	const student = studentContext(locals);
	const id = idOf(params.sitting);
	const sitting = id === null ? null : await findSitting(locals.database, student.id, id);
	if (!sitting) error(404, 'This is not on your page.');
	const isDiagnostic = sitting.kind === 'diagnostic';
	/** Whether one question is shown at a time, the next once the last is stored. */
	const isOneByOne = isDiagnostic || sitting.adaptive;
	const isYoung = student.grade <= LAST_GRADE_WITH_SUPPORTS;
	const isPractice = isPracticeKind(sitting.kind);
	const [items, accommodation, progress, closed] = await Promise.all([
		sittingItems(locals.database, sitting.id),
		accommodationOf(locals, student),
		isOneByOne ? diagnosticProgress(locals, student, sitting) : null,
		closings(locals.database, [sitting.id], locals.at)
	]);
	const closing = closed.get(sitting.id);
	// Who is just learning to read has both from the start.
	const usual = {
		readAloud: accommodation.readAloud || isYoung,
		largerType: accommodation.largerType || isYoung
	};
	const practice = sitting.setId !== null ? await practiceSitting(locals, student, sitting, items, usual) : null;
	// Of what is closed, or waits for an adult, no question is shown any more.
	const isLeft = practice?.isLeft ?? false;
	const shownItems = closing || isLeft ? [] : items;
	const accepted = await acceptedAnswers(locals.database, isPractice ? shownItems : []);
	const warmUp =
		isDiagnostic && !closing && sitting.answered === 0
			? warmUpItems(await skillList(locals.database, student.schoolId), { grade: student.grade, term: 2 }, student.id)
			: [];
	return {
		sitting: {
			id: sitting.id,
			kind: sitting.kind,
			adaptive: sitting.adaptive,
			isOneByOne,
			// Of an adaptive sitting that goes on: the most there can be, so that what is told never grows.
			itemCount: sitting.itemCount,
			untilRight: sitting.untilRight
		},
		readAloud: (practice ?? usual).readAloud,
		largerType: (practice ?? usual).largerType,
		isPractice,
		/** A few from before, once a set is done. */
		review: sitting.setId !== null && sitting.finishedAt ? await reviewAfter(locals, student) : null,
		solutions: practice?.solutions ?? true,
		feedback: practice?.feedback ?? 'none',
		isTold: practice?.isTold ?? false,
		isDoneOnly: practice?.isDoneOnly ?? false,
		lesson: practice?.lesson ?? null,
		examples: practice?.examples ?? [],
		lookBack: practice?.lookBack ?? [],
		enough: progress?.enough ?? false,
		closed: closing ? sayClosed(closing.why) : null,
		/** How far they were when they left what is done in one go; null where they can go on. */
		left: isLeft ? { answered: sitting.answered, of: sitting.untilRight === null ? sitting.itemCount : null } : null,
		isInOneGo: practice?.isInOneGo ?? false,
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
			(await itemsAsked(locals.database, shownItems)).map(
				async ({ position, item, attempts, correct, response, help }) => {
					// Only of what is told at once is anything told that feedback needs.
					const isTold = isPractice && help !== 'told later';
					const asked = isTold
						? await practiceItem(locals.database, withAccepted(item, accepted({ ...item, schoolId: student.schoolId })))
						: { ...showItem(item), practice: false as const };
					return {
						position,
						familyId: sitting.untilRight === null ? undefined : item.familyId,
						correct: isTold ? correct : null,
						done: attempts > 0,
						missed: help === 'second try' && attempts === 1 && correct === false ? response : null,
						item: asked.practice
							? { ...asked, isOneTry: help === 'one try', hintHtml: (practice?.hints ?? true) ? asked.hintHtml : '' }
							: asked,
						spoken: spokenText(item)
					};
				}
			)
		)
	};
}
