import {
	calibrationSteps,
	driftOf,
	expectedTheta,
	DIFFICULTY_A_DIGIT,
	type CalibrationProblem,
	type CalibrationState,
	type Drift,
	type GradeTerm,
	type ItemParameters
} from '../measurement';
import type { SchoolDate } from '../calendar';

/** A first try in a diagnostic, as far as its family's parameters follow from it. */
interface BankAnswer {
	familyId: string;
	/** See `extraDigits` of core/items. */
	extraDigits: number;
	correct: boolean;
	milliseconds: number;
}

/** One student's sitting that counts. */
export interface BankSitting {
	/** Of the student in the window. */
	level: GradeTerm;
	windowId: number;
	/** The window's first day: the newest window is the one that opened last. */
	opensOn: SchoolDate;
	answers: BankAnswer[];
}

/** What speaks against a family of questions. */
export type FamilyFlag = 'tells little' | 'does not fit' | 'has drifted';

/** What was found of a family of questions. */
export interface FamilyFit {
	familyId: string;
	answers: number;
	/** Share of right answers. */
	right: number;
	/** Middle time of the answers, ms. */
	medianMs: number;
	/** Of a question with its family's usual number of digits. */
	discrimination: number;
	difficulty: number;
	standardErrors: { discrimination: number; difficulty: number };
	/** As they were before any answer, or in the version used until now. */
	before: { discrimination: number; difficulty: number };
	/** See `CalibratedItem`. */
	misfit: number;
	/** In the newest window against those before; null without answers on either side. */
	drift: Drift | null;
	/** Whether there are answers enough to use the parameters and to judge the family. */
	isEnough: boolean;
	flags: FamilyFlag[];
}

export interface BankCalibration {
	families: FamilyFit[];
	/** Ability found in each group: logits. */
	groups: { grade: number; windowId: number; mean: number; sd: number; students: number }[];
	logLikelihood: number;
	iterations: number;
	converged: boolean;
}

/** Answers from which a family's own parameters are used, and it is judged. */
export const ENOUGH_ANSWERS = 50;
/** What is believed of a family before any answer: spreads of discrimination and difficulty (logits). */
const PRIOR = { discrimination: 0.35, difficulty: 0.7 };
/** Spread of ability in a grade where estimation starts. */
const SPREAD = 1.1;
const CONVERGED = 1e-3;
const MOST_ITERATIONS = 500;

/** Discrimination under which a family tells little, where 1.2 is usual. */
const LEAST_DISCRIMINATION = 0.6;
/**
 * Misfit (RMSD) beyond which a family does not fit: by chance alone it is larger with fewer answers. Found by simulation
 * so that about 1 of 100 families that fit is beyond it, from 50 answers to 900.
 */
const misfitLine = (answers: number) => 0.06 + 0.75 / Math.sqrt(answers);
/** Drift named from here: both beyond chance and large enough to matter. */
const DRIFT = { z: 3, shift: 0.3 };

/**
 * Parameters of families of questions from the answers of diagnostics: marginal mode with priors around what was believed
 * before, ability estimated by grade and window. One iteration at a time, as `calibrationSteps`.
 *
 * @param bank by family the parameters that questions start with, which priors lie around, and those used until now
 */
