/**
 * npm run simulate:screening [-- students]: the adaptive diagnostic given to simulated students of grades 2–7 from the
 * shipped item bank. Prints whether scores are as good as they claim, how long sittings are, how often each kind of
 * question is seen, and what the trust checks find.
 */
import { shippedFramework } from '../../framework/shipped';
import {
	ADAPTIVE_RULES,
	rapidThreshold,
	reliableChange,
	trustFlags,
	type AdaptiveRules,
	type PoolItem,
	type Profile,
	type TrustFlag
} from '../../src/lib/core/measurement';
import { itemFrom } from '../../src/lib/core/items/bank';
import { seededRandom } from '../../src/lib/core/random';
import { drawAbilities, itemPool, simulateSitting, type SimulatedSitting } from '../../src/lib/core/screening';

const STUDENTS = Number(process.argv[2] ?? 1_000);
const GRADES = [2, 3, 4, 5, 6, 7];
const framework = shippedFramework();
const skills = framework.skills.map((skill) => ({
	...skill,
	domainId: framework.domains.findIndex(({ code }) => code === skill.domain)
}));
const domains = framework.domains.map((_, i) => i);
const pool = itemPool(skills);
const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const line = (name: string, value: string) => console.log(`${name.padEnd(58)} ${value}`);
const share = (value: number) => `${(100 * value).toFixed(1)}%`;

interface Taken {
	truth: Map<number, number>;
	grade: number;
	sitting: SimulatedSitting<number>;
}

function sitAll(seed: number, rules: AdaptiveRules, count: number, rushesFrom?: (n: number) => number): Taken[] {
	const random = seededRandom(seed);
	return Array.from({ length: count }, (_, n) => {
		const level = { grade: GRADES[n % GRADES.length], term: 2 };
		const truth = drawAbilities(domains, level, random);
		const sitting = simulateSitting(truth, level, pool, rules, random, rushesFrom?.(n));
		return { truth, grade: level.grade, sitting };
	});
}

/** Whether estimates are as good as their errors say. */
function accuracy(name: string, pairs: { error: number; claimed: number }[]): void {
	const rmse = Math.sqrt(mean(pairs.map(({ error }) => error ** 2)));
	const claimed = Math.sqrt(mean(pairs.map(({ claimed }) => claimed ** 2)));
	line(`${name}: bias (logits)`, mean(pairs.map(({ error }) => error)).toFixed(3));
	line(
		`${name}: RMSE / what the standard errors claim`,
		`${rmse.toFixed(3)} / ${claimed.toFixed(3)} = ${(rmse / claimed).toFixed(3)}`
	);
	line(
		`${name}: 95% intervals cover`,
		share(mean(pairs.map(({ error, claimed }) => Number(Math.abs(error) < 1.96 * claimed))))
	);
}

function exposures(taken: Taken[], of: (item: PoolItem<number>) => string): number[] {
	const seen = new Map<string, number>();
	for (const { sitting } of taken) for (const item of sitting.asked) seen.set(of(item), (seen.get(of(item)) ?? 0) + 1);
	return [...seen.values()].map((count) => count / taken.length).sort((a, b) => b - a);
}

const flagsOf = ({ sitting }: Taken, previous?: Profile<number>) =>
	trustFlags({
		answers: sitting.responses.map((response) => ({ ...response, rapidMs: rapidThreshold({ words: 20 }) })),
		profile: sitting.profile,
		previous: previous?.overall,
		adaptive: true,
		pauses: [],
		nameOf: (domain) => framework.domains[domain].name
	}).map(({ flag }) => flag);

console.log(
	`${STUDENTS} simulated students of grades 2–7, ${pool.length} kinds of questions, ${domains.length} domains\n`
);
const honest = sitAll(1, ADAPTIVE_RULES, STUDENTS);
const overallTruth = (truth: Map<number, number>) => mean([...truth.values()]);
accuracy(
	'overall',
	honest.map(({ truth, sitting }) => ({
		error: sitting.profile.overall.theta - overallTruth(truth),
		claimed: sitting.profile.overall.standardError
	}))
);
accuracy(
	'domains',
	honest.flatMap(({ truth, sitting }) =>
		[...sitting.profile.domains].map(([domain, { theta, standardError }]) => ({
			error: theta - truth.get(domain)!,
			claimed: standardError
		}))
	)
);

