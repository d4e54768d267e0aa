import { STAKES } from '../src/lib/core/growth';
import type { SchoolFacts } from '../src/lib/core/notices/notice';

/** A school of which there is nothing to say; tests change what they are about. */
export const QUIET_SCHOOL: SchoolFacts = {
	today: '2026-11-23',
	calendar: { schoolDays: [1, 2, 3, 4, 5], off: [] },
	people: [{ id: 1, name: 'Ida Sol', isActive: true, hasPassword: true, isInvited: false, runs: '' }],
	unsentMails: [],
	classes: [{ id: 4, name: 'Avocet', students: 20, adults: 1 }],
	pins: { students: 20, withoutPin: 0 },
	tiered: { students: 5, nobodys: 0 },
	windows: [],
	years: [{ startsOn: '2026-08-20', endsOn: '2027-06-10' }],
	yearBegunOn: null,
	cycles: [{ number: 2, startsOn: '2026-10-26', endsOn: '2026-12-20' }],
	keptLongEnough: 0,
	syncTrouble: null,
	unexpected: [],
	atStake: Object.fromEntries(STAKES.map((stake) => [stake, 0])) as SchoolFacts['atStake'],
	overdueReviews: 0,
	lateTasks: [],
	rosterSince: null
};
