import type { RootDatabase } from '../../src/lib/server/database/pool';
import { rebuildEverything } from '../../src/lib/server/standing/rebuild';
import { growSchool, shrinkAgain } from './moreSchools';

/** As many times the demo school as come to 5,000 students, and the district that this is reckoned up to. */
const TIMES = 19;
const DISTRICT = 50_000;

/** All standings made anew from the log: of the demo school, and of one of 5,000 students like it. */
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
	const minutes = (large.seconds / large.students) * (DISTRICT / 60);
	const say = ({ students, answers, seconds }: typeof small) =>
		`${students} students with ${answers} answers in ${seconds.toFixed(1)} s (${((1_000 * seconds) / students).toFixed(1)} ms each)`;
	console.log(
		`rebuild   ${say(small)}, at most 15 s; ${say(large)}; extrapolated to ${DISTRICT} students with as many answers each: ${minutes.toFixed(0)} min in one process`
	);
}
