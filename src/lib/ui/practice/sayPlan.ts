import { sayDate, sayDayAt } from '$lib/core/calendar';
import { setTitle } from '$lib/core/practice';
import { plural } from '$lib/core/words';
import type { NewSet } from './newSet.svelte';

/** What a plan is about, for its sentence. */
type Planned = Pick<NewSet, 'plan' | 'questions' | 'minutes' | 'sets' | 'students' | 'some'>;

/**
 * The whole sentence of what will happen: `Assign “Thirds before Friday” to 6 students: 2 skills, 10 questions, about 9 min,
 * opens Mon, Nov 30, 08:00, due Fri, Dec 4, 16:00 (Levan Sato: Mon, Dec 7).`
 *
 * @param skillName short name of a skill
 * @param today what opens today and by no hour opens now
 */
export function sayPlan(
	{ plan, questions, minutes, sets, students, some }: Planned,
	skillName: (skillId: number) => string,
	today: string
): string {
	const { name, isOwnStep, dates, weeks, how } = plan;
	const what = name
		? `“${name}”`
		: isOwnStep
			? 'each their own next step'
			: setTitle({ name: null, skillIds: plan.skills.map(({ skillId }) => skillId) }, skillName);
	const own = some
		.map((entry) => ({ ...entry, ids: entry.ids.filter((id) => students.some((student) => student.id === id)) }))
		.filter(({ ids }) => ids.length > 0);
	const who = (ids: number[]) =>
		ids.length === 1 ? students.find(({ id }) => id === ids[0])!.name : plural(ids.length, 'student');
	const otherwise = own.map(({ ids, dueOn }) => `${who(ids)}: ${dueOn ? sayDate(dueOn) : 'otherwise'}`);
	const each = sets > 1 ? ' each' : '';
	const parts = [
		sets > 1 && `${sets} sets`,
		plan.lessonId !== null && 'a lesson',
		(name || isOwnStep || sets > 1) && plural(plan.skills.length, 'skill'),
		how.untilRight === null
			? `${plural(questions, 'question')}${each}`
			: `until ${how.untilRight} right at the first try, ${questions} at most${each}`,
		`about ${minutes} min${each}`,
		plan.task && 'a task with an adult',
		`opens ${dates.opensOn <= today && dates.opensMinute === null ? 'now' : sayDayAt(dates.opensOn, dates.opensMinute)}`,
		(dates.dueOn === null ? 'no due date' : `due ${sayDayAt(dates.dueOn, dates.dueMinute)}`) +
			(otherwise.length ? ` (${otherwise.join('; ')})` : ''),
		weeks > 1 && (sets > 1 ? 'then one a week' : `and again each week, ${weeks} times in all`)
	];
	return `Assign ${what} to ${plural(students.length, 'student')}: ${parts.filter(Boolean).join(', ')}.`;
}
