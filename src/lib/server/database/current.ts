import { openDatabase, type RootDatabase } from './pool';

let opened: RootDatabase | null = null;

/** The database of this process, at DATABASE_URL. */
export function database(): RootDatabase {
	const url = process.env.DATABASE_URL;
	if (!url) throw new Error('DATABASE_URL is not set. Start with: npm start');
	if (!opened) {
		opened = openDatabase(url);
		// The server says so once its last request is answered; open connections would keep the process alive.
		process.once('sveltekit:shutdown', () => void opened?.close());
	}
	return opened;
}
