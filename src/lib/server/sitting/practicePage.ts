import { itemFrom, itemsForSkill, SAMPLE_SEED, type Figure, type Item } from '../../core/items';
import { momentOf } from '../../core/calendar';
import { isPastDue } from '../../core/practice';
import type { Database } from '../database';
import { itemsAsked } from '../library';
import { setForStudent } from '../practice';
import type { SignedInStudent } from '../request';
import { answerHtml, mathHtml } from './presentItem';
import { sittingItems, type Sitting } from './store/sittings';

/** A question with how it is done; texts as HTML. */
export interface WorkedQuestion {
	stemHtml: string;
	figure?: Figure;
	stepsHtml: string[];
	stepsFigure?: Figure;
}

/** A question looked back at: what was answered first, and whether that was right. */
export interface LookedBack extends WorkedQuestion {
	position: number;
	right: boolean;
	givenHtml: string;
}

const worked = ({ stem, figure, solution, solutionFigure }: Item, withSteps = true): WorkedQuestion => ({
	stemHtml: mathHtml(stem),
	figure,
	stepsHtml: withSteps ? solution.map(mathHtml) : [],
	stepsFigure: withSteps ? solutionFigure : undefined
});

/**
 * What a practice sitting has beside its questions: worked examples before the first of them, help that is on or off for
 * the student, and once it is done a look back at what was not told at once, where that is told.
 *
 * @param readsAloud and the type, unless the set says otherwise for the student
 */
export async function practiceSitting(
	database: Database,
	student: SignedInStudent,
	sitting: Sitting,
	usual: { readAloud: boolean; largerType: boolean },
	{ at, timeZone }: { at: Date; timeZone: string }
) {
	const set = (await setForStudent(database, sitting.setId!, student.id))!;
	const { how, variation, due } = set;
	const isTold =
		how.feedback !== 'none' &&
		(how.feedback !== 'after the due date' || due.dueOn === null || isPastDue(due, momentOf(at, timeZone)));
	return {
		hints: variation.hints ?? how.hints,
		solutions: how.solutions,
		readAloud: variation.readAloud ?? usual.readAloud,
		largerType: variation.largerType ?? usual.largerType,
		/** Whether what was not told at once is told once the set is done. */
		feedback: how.feedback,
		isTold,
		// As many as there are skills that begin with one; none once a question was answered.
		examples:
			sitting.answered > 0
				? []
				: set.skills
						.filter(({ hasExample }) => hasExample)
						.map(({ code }) => itemsForSkill(code, 1, SAMPLE_SEED + (student.id % EXAMPLES))[0])
						.map(({ familyId, seed }) => worked(itemFrom(familyId, seed))),
		lookBack: sitting.finishedAt && isTold ? await lookBack(database, sitting.id, how.solutions) : []
	};
}

/** Questions of a skill that serve as examples: students beside each other seldom have the same. */
const EXAMPLES = 40;

/** Questions of a sitting that were answered and not told at once. */
async function lookBack(database: Database, sittingId: number, withSteps: boolean): Promise<LookedBack[]> {
	const later = (await sittingItems(database, sittingId)).filter(
		({ help, attempts }) => help === 'told later' && attempts > 0
	);
	return (await itemsAsked(database, later)).map(({ position, item, correct, response }) => ({
		...worked(item, withSteps),
		position,
		right: correct === true,
		givenHtml: answerHtml(item, response)
	}));
}
