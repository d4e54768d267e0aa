import { fullName, sayGrade, tidyName } from '../../words';
import { problemOf } from '../studentList';
import type { StudentRecord } from '../studentRecord';
import { byKey, only, same } from './lookUp';
import type { ClassPlace } from './planClasses';
import {
	RULED_FIELDS,
	sourcedIdOf,
	type Matching,
	type RosterChange,
	type RosterDoubt,
	type RosteredStudent,
	type RosterRules,
	type RosterStudent,
	type SchoolNow,
	type SchoolRoster
} from './schoolRoster';

/** What becomes of the students, in which classes somebody stays, and who of the roster is who here. */
export function planStudents(
	now: SchoolNow,
	roster: SchoolRoster,
	placeOf: Map<string, ClassPlace>,
	rules: RosterRules,
	doubts: RosterDoubt[]
) {
	const find = finderOf(now, placeOf);
	const numbers = new Map(now.students.flatMap((one) => (one.number ? [[one.number.toLowerCase(), one.id]] : [])));
	const classNames = new Map(now.classes.map(({ id, name }) => [id, name]));
	const changes: { renewed: RosterChange[]; moved: RosterChange[]; left: RosterChange[] } = {
		renewed: [],
		moved: [],
		left: []
	};
	const met = new Set<number>();
	/** Who of the roster is who here; null for who would be added. */
	const known = new Map<string, number | null>();
	for (const source of roster.students) {
		const { line, sourcedId } = source;
		const name = fullName({ givenName: source.preferredName ?? source.givenName, familyName: source.familyName });
		const doubt = (kind: RosterDoubt['kind'], says: string) => doubts.push({ kind, of: 'student', name, line, says });
		const found = find(source);
		if ('doubt' in found) {
			for (const id of found.maybe) met.add(id);
			doubt('conflict', found.doubt);
			continue;
		}
		const { before, matchedBy } = found;
		if (before) met.add(before.id);
		const homes = source.classes.flatMap((id) => placeOf.get(id) ?? []);
		// Who is in one of several stays there.
		const home = homes.find(({ id }) => id !== null && id === before?.classId) ?? homes[0] ?? null;
		// Who has left, and comes back into no class, is in no section either.
		if (before && (home || before.classId !== null)) known.set(sourcedId, before.id);
		const record = recordOf(source, before, rules);
		const holder = record.number && numbers.get(record.number.toLowerCase());
		const problem = problemOfStudent(source, record, now);
		if (!home)
			doubt(
				'unmatched',
				before?.classId ? `In no class there; stays in ${classNames.get(before.classId)}` : 'In no class that is taken'
			);
		if (holder && holder !== before?.id) doubt('conflict', `The number ${record.number} is another student’s here`);
		else if (problem) doubt('conflict', problem);
		else if (before) {
			if (record.number) numbers.set(record.number.toLowerCase(), before.id);
			if (matchedBy || RULED_FIELDS.some((field) => record[field] !== before[field]))
				changes.renewed.push({
					kind: 'renew student',
					id: before.id,
					sourcedId,
					line,
					matchedBy,
					before: recordFrom(before),
					after: record
				});
			if (home && (home.id === null || home.id !== before.classId))
				changes.moved.push({
					kind: 'move student',
					id: before.id,
					name,
					from: before.classId === null ? null : (classNames.get(before.classId) ?? null),
					to: home.sourcedId,
					line
				});
		} else if (home) {
			if (record.number) numbers.set(record.number.toLowerCase(), 0);
			known.set(sourcedId, null);
			changes.renewed.push({ kind: 'add student', sourcedId, line, record, to: home.sourcedId });
		}
	}
	for (const one of now.students) {
		if (one.classId === null || met.has(one.id)) continue;
		const name = fullName({ givenName: one.preferredName ?? one.givenName, familyName: one.familyName });
		const from = classNames.get(one.classId) ?? '';
		if (one.sourcedId !== null) changes.left.push({ kind: 'student leaves', id: one.id, name, from });
		else
			doubts.push({
				kind: 'unmatched',
				of: 'student',
				name,
				line: null,
				says: `Here in ${from}, and not in the roster: stays`
			});
	}
	const goneOrMoved = new Set([...changes.moved, ...changes.left].flatMap((one) => ('id' in one ? [one.id] : [])));
	/** Who stays in which class. */
	const inClass = new Set(
		now.students.flatMap(({ id, classId }) => (classId === null || goneOrMoved.has(id) ? [] : [classId]))
	);
	return { changes: [...changes.renewed, ...changes.moved, ...changes.left], inClass, known };
}

