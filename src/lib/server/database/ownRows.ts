import type { Database } from './pool';

/** Of each kind of row that others refer to, how many of some ids are a school's. */
const OWN = {
	student: 'SELECT COUNT(*) AS n FROM student WHERE id IN (?) AND school_id = ?',
	class: 'SELECT COUNT(*) AS n FROM class WHERE id IN (?) AND school_id = ?',
	staff: 'SELECT COUNT(*) AS n FROM account WHERE id IN (?) AND school_id = ?',
	group: 'SELECT COUNT(*) AS n FROM small_group WHERE id IN (?) AND school_id = ?',
	window: 'SELECT COUNT(*) AS n FROM screening_window WHERE id IN (?) AND school_id = ?',
	measureSeries: `SELECT COUNT(*) AS n
		FROM measure_series JOIN student ON student.id = measure_series.student_id
		WHERE measure_series.id IN (?) AND student.school_id = ?`,
	draft: 'SELECT COUNT(*) AS n FROM group_draft WHERE id IN (?) AND school_id = ?',
	material: 'SELECT COUNT(*) AS n FROM material WHERE id IN (?) AND school_id = ?',
	slot: `SELECT COUNT(*) AS n
		FROM slot JOIN account ON account.id = slot.staff_id
		WHERE slot.id IN (?) AND account.school_id = ?`,
	domain: `SELECT COUNT(*) AS n
		FROM framework_domain AS taught JOIN school ON school.framework_id = taught.framework_id
		WHERE taught.domain_id IN (?) AND school.id = ?`,
	skill: `SELECT COUNT(*) AS n
		FROM framework_skill AS taught JOIN school ON school.framework_id = taught.framework_id
		WHERE taught.skill_id IN (?) AND school.id = ?`
};

/** Something that was to be written refers to a row of another school, or to one that is not there. */
export class NotOfTheSchool extends Error {
	constructor(kind: keyof typeof OWN) {
		super(`A ${kind} is not of the school`);
	}
}

/**
 * Sees to it that what is about to be written refers to rows of the own school only; for skills, to those it teaches.
 * A page that asks has looked already; this is for requests that no page makes.
 *
 * @param ids by kind; null and undefined refer to nothing
 * @throws NotOfTheSchool
 */
export async function requireOwn(
	database: Database,
	{ schoolId }: { schoolId: number },
	ids: { [Kind in keyof typeof OWN]?: (number | null | undefined)[] }
): Promise<void> {
	for (const [kind, referred] of Object.entries(ids) as [keyof typeof OWN, (number | null | undefined)[]][]) {
		const distinct = [...new Set(referred)].filter((id) => id !== null && id !== undefined);
		if (distinct.length === 0) continue;
		const own = await database.row<{ n: number }>(OWN[kind], [distinct, schoolId]);
		if (Number(own!.n) !== distinct.length) throw new NotOfTheSchool(kind);
	}
}
