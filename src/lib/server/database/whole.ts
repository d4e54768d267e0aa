import { inOne, type RootDatabase } from './pool';

/** Tells a transaction to leave everything as it was. */
export class NotDone extends Error {}

/** What happens altogether or not at all. @returns null where the work says that it cannot be done */
export async function whole<Result>(
	database: RootDatabase,
	work: (all: RootDatabase) => Promise<Result>
): Promise<Result | null> {
	try {
		return await inOne(database, work);
	} catch (error) {
		if (error instanceof NotDone) return null;
		throw error;
	}
}