/** Finds who of a school is meant by a student of a roster. */
function finderOf(now: SchoolNow, placeOf: Map<string, ClassPlace>) {
	const known = new Map(now.students.map((one) => [sourcedIdOf(now, 'student', one), one]));
	const free = now.students.filter(({ sourcedId }) => sourcedId === null);
	const byNumber = byKey(free, ({ number }) => number);
	const byName = byKey(free, ({ givenName, familyName }) => `${givenName} ${familyName}`);
	const claimed = new Set<number>();
	const claim = (before: RosteredStudent, matchedBy: Matching | null) => {
		claimed.add(before.id);
		return { before, matchedBy };
	};
	return (
		source: RosterStudent
	): { before: RosteredStudent | null; matchedBy: Matching | null } | { doubt: string; maybe: number[] } => {
		const before = known.get(source.sourcedId);
		if (before) return claim(before, null);
		const numbered = only(source.number ? byNumber.get(source.number.toLowerCase()) : undefined);
		if (numbered && !claimed.has(numbered.id)) {
			if (same(numbered.familyName, source.familyName) || same(numbered.givenName, source.givenName))
				return claim(numbered, 'number');
			return { doubt: `The number ${source.number} is ${fullName(numbered)}’s here`, maybe: [numbered.id] };
		}
		const namesakes = (byName.get(`${source.givenName} ${source.familyName}`.toLowerCase()) ?? []).filter(
			(one) => !claimed.has(one.id) && !(one.number && source.number)
		);
		const born = only(namesakes.filter((one) => one.birthDate !== null && one.birthDate === source.birthDate));
		if (born) return claim(born, 'name and birth date');
		const possible = namesakes.filter((one) => !(one.birthDate && source.birthDate));
		const classIds = source.classes.flatMap((id) => placeOf.get(id)?.id ?? []);
		const classmate = only(possible.filter(({ classId }) => classId !== null && classIds.includes(classId)));
		if (classmate) return claim(classmate, 'name and class');
		if (possible.length)
			return {
				doubt: 'Somebody of this name is here already: give them the number of the roster, and plan again',
				maybe: possible.map(({ id }) => id)
			};
		return { before: null, matchedBy: null };
	};
}

/** The record as it would be: what the source leaves empty, and what is ruled to be ours, stays. */
function recordOf(source: RosterStudent, before: RosteredStudent | null, { ours }: RosterRules): StudentRecord {
	const record = {
		givenName: tidyName(source.givenName),
		familyName: tidyName(source.familyName),
		preferredName: source.preferredName && tidyName(source.preferredName),
		number: source.number,
		grade: source.grade,
		birthDate: source.birthDate
	};
	if (!before) return { ...record, grade: record.grade ?? -1 };
	const kept = RULED_FIELDS.filter(
		(field) => record[field] === null || (ours.includes(field) && before[field] !== null)
	);
	return { ...record, ...Object.fromEntries(kept.map((field) => [field, before[field]])) } as StudentRecord;
}

const recordFrom = ({
	givenName,
	familyName,
	preferredName,
	number,
	grade,
	birthDate
}: StudentRecord): StudentRecord => ({
	givenName,
	familyName,
	preferredName,
	number,
	grade,
	birthDate
});

function problemOfStudent(source: RosterStudent, record: StudentRecord, { grades, today }: SchoolNow): string {
	if (record.grade < 0) return source.gradeCode ? `Grade ${source.gradeCode} is none of K to 12` : 'No grade';
	if (record.grade < grades.first || record.grade > grades.last) return `${sayGrade(record.grade)} is not taught here`;
	return problemOf(
		{
			...record,
			preferredName: record.preferredName ?? '',
			number: record.number ?? '',
			className: '',
			homeLanguage: ''
		},
		today
	);
}
