import { fullName } from '../../words';
import type { ClassPlace } from './planClasses';
import type { StudentRecord } from '../studentRecord';
import type { RosterChange, SchoolNow, SchoolRoster } from './schoolRoster';

/**
 * Who comes to the sections of a roster, and who goes from them. Whom no roster has brought stays, and so does who could
 * not be told from others.
 *
 * @param known who of the roster is who here; null for who would be added
 */
export function planSections(
	now: SchoolNow,
	roster: SchoolRoster,
	placeOf: Map<string, ClassPlace>,
	known: Map<string, number | null>
): RosterChange[] {
	const students = new Map(now.students.map((one) => [one.id, one]));
	const sourcedIds = new Map([...known].flatMap(([sourcedId, id]) => (id === null ? [] : [[id, sourcedId]])));
	const inRoster = new Map(roster.students.map((one) => [one.sourcedId, one]));
	const members = new Map(now.classes.map((one) => [one.id, one.members]));
	const wanted = new Map([...placeOf.keys()].map((section): [string, Set<string>] => [section, new Set()]));
	for (const { sourcedId, classes } of roster.students)
		if (known.has(sourcedId)) for (const section of classes) wanted.get(section)?.add(sourcedId);
	return [...placeOf.values()].flatMap(({ sourcedId: of, id, name }): RosterChange[] => {
		const there = (id === null ? null : members.get(id)) ?? [];
		const isThere = new Set(there.flatMap((one) => sourcedIds.get(one) ?? []));
		const go = there.filter((one) => {
			const found = sourcedIds.get(one);
			if (found !== undefined) return !wanted.get(of)!.has(found);
			const before = students.get(one)?.sourcedId ?? null;
			return before !== null && !inRoster.has(before);
		});
		const come = [...wanted.get(of)!].filter((one) => !isThere.has(one));
		if (come.length === 0 && go.length === 0) return [];
		return [
			{
				kind: 'members of section',
				of,
				name,
				come: come.map((sourcedId) => ({ sourcedId, name: nameOf(inRoster.get(sourcedId)!) })),
				go: go.map((one) => ({ id: one, name: nameOf(students.get(one)!) }))
			}
		];
	});
}

const nameOf = ({
	givenName,
	familyName,
	preferredName
}: Pick<StudentRecord, 'givenName' | 'familyName' | 'preferredName'>) =>
	fullName({ givenName: preferredName ?? givenName, familyName });
