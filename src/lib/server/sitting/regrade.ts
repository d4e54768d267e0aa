import { check, type Answer, type Checked, type Item, SAID_NOT_YET, sameAnswer } from '../../core/items';
import type { SittingKind } from '../../core/measurement';
import type { Database, RootDatabase } from '../database';
import { itemsAsked, skillList } from '../library';
import { askFollowOnAgain } from '../practice';
import { rescoreDiagnostic, scoreLevelCheck } from '../screen';
import { schoolTimeZones } from '../people';
import { markStale } from '../standing';
import { type AcceptedAnswer } from './store/corrections';
import {
	type CorrectedAnswer,
	judgeAsBefore,
	judgeRight,
	nextCorrection,
	nextSittings,
	noteRegraded,
	openAllCorrections,
	type OpenCorrection,
	sittingsWith,
	wrongAnswers
} from './store/regrading';

/** An answer judged by its question and by what a school accepts beside the key. */
export interface Judgment extends Checked {
	/** Right by a correction only, with the idea that it shows by the question; null where none is needed. */
	corrected: Pick<CorrectedAnswer, 'correctionId' | 'misconception'> | null;
}

/** Judges an answer; null is that it is not known yet. */
export function judge(item: Item, response: unknown, accepted: AcceptedAnswer[]): Judgment {
	const judged = response === null ? SAID_NOT_YET : check(item, response);
	const by =
		judged.correct || !judged.readable || response === null
			? undefined
			: accepted.find((one) => sameAnswer(item, response as Answer, one.response));
	if (!by) return { ...judged, corrected: null };
	const { misconception } = judged;
	return { correct: true, misconception: null, readable: true, corrected: { correctionId: by.id, misconception } };
}

/** A question with what a school accepts beside its key. */
export const withAccepted = (item: Item, accepted: AcceptedAnswer[]): Item =>
	accepted.length === 0
		? item
		: { ...item, alsoRight: [...(item.alsoRight ?? []), ...accepted.map(({ response }) => response as string)] };

/** Sittings that are judged anew in one transaction. */
const AT_ONCE = 50;

/** How far a correction was gone through. */
interface RegradeProgress {
	correction: number;
	/** Sittings with the question: those gone through, and all. */
	sittings: number;
	of: number;
	/** Answers judged otherwise in this step. */
	answers: number;
}

/**
 * Goes on with the first correction of which answers are still to be judged anew, or judged as before where it was undone; what
 * follows from them, standings, scores of diagnostics and what a set sets off, follows in the same transaction.
 *
 * @returns null where nothing is left to do
 */
export async function regradeStep(database: RootDatabase, at: Date): Promise<RegradeProgress | null> {
	return database.transaction(async (transaction) => {
		const correction = await nextCorrection(transaction);
		if (!correction) return null;
		const { inAll, left } = await sittingsWith(transaction, correction.schoolId, correction);
		const sittings = await nextSittings(transaction, correction, AT_ONCE);
		const ids = sittings.map(({ id }) => id);
		const touched = ids.length === 0 ? new Map<number, number>() : await judgeIn(transaction, correction, ids);
		const changed = sittings.filter(({ id }) => touched.has(id));
		await markStale(
			transaction,
			changed.map(({ studentId }) => studentId),
			{ reachesBack: true }
		);
		await rescore(transaction, correction.schoolId, changed);
		await askFollowOnAgain(
			transaction,
			changed.filter(({ kind }) => kind === 'practice').map(({ id }) => id),
			at
		);
		const isLast = sittings.length < AT_ONCE;
		await noteRegraded(transaction, correction.id, isLast ? null : ids.at(-1)!);
		return {
			correction: correction.id,
			sittings: inAll - left + sittings.length,
			of: inAll,
			answers: [...touched.values()].reduce((sum, count) => sum + count, 0)
		};
	});
}

/** Judges answers within sittings anew, or as before. @returns how many were, by sitting */
async function judgeIn(
	transaction: Database,
	correction: OpenCorrection,
	sittingIds: number[]
): Promise<Map<number, number>> {
	const counts = new Map<number, number>();
	const count = (sittingId: number) => counts.set(sittingId, (counts.get(sittingId) ?? 0) + 1);
	if (correction.isUndone) {
		(await judgeAsBefore(transaction, correction.id, sittingIds)).forEach(count);
		return counts;
	}
	const [{ item }] = await itemsAsked(transaction, [correction]);
	const accepted = (await wrongAnswers(transaction, correction, sittingIds)).filter(
		({ response }) => response !== null && sameAnswer(item, response, correction.response)
	);
	await judgeRight(
		transaction,
		accepted.map(({ id, misconception }) => ({ id, misconception, correctionId: correction.id }))
	);
	for (const { sittingId } of accepted) count(sittingId);
	return counts;
}

/** Scores anew those of some sittings that are scored: diagnostics that count, and level checks. */
async function rescore(
	transaction: Database,
	schoolId: number,
	sittings: { id: number; kind: SittingKind }[]
): Promise<void> {
	const scored = sittings.filter(({ kind }) => kind === 'diagnostic' || kind === 'level');
	if (scored.length === 0) return;
	const skills = await skillList(transaction, schoolId);
	const { timeZone } = (await schoolTimeZones(transaction)).find((school) => school.schoolId === schoolId)!;
	for (const { id, kind } of scored)
		await (kind === 'level' ? scoreLevelCheck : rescoreDiagnostic)(transaction, id, skills, { timeZone });
}

/** Judges answers anew for all corrections that are still to be gone through, step by step. @returns how many were judged otherwise */
export async function* regrade(
	database: RootDatabase,
	at: Date
): AsyncGenerator<{ progress: RegradeProgress; checkpoint: null }, { answers: number }> {
	for (let answers = 0; ;) {
		const progress = await regradeStep(database, at);
		if (!progress) return { answers };
		answers += progress.answers;
		yield { progress, checkpoint: null };
	}
}

/** Goes through all corrections once more. @returns how many answers were judged otherwise: none, where nothing went wrong */
export async function regradeEverything(database: RootDatabase, at: Date): Promise<number> {
	await openAllCorrections(database);
	const steps = regrade(database, at);
	for (;;) {
		const step = await steps.next();
		if (step.done) return step.value.answers;
	}
}
