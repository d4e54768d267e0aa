/**
 * npm run simulate:mastery [-- students]: the field beside knowledge tracing, on the same answers of simulated students of
 * grades 2–7 in three worlds: that of the field, that of knowledge tracing, and one that is neither. Each student sits a
 * diagnostic of 36 questions, then practices three skills, 20 questions each over ten days. “Learned” is the field with
 * constants that were found in the answers of other students of the world.
 */
import { addDays } from '../../src/lib/core/calendar';
import {
	estimateConstants,
	estimateField,
	FIELD_CONSTANTS,
	MASTERED_SHARE,
	shareAtLeast,
	skillField,
	type SkillField
} from '../../src/lib/core/mastery';
import { estimateProfile, expectedTheta, type ScoredResponse } from '../../src/lib/core/measurement';
import { seededRandom, type Random } from '../../src/lib/core/random';
import { isSecure, priorKnown, trace, type Evidence } from './knowledgeTracing';
import { lowerFactor } from './lowerFactor';
import { dueBy, FIRST, places, practice, sitDiagnostic, skills, toField, type Given } from './sittings';
import { fieldWorld, knownWorld, learnerWithShare, thirdWorld, type World } from './worlds';

const STUDENTS = Number(process.argv[2] ?? 300);
/** Students of a world in whose answers constants are found, others than those that are judged. */
const LEARNED_FROM = 150;
const GRADES = [2, 3, 4, 5, 6, 7];
const field = skillField(skills);
const factor = lowerFactor(field.covariance);
const edges = places.flatMap((skill) =>
	skills[skill].prerequisites.map((code) => ({ skill, prerequisite: field.placeOf.get(code)! }))
);

const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const line = (name: string, value: string) => console.log(`${name.padEnd(66)} ${value}`);
const percent = (value: number) => `${(100 * value).toFixed(0)}%`;
/** The chance that each skill is mastered, by a field. */
function byField(given: Given[], middle: number, by = field): number[] {
	const { mean: levels, standardError } = estimateField(by, toField(given), { mean: middle });
	return places.map((k) =>
		shareAtLeast({ mean: levels[k], standardError: standardError[k] }, skills[k].difficulty, MASTERED_SHARE)
	);
}

/** The chance that each skill is known, by knowledge tracing from the diagnostic's scores. */
function byTracing(given: Given[], middle: number): ReturnType<typeof trace>[] {
	const diagnostic = given.filter(({ isPractice }) => !isPractice);
	const responses = new Map<string, ScoredResponse[]>(
		[...new Set(skills.map(({ domain }) => domain))].map((domain) => [
			domain,
			diagnostic.filter(({ skill }) => skills[skill].domain === domain).map(({ item, correct }) => ({ item, correct }))
		])
	);
	const { domains } = estimateProfile(responses, { mean: middle, sd: 1.1 });
	const own = new Map<number, Evidence[]>(places.map((k) => [k, []]));
	for (const { skill, correct, day, isPractice, sitting } of given)
		own.get(skill)!.push({
			correct,
			on: addDays(FIRST, day),
			format: { kind: 'number' },
			source: isPractice ? 'practice' : 'diagnostic',
			sittingId: sitting
		});
	return places.map((k) => trace(own.get(k)!, priorKnown(domains.get(skills[k].domain)!, skills[k])));
}

interface Judged {
	said: number;
	/** Whether knowing is said for sure enough, by answers enough. */
	isSecure: boolean;
	share: number;
	isMastered: boolean;
	answers: number;
}

/** The nth student of a world: a diagnostic, then practice of three skills. */
function studentOf(world: World, n: number, random: Random) {
	const middle = expectedTheta({ grade: GRADES[n % GRADES.length], term: 2 });
	const learner = world(middle, random);
	const due = dueBy(middle);
	const given = sitDiagnostic(learner, middle, random);
	const focus = random.shuffle(due.filter((k) => skills[k].difficulty > middle - 2)).slice(0, 3);
	for (const skill of focus) given.push(...practice(learner, skill, random, 7, 1));
	return { learner, middle, due, given };
}

