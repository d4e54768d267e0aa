import type { RootDatabase } from '../database';
import type { Viewer } from '../request';
import { tokenHash } from './signIn';
import { signInHolder } from './store/signIns';

/** A sign-in that was ended in another process is still good here for at most so long. */
const GOOD_FOR_MS = 3_000;
const MOST = 5_000;

const seen = new Map<string, { viewer: Viewer; until: number }>();

/**
 * Who holds a sign-in, asked of the database at most every three seconds: a class answering questions would otherwise
 * spend as much on saying who it is as on its answers.
 */
export async function viewerOf(database: RootDatabase, token: string, at: Date): Promise<Viewer | null> {
	const known = seen.get(token);
	if (known && known.until > at.getTime()) return known.viewer;
	seen.delete(token);
	const viewer = await signInHolder(database, tokenHash(token), at);
	if (!viewer) return null;
	if (seen.size >= MOST) seen.clear();
	seen.set(token, { viewer, until: at.getTime() + GOOD_FOR_MS });
	return viewer;
}

/** Ends what is remembered of a sign-in here, or of all of somebody's. */
export function forgetViewer(whose: string | Viewer): void {
	if (typeof whose === 'string') seen.delete(whose);
	else
		for (const [token, { viewer }] of seen)
			if (viewer.kind === whose.kind && viewer.id === whose.id) seen.delete(token);
}
