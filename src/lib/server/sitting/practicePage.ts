import { SAMPLE_SEED } from '../../core/items';
import { itemFrom, itemsForSkill } from '../../core/items/bank';
import { momentOf } from '../../core/calendar';
import { isPastDue, wasLeft } from '../../core/practice';
import type { Database } from '../database';
import { itemsAsked } from '../library';
import { shownMaterials } from '../materials';
import { setForStudent } from '../practice';
import type { SignedInStudent } from '../request';
import { findSchool } from '../school';
import { answerHtml, worked, type WorkedQuestion } from './presentItem';
import { lastAnswerAt, type Sitting, type SittingItem } from './store/sittings';

/** A question looked back at: what was answered first, and whether that was right. */
export interface LookedBack extends WorkedQuestion {
	position: number;
	right: boolean;
	givenHtml: string;
}

/**
 * What a practice sitting has beside its questions: a lesson and worked examples before the first of them, help that is on or off for
 * the student, and once it is done a look back at what was not told at once, where that is told.
 *
 * @param items its questions
 * @param usual help with reading, unless the set says otherwise for the student
 */
export async function practiceSitting(
	{ database, at }: Pick<App.Locals, 'database' | 'at'>,
	student: SignedInStudent,
	sitting: Sitting,
	items: SittingItem[],
	usual: { readAloud: boolean; largerType: boolean }
) {
	const set = (await setForStudent(database, sitting.setId!, student.id))!;
	const { how, variation, due, lessonId } = set;
	const [lesson] = await shownMaterials(database, student.schoolId, lessonId === null ? [] : [lessonId]);
	const { timeZone } = await findSchool(database, student.schoolId, at);
	const isTold =
		how.feedback !== 'none' &&
		(how.feedback !== 'after the due date' || due.dueOn === null || isPastDue(due, momentOf(at, timeZone)));
	const isLeft =
		!how.pausing &&
		sitting.finishedAt === null &&
		wasLeft({ lastAnswerAt: await lastAnswerAt(database, sitting.id), goesOnAt: set.goesOnAt }, at);
	return {
		/** Begun and left, though it is done in one go: an adult has to let them go on. */
		isLeft,
		/** Whether it is done in one go. */
		isInOneGo: !how.pausing,
		lesson: lesson ?? null,
		hints: variation.hints ?? how.hints,
		solutions: how.solutions,
		readAloud: variation.readAloud ?? usual.readAloud,
		largerType: variation.largerType ?? usual.largerType,
		/** Whether what was not told at once is told once the set is done. */
		feedback: how.feedback,
		isTold,
		/** Whether only counts that it is done: no score is told. */
		isDoneOnly: how.doneOnly,
		// As many as there are skills that begin with one; none once a question was answered.
		examples:
			sitting.answered > 0
				? []
				: set.skills
						.filter(({ hasExample }) => hasExample)
						.map(({ code }) => itemsForSkill(code, 1, SAMPLE_SEED + (student.id % EXAMPLES))[0])
						.map(({ familyId, seed }) => worked(itemFrom(familyId, seed))),
		lookBack: sitting.finishedAt && isTold ? await lookBack(database, items, how.solutions) : []
	};
}

/** Questions of a skill that serve as examples: students beside each other seldom have the same. */
const EXAMPLES = 40;

/** Questions of a sitting that were answered and not told at once. */
async function lookBack(database: Database, items: SittingItem[], withSteps: boolean): Promise<LookedBack[]> {
	const later = items.filter(({ help, attempts }) => help === 'told later' && attempts > 0);
	return (await itemsAsked(database, later)).map(({ position, item, correct, response }) => ({
		...worked(item, withSteps),
		position,
		right: correct === true,
		givenHtml: answerHtml(item, response)
	}));
}
