import type { SchoolDate } from '../../../core/calendar';
import { seal, unseal } from '../../auth';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import type { RosterService } from '../rosterService/readService';

/** Where a school's roster is fetched from, and what came of it last. */
export interface RosterSource extends Omit<RosterService, 'clientSecret'> {
	isNightly: boolean;
	syncedOn: SchoolDate | null;
	syncedWell: boolean | null;
	syncSays: string;
}

const SOURCE = `address, token_address AS tokenAddress, client_id AS clientId, nightly AS isNightly, synced_on AS syncedOn,
	synced_well AS syncedWell, sync_says AS syncSays`;

export async function rosterSource(database: Database, schoolId: number): Promise<RosterSource | null> {
	return database.row<RosterSource>(`SELECT ${SOURCE} FROM roster_source WHERE school_id = ?`, [schoolId]);
}

/** The same with the secret, to ask it. */
export async function rosterService(database: Database, schoolId: number): Promise<RosterService | null> {
	const row = await database.row<RosterSource & { sealed: Buffer }>(
		`SELECT ${SOURCE}, client_secret AS sealed FROM roster_source WHERE school_id = ?`,
		[schoolId]
	);
	if (!row) return null;
	const { address, tokenAddress, clientId, sealed } = row;
	return { address, tokenAddress, clientId, clientSecret: await unseal(database, sealed) };
}

/** Keeps where a school's roster is fetched from. @param service without a secret the one that is there stays */
export async function keepRosterSource(
	database: RootDatabase,
	staff: Staff,
	{
		address,
		tokenAddress,
		clientId,
		clientSecret
	}: Omit<RosterService, 'clientSecret'> & { clientSecret: string | null },
	isNightly: boolean,
	at: Date
): Promise<boolean> {
	const sealed = clientSecret === null ? null : await seal(database, clientSecret);
	return database.transaction(async (transaction) => {
		const before = await rosterSource(transaction, staff.schoolId);
		if (!before && !sealed) return false;
		if (before)
			await transaction.run(
				`UPDATE roster_source SET address = ?, token_address = ?, client_id = ?, nightly = ?,
					client_secret = COALESCE(?, client_secret) WHERE school_id = ?`,
				[address, tokenAddress, clientId, isNightly, sealed, staff.schoolId]
			);
		else
			await transaction.run(
				`INSERT INTO roster_source (school_id, address, token_address, client_id, nightly, client_secret)
				VALUES (?, ?, ?, ?, ?, ?)`,
				[staff.schoolId, address, tokenAddress, clientId, isNightly, sealed]
			);
		const after = { address, tokenAddress, clientId, isNightly };
		await audit(transaction, staff, at, 'set roster service', { before, after });
		return true;
	});
}

/** Forgets where a school's roster is fetched from. */
export async function dropRosterSource(database: RootDatabase, staff: Staff, at: Date): Promise<void> {
	await database.transaction(async (transaction) => {
		const before = await rosterSource(transaction, staff.schoolId);
		await transaction.run('DELETE FROM roster_source WHERE school_id = ?', [staff.schoolId]);
		if (before) await audit(transaction, staff, at, 'drop roster service', { before });
	});
}

/** Schools whose roster is fetched at night, and the day for which that was done last. */
export async function nightlySchools(database: Database): Promise<{ schoolId: number; syncedOn: SchoolDate | null }[]> {
	return database.rows(
		'SELECT school_id AS schoolId, synced_on AS syncedOn FROM roster_source WHERE nightly = 1 ORDER BY school_id'
	);
}

/** Says what came of a school's night. */
export async function noteSync(
	database: Database,
	schoolId: number,
	{ on, isWell, says }: { on: SchoolDate; isWell: boolean; says: string }
): Promise<void> {
	await database.run('UPDATE roster_source SET synced_on = ?, synced_well = ?, sync_says = ? WHERE school_id = ?', [
		on,
		isWell,
		says.slice(0, 300),
		schoolId
	]);
}
