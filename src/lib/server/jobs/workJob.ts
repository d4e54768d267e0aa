import type { RootDatabase } from '../database';
import { clearSignIns } from '../auth';
import { claimJob, endJob, renewClaim, type ClaimedJob } from './store/jobs';
import { sendMails } from '../mail';
import { refreshAllNotices, sendDigests } from '../notices';
import { closeSets, makeFollowOns } from '../practice';
import { calibrateSchool } from '../screen';
import { syncRosters } from '../setup';
import { regrade } from '../sitting';
import { findConstants, keepEarlierCells } from '../standing';
import { poolGrowth } from '../track';

/** How often a job says how far it is. */
const TELL_MS = 500;

/** What there is to do, step by step; a step says how far it is, and from where to go on. */
function stepsOf(
	database: RootDatabase,
	job: ClaimedJob,
	now: () => Date
): AsyncGenerator<{ progress: unknown; checkpoint: unknown }, unknown> {
	switch (job.kind) {
		case 'calibration':
			return calibrateSchool(database, job.schoolId!, job.checkpoint as Parameters<typeof calibrateSchool>[2]);
		case 'field constants':
			return findConstants(database, job.schoolId!);
		case 'clear sign-ins':
			return atOnce(async () => ({ cleared: await clearSignIns(database, now()) }));
		case 'keep earlier cells':
			return keepEarlierCells(database, now());
		case 'sync rosters':
			return syncRosters(database, now());
		case 'send mail':
			return sendMails(database, now);
		case 'close sets':
			return atOnce(async () => ({ closed: await closeSets(database, now()) }));
		case 'follow on':
			return atOnce(async () => ({ followed: await makeFollowOns(database, now()) }));
		case 'regrade':
			return regrade(database, now());
		case 'pool growth':
			return poolGrowth(database, now());
		case 'send digests':
			return sendDigests(database, now());
		case 'find notices':
			return refreshAllNotices(database, now());
	}
}

// eslint-disable-next-line require-yield
async function* atOnce<Result>(work: () => Promise<Result>): AsyncGenerator<never, Result> {
	return work();
}

/**
 * Works on one job until it is done, was canceled, or is told to stop; what was reached is kept, so that any process can
 * go on from there.
 *
 * @param isStopping asked between steps
 * @returns whether there was a job
 */
export async function workJob(
	database: RootDatabase,
	now: () => Date,
	isStopping: () => boolean = () => false
): Promise<boolean> {
	const job = await claimJob(database, now());
	if (!job) return false;
	try {
		const steps = stepsOf(database, job, now);
		let told = 0;
		for (;;) {
			const step = await steps.next();
			if (step.done) {
				await endJob(database, job, { state: 'done', result: step.value }, now());
				return true;
			}
			const isDue = now().getTime() - told >= TELL_MS;
			if (isDue || isStopping()) {
				if (!(await renewClaim(database, job, step.value.progress, step.value.checkpoint, now()))) return true;
				told = now().getTime();
			}
			if (isStopping()) return true;
		}
	} catch (error) {
		await endJob(database, job, { state: 'failed', result: { problem: 'Something went wrong on our side.' } }, now());
		throw error;
	}
}
