/**
 * npm run load:screening [-- students]: so many simulated students sit an adaptive diagnostic at once, over HTTP on this
 * machine, thinking four seconds a question. Says whether every answer is stored once, and how long the next question
 * takes.
 */
import { seededRandom } from '../../src/lib/core/random';
import { openDatabase } from '../../src/lib/server/database/pool';
import { fill } from '../../src/lib/server/database/seeding';
import { DEMO_CLOCK } from '../demoServer.mjs';
import { Sitter } from './sitter';

const STUDENTS = Math.min(264, Number(process.argv[2] ?? 200));
const THINK_MS = [2_000, 6_000] as const;
/** The next question is there within so many medians for 95 of 100 answers. */
const SLOWEST_RATIO = 3;
const WINDOW = 901;

const database = openDatabase(process.env.DEMO_DATABASE!);
const today = DEMO_CLOCK.slice(0, 10);
await fill(database, 'screening_window', [
	{
		id: WINDOW,
		school_id: 1,
		name: 'Load',
		subject: 'Mathematics',
		mode: 'adaptive',
		term: 2,
		opens_on: today,
		closes_on: today
	}
]);
await fill(
	database,
	'window_class',
	Array.from({ length: 12 }, (_, i) => ({ window_id: WINDOW, class_id: i + 1 }))
);

const random = seededRandom(8);
const times: number[] = [];
const sitters = Array.from({ length: STUDENTS }, (_, i) => {
	const own = seededRandom(i);
	return new Sitter({
		address: () => process.env.DEMO_ADDRESS!,
		database: () => database,
		studentId: 1 + Math.floor((i * 264) / STUDENTS),
		windowId: WINDOW,
		now: new Date(DEMO_CLOCK),
		random: own,
		think: () => own.integer(...THINK_MS),
		resend: 0.05,
		onAnswer: (milliseconds) => times.push(milliseconds)
	});
});
for (const sitter of sitters) await sitter.signIn();
const began = performance.now();
await Promise.all(
	sitters.map(async (sitter) => {
		// A class does not press start in the same instant.
		await new Promise((resolve) => setTimeout(resolve, random.integer(0, 5_000)));
		await sitter.start();
		await sitter.sit();
	})
);
const seconds = (performance.now() - began) / 1_000;

const acknowledged = sitters.reduce((sum, one) => sum + one.acknowledged.size, 0);
const [stored] = await database.rows<{ answers: number; places: number; finished: number }>(
	`SELECT COUNT(*) AS answers, COUNT(DISTINCT answer.sitting_id, answer.position) AS places,
		COUNT(DISTINCT CASE WHEN sitting.finished_at IS NOT NULL THEN sitting.id END) AS finished
	FROM answer JOIN sitting ON sitting.id = answer.sitting_id WHERE sitting.window_id = ?`,
	[WINDOW]
);
await database.close();
times.sort((a, b) => a - b);
const at = (share: number) => times[Math.floor(share * (times.length - 1))];
const ratio = at(0.95) / at(0.5);
console.log(
	`${STUDENTS} students, ${acknowledged} answers in ${seconds.toFixed(0)} s (${(acknowledged / seconds).toFixed(0)} a second)`
);
console.log(`stored ${stored.answers}, each place once ${stored.places}, sittings finished ${stored.finished}`);
console.log(
	`next question: median ${at(0.5).toFixed(0)} ms, 95th percentile ${at(0.95).toFixed(0)} ms (${ratio.toFixed(1)} medians), slowest ${at(1).toFixed(0)} ms`
);
const isWhole =
	Number(stored.answers) === acknowledged &&
	Number(stored.places) === acknowledged &&
	Number(stored.finished) === STUDENTS;
if (!isWhole) console.log('Answers are missing or doubled.');
if (ratio > SLOWEST_RATIO) console.log(`The 95th percentile is over ${SLOWEST_RATIO} medians.`);
process.exit(isWhole && ratio <= SLOWEST_RATIO ? 0 : 1);