/** A field with constants that are found in the answers of other students of the world. */
function learnField(world: World, seed: number): SkillField {
	const random = seededRandom(1_000 + seed);
	const students = Array.from({ length: LEARNED_FROM }, (_, n) => {
		const { given, middle } = studentOf(world, n, random);
		return {
			answers: toField(given).map((answer, i) => ({ ...answer, sittingId: given[i].sitting })),
			prior: { mean: middle }
		};
	});
	const steps = estimateConstants(skills, students, FIELD_CONSTANTS);
	for (;;) {
		const step = steps.next();
		if (!step.done) continue;
		const found = Object.entries(step.value.constants).map(([name, value]) => `${name} ${value.toFixed(2)}`);
		line('constants found', found.join(', '));
		return skillField(skills, { ...FIELD_CONSTANTS, ...step.value.constants });
	}
}

const WAYS = ['field', 'learned', 'tracing'] as const;
type Way = (typeof WAYS)[number];

/** All that is said of students in a world: by the field, by one whose constants were found there, and by tracing. */
function live(world: World, seed: number) {
	const learned = learnField(world, seed);
	const random = seededRandom(seed);
	const said: Record<Way, Judged[]> = { field: [], learned: [], tracing: [] };
	const contradicted: Record<Way, number> = { field: 0, learned: 0, tracing: 0 };
	let seen = 0;
	for (let n = 0; n < STUDENTS; n++) {
		const { learner, middle, due, given } = studentOf(world, n, random);
		const counts = new Map<number, number>();
		for (const { skill } of given) counts.set(skill, (counts.get(skill) ?? 0) + 1);
		const traces = byTracing(given, middle);
		const chances = {
			field: byField(given, middle),
			learned: byField(given, middle + learned.constants.above, learned),
			tracing: traces.map(({ probability }) => probability)
		};
		for (const way of WAYS) {
			for (const k of due)
				said[way].push({
					said: chances[way][k],
					isSecure: way === 'tracing' ? isSecure(traces[k]) : chances[way][k] >= 0.85,
					share: learner.share(k),
					isMastered: learner.share(k) >= MASTERED_SHARE,
					answers: counts.get(k) ?? 0
				});
			for (const { skill, prerequisite } of edges)
				if (chances[way][skill] > 0.85 && chances[way][prerequisite] < 0.5) contradicted[way]++;
		}
		seen += edges.length;
	}
	return { said, contradicted, edges: seen };
}

const brier = (judged: Judged[]) => mean(judged.map(({ said, isMastered }) => (said - Number(isMastered)) ** 2));

/** Predictions in tenths: the farthest that what is said is from what is, in a tenth with 100 predictions or more. */
function farthest(judged: Judged[]): number {
	const off = Array.from({ length: 10 }, (_, tenth) => {
		const own = judged.filter(({ said }) => Math.min(9, Math.floor(10 * said)) === tenth);
		if (own.length < 100) return 0;
		return Math.abs(mean(own.map(({ said }) => said)) - mean(own.map(({ isMastered }) => Number(isMastered))));
	});
	return Math.max(...off);
}

function reportWorld(name: string, world: World, seed: number) {
	console.log(`\n${name}`);
	const { said, contradicted, edges: seen } = live(world, seed);
	line('mastered, of skills due', percent(mean(said.field.map(({ isMastered }) => Number(isMastered)))));
	const both = (of: (judged: Judged[]) => string) => WAYS.map((way) => `${way} ${of(said[way])}`).join('  ');
	line(
		'Brier score',
		both((judged) => brier(judged).toFixed(3))
	);
	line(
		'  of skills without an answer',
		both((judged) => brier(judged.filter(({ answers }) => !answers)).toFixed(3))
	);
	line(
		'  of skills with twenty answers',
		both((judged) => brier(judged.filter(({ answers }) => answers >= 20)).toFixed(3))
	);
	const near = (judged: Judged[]) =>
		judged.filter(({ share, answers }) => answers >= 20 && Math.abs(share - 0.6) < 0.05);
	if (near(said.field).length >= 20)
		line(
			`called Secure at a share near 0.6 (${near(said.field).length} skills of twenty answers)`,
			both((judged) => percent(mean(near(judged).map((one) => Number(one.isSecure)))))
		);
	line(
		'farthest from what is, in a tenth of what is said',
		both((judged) => percent(farthest(judged)))
	);
	const counts = WAYS.map((way) => `${way} ${contradicted[way]}`).join('  ');
	line('prerequisite edges contradicted', `${counts} of ${seen}`);
}

