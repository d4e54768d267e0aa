import { seal, unseal } from '../../auth';
import type { Database } from '../../database';

/** The key that a school's badges are signed with, as JSON Web Keys in text. */
export interface BadgeKey {
	publicKey: string;
	privateKey: string;
}

/** The key of a school; null before its first badge. */
export async function badgeKey(database: Database, schoolId: number): Promise<BadgeKey | null> {
	const row = await database.row<{ publicKey: string; sealed: Buffer }>(
		'SELECT public_key AS publicKey, private_key AS sealed FROM badge_key WHERE school_id = ?',
		[schoolId]
	);
	return row && { publicKey: row.publicKey, privateKey: await unseal(database, row.sealed) };
}

/** Keeps a school's key, unless another process kept one first: that stays. */
export async function keepBadgeKey(database: Database, schoolId: number, key: BadgeKey, at: Date): Promise<void> {
	await database.run('INSERT IGNORE INTO badge_key (school_id, public_key, private_key, made_at) VALUES (?, ?, ?, ?)', [
		schoolId,
		key.publicKey,
		await seal(database, key.privateKey),
		at
	]);
}
