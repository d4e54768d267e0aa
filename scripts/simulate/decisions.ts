/**
 * npm run simulate:decisions: what the rules of a review say of students whose course is known, looked at after every weekly probe,
 * by simulation. With `--write` the error rates of many cases are written where `core/growth/errorRates` reads them.
 */
import { writeFileSync } from 'node:fs';
import {
	advise,
	growthSoFar,
	SURELY,
	type ProbeAnswers,
	type ReviewEvidence,
	shareReached,
	SIMULATED
} from '../../src/lib/core/growth';
import { seededRandom } from '../../src/lib/core/random';
import { courses, levelOf, probeItems, type ShareCourse, sitProbe } from './growthWorlds';

const GOAL_SHARE = 14 / 16;
const LOOKS = [4, 5, 6, 7, 8, 9, 10, 11, 12];

/** A student's weekly probes from week 0 on. */
function probesOf(course: ShareCourse, weeks: number, questions: number, seed: number): ProbeAnswers[] {
	const random = seededRandom(seed);
	const items = probeItems(random, questions);
	return Array.from({ length: weeks + 1 }, (_, week) => sitProbe(random, levelOf(course), week, items));
}

const percent = (count: number, of: number) => `${Math.round((100 * count) / of)}%`.padStart(5);

function printCases(questions: number, students: number): void {
	console.log(
		`\n${questions} questions a week, goal ${GOAL_SHARE} from 0.3 in twelve weeks; ${students} students a case`
	);
	console.log(`${''.padEnd(36)}${LOOKS.map((week) => `wk ${week}`.padStart(5)).join('')}`);
	const line = (name: string, counts: number[]) =>
		console.log(`${name.padEnd(36)}${counts.map((count) => percent(count, students)).join('')}`);
	const goal = { week: 12, right: GOAL_SHARE * questions, of: questions };
	for (const [name, course] of Object.entries(courses(0.3, GOAL_SHARE, 12))) {
		const [change, intensify, exit] = [LOOKS, LOOKS, LOOKS].map((looks) => looks.map(() => 0));
		for (let n = 0; n < students; n++) {
			const all = probesOf(course, 12, questions, 1_000 + n);
			const sure = shareReached(all, 0, [0.85]).map(([chance]) => chance);
			LOOKS.forEach((week, i) => {
				const { underHalf } = growthSoFar(all.slice(0, week + 1), goal);
				change[i] += Number(underHalf > 0.5);
				intensify[i] += Number(underHalf >= 0.8);
				exit[i] += Number(exits(sure.slice(0, week + 1)));
			});
		}
		line(`${name}: growth under half`, change);
		line('  and 80% sure', intensify);
		line('  told to exit by then', exit);
	}
	for (const share of [0.7, 0.75, 0.8, 0.85]) {
		const exit = LOOKS.map(() => 0);
		for (let n = 0; n < students; n++) {
			const sure = shareReached(
				probesOf(() => share, 12, questions, 5_000 + n),
				0,
				[0.85]
			).map(([chance]) => chance);
			LOOKS.forEach((week, i) => (exit[i] += Number(exits(sure.slice(0, week + 1)))));
		}
		line(`always ${share}: told to exit by then`, exit);
	}
	console.log(`after a rise to 0.95 in week 4: to exit ${foundAfterRise(questions, students)}`);
}

const exits = (sure: number[]) => sure.some((chance, i) => i > 0 && chance >= 0.8 && sure[i - 1] >= 0.8);

function foundAfterRise(questions: number, students: number): string {
	const found = [3, 5].map((within) => {
		let count = 0;
		for (let n = 0; n < students; n++) {
			const all = probesOf((week) => (week < 4 ? 0.3 : 0.95), 3 + within, questions, 9_000 + n);
			count += Number(exits(shareReached(all, 0, [0.85]).map(([chance]) => chance)));
		}
		return `${percent(count, students).trim()} within ${within} probes`;
	});
	return found.join(', ');
}

/** Whole advice, for those who were given all their sessions and one change of plan. */
function printAdvice(questions: number, students: number): void {
	console.log(
		`\nwhole advice after 9 probes of ${questions} (8 weeks of 12), all sessions attended, one adjustment tried`
	);
	for (const [name, course] of Object.entries(courses(0.3, GOAL_SHARE, 12))) {
		const counts = new Map<string, number>();
		for (let n = 0; n < students; n++) {
			const evidence: ReviewEvidence = {
				series: probesOf(course, 8, questions, 20_000 + n),
				goal: { week: 12, right: GOAL_SHARE * questions, of: questions },
				focusDifficulty: 0,
				sessions: { planned: 24, attended: 24 },
				adjustmentsTried: 1,
				levelChecks: []
			};
			const { advice } = advise(evidence);
			counts.set(advice, (counts.get(advice) ?? 0) + 1);
		}
		const said = [...counts]
			.sort(([, a], [, b]) => b - a)
			.map(([advice, count]) => `${advice} ${percent(count, students).trim()}`);
		console.log(`${name.padEnd(24)}${said.join(', ')}`);
	}
}

const rounded = (value: number) => Math.round(1_000 * value) / 1_000;

/** Error rates by questions, start and weeks, after 1, 2, … probes. */
function rateTable(students: number) {
	const shareOf = (
		course: ShareCourse,
		weeks: number,
		questions: number,
		start: number,
		isWrong: (under: number) => boolean
	) => {
		const wrong = Array.from({ length: weeks + 1 }, () => 0);
		const goal = { week: weeks, right: GOAL_SHARE * questions, of: questions };
		for (let n = 0; n < students; n++) {
			const all = probesOf(course, weeks, questions, Math.round(1_000_000 * start) + 10_000 * weeks + n);
			for (let probes = 1; probes <= weeks + 1; probes++)
				wrong[probes - 1] += Number(isWrong(growthSoFar(all.slice(0, probes), goal).underHalf));
		}
		return wrong.map((count) => rounded(count / students));
	};
	const each = (name: string, isWrong: (under: number) => boolean) =>
		SIMULATED.questions.map((questions) =>
			SIMULATED.starts.map((start) =>
				SIMULATED.weeks.map((weeks) =>
					shareOf(courses(start, GOAL_SHARE, weeks)[name], weeks, questions, start, isWrong)
				)
			)
		);
	return {
		onTrackToldToChange: each('on track', (under) => under > 0.5),
		flatToldToContinue: each('flat', (under) => under <= 0.5),
		surely: {
			onTrackToldToChange: each('on track', (under) => under >= SURELY),
			flatToldToContinue: each('flat', (under) => under <= 1 - SURELY)
		},
		exitUnder75: SIMULATED.questions.map((questions) => {
			const told = Array.from({ length: 17 }, () => 0);
			for (let n = 0; n < 4 * students; n++) {
				const sure = shareReached(
					probesOf(() => 0.75, 16, questions, 70_000 + n),
					0,
					[0.85]
				).map(([chance]) => chance);
				told.forEach((_, i) => (told[i] += Number(exits(sure.slice(0, i + 1)))));
			}
			return told.map((count) => rounded(count / (4 * students)));
		})
	};
}

if (process.argv.includes('--write')) {
	const file = new URL('../../src/lib/core/growth/errorRates.json', import.meta.url);
	writeFileSync(file, `${JSON.stringify(rateTable(500))}\n`);
} else {
	for (const questions of SIMULATED.questions) {
		printCases(questions, 300);
		printAdvice(questions, 300);
	}
}
