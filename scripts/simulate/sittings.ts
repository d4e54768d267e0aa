/** What simulated students are asked: questions of the shipped skills, in a diagnostic and in practice. */
import { shippedFramework } from '../../framework/shipped';
import { addDays } from '../../src/lib/core/calendar';
import type { FieldAnswer } from '../../src/lib/core/mastery';
import { expectedTheta } from '../../src/lib/core/measurement';
import type { Random } from '../../src/lib/core/random';
import type { Learner, SimulatedItem } from './worlds';

const framework = shippedFramework();
export const skills = framework.skills.map((skill) => ({
	code: skill.code,
	domain: skill.domain,
	grade: skill.grade,
	term: skill.term,
	difficulty: expectedTheta(skill),
	prerequisites: framework.edges.filter((edge) => edge.skill === skill.code).map((edge) => edge.prerequisite)
}));
export const places = skills.map((_, k) => k);

/** The day that is counted from. */
export const FIRST = '2026-09-14';

/** A question as it was answered. */
export interface Given {
	skill: number;
	item: SimulatedItem;
	correct: boolean;
	day: number;
	isPractice: boolean;
	sitting: number;
}

/** A typed question of a skill: of one of four families, a little easier or harder than usual. */
function drawItem(skill: number, random: Random): SimulatedItem {
	return {
		discrimination: 1.2,
		difficulty: skills[skill].difficulty + 0.25 * random.normal(),
		guessing: 0.02,
		family: 4 * skill + random.integer(0, 3)
	};
}

/** Skills that are due by a grade and its second term. */
export const dueBy = (middle: number) => places.filter((k) => skills[k].difficulty <= middle + 1e-9);

/** A diagnostic: questions near the grade, as many of each domain. */
export function sitDiagnostic(learner: Learner, middle: number, random: Random): Given[] {
	const near = places.filter((k) => Math.abs(skills[k].difficulty - middle + 0.5) <= 1.4);
	const byDomain = [...new Set(near.map((k) => skills[k].domain))].map((domain) =>
		random.shuffle(near.filter((k) => skills[k].domain === domain))
	);
	const asked: Given[] = [];
	for (let n = 0; asked.length < 36; n++) {
		const own = byDomain[n % byDomain.length];
		const skill = own[Math.floor(n / byDomain.length) % own.length];
		const item = drawItem(skill, random);
		asked.push({ skill, item, correct: learner.answer(skill, item, 0, false), day: 0, isPractice: false, sitting: 0 });
	}
	return asked;
}

/** Twenty questions on a skill, two a day. */
export function practice(learner: Learner, skill: number, random: Random, from: number, sitting: number): Given[] {
	return Array.from({ length: 20 }, (_, n) => {
		const day = from + Math.floor(n / 2);
		const item = drawItem(skill, random);
		return {
			skill,
			item,
			correct: learner.answer(skill, item, day, true),
			day,
			isPractice: true,
			sitting: sitting + day
		};
	});
}

export const toField = (given: Given[]): FieldAnswer[] =>
	given.map(({ skill, item, correct, day }) => ({
		skill: skills[skill].code,
		item,
		correct,
		on: addDays(FIRST, day)
	}));
