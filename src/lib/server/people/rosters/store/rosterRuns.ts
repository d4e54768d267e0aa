import { gunzipSync, gzipSync } from 'node:zlib';
import type { RosterRecords } from '../../../../core/interchange/oneRoster/records';
import type { RosterEffect } from '../../../../core/interchange/roster/effects';
import type { ClassKind, RosterRules, RuledField } from '../../../../core/interchange/roster/schoolRoster';
import { audit, type Database, type RootDatabase } from '../../../database';
import type { Staff } from '../../../request';
import type { RosterDone } from '../rosterDone';

/** How a school takes rosters. */
export interface SchoolRosterRules extends RosterRules {
	takesBirthDates: boolean;
	/** More may leave (percent of the students) only after being asked for once more. */
	mostLeaving: number;
}

const AS_SHIPPED: SchoolRosterRules = {
	homeClasses: null,
	sections: [],
	ours: ['preferredName'],
	takesBirthDates: true,
	mostLeaving: 5
};

export async function rosterRules(database: Database, schoolId: number): Promise<SchoolRosterRules> {
	const row = await database.row<{
		homeClasses: ClassKind | null;
		sections: string;
		ours: string;
		takesBirthDates: boolean;
		mostLeaving: number;
	}>(
		`SELECT home_classes AS homeClasses, sections, ours, takes_birth_dates AS takesBirthDates, most_leaving AS mostLeaving
		FROM roster_rule WHERE school_id = ?`,
		[schoolId]
	);
	if (!row) return AS_SHIPPED;
	return {
		...row,
		sections: JSON.parse(row.sections) as string[],
		ours: JSON.parse(row.ours) as RuledField[]
	};
}

/** Settles how a school takes rosters. @returns how it did before */
export async function setRosterRules(
	database: RootDatabase,
	staff: Staff,
	rules: SchoolRosterRules,
	at: Date
): Promise<SchoolRosterRules> {
	return database.transaction(async (transaction) => {
		const before = await rosterRules(transaction, staff.schoolId);
		await transaction.run(
			`INSERT INTO roster_rule (school_id, home_classes, sections, ours, takes_birth_dates, most_leaving)
			VALUES (?, ?, ?, ?, ?, ?)
			ON DUPLICATE KEY UPDATE home_classes = VALUES(home_classes), sections = VALUES(sections), ours = VALUES(ours),
				takes_birth_dates = VALUES(takes_birth_dates), most_leaving = VALUES(most_leaving)`,
			[
				staff.schoolId,
				rules.homeClasses,
				JSON.stringify(rules.sections),
				JSON.stringify(rules.ours),
				rules.takesBirthDates,
				rules.mostLeaving
			]
		);
		await audit(transaction, staff, at, 'set roster rules', { before, after: rules });
		return before;
	});
}

/** How many changes of each effect a roster made. */
export type RosterFigures = Partial<Record<RosterEffect, number>>;

/** A roster that was brought. */
export interface RosterRun {
	id: number;
	state: 'planned' | 'applied' | 'undone' | 'set aside';
	fileName: string;
	systemName: string;
	isDelta: boolean;
	broughtBy: string;
	broughtAt: Date;
	/** Null before it was applied. */
	figures: RosterFigures | null;
	appliedBy: string | null;
	appliedAt: Date | null;
	undoneAt: Date | null;
}

const RUN = `run.id, run.state, run.file_name AS fileName, run.system_name AS systemName, run.is_delta AS isDelta,
	bringer.display_name AS broughtBy, run.brought_at AS broughtAt, run.figures, applier.display_name AS appliedBy,
	run.applied_at AS appliedAt, run.undone_at AS undoneAt`;
const RUN_FROM = `roster_run AS run
	JOIN account AS bringer ON bringer.id = run.brought_by
	LEFT JOIN account AS applier ON applier.id = run.applied_by`;

/** The newest runs of a school, newest first. */
export async function rosterRuns(database: Database, schoolId: number, most: number): Promise<RosterRun[]> {
	const rows = await database.rows<Omit<RosterRun, 'figures'> & { figures: string | null }>(
		`SELECT ${RUN} FROM ${RUN_FROM} WHERE run.school_id = ? ORDER BY run.id DESC LIMIT ${Number(most)}`,
		[schoolId]
	);
	return rows.map((row) => ({ ...row, figures: row.figures && JSON.parse(row.figures) }));
}

const pack = (value: unknown) => gzipSync(JSON.stringify(value));
const unpack = <Value>(packed: Buffer): Value => JSON.parse(gunzipSync(packed).toString());

/** Holds a school's roster until a transaction ends, so that one thing after another is done with it. */
export async function holdRoster(transaction: Database, { schoolId }: Staff): Promise<void> {
	await transaction.row('SELECT id FROM school WHERE id = ? FOR UPDATE', [schoolId]);
}

