import { scoreSheet } from '../../core/fluency';
import { arrangeSittings, tallyByClass, TO_FINISH, TO_SIT } from '../../core/screening';
import type { Database } from '../database';
import { domainList } from '../library';
import { accommodations, NO_ACCOMMODATION, type RosterStudent } from '../people';
import { FIRST_ROWS, textIn } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { placesIn } from './store/places';
import type { ScreeningWindow } from './store/windows';
import { windowPlaces } from './windowPlaces';

/** Sittings to decide about that are shown at once; the next come as these are decided. */
const FLAGGED_AT_ONCE = 20;

/** The board of a window's sittings as the address asks for it: counts, the order of the rows, and the first of them. */
export async function sittingsBoard(
	database: Database,
	school: School,
	scope: Scope,
	window: ScreeningWindow,
	url: URL
) {
	const [students, places, domains] = await Promise.all([
		scope.students(),
		placesIn(database, window.id, scope.roster),
		domainList(database, school.id)
	]);
	const all = students.map((student) => ({ ...student, status: places.get(student.id)!.status }));
	const shown = arrangeSittings(all, textIn(url, 'status', 40) || 'all');
	const flagged = all.filter(({ status }) => status === 'needs another look');
	const first = shown.slice(0, FIRST_ROWS);
	return {
		size: all.length,
		domains: domains.filter(({ subject }) => subject === window.subject),
		tallies: tallyByClass(all),
		toFinish: all.filter(({ status }) => TO_FINISH.has(status)).length,
		toSit: all.filter(({ status }) => TO_SIT.has(status)).length,
		flagged: flagged.length,
		flaggedRows: await sittingRows(database, school, window, flagged.slice(0, FLAGGED_AT_ONCE)),
		ids: shown.map(({ id }) => id as number),
		rows: await sittingRows(database, school, window, first)
	};
}

/** Rows of some students in full. */
export async function sittingRows(
	database: Database,
	school: School,
	window: ScreeningWindow,
	students: RosterStudent[]
) {
	if (students.length === 0) return [];
	const ids = students.map(({ id }) => id);
	const [places, domains, own] = await Promise.all([
		windowPlaces(database, window, students),
		domainList(database, school.id),
		accommodations(database, ids)
	]);
	const nameOf = new Map(domains.map((domain) => [domain.id, domain.name]));
	return students.map((student) => {
		const { status, sitting, note, given } = places.get(student.id)!;
		return {
			id: student.id as number,
			givenName: student.givenName,
			familyName: student.familyName,
			classId: student.classId,
			className: student.className,
			grade: student.grade,
			status,
			note,
			given: given && scoreSheet(given),
			lastAt: (given?.givenAt ?? sitting?.lastAt)?.toISOString() ?? null,
			accommodation: own.get(student.id) ?? NO_ACCOMMODATION,
			sitting: sitting && {
				id: sitting.id,
				trust: sitting.trust,
				answered: sitting.answered,
				// How many more there are is known of a fixed form only.
				of: sitting.adaptive && sitting.trust === 'open' ? null : sitting.itemCount,
				flags: sitting.flags,
				resitOf: nameOf.get(sitting.domainId ?? sitting.resitDomainId ?? 0) ?? null
			}
		};
	});
}
