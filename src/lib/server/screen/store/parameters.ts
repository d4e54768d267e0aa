import type { SchoolDate } from '../../../core/calendar';
import type { ItemKey } from '../../../core/items';
import type { FamilyParameters } from '../../../core/screening';
import { audit, type Database, newVersion, type RootDatabase, withdrawVersion } from '../../database';
import { gradeOnSql } from '../../people';
import type { Staff } from '../../request';

const OF_JOB = { kind: 'calibration', versions: 'parameter_version', withdraws: 'withdraw parameters' } as const;

/** Parameters by family; families without any start as `startingParameters` says. */
export type ParameterSet = ReadonlyMap<string, FamilyParameters>;
const STARTING: ParameterSet = new Map();

/** An approved version never changes, so that what was read once holds. */
const read = new Map<number, ParameterSet>();

/** The parameters of a version; null is what questions start with. */
export async function parameterSet(database: Database, versionId: number | null): Promise<ParameterSet> {
	if (versionId === null) return STARTING;
	const known = read.get(versionId);
	if (known) return known;
	const rows = await database.rows<FamilyParameters & { familyId: string }>(
		`SELECT family_id AS familyId, discrimination, difficulty, median_ms AS medianMs FROM family_parameters
		WHERE version_id = ?`,
		[versionId]
	);
	const set = new Map(rows.map(({ familyId, ...parameters }) => [familyId, parameters]));
	read.set(versionId, set);
	return set;
}

/** The version that a student's next diagnostic begins with: their school's newest; of a resit, that of its sitting. */
export async function versionFor(database: Database, studentId: number, resitsId?: number): Promise<number | null> {
	const row = resitsId
		? await database.row<{ id: number | null }>('SELECT parameters_id AS id FROM sitting WHERE id = ?', [resitsId])
		: await database.row<{ id: number | null }>(
				`SELECT MAX(parameter_version.id) AS id FROM student
				JOIN parameter_version ON parameter_version.school_id = student.school_id
				WHERE student.id = ? AND parameter_version.withdrawn_at IS NULL`,
				[studentId]
			);
	return row?.id ?? null;
}

interface ParameterVersion {
	id: number;
	number: number;
	jobId: number;
	families: number;
	appliedBy: string;
	appliedAt: Date;
	withdrawn: boolean;
	/** Sittings that began with it. */
	sittings: number;
}

/** All versions of a school, newest first. The first that is not withdrawn is in use. */
export async function parameterVersions(database: Database, schoolId: number): Promise<ParameterVersion[]> {
	const rows = await database.rows<Omit<ParameterVersion, 'withdrawn'> & { withdrawnAt: Date | null }>(
		`SELECT parameter_version.id, parameter_version.number, parameter_version.job_id AS jobId,
			account.display_name AS appliedBy, parameter_version.applied_at AS appliedAt,
			parameter_version.withdrawn_at AS withdrawnAt,
			(SELECT COUNT(*) FROM family_parameters WHERE family_parameters.version_id = parameter_version.id) AS families,
			(SELECT COUNT(*) FROM sitting WHERE sitting.parameters_id = parameter_version.id) AS sittings
		FROM parameter_version
		JOIN account ON account.id = parameter_version.applied_by
		WHERE parameter_version.school_id = ?
		ORDER BY parameter_version.id DESC`,
		[schoolId]
	);
	return rows.map(({ withdrawnAt, families, sittings, ...version }) => ({
		...version,
		families: Number(families),
		sittings: Number(sittings),
		withdrawn: withdrawnAt !== null
	}));
}

/**
 * Makes what a calibration of the school found a new version, which sittings begin with from now on.
 *
 * @returns the version, or null when the calibration is not the school's, not done, or applied already
 */
export async function applyParameters(
	database: RootDatabase,
	staff: Staff,
	jobId: number,
	families: (FamilyParameters & { familyId: string })[],
	at: Date
): Promise<{ id: number; number: number } | null> {
	return database.transaction(async (transaction) => {
		const version = await newVersion(transaction, staff, { ...OF_JOB, id: jobId }, {}, at);
		if (!version) return null;
		await transaction.insertMany(
			'INSERT INTO family_parameters (version_id, family_id, discrimination, difficulty, median_ms) VALUES ?',
			families.map(({ familyId, discrimination, difficulty, medianMs }) => [
				version.id,
				familyId,
				discrimination,
				difficulty,
				Math.round(medianMs)
			])
		);
		await audit(transaction, staff, at, 'apply parameters', { version: version.number, families: families.length });
		return version;
	});
}

/**
 * Takes a version out of use, or into use again: sittings begin with the newest in use. Those that have begun keep theirs.
 *
 * @returns whether there was one to change
 */
export const withdrawParameters = (
	database: RootDatabase,
	staff: Staff,
	id: number,
	withdrawn: boolean,
	at: Date
): Promise<boolean> => withdrawVersion(database, staff, { ...OF_JOB, id }, withdrawn, at);

/** A first try in a diagnostic that counts. */
interface CountedAnswer extends ItemKey {
	sittingId: number;
	windowId: number;
	/** Of the window. */
	opensOn: SchoolDate;
	grade: number;
	term: number;
	correct: boolean;
	milliseconds: number;
}

const COUNTED = `sitting.kind = 'diagnostic' AND sitting.trust IN ('trusted', 'kept') AND sitting.resits_id IS NULL
	AND NOT EXISTS (SELECT 1 FROM sitting AS resit WHERE resit.resits_id = sitting.id)`;

/** How many sittings and answers of a school a calibration would use: those that count and were sat in one piece. */
export async function countedAnswers(
	database: Database,
	schoolId: number
): Promise<{ students: number; sittings: number; answers: number }> {
	const row = await database.row<Record<'students' | 'sittings' | 'answers', number | null>>(
		`SELECT COUNT(DISTINCT sitting.student_id) AS students, COUNT(*) AS sittings, SUM(sitting.answered) AS answers
		FROM sitting
		JOIN student ON student.id = sitting.student_id
		WHERE student.school_id = ? AND ${COUNTED}`,
		[schoolId]
	);
	return { students: Number(row!.students), sittings: Number(row!.sittings), answers: Number(row!.answers ?? 0) };
}

/** The answers of the next sittings after one, by sitting; at most those of so many sittings. */
export async function answersAfter(
	database: Database,
	schoolId: number,
	sittingId: number,
	most: number
): Promise<CountedAnswer[]> {
	return database.rows<CountedAnswer>(
		`SELECT some.id AS sittingId, some.window_id AS windowId, ${gradeOnSql('screening_window.opens_on')} AS grade, screening_window.term,
			screening_window.opens_on AS opensOn,
			item.family_id AS familyId, item.seed, item.edition, answer.correct, answer.milliseconds
		FROM (
			SELECT sitting.id, sitting.window_id, sitting.student_id FROM sitting
			JOIN student ON student.id = sitting.student_id
			WHERE sitting.id > ? AND student.school_id = ? AND ${COUNTED}
			ORDER BY sitting.id LIMIT ?
		) AS some
		JOIN student ON student.id = some.student_id
		JOIN screening_window ON screening_window.id = some.window_id
		JOIN answer ON answer.sitting_id = some.id AND answer.attempt = 1
		JOIN sitting_item AS item ON item.sitting_id = answer.sitting_id AND item.position = answer.position
		ORDER BY some.id`,
		[sittingId, schoolId, String(most)]
	);
}
