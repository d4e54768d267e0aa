import { olderSeed } from '../../../core/items';
import { hasItems } from '../../../core/items/bank';
import { olderSkills, setQuestions } from '../../../core/practice';
import type { Database, RootDatabase } from '../../database';
import type { Skill } from '../../library';
import { setForStudent, type SetForStudent } from '../../practice';
import type { VisibleId } from '../../request';
import { readStandings } from '../../standing';
import { beginFixed, withSkillIds } from './sittings';

/**
 * Begins a student's run through a set that they were given, with the questions that it has for them.
 *
 * @throws RangeError for a set that they were not given
 */
export async function beginPractice(
	database: RootDatabase,
	studentId: VisibleId,
	{ id }: { id: number },
	skills: Skill[],
	at: Date
): Promise<number> {
	const set = await setForStudent(database, id, studentId);
	if (!set) throw new RangeError(`set ${id} was not given to student ${studentId}`);
	const older = await olderFor(database, studentId, set, skills);
	const { place, variation } = set;
	const questions = setQuestions(set.skills, set.how, { place, variation, older, olderSeed: olderSeed(id) });
	const { untilRight } = set.how;
	return beginFixed(
		database,
		{
			studentId,
			kind: 'practice',
			origin: { setId: id, attempt: set.attempt },
			untilRight: untilRight && Math.min(untilRight, questions.length),
			at
		},
		withSkillIds(questions, skills)
	);
}

/** Codes of the skills from before that a set mixes in for a student. */
async function olderFor(
	database: Database,
	studentId: VisibleId,
	{ skills: own, how }: SetForStudent,
	skills: Skill[]
): Promise<string[]> {
	if (how.older === 0) return [];
	const codeOf = new Map(skills.map(({ id, code }) => [id, code]));
	const isOffered = (id: number) => hasItems(codeOf.get(id)!) && own.every(({ skillId }) => skillId !== id);
	const standings = (await readStandings(database, [studentId])).get(studentId)!;
	return olderSkills(standings, isOffered, how.older).map((id) => codeOf.get(id)!);
}
