import { NO_VARIATION, questionsFor, seedsOf, type SeededSkill, type SetSkill } from '../../../core/practice';
import { type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { refreshStudents } from '../../standing';
import { nextSeeds } from './assigning';
import { noteChange } from './history';
import { findSet, type OneSet } from './oneSet';
import { type SetContent, skillsOfSets } from './setContent';

/** What a set asks, as it is. */
export const contentOf = (
	{ how: { older, untilRight, ownQuestions } }: Pick<OneSet, 'how'>,
	skills: SetSkill[]
): SetContent => ({
	skills: skills.map(({ skillId, practice, checks, hasExample }) => ({ skillId, practice, checks, hasExample })),
	...{ older, untilRight, ownQuestions }
});

/**
 * Changes what a set asks of those who have not begun it, in this run or in one to come. Who has begun keeps their questions.
 * Questions of a skill that stays are the same as before where there are enough of them.
 *
 * @returns what it was; null for no such set, and where each has a step of their own for other skills than before
 */
export async function changeQuestions(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	content: SetContent,
	at: Date
): Promise<SetContent | null> {
	return database.transaction(async (transaction) => {
		const skillIds = content.skills.map(({ skillId }) => skillId);
		await requireOwn(transaction, staff, { skill: skillIds });
		await transaction.row('SELECT id FROM practice_set WHERE id = ? FOR UPDATE', [setId]);
		const set = await findSet(transaction, staff, setId);
		if (!set || set.isWithdrawn || !set.isTheirs) return null;
		const parts = (await skillsOfSets(transaction, [setId])).get(setId)!;
		const isSame = parts.length === skillIds.length && parts.every(({ skillId }) => skillIds.includes(skillId));
		if (set.isOwnStep && !isSame) return null;
		const given = await transaction.rows<{ id: number }>(
			'SELECT student_id AS id FROM practice_set_student WHERE set_id = ? ORDER BY student_id',
			[setId]
		);
		await replaceParts(transaction, setId, parts, content, content.ownQuestions ? given.length : 1);
		const { older, untilRight, ownQuestions, skills } = content;
		await transaction.run(
			'UPDATE practice_set SET item_count = ?, older_count = ?, until_right = ?, own_questions = ? WHERE id = ?',
			[
				questionsFor(set.isOwnStep ? skills.slice(0, 1) : skills, content, NO_VARIATION),
				...[older, untilRight, ownQuestions, setId]
			]
		);
		await refreshStudents(
			transaction,
			given.map(({ id }) => id)
		);
		const before = contentOf(set, parts);
		await noteChange(transaction, staff, at, setId, { kind: 'questions', before, after: content });
		return before;
	});
}

/** Puts the skills of a set in the place of those before, for its own run and for those that were given since. */
async function replaceParts(
	transaction: Database,
	setId: number,
	before: SeededSkill[],
	{ skills }: SetContent,
	places: number
): Promise<void> {
	const next = await nextSeeds(transaction, [...new Set([...before, ...skills].map(({ skillId }) => skillId))]);
	const later = await transaction.rows<{ number: number; skillId: number; firstSeed: number; seeds: number }>(
		`SELECT number, skill_id AS skillId, first_seed AS firstSeed, seeds FROM practice_set_numbers
		WHERE set_id = ? ORDER BY number`,
		[setId]
	);
	/** Those of before where they are enough; else where no question of the skill has been. */
	const seedsFor = (skill: SetSkill, was: { firstSeed: number; seeds: number } | undefined) => {
		const needed = places * seedsOf(skill);
		if (was && was.seeds >= needed) return [was.firstSeed, was.seeds];
		const firstSeed = next.get(skill.skillId)!;
		next.set(skill.skillId, firstSeed + needed);
		return [firstSeed, needed];
	};
	const were = new Map(before.map((skill) => [skill.skillId, skill]));
	await transaction.insertMany(
		`INSERT INTO practice_set_skill (set_id, skill_id, number, first_seed, seeds, practice_count, check_count, has_example)
			VALUES ? ON DUPLICATE KEY UPDATE number = VALUES(number), first_seed = VALUES(first_seed), seeds = VALUES(seeds),
			practice_count = VALUES(practice_count), check_count = VALUES(check_count), has_example = VALUES(has_example)`,
		skills.map((skill, number) => [
			...[setId, skill.skillId, number, ...seedsFor(skill, were.get(skill.skillId))],
			...[skill.practice, skill.checks, skill.hasExample]
		])
	);
	const runs = [...new Set(later.map(({ number }) => number))];
	if (runs.length)
		await transaction.insertMany(
			`INSERT INTO practice_set_numbers (set_id, number, skill_id, first_seed, seeds) VALUES ?
				ON DUPLICATE KEY UPDATE first_seed = VALUES(first_seed), seeds = VALUES(seeds)`,
			runs.flatMap((number) =>
				skills.map((skill) => {
					const was = later.find((one) => one.number === number && one.skillId === skill.skillId);
					return [setId, number, skill.skillId, ...seedsFor(skill, was)];
				})
			)
		);
	const kept = skills.map(({ skillId }) => skillId);
	for (const table of ['practice_set_numbers', 'practice_set_skill'] as const)
		await transaction.run(`DELETE FROM ${table} WHERE set_id = ? AND skill_id NOT IN (?)`, [setId, kept]);
	// What was given once is never given again, whether or not it is still in a set.
	for (const [skillId, seed] of next)
		await transaction.run('UPDATE skill SET spent_seed = GREATEST(spent_seed, ?) WHERE id = ?', [seed, skillId]);
}