/** Whether each way calls a skill Secure after answers on it: enough of them, and sure enough. */
function callsSecure(given: Given[], skill: number, middle: number) {
	return {
		field: byField(given, middle)[skill] >= 0.85,
		tracing: isSecure(byTracing(given, middle)[skill])
	};
}

/** A student of the middle of a grade whose share on a skill of the last two years is as wanted. */
function studentWith(share: number, goesAlong: boolean, random: Random) {
	const grade = random.pick(GRADES);
	const middle = expectedTheta({ grade, term: 2 });
	const skill = random.pick(places.filter((k) => skills[k].difficulty <= middle && skills[k].difficulty > middle - 2));
	return { middle, skill, ...learnerWithShare(field, factor, { skill, share, goesAlong }, middle, random) };
}

function reportConstant() {
	console.log('\nCalled Secure after 20 answers over ten days');
	for (const share of [0.5, 0.6, 0.7, 0.9]) {
		const random = seededRandom(Math.round(100 * share));
		const called = { field: 0, tracing: 0 };
		for (let n = 0; n < STUDENTS; n++) {
			const { middle, skill, learner } = studentWith(share, true, random);
			const given = [...sitDiagnostic(learner, middle, random), ...practice(learner, skill, random, 7, 1)];
			const says = callsSecure(given, skill, middle);
			called.field += Number(says.field);
			called.tracing += Number(says.tracing);
		}
		line(
			`at a true share of ${share}`,
			`field ${percent(called.field / STUDENTS)}  tracing ${percent(called.tracing / STUDENTS)}`
		);
	}
}

/** A share that changes after twenty answers: how it is seen from answer to answer after that. */
function changed(from: number, to: number, seed: number): { field: boolean[]; tracing: boolean[] }[] {
	const random = seededRandom(seed);
	return Array.from({ length: STUDENTS }, () => {
		const { middle, skill, learner, setShare } = studentWith(from, false, random);
		const given = [...sitDiagnostic(learner, middle, random), ...practice(learner, skill, random, 7, 1)];
		setShare(to);
		const later = practice(learner, skill, random, 20, 40);
		const says = later.map((_, n) => callsSecure([...given, ...later.slice(0, n + 1)], skill, middle));
		return { field: says.map((one) => one.field), tracing: says.map((one) => one.tracing) };
	});
}

const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1];

function reportChanges() {
	const learned = changed(0.2, 0.95, 5);
	const lost = changed(0.95, 0.4, 6);
	const until = (says: boolean[]) => (says.includes(true) ? says.indexOf(true) + 1 : Infinity);
	console.log('\nChanges after twenty answers');
	line(
		'learned (0.2 to 0.95): answers until Secure, median',
		`field ${median(learned.map(({ field: says }) => until(says)))}  tracing ${median(learned.map(({ tracing }) => until(tracing)))}`
	);
	line(
		'lost (0.95 to 0.4): still called Secure 8 answers later',
		`field ${percent(mean(lost.map(({ field: says }) => Number(says[7]))))}  tracing ${percent(mean(lost.map(({ tracing }) => Number(tracing[7]))))}`
	);
}

const began = performance.now();
console.log(`${STUDENTS} students a world; ${skills.length} skills, ${edges.length} prerequisites`);
reportWorld('The field’s world', fieldWorld(field), 1);
reportWorld('Knowledge tracing’s world', knownWorld(skills), 2);
reportWorld('A third world', thirdWorld(skills, 3), 3);
reportConstant();
reportChanges();
console.log(`\n${((performance.now() - began) / 1_000).toFixed(0)} s`);
