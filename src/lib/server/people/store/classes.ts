import type { SchoolDate, SchoolHours } from '../../../core/calendar';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { randomCode, type Staff } from '../../request';
import { ownClassesOnly } from './roster';

/** A class of their own, in which each student is once, or a section beside it. */
export type ClassKind = 'own' | 'section';

/** A class as Setup lists it. */
export interface ClassInSetup {
	id: number;
	name: string;
	grade: number;
	/** By what students find it. */
	code: string;
	/** From this day on there is none; null for no end. */
	endedOn: SchoolDate | null;
	/** In which its students can sign in; null for at any time. */
	hours: SchoolHours | null;
	/** On the day asked for. */
	students: number;
	/** Of them, those without a PIN. */
	withoutPin: number;
	adults: { id: number; name: string }[];
}

const HOURS = `TIME_FORMAT(class.sign_in_from, '%H:%i') AS opens, TIME_FORMAT(class.sign_in_until, '%H:%i') AS closes`;

/** What says who is in a class of a kind. */
const MEMBERS = { own: 'class_membership', section: 'section_membership' } as const;

/**
 * The classes of a kind that a staff member may see, youngest first, as they are on a day; those that have ended at the
 * end.
 */
export async function classesInSetup(
	database: Database,
	staff: Staff,
	today: SchoolDate,
	kind: ClassKind = 'own'
): Promise<ClassInSetup[]> {
	const own = ownClassesOnly(staff, today, 'class.id');
	const [classes, adults] = await Promise.all([
		database.rows<
			Omit<ClassInSetup, 'adults' | 'hours'> & {
				students: string | number;
				withoutPin: string | number;
				opens: string | null;
				closes: string | null;
			}
		>(
			`SELECT class.id, class.name, class.grade, class.code, class.ended_on AS endedOn,
				${HOURS},
				COUNT(student.id) AS students, COUNT(student.id) - COUNT(student.pin_hash) AS withoutPin
			FROM class
			LEFT JOIN ${MEMBERS[kind]} AS membership ON membership.class_id = class.id
				AND membership.from_on <= ? AND (membership.until_on IS NULL OR membership.until_on > ?)
			LEFT JOIN student ON student.id = membership.student_id
			WHERE class.school_id = ? AND class.is_section = ? ${own.sql}
			GROUP BY class.id
			ORDER BY COALESCE(class.ended_on <= ?, 0), class.grade, class.name, class.id`,
			[today, today, staff.schoolId, kind === 'section', ...own.values, today]
		),
		database.rows<{ classId: number; id: number; name: string }>(
			`SELECT adult.class_id AS classId, account.id, account.display_name AS name
			FROM class_adult AS adult
			JOIN account ON account.id = adult.account_id
			JOIN class ON class.id = adult.class_id
			WHERE class.school_id = ? AND adult.from_on <= ? AND (adult.until_on IS NULL OR adult.until_on > ?)
			ORDER BY adult.from_on, adult.id`,
			[staff.schoolId, today, today]
		)
	]);
	return classes.map(({ opens, closes, ...one }) => ({
		...one,
		hours: opens && closes ? { from: opens, until: closes } : null,
		students: Number(one.students),
		withoutPin: Number(one.withoutPin),
		adults: adults.filter(({ classId }) => classId === one.id).map(({ id, name }) => ({ id, name }))
	}));
}

const CODE_LENGTH = 6;

/** A code that no class has. */
export async function freshCode(transaction: Database): Promise<string> {
	for (;;) {
		const code = randomCode(CODE_LENGTH);
		if (!(await transaction.row('SELECT 1 FROM class WHERE code = ?', [code]))) return code;
	}
}

/** A class's name and grade. */
export interface ClassNamed {
	name: string;
	grade: number;
}

/** Adds classes of a kind, each with a code of its own. @returns their ids, or the name that a class of the school has already */
export async function addClasses(
	database: RootDatabase,
	staff: Staff,
	classes: ClassNamed[],
	at: Date,
	kind: ClassKind = 'own'
): Promise<{ ids: number[] } | { taken: string }> {
	return database.transaction(async (transaction) => {
		const taken = await takenName(transaction, staff, classes, null);
		if (taken !== null) return { taken };
		const ids: number[] = [];
		for (const { name, grade } of classes) {
			const { insertId } = await transaction.run(
				'INSERT INTO class (school_id, name, grade, code, is_section) VALUES (?, ?, ?, ?, ?)',
				[staff.schoolId, name, grade, await freshCode(transaction), kind === 'section']
			);
			ids.push(insertId);
		}
		if (ids.length)
			await audit(transaction, staff, at, kind === 'own' ? 'add classes' : 'add sections', { ids, classes });
		return { ids };
	});
}

