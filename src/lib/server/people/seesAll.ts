import type { SchoolDate } from '../../core/calendar';
import type { Database } from '../database';
import type { Staff } from '../request';
import { visibleAmong } from './store/roster';

/** Whether a staff member sees all of some students on a day. */
export const seesAll = async (database: Database, staff: Staff, ids: number[], today: SchoolDate): Promise<boolean> =>
	(await visibleAmong(database, staff, ids, today)).length === new Set(ids).size;
