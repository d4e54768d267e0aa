import { extraDigits, familiesFor } from '../../core/items/bank';
import type { CalibrationState, ItemParameters } from '../../core/measurement';
import { calibrateBank, familyParameters, type BankCalibration, type BankSitting } from '../../core/screening';
import type { Database } from '../database';
import { answersAfter, parameterSet, parameterVersions } from './store/parameters';
import { itemsAsked, type Skill, skillList } from '../library';

/** What is said of a calibration while it runs. */
export type CalibrationProgress =
	{ step: 'reading'; sittings: number } | { step: 'fitting'; iteration: number; logLikelihood: number };

/** One step of a calibration: what to say, and from where to go on should the process end. */
interface CalibrationStep {
	progress: CalibrationProgress;
	checkpoint: CalibrationState | null;
}

/** What a calibration has come to; `problem` where there was nothing to calibrate from. */
export type CalibrationResult = BankCalibration | { problem: string };

const SITTINGS_AT_ONCE = 500;

/** Calibrates a school's questions from its diagnostics, in small steps so that whoever runs it can look up between. */
export async function* calibrateSchool(
	database: Database,
	schoolId: number,
	from: CalibrationState | null
): AsyncGenerator<CalibrationStep, CalibrationResult> {
	const skills = await skillList(database, schoolId);
	const inUse = (await parameterVersions(database, schoolId)).find(({ withdrawn }) => !withdrawn);
	const calibrated = await parameterSet(database, inUse?.id ?? null);
	const starting = parametersByFamily(skills);
	const sittings: BankSitting[] = [];
	for (let last = 0; ;) {
		const answers = await itemsAsked(database, await answersAfter(database, schoolId, last, SITTINGS_AT_ONCE));
		if (answers.length === 0) break;
		let open: BankSitting | null = null;
		for (const { sittingId, windowId, opensOn, grade, term, item, correct, milliseconds } of answers) {
			if (sittingId !== last || !open) {
				open = { level: { grade, term }, windowId, opensOn, answers: [] };
				sittings.push(open);
				last = sittingId;
			}
			// A family that has left the bank has nothing to calibrate.
			if (!starting.has(item.familyId)) continue;
			open.answers.push({ familyId: item.familyId, extraDigits: extraDigits(item), correct, milliseconds });
		}
		yield { progress: { step: 'reading', sittings: sittings.length }, checkpoint: from };
	}
	if (sittings.length === 0) return { problem: 'No sitting counts yet.' };
	const steps = calibrateBank(sittings, { starting, used: parametersByFamily(skills, calibrated) }, from ?? undefined);
	for (;;) {
		const step = steps.next();
		if (step.done) return step.value;
		const { iteration, logLikelihood } = step.value;
		yield { progress: { step: 'fitting', iteration, logLikelihood }, checkpoint: step.value };
	}
}

function parametersByFamily(
	skills: Skill[],
	calibrated?: Parameters<typeof familyParameters>[2]
): Map<string, ItemParameters> {
	return new Map(
		skills.flatMap((skill) =>
			familiesFor(skill.code).map(({ id }) => [id, familyParameters(id, skill, calibrated)] as const)
		)
	);
}
