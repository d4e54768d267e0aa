import { mondayOf, weekday } from '../../core/calendar';
import { sayDigest } from '../../core/notices';
import { inOne, type RootDatabase } from '../database';
import { countTasks } from '../decide';
import { isMailPossible, queueMail } from '../mail';
import { schoolTimeZones } from '../people';
import { findSchool } from '../school';
import { noticesFor } from './noticesFor';
import { digestsToSend, noteDigest } from './store/digests';

/** From this minute of a Monday on. */
const FROM_MINUTE = 6 * 60;

/** Writes this week's letter to everybody who wants one and has not had it, each once however many processes try. */
export async function* sendDigests(
	database: RootDatabase,
	at: Date
): AsyncGenerator<{ progress: { written: number }; checkpoint: null }, { written: number }> {
	let written = 0;
	if (!isMailPossible()) return { written };
	for (const { schoolId } of await schoolTimeZones(database)) {
		const school = await findSchool(database, schoolId, at);
		if (weekday(school.today) === 1 && school.minute < FROM_MINUTE) continue;
		const monday = mondayOf(school.today);
		for (const staff of await digestsToSend(database, schoolId, monday)) {
			const [notices, tasks] = await Promise.all([
				noticesFor(database, staff, school),
				countTasks(database, staff, school.today)
			]);
			const letter = sayDigest({
				name: staff.displayName,
				school: school.name,
				notices: notices.now.map(({ says }) => says),
				tasks,
				address: process.env.ORIGIN || null
			});
			const isWritten = await inOne(database, async (transaction) => {
				if (!(await noteDigest(transaction, staff, monday)) || !letter) return false;
				return queueMail(transaction, staff, staff.id, letter, at);
			});
			if (isWritten) written++;
			yield { progress: { written }, checkpoint: null };
		}
	}
	return { written };
}
