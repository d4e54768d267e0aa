import type { LevelPlace } from '../../../core/growth';
import { adaptiveSeed, formSeed, type ItemKey } from '../../../core/items';
import {
	fixedForm,
	itemParameters,
	itemPool,
	LEVEL_CHECK_ITEMS,
	nextQuestion,
	RESIT_ITEMS
} from '../../../core/screening';
import { ADAPTIVE_RULES, type AbilityEstimate } from '../../../core/measurement';
import type { Database, RootDatabase } from '../../database';
import { parameterSet, type ParameterSet, type ScreeningWindow, versionFor } from '../../screen';
import { beginFixed, openSitting, withSkillIds, writeItems } from './sittings';
import { itemsAsked, type Skill } from '../../library';

/** What a student sits: the whole diagnostic, or a domain of an earlier sitting again. */
export interface DiagnosticPlace {
	window: Pick<ScreeningWindow, 'id' | 'subject' | 'term' | 'mode'>;
	attempt: number;
	resit?: { sittingId: number; domainId: number };
}

/** Begins a diagnostic, or finds it begun. */
export async function beginDiagnostic(
	database: RootDatabase,
	student: { id: number; grade: number },
	{ window, attempt, resit }: DiagnosticPlace,
	skills: Skill[],
	at: Date
): Promise<number> {
	const origin = { windowId: window.id, attempt };
	if (window.mode === 'fixed form' && !resit) {
		const asked = skills.filter(({ subject }) => subject === window.subject);
		const form = fixedForm(asked, { grade: student.grade, term: window.term }, formSeed(window.id, attempt));
		const parametersId = await versionFor(database, student.id);
		const beginning = { studentId: student.id, kind: 'diagnostic' as const, origin, parametersId, at };
		return beginFixed(database, beginning, withSkillIds(form, skills));
	}
	return database.transaction(async (transaction) => {
		const { id, isNew } = await openSitting(transaction, {
			studentId: student.id,
			kind: 'diagnostic',
			origin: resit ? { ...origin, resitsId: resit.sittingId, domainId: resit.domainId } : origin,
			itemCount: resit ? RESIT_ITEMS : ADAPTIVE_RULES.maximum,
			adaptive: true,
			parametersId: await versionFor(transaction, student.id, resit?.sittingId),
			at
		});
		if (isNew) await goOn(transaction, [id], skills);
		return id;
	});
}

/** What a level check belongs to. */
interface LevelCheckPlace {
	planId: number;
	domainId: number;
	place: LevelPlace;
}

/** Begins a level check of a domain, or finds it begun. */
export async function beginLevelCheck(
	database: RootDatabase,
	studentId: number,
	{ planId, domainId, place }: LevelCheckPlace,
	skills: Skill[],
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		const { id, isNew } = await openSitting(transaction, {
			studentId,
			kind: 'level',
			origin: { levelPlanId: planId, levelPlace: place, domainId },
			itemCount: LEVEL_CHECK_ITEMS,
			adaptive: true,
			parametersId: await versionFor(transaction, studentId),
			at
		});
		if (isNew) await goOn(transaction, [id], skills);
		return id;
	});
}

interface SittingRow {
	id: number;
	isLevelCheck: number;
	grade: number;
	/** Of a level check the middle of the year: it begins at the last score, where there is one. */
	term: number;
	/** Of a diagnostic. */
	subject: string | null;
	/** Of a resit and a level check. */
	domainId: number | null;
	theta: number | null;
	standardError: number | null;
	parametersId: number | null;
}

interface AskedRow extends ItemKey {
	sittingId: number;
	position: number;
	skillId: number;
	correct: boolean | null;
}

/**
 * Chooses the next question of adaptive sittings from what was answered, and writes it down; a sitting that has told
 * enough gets its final length instead. A sitting that already has an unanswered question is left alone.
 *
 * @returns ids of the sittings that are done
 */
