import { daysBetween, type SchoolDate } from '../calendar';
import { cardFrom, KEPT, retrievability, type Card, type Recall } from './card';
import { timeToForget } from './timeToForget';

/** Asked again sooner, an answer tells little and is soon lost; most of all after a miss. */
const REST_DAYS = 4;

/** A skill that a student once knew, with the days on which it was answered, in order. */
export interface KnownSkill<Skill> {
	skill: Skill;
	recalls: Recall[];
}

/** A skill to be asked again: how sure it is that it is still known. */
export interface DueCard<Skill> {
	skill: Skill;
	card: Card;
	/** 0…1, under `KEPT`. */
	known: number;
}

/**
 * The skills that are to be asked again on a day, most at risk first.
 *
 * @param skills those once known, of one student
 */
export function dueCards<Skill>(skills: readonly KnownSkill<Skill>[], on: SchoolDate): DueCard<Skill>[] {
	const time = timeToForget(skills.map(({ recalls }) => recalls));
	return skills
		.flatMap(({ skill, recalls }) => {
			const card = cardFrom(recalls, time);
			return card ? [{ skill, card, known: retrievability(card, on, time) }] : [];
		})
		.filter(({ known, card }) => known < KEPT && daysBetween(card.lastOn, on) >= REST_DAYS)
		.sort((a, b) => a.known - b.known);
}

/**
 * The skills of a day's review in the order in which they are asked: the most at risk, as many as the minutes hold, one
 * question each.
 *
 * @param minutes the most that it may take
 * @param secondsEach what a question of a skill usually takes
 */
export function retentionQueue<Skill>(
	due: readonly DueCard<Skill>[],
	minutes: number,
	secondsEach: (skill: Skill) => number
): Skill[] {
	const queue: Skill[] = [];
	let left = minutes * 60;
	for (const { skill } of due) {
		const seconds = secondsEach(skill);
		if (seconds > left) continue;
		left -= seconds;
		queue.push(skill);
	}
	return queue;
}
