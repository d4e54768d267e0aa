import { randomUUID } from 'node:crypto';
import type { ItemSeed } from '../../../core/items';
import { itemFrom } from '../../../core/items/bank';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { type Staff, undoesAll } from '../../request';
import type { Skill } from '../../library';
import { markStale } from '../../standing';
import { openSitting, withSkillIds, writeItems } from './sittings';

/** One student's probe on paper, as it was marked. */
export interface MarkedProbe {
	planId: number;
	studentId: number;
	/** Of the probe within its plan. */
	number: number;
	/** Places of questions that are not right, from 0. */
	missed: number[];
}

/** The form that was given, with its questions in their order. */
export interface GivenForm {
	letter: string;
	questions: ItemSeed[];
}

/**
 * Keeps probes that were answered on paper: of each question whether it was right, and nothing of what was written. A probe of
 * which anything was begun at a device stays as it is.
 *
 * @param on when they were given
 * @returns the sittings that are new, and the plans whose probe was there before
 */
export async function storePaperProbes(
	database: RootDatabase,
	staff: Staff,
	{ letter, questions }: GivenForm,
	marked: MarkedProbe[],
	skills: Skill[],
	{ on, at }: { on: Date; at: Date }
): Promise<{ sittings: number[]; left: number[] }> {
	return database.transaction(async (transaction) => {
		const studentIds = marked.map(({ studentId }) => studentId);
		await requireOwn(transaction, staff, { student: studentIds });
		await transaction.rows('SELECT id FROM student WHERE id IN (?) ORDER BY id FOR UPDATE', [studentIds]);
		const sittings: number[] = [];
		const left: number[] = [];
		for (const { planId, studentId, number, missed } of marked) {
			const origin = { planId, number };
			const { id, isNew } = await openSitting(transaction, {
				...{ studentId, kind: 'probe', origin, itemCount: questions.length, at: on }
			});
			if (!isNew) {
				left.push(planId);
				continue;
			}
			const items = withSkillIds(questions, skills);
			await writeItems(transaction, id, 0, items);
			await transaction.insertMany(
				`INSERT INTO answer (id, sitting_id, position, attempt, student_id, skill_id, response, correct, misconception,
					milliseconds, hints, answered_at, received_at)
				VALUES ?`,
				items.map(({ familyId, seed, skillId }, position) => {
					const right = !missed.includes(position);
					// What was written is not known: of what was right it is the key.
					const response = JSON.stringify(right ? itemFrom(familyId, seed).key : null);
					return [randomUUID(), id, position, 1, studentId, skillId, response, right, null, 0, 0, on, at];
				})
			);
			await transaction.run(
				`UPDATE sitting SET answered = item_count, finished_at = ?, trust = 'trusted', paper_form = ?, entered_by = ?
				WHERE id = ?`,
				[on, letter, staff.id, id]
			);
			sittings.push(id);
		}
		if (sittings.length === 0) return { sittings, left };
		await markStale(transaction, studentIds, { reachesBack: at.getTime() - on.getTime() > A_DAY_MS });
		await audit(transaction, staff, at, 'enter probes on paper', { form: letter, sittings, students: studentIds });
		return { sittings, left };
	});
}

const A_DAY_MS = 24 * 60 * 60_000;

/**
 * Takes back what was entered of probes on paper, as if they had not been given: own entries, of specialists and coordinators
 * anyone's.
 *
 * @returns how many were taken back
 */
export async function takeBackPaperProbes(
	database: RootDatabase,
	staff: Staff,
	sittingIds: number[],
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		const ownOnly = undoesAll(staff.role) ? '' : 'AND sitting.entered_by = ?';
		const found = await transaction.rows<{ id: number; studentId: number }>(
			`SELECT sitting.id, sitting.student_id AS studentId FROM sitting
			JOIN student ON student.id = sitting.student_id
			WHERE sitting.id IN (?) AND student.school_id = ? AND sitting.paper_form IS NOT NULL ${ownOnly} FOR UPDATE`,
			[sittingIds, staff.schoolId, ...(ownOnly ? [staff.id] : [])]
		);
		if (found.length === 0) return 0;
		const ids = found.map(({ id }) => id);
		// No correction is about an answer that nobody knows, and what is right already is not judged again.
		await transaction.run('DELETE FROM answer WHERE sitting_id IN (?)', [ids]);
		await transaction.run('DELETE FROM sitting_item WHERE sitting_id IN (?)', [ids]);
		await transaction.run('DELETE FROM sitting WHERE id IN (?)', [ids]);
		const studentIds = found.map(({ studentId }) => studentId);
		await markStale(transaction, studentIds, { reachesBack: true });
		await audit(transaction, staff, at, 'take back probes on paper', { sittings: ids, students: studentIds });
		return ids.length;
	});
}

/** The letters of forms on paper that each plan was given. */
export async function paperFormsOf(database: Database, planIds: number[]): Promise<Map<number, string[]>> {
	const forms = new Map<number, string[]>();
	if (planIds.length === 0) return forms;
	const rows = await database.rows<{ planId: number; letter: string }>(
		`SELECT plan_id AS planId, paper_form AS letter FROM sitting
		WHERE plan_id IN (?) AND paper_form IS NOT NULL ORDER BY plan_id, probe_number`,
		[planIds]
	);
	for (const { planId, letter } of rows) forms.set(planId, [...(forms.get(planId) ?? []), letter]);
	return forms;
}