/** Keeps a roster that was brought, to be looked at; one that waited is set aside. @returns its id */
export async function addRosterRun(
	database: RootDatabase,
	staff: Staff,
	run: Pick<RosterRun, 'fileName' | 'systemName' | 'isDelta'> & { records: RosterRecords },
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		await holdRoster(transaction, staff);
		await transaction.run(
			`UPDATE roster_run SET state = 'set aside', records = NULL WHERE school_id = ? AND state = 'planned'`,
			[staff.schoolId]
		);
		const { insertId } = await transaction.run(
			`INSERT INTO roster_run (school_id, file_name, system_name, is_delta, brought_by, brought_at, records)
			VALUES (?, ?, ?, ?, ?, ?, ?)`,
			[staff.schoolId, run.fileName, run.systemName, run.isDelta, staff.id, at, pack(run.records)]
		);
		await audit(transaction, staff, at, 'bring roster', { run: insertId, file: run.fileName });
		return insertId;
	});
}

/** The records of a run that waits; null where it does not. */
export async function waitingRecords(database: Database, schoolId: number, id: number): Promise<RosterRecords | null> {
	const row = await database.row<{ records: Buffer | null }>(
		`SELECT records FROM roster_run WHERE id = ? AND school_id = ? AND state = 'planned'`,
		[id, schoolId]
	);
	return row?.records ? unpack<RosterRecords>(row.records) : null;
}

/** The records of the newest run that is in force: what a delta goes on from. */
export async function recordsInForce(database: Database, schoolId: number): Promise<RosterRecords | null> {
	const row = await database.row<{ records: Buffer | null }>(
		`SELECT records FROM roster_run WHERE school_id = ? AND state = 'applied' ORDER BY id DESC LIMIT 1`,
		[schoolId]
	);
	return row?.records ? unpack<RosterRecords>(row.records) : null;
}

/** Sets a run aside that was not applied. @returns whether there was one */
export async function setRosterAside(database: RootDatabase, staff: Staff, id: number, at: Date): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			`UPDATE roster_run SET state = 'set aside', records = NULL
			WHERE id = ? AND school_id = ? AND state = 'planned'`,
			[id, staff.schoolId]
		);
		if (affected) await audit(transaction, staff, at, 'set roster aside', { run: id });
		return affected > 0;
	});
}

/** Days within which a roster can be taken back. */
export const UNDO_DAYS = 14;
/** What was applied until then cannot be taken back any more. */
const undoneFrom = (at: Date) => new Date(at.getTime() - UNDO_DAYS * 86_400_000);

/**
 * Says that a run was applied, with what was done; held by the school's row until the transaction ends. Of runs that can
 * be taken back no more only the figures stay.
 *
 * @returns whether it waited
 */
export async function markApplied(
	transaction: Database,
	staff: Staff,
	id: number,
	{ done, figures, sourcedId }: { done: RosterDone; figures: RosterFigures; sourcedId: string },
	at: Date
): Promise<boolean> {
	const { affected } = await transaction.run(
		`UPDATE roster_run SET state = 'applied', applied_by = ?, applied_at = ?, figures = ?, done = ?
		WHERE id = ? AND school_id = ? AND state = 'planned'`,
		[staff.id, at, JSON.stringify(figures), pack(done), id, staff.schoolId]
	);
	if (!affected) return false;
	await transaction.run(
		`UPDATE roster_run SET records = NULL, done = NULL
		WHERE school_id = ? AND state = 'applied' AND applied_at <= ? AND id <> ?`,
		[staff.schoolId, undoneFrom(at), id]
	);
	await transaction.run('UPDATE school SET sourced_id = ? WHERE id = ?', [sourcedId, staff.schoolId]);
	await audit(transaction, staff, at, 'apply roster', { run: id, ...figures });
	return true;
}

/** What the newest run that is in force did, if it is this one and not too old; null otherwise. */
export async function takeableBack(
	transaction: Database,
	{ schoolId }: Staff,
	id: number,
	at: Date
): Promise<RosterDone | null> {
	const row = await transaction.row<{ id: number; done: Buffer | null }>(
		`SELECT id, done FROM roster_run
		WHERE school_id = ? AND state = 'applied' AND applied_at > ?
		ORDER BY id DESC LIMIT 1 FOR UPDATE`,
		[schoolId, undoneFrom(at)]
	);
	return row?.id === id && row.done ? unpack<RosterDone>(row.done) : null;
}

/** Says that a run was taken back. */
export async function markUndone(transaction: Database, staff: Staff, id: number, at: Date): Promise<void> {
	await transaction.run(
		`UPDATE roster_run SET state = 'undone', undone_at = ?, done = NULL, records = NULL WHERE id = ? AND school_id = ?`,
		[at, id, staff.schoolId]
	);
	await audit(transaction, staff, at, 'take back roster', { run: id });
}
