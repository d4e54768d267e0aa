import Type from 'typebox';
import { screenContext } from '$lib/server/screen/screenPage';
import { itemFrom } from '$lib/core/items/bank';
import { POINTS_PER_LOGIT, toPoints } from '$lib/core/measurement';
import type { FamilyFit } from '$lib/core/screening';
import { refuse, staffAction, staffWho } from '$lib/server/shell/staffPage';
import {
	applyParameters,
	type CalibrationProgress,
	type CalibrationResult,
	countedAnswers,
	parameterVersions,
	withdrawParameters
} from '$lib/server/screen';
import { askForJob, cancelJob, newestJob } from '$lib/server/jobs';
import { type Skill, skillList } from '$lib/server/library';
import { formCheck, id } from '$lib/server/request';

export async function load({ locals, url, depends }) {
	depends('job:calibration');
	await staffWho(locals, 'run screening');
	const { school, windows, window } = await screenContext(locals, url);
	const { database } = locals;
	const [counted, job, versions, skills] = await Promise.all([
		countedAnswers(database, school.id),
		newestJob<CalibrationProgress, CalibrationResult>(database, school.id, 'calibration'),
		parameterVersions(database, school.id),
		skillList(database, school.id)
	]);
	const result = job?.result ?? null;
	const found = result && 'families' in result ? result : null;
	const nameOf = new Map(windows.map((one) => [one.id, one.name]));
	return {
		window,
		windows,
		today: school.today,
		counted,
		versions,
		job: job && { id: job.id, state: job.state, progress: job.progress, askedBy: job.askedBy, endedAt: job.endedAt },
		problem: result && 'problem' in result ? result.problem : null,
		found: found && {
			logLikelihood: found.logLikelihood,
			iterations: found.iterations,
			converged: found.converged,
			groups: found.groups.map((group) => ({ ...group, window: nameOf.get(group.windowId) ?? 'a window taken away' })),
			families: found.families.map((fit) => familyRow(fit, skills))
		}
	};
}

/** A family as the page shows it: difficulties in points, and what its questions are like. */
function familyRow(fit: FamilyFit, skills: Skill[]) {
	const item = itemFrom(fit.familyId, 1);
	const skill = skills.find(({ code }) => code === item.skillCode)!;
	return {
		...fit,
		skill: { code: skill.code, name: skill.shortName },
		sample: item.stem,
		points: {
			before: toPoints(fit.before.difficulty),
			found: toPoints(fit.difficulty),
			error: POINTS_PER_LOGIT * fit.standardErrors.difficulty,
			drift: fit.drift && POINTS_PER_LOGIT * fit.drift.shift
		},
		/** What is proposed: to use it, where there are answers enough and the model speaks for it. */
		isProposed: fit.isEnough && !fit.flags.includes('does not fit') && fit.discrimination > LEAST_USED
	};
}

/** Parameters of a family that tells less than this are no use for choosing or scoring. */
const LEAST_USED = 0.2;

const nothing = formCheck(Type.Object({}));
const jobForm = formCheck(Type.Object({ job: id }));
const applyForm = formCheck(
	Type.Object({
		job: id,
		families: Type.Array(Type.String({ minLength: 1, maxLength: 60 }), {
			minItems: 1,
			maxItems: 550,
			uniqueItems: true
		})
	})
);
const versionForm = formCheck(Type.Object({ version: id }));

export const actions = {
	start: staffAction('calibrate', nothing, async ({ staff, database, at }) => {
		const job = await askForJob(database, staff, 'calibration', at);
		if (job === null) return refuse('A calibration is under way already');
		return { done: 'The calibration has begun. You can leave this page; it goes on.' };
	}),
	cancel: staffAction('calibrate', jobForm, async ({ staff, database, at, form }) => {
		if (!(await cancelJob(database, staff, form.job, at))) return refuse('This calibration is not under way any more');
		return { done: 'The calibration is canceled. Nothing was changed.' };
	}),
	apply: staffAction(
		'calibrate',
		applyForm,
		async ({ staff, school, database, at, form }) => {
			const job = await newestJob<CalibrationProgress, CalibrationResult>(database, school.id, 'calibration');
			if (job?.id !== form.job || !job.result || !('families' in job.result))
				return refuse('There is a newer calibration; look at that one');
			const wanted = new Set(form.families);
			const families = job.result.families.filter((fit) => wanted.has(fit.familyId));
			const useless = families.find(({ isEnough, discrimination }) => !isEnough || discrimination <= LEAST_USED);
			if (families.length < wanted.size || useless)
				return refuse('One of the families has too few answers, or tells too little, to be used');
			const version = await applyParameters(database, staff, job.id, families, at);
			if (!version) return refuse('This calibration is in use already');
			return {
				done: `Version ${version.number} is in use, for ${families.length} families: every diagnostic begun from now on is chosen and scored by it. Scores there are keep theirs.`,
				undo: { action: '?/withdraw', fields: { version: String(version.id) } }
			};
		},
		'Choose at least one family of questions'
	),
	withdraw: staffAction('calibrate', versionForm, async ({ staff, database, at, form }) => {
		if (!(await withdrawParameters(database, staff, form.version, true, at)))
			return refuse('This version is not in use any more');
		return {
			done: 'Taken back: diagnostics begun from now on use what was used before.',
			undo: { action: '?/restore', fields: { version: String(form.version) } }
		};
	}),
	restore: staffAction('calibrate', versionForm, async ({ staff, database, at, form }) => {
		if (!(await withdrawParameters(database, staff, form.version, false, at)))
			return refuse('This version is in use already');
		return { done: 'It is in use again.' };
	})
};
