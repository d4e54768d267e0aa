import type { RootDatabase } from '../../src/lib/server/database/pool';
import { rebuildEverything } from '../../src/lib/server/standing/rebuild';
import { growSchool, shrinkAgain } from './moreSchools';

/** As many times the demo school as come to 5,000 students, and the district that this is reckoned up to. */
const TIMES = 19;
const DISTRICT = 50_000;

/** As many answers as students are reckoned with: four times those of the demo school's. */
const MORE = 4;
/** No work has more questions, so that those that are added come after. */
const PLACES = 60;

/** Asks all questions of all work so many times, each time answered as the first, and lets what is kept be stale. */
async function multiplyAnswers(database: RootDatabase, times: number): Promise<void> {
	for (let i = 1; i < times; i++) {
		const values = [i * PLACES, PLACES];
		await database.run(
			`INSERT INTO sitting_item (sitting_id, position, skill_id, family_id, seed, edition, kind, options, digits)
			SELECT sitting_id, position + ?, skill_id, family_id, seed, edition, kind, options, digits FROM sitting_item
			WHERE position < ?`,
			values
		);
		await database.run(
			`INSERT INTO answer (id, sitting_id, position, attempt, student_id, skill_id, response, correct, milliseconds,
				answered_at, received_at)
			SELECT UUID(), sitting_id, position + ?, attempt, student_id, skill_id, response, correct, milliseconds,
				answered_at, received_at
			FROM answer WHERE position < ?`,
			values
		);
	}
	await database.run('UPDATE student_field SET revision = revision + 1');
}

/** All standings made anew from the log: of the demo school, with four times its answers, and of 5,000 students like it. */
export async function benchRebuild(database: RootDatabase): Promise<void> {
	const time = async () => {
		const [{ answers }] = await database.rows<{ answers: number }>('SELECT COUNT(*) AS answers FROM answer');
		const began = performance.now();
		const { students, different } = await rebuildEverything(database);
		if (different) throw new Error(`${different} students were different after a rebuild`);
		return { students, answers: Number(answers), seconds: (performance.now() - began) / 1_000 };
	};
	const small = await time();
	await growSchool(database, TIMES);
	const large = await time();
	await shrinkAgain(database);
	await multiplyAnswers(database, MORE);
	const full = await time();
	for (const table of ['answer', 'sitting_item'])
		await database.run(`DELETE FROM ${table} WHERE position >= ?`, [PLACES]);
	await database.run('UPDATE student_field SET revision = revision + 1');
	// As many students cost as much more as in the larger school.
	const growth = large.seconds / large.students / (small.seconds / small.students);
	const minutes = (full.seconds / full.students) * growth * (DISTRICT / 60);
	const say = ({ students, answers, seconds }: typeof small) =>
		`${students} students with ${answers} answers in ${seconds.toFixed(1)} s (${((1_000 * seconds) / students).toFixed(1)} ms each)`;
	console.log(
		`rebuild   ${say(small)}, at most 15 s; ${say(large)}; ${say(full)}; extrapolated to ${DISTRICT} students with ${Math.round(full.answers / full.students)} answers each: ${minutes.toFixed(0)} min in one process`
	);
}
