/**
 * npm run simulate:retention [-- students]: reviews of what was once secure, over a term of twelve school weeks, in two
 * worlds of forgetting that are not the queue's own. Each student makes fifteen skills secure, one after another, each
 * in three days of five questions. Then one of several ways of reviewing has at most five minutes a school day.
 */
import { fileURLToPath } from 'node:url';
import { addDays, type SchoolDate } from '../../src/lib/core/calendar';
import { seededRandom, type Random } from '../../src/lib/core/random';
import { dueCards, retentionQueue, type Recall } from '../../src/lib/core/retention';
import { fadingStudent, halfLifeStudent, type Memory, type Student } from './memories';

const FIRST: SchoolDate = '2026-09-07';
const DAYS = 84;
const SKILLS = 15;
/** Days from one skill to the next, and the days of each on which it is practiced. */
const [APART, PRACTICE_DAYS, QUESTIONS] = [5, [0, 2, 4], 5];
const SECONDS = 40;
const MINUTES = 5;
const isSchoolDay = (day: number) => day % 7 < 5;

/** A skill once its practice is over. */
export interface Secured {
	memory: Memory;
	securedOn: number;
	recalls: Recall[];
	/** Days since the first review at which it was asked. */
	reviews: number[];
}

/** Which skills are asked on a day. */
export type Way = (secured: Secured[], day: number, random: Random) => Secured[];

const mostADay = Math.floor((MINUTES * 60) / SECONDS);

export const ourQueue: Way = (secured, day) =>
	retentionQueue(
		dueCards(
			secured.map((one) => ({ skill: one, recalls: one.recalls })),
			addDays(FIRST, day)
		),
		MINUTES,
		() => SECONDS
	);

/** All at once: so many questions of a skill as soon as it is secure, and none later. */
const massed =
	(questions: number): Way =>
	(secured, day) => {
		const fresh = secured.find(({ securedOn, reviews }) => day > securedOn && reviews.length < questions);
		return fresh ? Array.from({ length: Math.min(mostADay, questions - fresh.reviews.length) }, () => fresh) : [];
	};

/** So many skills a day on the average, whichever. */
const atRandom =
	(aDay: number): Way =>
	(secured, _day, random) =>
		random.shuffle(secured).slice(0, Math.floor(aDay) + Number(random.chance(aDay % 1)));

/** Each skill after so many days, time and again. */
const everyDays =
	(days: number): Way =>
	(secured, day) =>
		secured.filter(({ securedOn, reviews }) => day - (reviews.at(-1) ?? securedOn) >= days).slice(0, mostADay);

/** Each skill after intervals that double. */
const doubling =
	(first: number): Way =>
	(secured, day) =>
		secured
			.filter(({ securedOn, reviews }) => day - (reviews.at(-1) ?? securedOn) >= first * 2 ** reviews.length)
			.slice(0, mostADay);

/** The other ways, each with less and with more of it. */
export const OTHER_WAYS: Record<string, Record<string, Way>> = {
	massed: Object.fromEntries([2, 4, 8, 16].map((n) => [`${n} questions a skill`, massed(n)])),
	random: Object.fromEntries([0.5, 1, 1.5, 2, 3, 4, 7].map((n) => [`${n} questions a day`, atRandom(n)])),
	'fixed intervals': Object.fromEntries([
		...[3, 5, 7, 10, 14, 21].map((n) => [`every ${n} days`, everyDays(n)]),
		...[1, 2, 4, 7].map((n) => [`after ${n} days, then twice as long each time`, doubling(n)])
	])
};

export interface Kept {
	/** Share of the skills once secure that are still known at the term's end. */
	known: number;
	/** Minutes of review a student. */
	minutes: number;
}

/** A term of one student. */
export function term(student: Student, way: Way, random: Random): Kept {
	const secured: Secured[] = [];
	const memories = Array.from({ length: SKILLS }, student);
	const recalls = memories.map((): Recall[] => []);
	let asked = 0;
	const ask = (memory: Memory, day: number) => {
		const right = random.chance(memory.chanceRight(day));
		memory.answer(day, right);
		return right;
	};
	for (let day = 0; day <= DAYS; day++) {
		if (!isSchoolDay(day)) continue;
		const today = way(secured, day, random);
		for (const one of today) {
			const right = ask(one.memory, day);
			asked++;
			const last = one.recalls.at(-1);
			const on = addDays(FIRST, day);
			if (last?.on === on) Object.assign(last, { right: last.right + Number(right), of: last.of + 1 });
			else one.recalls.push({ on, right: Number(right), of: 1 });
			one.reviews.push(day);
		}
		memories.forEach((memory, k) => {
			const begun = k * APART;
			const place = PRACTICE_DAYS.findIndex((after) => schoolDay(begun + after) === day);
			if (place < 0) return;
			// The first question of the first day teaches it.
			memory.answer(day, true);
			let right = 0;
			for (let i = 0; i < QUESTIONS; i++) right += Number(ask(memory, day));
			recalls[k].push({ on: addDays(FIRST, day), right, of: QUESTIONS });
			if (place === PRACTICE_DAYS.length - 1)
				secured.push({ memory, securedOn: day, recalls: recalls[k], reviews: [] });
		});
	}
	return {
		known: secured.filter(({ memory }) => memory.isKnown(DAYS + 1)).length / secured.length,
		minutes: (asked * SECONDS) / 60
	};
}

const schoolDay = (day: number) => (isSchoolDay(day) ? day : day + (7 - (day % 7)));

export const WORLDS: Record<string, (random: Random) => Student> = {
	'half-lives': halfLifeStudent,
	'fading traces': fadingStudent
};

/** What a way keeps and takes in a world, over students. */
export function averageTerm(studentOf: (random: Random) => Student, way: Way, students: number): Kept {
	const terms = Array.from({ length: students }, (_, i) =>
		term(studentOf(seededRandom(i)), way, seededRandom(1_000_000 + i))
	);
	const average = (of: (kept: Kept) => number) => terms.reduce((sum, kept) => sum + of(kept), 0) / students;
	return { known: average(({ known }) => known), minutes: average(({ minutes }) => minutes) };
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
	const students = Number(process.argv[2] ?? 500);
	const line = (name: string, { known, minutes }: Kept) =>
		console.log(
			`  ${name.padEnd(52)} ${(100 * known).toFixed(1).padStart(5)}% still known, ${minutes.toFixed(0).padStart(3)} minutes`
		);
	for (const [world, studentOf] of Object.entries(WORLDS)) {
		console.log(`${world}, ${students} students`);
		line('our queue', averageTerm(studentOf, ourQueue, students));
		for (const [kind, ways] of Object.entries(OTHER_WAYS))
			for (const [name, way] of Object.entries(ways)) line(`${kind}: ${name}`, averageTerm(studentOf, way, students));
	}
}
