import type { Item, ItemKey } from '../../../core/items';
import { noteFinishedRuns } from '../../practice';
import { isPracticeKind, type SittingKind } from '../../../core/measurement';
import type { QuestionHelp } from '../../../core/practice';
import type { Database, RootDatabase } from '../../database';
import { goOn } from './adaptiveSittings';
import { closings, type Closing } from './closings';
import { finishDiagnostic, scoreLevelCheck } from '../../screen';
import { judge, type Judgment } from '../regrade';
import { acceptedAnswers } from './corrections';
import { noteCorrected } from './regrading';

import { itemsAsked, type Skill, skillList } from '../../library';
import { markStale, refreshStudents } from '../../standing';

export interface IncomingAnswer {
	/** Made by the client, so that sending again stores nothing twice. */
	id: string;
	position: number;
	attempt: number;
	response: unknown;
	milliseconds: number;
	/** Stages of the hint that stood beside the question; none where a device does not say. */
	hints?: number;
	/** When it was given, by the client's clock; kept between the sitting's start and now. */
	answeredAt: string;
}

/** One answer of a student to a sitting of theirs. */
export interface SubmittedAnswer extends IncomingAnswer {
	studentId: number;
	sittingId: number;
	/** Of the student's school. */
	timeZone: string;
	/** When the server got it. */
	receivedAt: Date;
}

/**
 * What became of an answer. `answered before`: another answer to the question is there already. `unknown`: no such
 * question for this student, or the id is that of another answer. `unreadable`: not an answer of the question's kind.
 * Once a sitting takes no answers any more: `kept aside` where it was given in time by the device's clock, else `closed`.
 */
export type Stored =
	'stored' | 'already stored' | 'answered before' | 'unknown' | 'unreadable' | 'kept aside' | 'closed';

/** An answer that can be stored, judged. */
interface Judged {
	answer: SubmittedAnswer;
	place: AskedQuestion;
	judged: Judgment;
	given: Date;
	/** Its place among those that were submitted. */
	index: number;
}

interface AskedQuestion extends ItemKey {
	sittingId: number;
	studentId: number;
	schoolId: number;
	position: number;
	kind: SittingKind;
	adaptive: boolean;
	itemCount: number;
	untilRight: number | null;
	help: QuestionHelp;
	answeredBefore: number;
	startedAt: Date;
	skillId: number;
	/** As it was asked. */
	item: Item;
}

/**
 * The questions that answers are to. All are locked until the end with their students, in order of their keys, so that two
 * transactions seldom wait for each other in a circle.
 */
async function lockPlaces(transaction: Database, answers: SubmittedAnswer[]): Promise<Map<string, AskedQuestion>> {
	const rows = await transaction.rows<Omit<AskedQuestion, 'item'>>(
		`SELECT sitting.id AS sittingId, sitting.student_id AS studentId, student.school_id AS schoolId,
			sitting.kind, sitting.adaptive, sitting.started_at AS startedAt,
			sitting.item_count AS itemCount, sitting.until_right AS untilRight, sitting.answered AS answeredBefore,
			item.help, item.position, item.skill_id AS skillId, item.family_id AS familyId, item.seed, item.edition
		FROM sitting_item AS item
		JOIN sitting ON sitting.id = item.sitting_id
		JOIN student ON student.id = sitting.student_id
		WHERE (item.sitting_id, item.position) IN (?)
		ORDER BY item.sitting_id, item.position
		FOR UPDATE`,
		[answers.map(({ sittingId, position }) => [sittingId, position])]
	);
	// The questions themselves never change, and many students share one: they are read without a lock.
	const places = await itemsAsked(transaction, rows);
	return new Map(places.map((place) => [`${place.sittingId} ${place.position}`, place]));
}

/**
 * What became of answers that were not stored because their id, or their question's answer, was there already.
 */
async function thereBefore(transaction: Database, left: Judged[], closed: Map<number, Closing>): Promise<Stored[]> {
	if (left.length === 0) return [];
	const ids = left.map(({ answer }) => answer.id);
	const rows = await transaction.rows<{ id: string; sittingId: number; position: number; attempt: number }>(
		`SELECT id, sitting_id AS sittingId, position, attempt FROM answer WHERE id IN (?)
		UNION ALL
		SELECT id, sitting_id AS sittingId, position, attempt FROM late_answer WHERE id IN (?)`,
		[ids, ids]
	);
	const byId = new Map(rows.map((row) => [row.id.toLowerCase(), row]));
	return left.map(({ answer: { id, sittingId, position, attempt } }) => {
		const earlier = byId.get(id.toLowerCase());
		if (!earlier) return closed.has(sittingId) ? 'closed' : 'answered before';
		const isSame = earlier.sittingId === sittingId && earlier.position === position && earlier.attempt === attempt;
		return isSame ? 'already stored' : 'unknown';
	});
}

