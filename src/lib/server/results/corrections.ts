import type { Item, ItemKey } from '../../core/items';
import type { Database } from '../database';
import { type Staff, undoesAll } from '../request';
import { answerHtml, correctionsOf, sittingsWith } from '../sitting';

/** Letters of the reason for which another answer is accepted. */
export const MOST_WHY = 300;

/** A place in the order of sittings that comes after all of them. */
const AFTER_ALL = 2 ** 32 - 1;

/**
 * What is accepted beside the key of a question, as pages tell of it.
 *
 * @param openBefore corrections that were still gone through when the page began to read answers: what it read may be of before
 */
export async function toldCorrections(
	database: Database,
	staff: Staff,
	question: ItemKey & { item: Item },
	openBefore: Set<number>
) {
	const corrections = await correctionsOf(database, staff.schoolId, question);
	return Promise.all(
		corrections.map(async ({ response, byId, regradedTo, id, why, by, at, answers }) => ({
			...{ id, why, by, at, answers },
			answerHtml: answerHtml(question.item, response),
			mayUndo: undoesAll(staff.role) || byId === staff.id,
			/** Sittings with the question: those gone through, and all; null once answers are judged anew. */
			progress:
				regradedTo === null && !openBefore.has(id)
					? null
					: await progressOf(database, staff, { ...question, regradedTo: regradedTo ?? AFTER_ALL })
		}))
	);
}

async function progressOf(database: Database, staff: Staff, open: ItemKey & { regradedTo: number }) {
	const { inAll, left } = await sittingsWith(database, staff.schoolId, open);
	return { done: inAll - left, of: inAll };
}

export type ToldCorrection = Awaited<ReturnType<typeof toldCorrections>>[number];
