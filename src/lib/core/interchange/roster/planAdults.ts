import { tidyName } from '../../words';
import { byKey, only } from './lookUp';
import type { ClassPlace } from './planClasses';
import {
	sourcedIdOf,
	type KnownAdult,
	type Matching,
	type RosterAdult,
	type RosterChange,
	type RosterDoubt,
	type SchoolNow,
	type SchoolRoster
} from './schoolRoster';

/** What becomes of the accounts of those who teach, and who teaches each class. */
export function planAdults(
	now: SchoolNow,
	roster: SchoolRoster,
	placeOf: Map<string, ClassPlace>,
	doubts: RosterDoubt[]
): RosterChange[] {
	const known = new Map(now.adults.map((one) => [sourcedIdOf(now, 'adult', one), one]));
	const free = now.adults.filter(({ sourcedId }) => sourcedId === null);
	const byAddress = byKey(free, ({ email }) => email);
	const byUserName = byKey(now.adults, ({ userName }) => userName);
	const changes: RosterChange[] = [];
	const accountOf = new Map<string, KnownAdult | null>();
	for (const { sourcedId, line, classes, userName, displayName, email } of roster.adults) {
		const doubt = (says: string) => doubts.push({ kind: 'conflict', of: 'adult', name: displayName, line, says });
		const named = userNameOf({ userName, email });
		const holder = only(byUserName.get(named.toLowerCase()));
		const [before, matchedBy]: [KnownAdult | null, Matching | null] = known.has(sourcedId)
			? [known.get(sourcedId)!, null]
			: email && only(byAddress.get(email.toLowerCase()))
				? [only(byAddress.get(email.toLowerCase())), 'address']
				: holder?.sourcedId === null
					? [holder, 'user name']
					: [null, null];
		if (!before && !classes.some((id) => placeOf.has(id))) continue;
		if (displayName.length > LONGEST_ADULT.name || (email?.length ?? 0) > LONGEST_ADULT.email)
			doubt('The name or the address is too long');
		else if (before) {
			accountOf.set(sourcedId, before);
			const after = { displayName: tidyName(displayName), email: email ?? before.email };
			if (matchedBy || after.displayName !== before.displayName || after.email !== before.email)
				changes.push({
					kind: 'renew adult',
					id: before.id,
					sourcedId,
					line,
					matchedBy,
					before: { displayName: before.displayName, email: before.email },
					after
				});
		} else if (!named) doubt('Neither a user name nor an address: nobody could sign in');
		else if (named.length > LONGEST_ADULT.userName)
			doubt(`The user name has more than ${LONGEST_ADULT.userName} characters`);
		else if (holder || now.takenElsewhere.includes(named.toLowerCase())) doubt(`The user name ${named} is taken`);
		else {
			accountOf.set(sourcedId, null);
			changes.push({ kind: 'add adult', sourcedId, line, userName: named, displayName: tidyName(displayName), email });
		}
	}
	return [...changes, ...planClassAdults(now, roster, placeOf, accountOf)];
}

/** By which somebody would sign in; empty where there is nothing. */
export const userNameOf = ({ userName, email }: Pick<RosterAdult, 'userName' | 'email'>): string =>
	userName || email || '';

/** Characters of an account's names and address. */
const LONGEST_ADULT = { name: 120, userName: 60, email: 254 };

/** Who teaches each class: those of the roster, and those whom no roster brought. */
function planClassAdults(
	now: SchoolNow,
	roster: SchoolRoster,
	placeOf: Map<string, ClassPlace>,
	accountOf: Map<string, KnownAdult | null>
): RosterChange[] {
	const accounts = new Map(now.adults.map((one) => [one.id, one]));
	const classes = new Map(now.classes.map((one) => [one.id, one]));
	const teachers = new Map<string, RosterAdult[]>();
	for (const adult of roster.adults)
		if (accountOf.has(adult.sourcedId))
			for (const id of adult.classes) {
				const list = teachers.get(id);
				if (list) list.push(adult);
				else teachers.set(id, [adult]);
			}
	return [...placeOf.values()].flatMap(({ sourcedId, id, name }): RosterChange[] => {
		const wanted = teachers.get(sourcedId) ?? [];
		const there = (id === null ? [] : (classes.get(id)?.adults ?? [])).flatMap((one) => accounts.get(one) ?? []);
		const isWanted = new Set(wanted.flatMap((one) => accountOf.get(one.sourcedId)?.id ?? []));
		const come = wanted.filter((one) => {
			const account = accountOf.get(one.sourcedId);
			return !account || !there.includes(account);
		});
		const go = there.filter((one) => one.sourcedId !== null && !isWanted.has(one.id));
		if (come.length === 0 && go.length === 0) return [];
		return [
			{
				kind: 'adults of class',
				of: sourcedId,
				name,
				come: come.map(({ displayName }) => displayName),
				go: go.map(({ displayName }) => displayName),
				adults: wanted.map((one) => one.sourcedId),
				stay: there.filter((one) => one.sourcedId === null && !isWanted.has(one.id)).map((one) => one.id)
			}
		];
	});
}
