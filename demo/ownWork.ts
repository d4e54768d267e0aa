import { addDays, weekday, type SchoolDate } from '../src/lib/core/calendar';
import {
	askFact,
	fluentMs,
	nextFact,
	PAUSE_MS,
	placeOfFact,
	usualOperations,
	type FactTry
} from '../src/lib/core/fluency';
import { ownSeed } from '../src/lib/core/items';
import { itemInTurn } from '../src/lib/core/items/bank';
import { FREE_QUESTIONS, USUAL_HABITS } from '../src/lib/core/practice';
import { seededRandom, seedFrom, type Random } from '../src/lib/core/random';
import { dueCards, retentionQueue, type Recall } from '../src/lib/core/retention';
import type { RootDatabase } from '../src/lib/server/database/pool';
import { fill } from '../src/lib/server/database/seeding';
import type { Skill } from '../src/lib/server/library/store/skills';
import { questionMs } from '../src/lib/server/practice/setLengths';
import type { VisibleId } from '../src/lib/server/request';
import { recallsOf } from '../src/lib/server/standing/store/evidence';
import { atHour, drawId, type AnswerLog } from './answerLog';
import { SEED, TIME_ZONE, type DemoStudent } from './people';

/** Weeks in which classes have had a few from before and facts. */
const WEEKS = 4;
/** Answers by which a skill was once secure in the eyes of the demo, and how many of them were right. */
const [ONCE_SECURE_ANSWERS, ONCE_SECURE_RIGHT] = [5, 5];

/** Days of reviews and of facts: Tuesdays and Thursdays of the last weeks, today's still to come. */
function daysBefore(today: SchoolDate): SchoolDate[] {
	return Array.from({ length: 7 * WEEKS }, (_, i) => addDays(today, i - 7 * WEEKS)).filter((day) =>
		[2, 4].includes(weekday(day))
	);
}

/** What a demo student knows of a skill's answers so far. */
interface Known {
	skill: Skill;
	recalls: Recall[];
}

const wasSecure = ({ recalls }: Known) => {
	const last = recalls.flatMap(({ right, of }) => Array.from({ length: of }, (_, i) => i < right));
	const lately = last.slice(-ONCE_SECURE_ANSWERS);
	return lately.length === ONCE_SECURE_ANSWERS && lately.filter(Boolean).length >= ONCE_SECURE_RIGHT;
};

/**
 * Lets students do a few from before, and some practice of their own choice, as their pages would offer it.
 *
 * @param log in which the answers are collected; all before must have been written
 */
export async function reviewAndChoose(
	database: RootDatabase,
	log: AnswerLog,
	students: DemoStudent[],
	skills: Skill[],
	today: SchoolDate
): Promise<void> {
	for (const student of students) {
		const random = seededRandom(seedFrom(SEED, 'own work', student.id));
		// Some do it nearly always, some seldom.
		const willing = 0.3 + 0.6 * random.unit();
		const ids = skills.map(({ id }) => id);
		const recalls = await recallsOf(database, student.id as VisibleId, ids, TIME_ZONE);
		const known = skills.map((skill): Known => ({ skill, recalls: recalls.get(skill.id)! }));
		for (const day of daysBefore(today)) {
			const before = known.map(({ skill, recalls: all }) => ({ skill, recalls: all.filter(({ on }) => on < day) }));
			const once = before.filter(wasSecure);
			if (!random.chance(willing)) continue;
			const asked = ({ recalls: all }: Known) => all.reduce((sum, { of }) => sum + of, 0);
			const turn = (one: Known, more = 0) =>
				itemInTurn(one.skill.code, asked(one) + more, (n) => ownSeed(student.id, n));
			const due = retentionQueue(
				dueCards(
					once.map((one) => ({ skill: one, recalls: one.recalls })),
					day
				),
				USUAL_HABITS.reviewMinutes,
				({ skill }) => questionMs(skill.code) / 1_000
			);
			const sit = (kind: 'review' | 'free', items: ReturnType<typeof turn>[], hour: number) => {
				const answers = log.sit(student, {
					kind,
					origin: { own_day: day, own_number: 1 },
					items,
					from: atHour(day, hour)
				});
				for (const { skillCode, correct } of answers) {
					const own = known.find(({ skill }) => skill.code === skillCode)!;
					let onDay = own.recalls.find(({ on }) => on === day);
					if (!onDay) own.recalls.push((onDay = { on: day, right: 0, of: 0 }));
					onDay.right += Number(correct);
					onDay.of++;
					// What was answered later in the term is there already.
					own.recalls.sort((a, b) => a.on.localeCompare(b.on));
				}
			};
			if (due.length)
				sit(
					'review',
					due.map((one) => turn(one)),
					14
				);
			if (once.length && random.chance(0.15)) {
				const chosen = random.pick(once);
				sit(
					'free',
					Array.from({ length: FREE_QUESTIONS }, (_, i) => turn(chosen, i)),
					15
				);
			}
		}
	}
}

