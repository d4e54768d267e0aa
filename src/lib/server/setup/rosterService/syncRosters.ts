import { plural } from '../../../core/words';
import type { RootDatabase } from '../../database';
import { schoolsWithCoordinator } from '../../people';
import type { Staff } from '../../request';
import { findSchool } from '../../school';
import { bringOne, type SchoolOutcome } from '../rostersOfAll';
import { nightlySchools, noteSync, rosterService } from '../store/rosterSources';
import { readService, UnreadableService } from './readService';

/** From this hour of the school's clock on a night's roster is fetched. */
const HOUR = 3;

const sayApplied = (changes: number) => plural(changes, 'change was applied', 'changes were applied');

/** What is said of a school's night, and whether nobody need look. */
function told({ figures, doubts, became, says }: SchoolOutcome): { isWell: boolean; says: string } {
	const changes = Object.values(figures).reduce((sum, count) => sum + count, 0);
	switch (became) {
		case 'nothing to change':
			return { isWell: true, says: 'Nothing had changed.' };
		case 'applied':
			return doubts
				? { isWell: false, says: `${sayApplied(changes)}; ${plural(doubts, 'thing is', 'things are')} to be settled.` }
				: { isWell: true, says: `${sayApplied(changes)}.` };
		case 'waits':
		case 'not kept':
			return { isWell: false, says: `Not applied: ${says}.` };
	}
}

/** Fetches one school's roster and applies it where nobody need look at it. @returns what came of it, in words */
async function syncOne(
	database: RootDatabase,
	{ staff, name, sourcedId }: { staff: Staff; name: string; sourcedId: string | null },
	at: Date
): Promise<{ isWell: boolean; says: string }> {
	const service = await rosterService(database, staff.schoolId);
	if (!service || sourcedId === null)
		return {
			isWell: false,
			says: 'No roster of the service was applied by hand yet, so the school is not known to it.'
		};
	try {
		const { manifest, records, problems } = await readService(service, sourcedId);
		if (problems.count) {
			const [{ file, says }] = problems.told;
			return { isWell: false, says: `${problems.count} things in it are wrong, as in ${file}: ${says}.` };
		}
		const brought = { sourcedId, records, isDelta: false, systemName: manifest.source, fileName: 'at night' };
		return told(await bringOne(database, staff, { name, brought, apply: true, at }));
	} catch (problem) {
		if (problem instanceof UnreadableService) return { isWell: false, says: `${problem.message}.` };
		throw problem;
	}
}

/** What a school is told of a night in which something failed that is none of its own. */
const OUR_FAULT = { isWell: false, says: 'Something went wrong on our side; it is tried again next night.' };

/** Fetches the rosters of schools for which it is night and it was not done yet; says after each how many are done. */
export async function* syncRosters(
	database: RootDatabase,
	at: Date
): AsyncGenerator<{ progress: { schools: number }; checkpoint: null }, { schools: number }> {
	const known = await schoolsWithCoordinator(database);
	let schools = 0;
	const failed: unknown[] = [];
	for (const { schoolId, syncedOn } of await nightlySchools(database)) {
		const { today, timeZone } = await findSchool(database, schoolId, at);
		const hour = Number(new Intl.DateTimeFormat('en-US', { timeZone, hour: '2-digit', hourCycle: 'h23' }).format(at));
		const school = known.find(({ staff }) => staff.schoolId === schoolId);
		if (!school || hour < HOUR || syncedOn === today) continue;
		// One school's trouble keeps no other from its night.
		const said = await syncOne(database, school, at).catch((problem: unknown) => {
			failed.push(problem);
			return OUR_FAULT;
		});
		await noteSync(database, schoolId, { on: today, ...said });
		schools++;
		yield { progress: { schools }, checkpoint: null };
	}
	if (failed.length) throw new AggregateError(failed, `the rosters of ${failed.length} schools could not be fetched`);
	return { schools };
}
