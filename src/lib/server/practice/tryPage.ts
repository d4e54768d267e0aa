import { SAMPLE_SEED } from '../../core/items';
import { hasItems, itemFrom } from '../../core/items/bank';
import {
	FEEDBACK_TIMES,
	MOST_QUESTIONS,
	MOST_SKILLS,
	NO_VARIATION,
	seedsOf,
	setQuestions,
	shareOut,
	type SeededSkill
} from '../../core/practice';
import type { Database } from '../database';
import { skillList } from '../library';
import { idsIn, numberIn, oneIn } from '../request';
import type { School } from '../school';
import { practiceItem, showItem, solutionsOf } from '../sitting';

/** Questions on each skill where nobody says how many. */
const USUAL = 5;

/** Whether an address turns something on that is on unless it says `no`. */
const isOn = (url: URL, name: string) => url.searchParams.get(name) !== 'no';

/**
 * A set as a student would meet it, made of sample questions: `skill=12,13&questions=10&checks=2&feedback=at+once`. It is
 * judged in the browser, and nothing of it is kept. Null without a skill that has questions.
 */
export async function tryPage(database: Database, school: School, url: URL) {
	const all = new Map((await skillList(database, school.id)).map((skill) => [skill.id, skill]));
	const skills = idsIn(url, 'skill', MOST_SKILLS).flatMap((id) => {
		const skill = all.get(id);
		return skill && hasItems(skill.code) ? [skill] : [];
	});
	if (skills.length === 0) return null;
	const practice = url.searchParams.has('questions')
		? Math.min(MOST_QUESTIONS, numberIn(url, 'questions'))
		: USUAL * skills.length;
	const checks = Math.min(USUAL, numberIn(url, 'checks'));
	const shares = shareOut(
		Math.max(practice, checks ? 0 : 1),
		skills.map(() => 1)
	);
	const seeded = skills.map(({ id, code }, i): SeededSkill => {
		const own = { practice: shares[i], checks };
		return { ...own, skillId: id, code, hasExample: false, firstSeed: SAMPLE_SEED, seeds: seedsOf(own) };
	});
	const how = {
		ownQuestions: false,
		feedback: oneIn(url, 'feedback', FEEDBACK_TIMES) ?? 'at once',
		secondTry: isOn(url, 'second')
	};
	const questions = setQuestions(seeded, how, { place: 0, variation: NO_VARIATION, older: [], olderSeed: 0 }).map(
		({ familyId, seed, help }, position) => ({ position, help, item: itemFrom(familyId, seed) })
	);
	const hasHints = isOn(url, 'hints');
	const hasSolutions = isOn(url, 'solutions');
	return {
		title: skills.map(({ shortName }) => shortName).join(', '),
		hasSolutions,
		solutions: hasSolutions ? solutionsOf(questions.filter(({ help }) => help !== 'told later')) : [],
		items: await Promise.all(
			questions.map(async ({ position, help, item }) => {
				const isTold = help !== 'told later';
				const asked = isTold ? await practiceItem(database, item) : { ...showItem(item), practice: false as const };
				return {
					position,
					correct: null,
					done: false,
					missed: null,
					// Nothing is read aloud here.
					spoken: '',
					item: asked.practice
						? { ...asked, isOneTry: help === 'one try', hintHtml: hasHints ? asked.hintHtml : '' }
						: asked
				};
			})
		)
	};
}
