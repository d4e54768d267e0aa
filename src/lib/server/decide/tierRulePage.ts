import { schoolDayFrom } from '../../core/calendar';
import { partedBy } from '../../core/collect';
import {
	mayBeBelow,
	type ScoreAtCut,
	type Tier,
	tierByRule,
	type TierLook,
	type TierReason,
	type TierRule,
	USUAL_TIER_RULE
} from '../../core/growth';
import { NEEDLE_FILTERS, packedTest } from '../../core/mastery';
import { POINTS_PER_LOGIT, toPoints } from '../../core/measurement';
import type { Database } from '../database';
import { skillList } from '../library';
import type { RosterStudent } from '../people';
import { numberIn } from '../request';
import type { School } from '../school';
import { cutScores, newestOverall } from '../screen';
import type { Scope } from '../shell';
import { readCells } from '../standing';
import { tierRule, tierWords, type TierWord } from './store/tierRules';

/** A student whom the rule means for a higher tier than theirs, or of whom nothing can be said. */
export interface RuledStudent {
	student: RosterStudent;
	look: TierLook;
	tier: Tier | null;
	reasons: TierReason[];
	/** What adults said that holds today. */
	words: TierWord[];
}

/** All students of a scope with what the rule looks at. */
async function looksOf(database: Database, school: School, scope: Scope) {
	const [students, scores, words, skills] = await Promise.all([
		scope.students(),
		newestOverall(database, scope.roster),
		tierWords(database, scope.roster),
		skillList(database, school.id)
	]);
	const terms = [...new Set([...scores.values()].map(({ term }) => term))];
	const cuts = new Map(
		await Promise.all(
			terms.map(async (term) => [term, await cutScores(database, school.id, { measure: null, term })] as const)
		)
	);
	const atCut = ({ id, grade }: RosterStudent): ScoreAtCut | null => {
		const score = scores.get(id);
		const cut = score && cuts.get(score.term)![grade];
		if (!score || cut === undefined) return null;
		return { points: toPoints(score.theta), error: POINTS_PER_LOGIT * score.standardError, cut };
	};
	const looked = students.map((student) => ({ student, score: atCut(student) }));
	// Gaps matter only where the score leaves it open.
	const open = looked.filter(({ score }) => mayBeBelow(score)).map(({ student }) => student.id);
	const cells = await readCells(database, school.id, open);
	const isGap = packedTest(NEEDLE_FILTERS.gaps);
	const taught = skills.flatMap(({ id, grade }) => {
		const place = cells.placeOf.get(id);
		return place === undefined ? [] : { place, grade };
	});
	const gapsOf = ({ id, grade }: RosterStudent) => {
		const own = cells.packed(id);
		return taught.filter((skill) => skill.grade <= grade && isGap(own, skill.place)).length;
	};
	const isOpen = new Set<number>(open);
	const wordsOf = partedBy(words, ({ studentId }) => studentId as number);
	return looked.map(({ student, score }) => {
		const said = wordsOf(student.id);
		const needs = said.find(({ says }) => says === 'needs more');
		return {
			student,
			words: said,
			look: {
				score,
				gaps: isOpen.has(student.id) ? gapsOf(student) : 0,
				word: needs ? { by: needs.by, reason: needs.reason } : null
			}
		};
	});
}

/** Everybody in a scope by the rule: the tier that it means, and why. */
export async function ruledStudents(
	database: Database,
	school: School,
	scope: Scope,
	rule: TierRule
): Promise<RuledStudent[]> {
	return (await looksOf(database, school, scope)).map((one) => ({ ...one, ...tierByRule(one.look, rule) }));
}

/** The rule that an address tries, where it is another than the one that holds. */
function triedIn(url: URL, now: TierRule): TierRule | null {
	if (!url.searchParams.has('farBelow')) return null;
	const within = (name: string, least: number, most: number) => Math.min(most, Math.max(least, numberIn(url, name)));
	const gaps = numberIn(url, 'gaps');
	const rule: TierRule = {
		farBelow: within('farBelow', 1, 200),
		sure: within('sure', 50, 95) / 100,
		gaps: gaps > 0 ? Math.min(50, gaps) : null,
		word: url.searchParams.get('word') === 'yes',
		leastWeeks: within('leastWeeks', 1, 20),
		mostWeeks: Math.max(within('leastWeeks', 1, 20), within('mostWeeks', 1, 30))
	};
	return JSON.stringify(rule) === JSON.stringify(now) ? null : rule;
}

/** Students who are meant for a higher tier, shown at once. */
const AT_ONCE = 40;

const isHigher = ({ tier, student }: RuledStudent) => tier !== null && tier > student.tier;
const isStaying = ({ words }: RuledStudent) => words.some(({ says }) => says === 'stays');

/** The school's rule of who enters a tier, whom it means now, and whom another rule would. */
export async function tierRulePage(database: Database, school: School, scope: Scope, url: URL) {
	const { rule, isOwn } = await tierRule(database, school.id);
	const tried = triedIn(url, rule);
	const looks = await looksOf(database, school, scope);
	const by = (one: TierRule) => looks.map((look) => ({ ...look, ...tierByRule(look.look, one) }));
	const now = by(rule);
	const proposed = now.filter((one) => isHigher(one) && !isStaying(one));
	const part = { from: numberIn(url, 'proposed'), most: AT_ONCE, total: proposed.length };
	const named = ({ student, tier, reasons, words, look }: RuledStudent) => ({
		id: student.id as number,
		givenName: student.givenName,
		familyName: student.familyName,
		className: student.className,
		tierNow: student.tier,
		tier,
		reasons,
		points: look.score && Math.round(look.score.points),
		words: words.map(({ id, says, reason, by: who, untilOn }) => ({ id, says, reason, by: who, untilOn }))
	});
	return {
		rule,
		isOwn,
		usual: USUAL_TIER_RULE,
		on: schoolDayFrom(school.today, school.calendar),
		/** Whom the rule means for a higher tier, and of whom nobody says that they stay. */
		part,
		proposed: proposed.slice(part.from, part.from + part.most).map(named),
		stay: now.filter((one) => isHigher(one) && isStaying(one)).map(named),
		without: now.filter(({ tier }) => tier === null).length,
		agree: now.filter((one) => one.tier !== null && !isHigher(one)).length,
		tried: tried && {
			rule: tried,
			/** Whose tier by the rule would be another. */
			changes: by(tried).flatMap((one, i) =>
				one.tier === now[i].tier ? [] : [{ ...named(one), tierBefore: now[i].tier }]
			)
		}
	};
}