/** Keeps answers aside that a device says were given before their sitting was closed. */
async function keepAside(transaction: Database, late: Judged[], closed: Map<number, Closing>): Promise<Set<string>> {
	if (late.length === 0) return new Set();
	const kept = await transaction.rows<{ id: string }>(
		`INSERT IGNORE INTO late_answer (id, sitting_id, position, attempt, student_id, response, correct, milliseconds, hints,
			answered_at, received_at, closed_by)
		VALUES ? RETURNING id`,
		[
			late.map(({ answer, judged, given }) => [
				answer.id,
				answer.sittingId,
				answer.position,
				answer.attempt,
				answer.studentId,
				JSON.stringify(answer.response),
				judged.correct,
				answer.milliseconds,
				answer.hints ?? 0,
				given,
				answer.receivedAt,
				closed.get(answer.sittingId)!.why
			])
		]
	);
	return new Set(kept.map(({ id }) => id.toLowerCase()));
}

/** Moves sittings on by their new first tries, chooses what adaptive ones ask next, and ends those that are complete. */
async function moveOn(transaction: Database, firstTries: Judged[]): Promise<void> {
	const bySitting = new Map<number, { place: AskedQuestion; answer: SubmittedAnswer; count: number }>();
	for (const { place, answer } of firstTries) {
		bySitting.set(place.sittingId, { place, answer, count: (bySitting.get(place.sittingId)?.count ?? 0) + 1 });
	}
	const moved = [...bySitting.values()];
	for (const count of new Set(moved.map((one) => one.count))) {
		const ids = moved.filter((one) => one.count === count).map(({ place }) => place.sittingId);
		await transaction.run('UPDATE sitting SET answered = answered + ? WHERE id IN (?)', [count, ids]);
	}
	// Students of several schools may have answered at once.
	const skillsOf = new Map<number, Promise<Skill[]>>();
	const skillsTaught = (schoolId: number) => {
		if (!skillsOf.has(schoolId)) skillsOf.set(schoolId, skillList(transaction, schoolId));
		return skillsOf.get(schoolId)!;
	};
	const adaptive = moved.filter(({ place }) => place.adaptive).map(({ place }) => place);
	const done = new Set<number>();
	for (const schoolId of new Set(adaptive.map((place) => place.schoolId))) {
		const ids = adaptive.filter((place) => place.schoolId === schoolId).map(({ sittingId }) => sittingId);
		for (const id of await goOn(transaction, ids, await skillsTaught(schoolId))) done.add(id);
	}
	const reached = await haveReached(
		transaction,
		moved.map(({ place }) => place)
	);
	const ended = moved.filter(({ place, count }) =>
		place.adaptive
			? done.has(place.sittingId)
			: reached.has(place.sittingId) || place.answeredBefore + count === place.itemCount
	);
	if (ended.length === 0) return;
	await transaction.run(
		`UPDATE sitting SET finished_at = ?, trust = IF(kind = 'diagnostic', 'open', 'trusted')
		WHERE id IN (?) AND finished_at IS NULL`,
		[ended[0].answer.receivedAt, ended.map(({ place }) => place.sittingId)]
	);
	await noteFinishedRuns(
		transaction,
		ended.filter(({ place }) => place.kind === 'practice').map(({ place }) => place.sittingId),
		ended[0].answer.receivedAt
	);
	for (const { place, answer } of ended) {
		if (place.kind !== 'diagnostic' && place.kind !== 'level') continue;
		const score = place.kind === 'level' ? scoreLevelCheck : finishDiagnostic;
		await score(transaction, place.sittingId, await skillsTaught(place.schoolId), answer);
	}
	const practiced = ended.filter(({ place }) => isPracticeKind(place.kind)).map(({ place }) => place.studentId);
	await refreshStudents(transaction, [...new Set(practiced)]);
}

/** Which sittings have as many right at the first try as they ask for. */
async function haveReached(transaction: Database, places: AskedQuestion[]): Promise<Set<number>> {
	const wanted = places.filter(({ untilRight }) => untilRight !== null).map(({ sittingId }) => sittingId);
	if (wanted.length === 0) return new Set();
	const rows = await transaction.rows<{ id: number }>(
		`SELECT sitting.id FROM sitting JOIN answer ON answer.sitting_id = sitting.id AND answer.attempt = 1
		WHERE sitting.id IN (?)
		GROUP BY sitting.id HAVING SUM(answer.correct) >= MAX(sitting.until_right)`,
		[wanted]
	);
	return new Set(rows.map(({ id }) => id));
}