export function* calibrateBank(
	sittings: BankSitting[],
	{ starting, used }: { starting: ReadonlyMap<string, ItemParameters>; used: ReadonlyMap<string, ItemParameters> },
	from?: CalibrationState
): Generator<CalibrationState, BankCalibration> {
	const asked = sittings.map(({ answers }) => answers.filter(({ familyId }) => starting.has(familyId)));
	const familyIds = [...new Set(asked.flatMap((answers) => answers.map(({ familyId }) => familyId)))].sort();
	const placeOf = new Map(familyIds.map((id, i) => [id, i]));
	const groupKeys = [...new Set(sittings.map(groupKey))].sort();
	const groupPlace = new Map(groupKeys.map((key, i) => [key, i]));
	const levels = groupKeys.map((key) => sittings.find((sitting) => groupKey(sitting) === key)!);
	const problem: CalibrationProblem = {
		items: familyIds.map((id) => {
			const { discrimination, difficulty, guessing = 0 } = starting.get(id)!;
			return { guessing, discrimination, around: difficulty, prior: PRIOR };
		}),
		persons: sittings.map((sitting, n) => ({
			group: groupPlace.get(groupKey(sitting))!,
			items: asked[n].map(({ familyId }) => placeOf.get(familyId)!),
			correct: asked[n].map(({ correct }) => correct)
		})),
		groups: levels.map(({ level }) => ({ mean: expectedTheta(level), sd: SPREAD })),
		estimateGroups: true
	};
	const options = { tolerance: CONVERGED, maximumIterations: MOST_ITERATIONS, from };
	const fit = yield* calibrationSteps(problem, options);
	const lines = fit.items.map(({ discrimination, difficulty }, i) => ({
		slope: discrimination,
		intercept: -discrimination * (difficulty - problem.items[i].around)
	}));
	const newest = sittings.reduce((a, b) => (a.opensOn >= b.opensOn ? a : b)).windowId;
	const fitted = { ...problem, groups: fit.groups };
	const drifts = driftOf(fitted, lines, (n) => sittings[n].windowId === newest);
	const tallies = tally(asked.flat());
	return {
		families: familyIds.map((familyId, i) => {
			const { discrimination, difficulty, standardErrors, misfit, answers, right } = fit.items[i];
			const { digits, times } = tallies.get(familyId)!;
			const isEnough = answers >= ENOUGH_ANSWERS;
			const drift = drifts[i];
			const usual = used.get(familyId)!;
			return {
				familyId,
				answers,
				right: right / answers,
				medianMs: middle(times),
				discrimination,
				difficulty: difficulty - (DIFFICULTY_A_DIGIT * digits) / answers,
				standardErrors,
				before: { discrimination: usual.discrimination, difficulty: usual.difficulty },
				misfit,
				drift,
				isEnough,
				flags: isEnough ? flagsOf(discrimination, misfit > misfitLine(answers), drift) : []
			};
		}),
		groups: levels.map(({ level, windowId }, g) => ({
			grade: level.grade,
			windowId,
			...fit.groups[g],
			students: problem.persons.filter(({ group }) => group === g).length
		})),
		logLikelihood: fit.logLikelihood,
		iterations: fit.iterations,
		converged: fit.converged
	};
}

const groupKey = ({ level, windowId }: BankSitting) => `${String(windowId).padStart(10, '0')} ${level.grade}`;

function flagsOf(discrimination: number, isMisfit: boolean, drift: Drift | null): FamilyFlag[] {
	const flags: FamilyFlag[] = [];
	if (discrimination < LEAST_DISCRIMINATION) flags.push('tells little');
	if (isMisfit) flags.push('does not fit');
	if (drift && Math.abs(drift.z) > DRIFT.z && Math.abs(drift.shift) > DRIFT.shift) flags.push('has drifted');
	return flags;
}

/** By family: the sum of extra digits, and all times. */
function tally(answers: BankAnswer[]): Map<string, { digits: number; times: number[] }> {
	const tallies = new Map<string, { digits: number; times: number[] }>();
	for (const { familyId, extraDigits, milliseconds } of answers) {
		const own = tallies.get(familyId) ?? { digits: 0, times: [] };
		own.digits += extraDigits;
		own.times.push(milliseconds);
		tallies.set(familyId, own);
	}
	return tallies;
}

/** The median of at least one value. */
function middle(values: number[]): number {
	const ascending = [...values].sort((a, b) => a - b);
	const half = ascending.length / 2;
	return Number.isInteger(half) ? (ascending[half - 1] + ascending[half]) / 2 : ascending[Math.floor(half)];
}