/** Of names, the first that a class has which has not ended, other than one; null for none. Holds the school until the end. */
async function takenName(
	transaction: Database,
	{ schoolId }: Staff,
	classes: ClassNamed[],
	exceptId: number | null
): Promise<string | null> {
	await transaction.row('SELECT id FROM school WHERE id = ? FOR UPDATE', [schoolId]);
	const rows = await transaction.rows<{ id: number; name: string }>(
		'SELECT id, name FROM class WHERE school_id = ? AND ended_on IS NULL',
		[schoolId]
	);
	const there = new Set(rows.filter(({ id }) => id !== exceptId).map(({ name }) => name.toLowerCase()));
	for (const { name } of classes) {
		if (there.has(name.toLowerCase())) return name;
		there.add(name.toLowerCase());
	}
	return null;
}

/** Changes a class's name or grade. @returns what they were, the name where another class has it, or null for no such class */
export async function changeClass(
	database: RootDatabase,
	staff: Staff,
	id: number,
	{ name, grade }: ClassNamed,
	at: Date
): Promise<ClassNamed | { taken: string } | null> {
	return database.transaction(async (transaction) => {
		const taken = await takenName(transaction, staff, [{ name, grade }], id);
		if (taken !== null) return { taken };
		const before = await transaction.row<ClassNamed>('SELECT name, grade FROM class WHERE id = ? AND school_id = ?', [
			id,
			staff.schoolId
		]);
		if (!before) return null;
		await transaction.run('UPDATE class SET name = ?, grade = ? WHERE id = ?', [name, grade, id]);
		await audit(transaction, staff, at, 'change class', { class: id, before, after: { name, grade } });
		return before;
	});
}

/** Lets students of a class sign in within hours of days of school only, or at any time. @returns the hours before; undefined for no such class */
export async function setSignInHours(
	database: RootDatabase,
	staff: Staff,
	id: number,
	hours: SchoolHours | null,
	at: Date
): Promise<SchoolHours | null | undefined> {
	return database.transaction(async (transaction) => {
		const row = await transaction.row<{ opens: string | null; closes: string | null }>(
			`SELECT ${HOURS} FROM class WHERE id = ? AND school_id = ? FOR UPDATE`,
			[id, staff.schoolId]
		);
		if (!row) return undefined;
		const before = row.opens && row.closes ? { from: row.opens, until: row.closes } : null;
		await transaction.run('UPDATE class SET sign_in_from = ?, sign_in_until = ? WHERE id = ?', [
			hours?.from ?? null,
			hours?.until ?? null,
			id
		]);
		await audit(transaction, staff, at, 'set sign-in hours', { class: id, before, after: hours });
		return before;
	});
}

/** Ends a section, or a class in which nobody is any more, from a day on; or lets it go on. @returns whether that was done */
export async function endClass(
	database: RootDatabase,
	staff: Staff,
	id: number,
	endedOn: SchoolDate | null,
	{ today, at }: { today: SchoolDate; at: Date }
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const own = await transaction.row<{ name: string }>(
			'SELECT name FROM class WHERE id = ? AND school_id = ? FOR UPDATE',
			[id, staff.schoolId]
		);
		const inIt = await transaction.row(
			'SELECT 1 FROM class_membership WHERE class_id = ? AND (until_on IS NULL OR until_on > ?) LIMIT 1',
			[id, today]
		);
		if (!own || (endedOn !== null && inIt)) return false;
		if (endedOn === null && (await takenName(transaction, staff, [{ ...own, grade: 0 }], id)) !== null) return false;
		await transaction.run('UPDATE class SET ended_on = ? WHERE id = ?', [endedOn, id]);
		await audit(transaction, staff, at, endedOn ? 'end class' : 'reopen class', { class: id });
		return true;
	});
}

/**
 * Who the adults of a class are from a day on: those who stay keep their days, the others' end.
 *
 * @returns ids of those who were before
 */
export async function setClassAdults(
	database: RootDatabase,
	staff: Staff,
	classId: number,
	adultIds: number[],
	{ from, at }: { from: SchoolDate; at: Date }
): Promise<number[]> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { class: [classId], staff: adultIds });
		const now = await transaction.rows<{ id: number; accountId: number; fromOn: SchoolDate }>(
			`SELECT id, account_id AS accountId, from_on AS fromOn FROM class_adult
			WHERE class_id = ? AND (until_on IS NULL OR until_on > ?) FOR UPDATE`,
			[classId, from]
		);
		const ended = now.filter(({ accountId }) => !adultIds.includes(accountId));
		// Who would end on the very day of beginning was never there.
		for (const { id, fromOn } of ended)
			if (fromOn >= from) await transaction.run('DELETE FROM class_adult WHERE id = ?', [id]);
			else await transaction.run('UPDATE class_adult SET until_on = ? WHERE id = ?', [from, id]);
		const begun = adultIds.filter((id) => !now.some(({ accountId }) => accountId === id));
		await transaction.insertMany(
			'INSERT INTO class_adult (class_id, account_id, from_on) VALUES ?',
			begun.map((id) => [classId, id, from])
		);
		const before = now.map(({ accountId }) => accountId);
		if (ended.length || begun.length)
			await audit(transaction, staff, at, 'set class adults', { class: classId, before, after: adultIds, from });
		return before;
	});
}
