import Type from 'typebox';
import { hasItems } from '../../core/items/bank';
import { type FeedbackTime, MOST_QUESTIONS, questionsFor, type SetSkill } from '../../core/practice';
import type { Skill } from '../library';
import { id } from '../request';
import type { SetContent } from './store/setContent';

/** Skills at most where each student has their own. */
const MOST_OWN_SKILLS = 200;
/** Questions of a set at most, with those at its end and from before. */
const MOST_IN_ALL = 40;
export const TWICE = 'A skill is there twice';

/** What a set asks, as it is sent. */
export const CONTENT_FIELDS = {
	skills: Type.Array(
		Type.Object(
			{
				skillId: id,
				practice: Type.Integer({ minimum: 0, maximum: MOST_QUESTIONS }),
				checks: Type.Integer({ minimum: 0, maximum: 5 }),
				hasExample: Type.Boolean()
			},
			{ additionalProperties: false }
		),
		{ minItems: 1, maxItems: MOST_OWN_SKILLS }
	),
	older: Type.Integer({ minimum: 0, maximum: 8 }),
	untilRight: Type.Union([Type.Integer({ minimum: 1, maximum: MOST_QUESTIONS }), Type.Null()]),
	ownQuestions: Type.Boolean()
};

/** Questions with help of a student for whom nothing is otherwise. */
export const practiceIn = (skills: SetSkill[], isOwnStep: boolean): number =>
	(isOwnStep ? skills.slice(0, 1) : skills).reduce((sum, { practice }) => sum + practice, 0);

/** What is wrong with what a set asks; null for nothing. @param isOwnStep whether each student works on one of the skills */
export function contentProblem(
	{ skills, older, untilRight }: SetContent,
	isOwnStep: boolean,
	feedback: FeedbackTime
): string | null {
	const [first] = skills;
	if (new Set(skills.map(({ skillId }) => skillId)).size !== skills.length) return TWICE;
	if (skills.some(({ practice, checks }) => practice + checks === 0)) return 'A skill has no questions';
	if (questionsFor(isOwnStep ? [first] : skills, { older }, { practice: null }) > MOST_IN_ALL)
		return `A set has ${MOST_IN_ALL} questions at most`;
	if (isOwnStep && skills.some(({ practice, checks }) => practice !== first.practice || checks !== first.checks))
		return 'Where each has a step of their own, all have as many questions';
	if (untilRight === null) return null;
	if (older || skills.some(({ checks }) => checks))
		return 'A set that ends once enough are right has neither a check nor older questions';
	if (feedback !== 'at once') return 'A set that ends once enough are right is told at once';
	return untilRight > practiceIn(skills, isOwnStep) ? 'It asks for more right than it has questions' : null;
}

/** What is wrong with skills that are to be practiced: not taught here, or without questions; null for nothing. */
export function skillsProblem(skills: Pick<SetSkill, 'skillId'>[], taught: Map<number, Skill>): string | null {
	for (const { skillId } of skills) {
		const skill = taught.get(skillId);
		if (!skill) return 'There is no such skill';
		if (!hasItems(skill.code)) return `There are no questions for ${skill.shortName} yet`;
	}
	return null;
}
