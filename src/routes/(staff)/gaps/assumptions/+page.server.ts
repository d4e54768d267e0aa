import Type from 'typebox';
import { assumptionsPage, newestConstantsSearch } from '$lib/server/gaps/assumptionsPage';
import { askForJob, cancelJob } from '$lib/server/jobs';
import { formCheck, id } from '$lib/server/request';
import { refuse, staffAction, staffContext, staffWho } from '$lib/server/shell/staffPage';
import { applyConstants, withdrawConstants } from '$lib/server/standing';

export async function load({ locals, depends }) {
	depends('job:constants');
	await staffWho(locals, 'run screening');
	const { school } = await staffContext(locals);
	return assumptionsPage(locals.database, school.id);
}

const nothing = formCheck(Type.Object({}));
const jobForm = formCheck(Type.Object({ job: id }));
const versionForm = formCheck(Type.Object({ version: id }));

export const actions = {
	start: staffAction('calibrate', nothing, async ({ staff, database, at }) => {
		const job = await askForJob(database, staff, 'field constants', at);
		if (job === null) return refuse('They are being worked out already');
		return { done: 'It has begun. You can leave this page; it goes on.' };
	}),
	cancel: staffAction('calibrate', jobForm, async ({ staff, database, at, form }) => {
		if (!(await cancelJob(database, staff, form.job, at))) return refuse('This is not under way any more');
		return { done: 'Canceled. Nothing was changed.' };
	}),
	apply: staffAction('calibrate', jobForm, async ({ staff, school, database, at, form }) => {
		const job = await newestConstantsSearch(database, school.id);
		if (job?.id !== form.job || !job.result || !('found' in job.result))
			return refuse('There are newer ones; look at those');
		const version = await applyConstants(database, staff, job.id, job.result.found.constants, at);
		if (!version) return refuse('These are in use already');
		return {
			done: `Version ${version.number} is in use: all standings of the school are worked out anew by it.`,
			undo: { action: '?/withdraw', fields: { version: String(version.id) } }
		};
	}),
	withdraw: staffAction('calibrate', versionForm, async ({ staff, database, at, form }) => {
		if (!(await withdrawConstants(database, staff, form.version, true, at)))
			return refuse('This version is not in use any more');
		return {
			done: 'Taken back: standings follow from what was in use before.',
			undo: { action: '?/restore', fields: { version: String(form.version) } }
		};
	}),
	restore: staffAction('calibrate', versionForm, async ({ staff, database, at, form }) => {
		if (!(await withdrawConstants(database, staff, form.version, false, at)))
			return refuse('This version is in use already');
		return { done: 'It is in use again.' };
	})
};
