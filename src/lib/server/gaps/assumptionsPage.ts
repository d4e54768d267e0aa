import { constantQuantities, FIELD_CONSTANTS, isBetter, LEARNED_CONSTANTS } from '../../core/mastery';
import type { Database } from '../database';
import { newestJob } from '../jobs';
import { fieldVersionInUse, schoolField, type ConstantsSearchProgress, type ConstantsSearchResult } from '../standing';

/** What a school's standings suppose before any answer, in use and as the newest search has found it. */
export async function assumptionsPage(database: Database, schoolId: number) {
	const [{ field }, version, job] = await Promise.all([
		schoolField(database, schoolId),
		fieldVersionInUse(database, schoolId),
		newestConstantsSearch(database, schoolId)
	]);
	const result = job?.result ?? null;
	const report = result && 'found' in result ? result : null;
	const shipped = constantQuantities(field.skills, FIELD_CONSTANTS);
	const inUse = constantQuantities(field.skills, field.constants);
	const found =
		report &&
		constantQuantities(field.skills, { ...field.constants, ...report.found.constants }, report.found.standardErrors);
	return {
		version: version && { id: version.id, number: version.number, jobId: version.jobId, appliedBy: version.appliedBy },
		job: job && { id: job.id, state: job.state, progress: job.progress, askedBy: job.askedBy },
		problem: result && 'problem' in result ? result.problem : null,
		rows: LEARNED_CONSTANTS.map((name) => ({
			name,
			shipped: shipped[name].value,
			inUse: inUse[name].value,
			found: found?.[name] ?? null
		})),
		report: report && {
			students: report.students,
			answers: report.answers,
			converged: report.found.converged,
			heldOut: report.heldOut,
			isBetter: isBetter(report.heldOut),
			standings: report.standings
		}
	};
}

export const newestConstantsSearch = (database: Database, schoolId: number) =>
	newestJob<ConstantsSearchProgress, ConstantsSearchResult>(database, schoolId, 'field constants');