/**
 * Stores answers, in one transaction, and brings what follows from them up to date: progress of the sittings
 * and the scores of a diagnostic that ends; standings are marked to be made anew. Sending the same answer again changes nothing. Only first tries count, and
 * only while the sitting is open.
 *
 * @returns what became of each answer, in their order
 */
export async function storeAnswers(database: RootDatabase, answers: SubmittedAnswer[]): Promise<Stored[]> {
	return database.transaction(async (transaction) => {
		const places = await lockPlaces(transaction, answers);
		const accepted = await acceptedAnswers(transaction, [...places.values()]);
		const results: Stored[] = Array(answers.length).fill('unknown');
		const readable: Judged[] = [];
		const ids = new Set<string>();
		for (const [index, answer] of answers.entries()) {
			const place = places.get(`${answer.sittingId} ${answer.position}`);
			if (!place || place.studentId !== answer.studentId) continue;
			const judged = judge(place.item, answer.response, accepted(place));
			// Only where there is no second try can it be left at not knowing.
			const isReadable = judged.readable && (answer.response !== null || place.help !== 'second try');
			results[index] = isReadable ? 'already stored' : 'unreadable';
			if (!isReadable || ids.has(answer.id.toLowerCase())) continue;
			ids.add(answer.id.toLowerCase());
			const given = Math.max(place.startedAt.getTime(), Date.parse(answer.answeredAt));
			readable.push({ answer, place, judged, given: new Date(Math.min(answer.receivedAt.getTime(), given)), index });
		}
		if (readable.length === 0) return results;
		const closed = await closings(
			transaction,
			readable.map(({ answer }) => answer.sittingId),
			answers[0].receivedAt
		);
		const acceptable = readable.filter(({ answer }) => !closed.has(answer.sittingId));
		const isNew = await insertAnswers(transaction, acceptable);
		const fresh = acceptable.filter(({ answer }) => isNew.has(answer.id.toLowerCase()));
		for (const { index } of fresh) results[index] = 'stored';
		const late = readable.filter(({ answer, given }) => {
			const closing = closed.get(answer.sittingId);
			return closing && given < closing.at;
		});
		const left = readable.filter(({ answer }) => !isNew.has(answer.id.toLowerCase()));
		for (const [i, became] of (await thereBefore(transaction, left, closed)).entries()) results[left[i].index] = became;
		const aside = await keepAside(
			transaction,
			late.filter(({ index }) => results[index] === 'closed'),
			closed
		);
		for (const { answer, index } of late) if (aside.has(answer.id.toLowerCase())) results[index] = 'kept aside';

		const firstTries = fresh.filter(({ answer }) => answer.attempt === 1);
		if (firstTries.length === 0) return results;
		const counted = firstTries.filter(({ place }) => place.kind !== 'diagnostic');
		await markStale(
			transaction,
			counted.map(({ answer }) => answer.studentId),
			{ reachesBack: counted.some(({ answer, given }) => answer.receivedAt.getTime() - given.getTime() > A_DAY_MS) }
		);
		await moveOn(transaction, firstTries);
		return results;
	});
}

const A_DAY_MS = 24 * 60 * 60_000;

/** Puts answers into the log; what is there already, by id or by place, is left as it is. @returns ids of those that are new */
async function insertAnswers(transaction: Database, answers: Judged[]): Promise<Set<string>> {
	if (answers.length === 0) return new Set();
	const inserted = await transaction.rows<{ id: string }>(
		`INSERT IGNORE INTO answer (id, sitting_id, position, attempt, student_id, skill_id, response, correct,
			misconception, milliseconds, hints, answered_at, received_at)
		VALUES ? RETURNING id`,
		[
			answers.map(({ answer, place, judged, given }) => [
				answer.id,
				answer.sittingId,
				answer.position,
				answer.attempt,
				answer.studentId,
				place.skillId,
				JSON.stringify(answer.response),
				judged.correct,
				judged.misconception,
				answer.milliseconds,
				answer.hints ?? 0,
				given,
				answer.receivedAt
			])
		]
	);
	const isNew = new Set(inserted.map(({ id }) => id.toLowerCase()));
	await noteCorrected(
		transaction,
		answers.flatMap(({ answer: { id }, judged: { corrected } }) =>
			corrected && isNew.has(id.toLowerCase()) ? [{ ...corrected, id }] : []
		)
	);
	return isNew;
}
