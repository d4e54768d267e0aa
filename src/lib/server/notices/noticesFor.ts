import type { Database } from '../database';
import type { Staff } from '../request';
import type { School } from '../school';
import { openNotices, type OpenNotice } from './store/notices';

/** Notices of a person: those to be told now, those put off until a later day, and those that somebody is done with. */
interface Notices {
	now: OpenNotice[];
	later: OpenNotice[];
	done: OpenNotice[];
}

export async function noticesFor(database: Database, staff: Staff, { today }: School): Promise<Notices> {
	const open = await openNotices(database, staff);
	const isLater = ({ laterUntil }: OpenNotice) => laterUntil !== null && today < laterUntil;
	const left = open.filter(({ doneBy }) => doneBy === null);
	return {
		now: left.filter((notice) => !isLater(notice)),
		later: left.filter(isLater),
		done: open.filter(({ doneBy }) => doneBy !== null)
	};
}
