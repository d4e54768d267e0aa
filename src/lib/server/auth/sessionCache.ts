import type { RootDatabase } from '../database/pool';
import { sessionHolder } from '../store/sessions';
import type { Viewer } from '../viewer';
import { tokenHash } from './signIn';

/** A session ended in another process is still good here for at most so long. */
const GOOD_FOR_MS = 3_000;
const MOST = 5_000;

const seen = new Map<string, { viewer: Viewer; until: number }>();

/**
 * Who holds a session, asked of the database at most every three seconds: a class answering questions would otherwise
 * spend as much on saying who it is as on its answers.
 */
export async function viewerOf(database: RootDatabase, token: string, at: Date): Promise<Viewer | null> {
	const known = seen.get(token);
	if (known && known.until > at.getTime()) return known.viewer;
	seen.delete(token);
	const viewer = await sessionHolder(database, tokenHash(token), at);
	if (!viewer) return null;
	if (seen.size >= MOST) seen.clear();
	seen.set(token, { viewer, until: at.getTime() + GOOD_FOR_MS });
	return viewer;
}

/** Ends what is remembered of a session; signing out does this. */
export function forgetViewer(token: string): void {
	seen.delete(token);
}