/** Times a fact must be met until a simulated student has it. */
const SHOWN_UNTIL_KNOWN = 4;

/** Lets students do runs of facts: each knows those up to a place, and learns the next ones by meeting them. */
export async function runFacts(database: RootDatabase, students: DemoStudent[], today: SchoolDate): Promise<void> {
	const runs: Record<string, unknown>[] = [];
	const answers: Record<string, unknown>[] = [];
	for (const student of students) {
		const random = seededRandom(seedFrom(SEED, 'facts', student.id));
		const days = daysBefore(today).slice(0, student.id % 17 === 5 ? 3 : undefined);
		for (const operation of usualOperations(student.grade)) {
			// In their first year of an operation students know a fourth, a year later more than half.
			const year = student.grade <= 2 ? student.grade : student.grade - 2;
			const knows = Math.max(2, Math.min(95, 25 * year + 18 * random.normal()));
			const pace = Math.exp(0.25 * random.normal());
			const tries: FactTry[] = [];
			const shown = new Map<number, number>();
			for (const day of days) {
				if (!random.chance(0.5)) continue;
				const runId = runs.length + 1;
				let [time, spent, position] = [atHour(day, 10).getTime() + 60_000 * (student.id % 40), 0, 0];
				const startedAt = new Date(time);
				while (spent < USUAL_HABITS.factMinutes * 60_000) {
					const fact = nextFact(operation, tries, student.grade, random);
					const place = placeOfFact(operation, fact);
					const met = shown.get(place) ?? 0;
					shown.set(place, met + 1);
					const one = { ...fact, ...tryFact(random, place < knows || met >= SHOWN_UNTIL_KNOWN, pace, student.grade) };
					tries.push(one);
					spent += Math.min(PAUSE_MS, one.milliseconds);
					time += one.milliseconds;
					const { answer } = askFact(operation, fact);
					answers.push({
						id: drawId(random),
						run_id: runId,
						position: position++,
						student_id: student.id,
						operation,
						...fact,
						response: one.correct ? answer : answer + random.pick([1, 2, 10]),
						correct: one.correct,
						milliseconds: one.milliseconds,
						answered_at: new Date(time),
						received_at: new Date(time)
					});
				}
				runs.push({
					id: runId,
					student_id: student.id,
					operation,
					minutes: USUAL_HABITS.factMinutes,
					own_day: day,
					own_number: 1,
					started_at: startedAt,
					ended_at: new Date(time)
				});
			}
		}
	}
	await fill(database, 'fact_run', runs);
	await fill(database, 'fact_answer', answers);
}

/** How a try goes: what is known comes in time mostly, all else is worked out or guessed. */
function tryFact(random: Random, isKnown: boolean, pace: number, grade: number) {
	const usual = isKnown ? 0.55 * fluentMs(grade) : 1.5 * fluentMs(grade);
	const milliseconds = Math.round(Math.max(700, usual * pace * Math.exp(0.3 * random.normal())));
	return { correct: random.chance(isKnown ? 0.97 : 0.6), milliseconds };
}
