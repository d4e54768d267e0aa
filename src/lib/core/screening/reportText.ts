import { fullName } from '../words';
import { NOT_YET } from '../items';
import { reliableChange, type GradeTerm } from '../measurement';
import { benchmarkBand } from './bands';
import { sayBand, sayChange, sayWorkingLevel, sayPercentile, type Audience } from './reportWords';

interface Points {
	points: number;
	error: number;
}

/** What a report is made of: a student's scores in points and standings by domain. */
export interface ReportFacts {
	givenName: string;
	familyName: string;
	className: string;
	grade: number;
	status: string;
	/** Line of the grade, in points. */
	cut: number | null;
	/** By domain id; 0 is overall. */
	scores: Record<number, Points | null>;
	before: Record<number, Points | null>;
	/** Among the grade at this school where it has scores enough, else among the norms that ship with the program. */
	percentile: { of: 'school' | 'shipped norms'; value: number } | null;
	/** How many of the diagnostic's questions were answered by “I don’t know yet”; null where none was sat. */
	notYet: { said: number; of: number } | null;
	domains: {
		id: number;
		name: string;
		score: Points | null;
		level: GradeTerm | null;
		secure: string[];
		ready: string[];
		gaps: string[];
	}[];
}

export interface ReportOptions {
	window: { name: string; subject: string };
	/** The window before, when there is one. */
	earlier: { name: string } | null;
	audience: Audience;
	/** Names every skill, not the first few. */
	longer: boolean;
}

/** A report in words, whatever it is shown on. */
export interface ReportText {
	name: string;
	place: string;
	window: string;
	/** Said instead of all else where there is no score. */
	none: string | null;
	overall: { heading: string; score: string; error: string; sentences: string[] };
	headings: { domain: string; axis: string; level: string; secure: string; ready: string; gaps: string };
	domains: {
		id: number;
		name: string;
		score: Points | null;
		says: string;
		level: string;
		secure: string;
		ready: string;
		gaps: string;
	}[];
	/** Where the axis of scores begins and ends, in tens of points. */
	axis: { from: number; to: number };
	cut: number | null;
	foot: string;
}

/** Skills named in a short report. */
const SHORT = 3;
const NOTHING = '–';

/** What a report on a student's screening says. */
export function reportText(facts: ReportFacts, { window, earlier, audience, longer }: ReportOptions): ReportText {
	const isStaff = audience === 'staff';
	const overall = facts.scores[0];
	const listed = (names: string[]) =>
		(longer || names.length <= SHORT
			? names.join(', ')
			: `${names.slice(0, SHORT).join(', ')} and ${names.length - SHORT} more`) || NOTHING;
	return {
		name: fullName(facts),
		place: `${facts.className}, grade ${facts.grade}`,
		window: window.name,
		none: overall
			? null
			: isStaff
				? `There is no score in ${window.name} yet: ${facts.status}. Nothing is said of the student from it.`
				: `There is no score in ${window.name} yet. We will tell you when there is.`,
		overall: {
			heading: `${window.subject} overall`,
			score: overall ? `${round(overall.points)} points` : '',
			error: !overall
				? ''
				: isStaff
					? `± ${round(overall.error)} (one standard error); cut score ${facts.cut}`
					: `give or take ${round(overall.error)}`,
			sentences: overallSentences(facts, { earlier, audience })
		},
		headings: {
			domain: 'Domain',
			axis: isStaff ? 'points, ± 1 error' : 'points',
			level: 'Level',
			secure: isStaff ? 'Secure' : 'Knows well',
			ready: isStaff ? 'Ready next' : 'Learns next',
			gaps: isStaff ? 'Gap' : 'Still hard'
		},
		domains: facts.domains.map(({ id, name, score, level, secure, ready, gaps: all }) => {
			// What is learned next is still hard, of course; a family reads each skill once.
			const gaps = isStaff ? all : all.filter((skill) => !ready.includes(skill));
			return {
				id,
				name,
				score,
				says: score ? `${round(score.points)}${isStaff ? ` ± ${round(score.error)}` : ''}` : 'not asked',
				level: level ? sayWorkingLevel(level, audience) : '',
				secure: listed(secure),
				ready: listed(ready),
				gaps: listed(gaps)
			};
		}),
		axis: axisOf(facts),
		cut: facts.cut,
		foot: isStaff
			? 'The dashed line is the cut score of the grade. Secure and gap rest on at least two answers on a skill; ready next follows from them and, where there are none, from the answers on the skills around it.'
			: 'The dashed line is what we look for at this time of the year. A score from one day is never exact: the bar shows how far it can be off. Please ask us about anything on this page.'
	};
}

const round = (points: number) => Math.round(points);

/** What is said of the score overall: its band, its change, its place among others, and what was not tried. */
function overallSentences(facts: ReportFacts, { earlier, audience }: Pick<ReportOptions, 'earlier' | 'audience'>) {
	const { cut, grade, percentile, notYet } = facts;
	const [overall, before] = [facts.scores[0], facts.before[0]];
	const sentences: string[] = [];
	if (overall && cut !== null) sentences.push(sayBand(benchmarkBand(overall.points, overall.error, cut), audience));
	if (overall && before && earlier) {
		const { reliable } = reliableChange(
			{ score: before.points, standardError: before.error },
			{ score: overall.points, standardError: overall.error }
		);
		sentences.push(sayChange({ points: overall.points - before.points, reliable }, earlier.name, audience));
	}
	if (percentile?.of === 'school') sentences.push(sayPercentile(percentile.value, 'of the grade at this school'));
	if (audience === 'family') return sentences;
	if (percentile?.of === 'shipped norms') {
		const among = `students of grade ${grade} in that week of the year`;
		sentences.push(`${sayPercentile(percentile.value, among)} The norms are made up.`);
	}
	if (notYet?.said) sentences.push(`Said “${NOT_YET}” to ${notYet.said} of ${notYet.of} questions.`);
	return sentences;
}

/** An axis in tens of points that holds every score with its error, and the line. */
function axisOf({ domains, scores, cut }: ReportFacts): { from: number; to: number } {
	const held = [scores[0], ...domains.map(({ score }) => score)].flatMap((score) =>
		score ? [score.points - score.error, score.points + score.error] : []
	);
	if (cut !== null) held.push(cut);
	if (held.length === 0) return { from: 480, to: 520 };
	return { from: Math.floor(Math.min(...held) / 10) * 10, to: Math.ceil(Math.max(...held) / 10) * 10 };
}