console.log();
const lengths = honest.map(({ sitting }) => sitting.asked.length).sort((a, b) => a - b);
line('questions: mean, least, most', `${mean(lengths).toFixed(1)}, ${lengths[0]}, ${lengths.at(-1)}`);
const free = { ...ADAPTIVE_RULES, minimum: 1, maximum: 200, nearlyAsGood: 1, itemsASkill: 99, worthPairing: 9 };
const lengthOf = (rules: AdaptiveRules) => mean(sitAll(1, rules, STUDENTS).map(({ sitting }) => sitting.asked.length));
const [unbound, balanced] = [lengthOf({ ...free, lead: 999 }), lengthOf(free)];
line('by maximum information alone, for the same error', unbound.toFixed(1));
line('by maximum information and content balance alone', balanced.toFixed(1));
line(
	'ours, against the shorter of the two',
	`${(100 * (mean(lengths) / Math.min(unbound, balanced) - 1)).toFixed(1)}% longer`
);
const asked = honest.flatMap(({ sitting }) => {
	const perSkill = new Map<string, number>();
	for (const { skillCode } of sitting.asked) perSkill.set(skillCode, (perSkill.get(skillCode) ?? 0) + 1);
	return [...perSkill.values()];
});
line('of the skills asked, asked twice', share(mean(asked.map((count) => Number(count > 1)))));

console.log();
const byFamily = exposures(honest, ({ familyId }) => familyId);
line('kinds of questions: seen by at most', `${share(byFamily[0])} of the students`);
line('kinds of questions: used at all', `${byFamily.length} of ${pool.length}`);
for (const grade of GRADES) {
	const own = exposures(
		honest.filter((one) => one.grade === grade),
		({ familyId }) => familyId
	);
	line(`  within grade ${grade}`, share(own[0]));
}
const words = new Map<string, number>();
honest.forEach(({ sitting }, n) =>
	sitting.asked.forEach(({ familyId }, position) => {
		const { stem, key } = itemFrom(familyId, 50 * n + position);
		const text = `${familyId} ${stem} ${key}`;
		words.set(text, (words.get(text) ?? 0) + 1);
	})
);
line(
	'the same question word for word: seen by at most',
	`${share(Math.max(...words.values()) / STUDENTS)} of the students`
);

console.log();
const before = sitAll(2, ADAPTIVE_RULES, STUDENTS);
const random = seededRandom(3);
const again = before.map(({ truth, grade, sitting }) => {
	const later = simulateSitting(truth, { grade, term: 2 }, pool, ADAPTIVE_RULES, random);
	return {
		found: flagsOf({ truth, grade, sitting: later }, sitting.profile),
		earlier: sitting.profile.overall,
		later: later.profile.overall
	};
});
const rate = (flag: TrustFlag) => share(mean(again.map(({ found }) => Number(found.includes(flag)))));
line('honest sittings flagged', share(mean(again.map(({ found }) => Number(found.length > 0)))));
line('  misfit, drop (with no growth since the last sitting)', `${rate('misfit')}, ${rate('drop')}`);
const changes = again.map(({ earlier, later }) =>
	reliableChange(
		{ score: earlier.theta, standardError: earlier.standardError },
		{ score: later.theta, standardError: later.standardError }
	)
);
line('  called a reliable change', share(mean(changes.map(({ reliable }) => Number(reliable)))));
const starts: [string, (n: number) => number][] = [
	['from the first question', () => 0],
	['from a third of the way', () => 10],
	['from half the way', () => 15],
	['from any question up to the 20th', (n) => n % 20]
];
for (const [when, from] of starts) {
	const rushers = sitAll(4, ADAPTIVE_RULES, STUDENTS, from);
	line(`rushers found, rushing ${when}`, share(mean(rushers.map((one) => Number(flagsOf(one).includes('rapid'))))));
}