export async function goOn(transaction: Database, sittingIds: number[], skills: Skill[]): Promise<number[]> {
	if (sittingIds.length === 0) return [];
	const [sittings, rows] = await Promise.all([
		transaction.rows<SittingRow>(
			`SELECT sitting.id, sitting.kind = 'level' AS isLevelCheck, student.grade, COALESCE(screening_window.term, 2) AS term,
				screening_window.subject, sitting.domain_id AS domainId, sitting.parameters_id AS parametersId,
				last.theta, last.standard_error AS standardError
			FROM sitting
			JOIN student ON student.id = sitting.student_id
			LEFT JOIN screening_window ON screening_window.id = sitting.window_id
			LEFT JOIN score AS last ON last.id = (
				SELECT score.id FROM score
				JOIN screening_window AS its_window ON its_window.id = score.window_id
				WHERE score.student_id = sitting.student_id AND score.source = 'diagnostic'
					AND IF(sitting.kind = 'level', score.domain_id = sitting.domain_id,
						score.domain_id = 0 AND score.window_id <> sitting.window_id
							AND its_window.subject = screening_window.subject)
				ORDER BY score.taken_on DESC, score.id DESC LIMIT 1)
			WHERE sitting.id IN (?)`,
			[sittingIds]
		),
		transaction.rows<AskedRow>(
			`SELECT item.sitting_id AS sittingId, item.position, item.skill_id AS skillId, item.family_id AS familyId, item.seed,
				item.edition, answer.correct
			FROM sitting_item AS item
			LEFT JOIN answer
				ON answer.sitting_id = item.sitting_id AND answer.position = item.position AND answer.attempt = 1
			WHERE item.sitting_id IN (?)
			ORDER BY item.sitting_id, item.position`,
			[sittingIds]
		)
	]);
	const asked = await itemsAsked(transaction, rows);
	const bySkill = new Map(skills.map((skill) => [skill.id, skill]));
	const idOf = new Map(skills.map(({ code, id }) => [code, id]));
	const subjectOf = new Map(skills.map(({ code, subject }) => [code, subject]));
	const sets = new Map<number | null, ParameterSet>();
	for (const { parametersId } of sittings) sets.set(parametersId, await parameterSet(transaction, parametersId));
	const pools = new Map([...sets].map(([id, set]) => [id, itemPool(skills, set)]));
	const done: number[] = [];
	for (const sitting of sittings) {
		const own = asked.filter(({ sittingId }) => sittingId === sitting.id);
		if (own.some(({ correct }) => correct === null)) continue;
		const parameters = sets.get(sitting.parametersId)!;
		const previous: AbilityEstimate | undefined =
			sitting.theta === null ? undefined : { theta: sitting.theta, standardError: sitting.standardError! };
		const next = nextQuestion({
			id: sitting.id,
			level: sitting,
			previous,
			pool: pools
				.get(sitting.parametersId)!
				.filter(({ skillCode, domainId }) =>
					sitting.domainId === null ? subjectOf.get(skillCode) === sitting.subject : domainId === sitting.domainId
				),
			as: sitting.isLevelCheck ? 'level check' : sitting.domainId === null ? 'diagnostic' : 'resit',
			answers: own.map(({ familyId, item, skillId, correct }) => {
				const skill = bySkill.get(skillId)!;
				const response = { item: itemParameters(item, skill, parameters), correct: correct! };
				return { familyId, skillCode: skill.code, domainId: skill.domainId, response };
			})
		});
		if (!next) {
			done.push(sitting.id);
			continue;
		}
		const position = own.length;
		await writeItems(transaction, sitting.id, position, [
			{ familyId: next.familyId, seed: adaptiveSeed(sitting.id, position), skillId: idOf.get(next.skillCode)! }
		]);
	}
	if (done.length) await transaction.run('UPDATE sitting SET item_count = answered WHERE id IN (?)', [done]);
	return done;
}
