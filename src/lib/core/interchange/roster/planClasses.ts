import { countBy, sayGrade, tidyName } from '../../words';
import { LONGEST_CLASS_NAME } from '../classList';
import { byKey, only } from './lookUp';
import {
	sourcedIdOf,
	type ClassKind,
	type RosterClass,
	type RosterChange,
	type RosterDoubt,
	type SchoolNow,
	type SchoolRoster
} from './schoolRoster';

/** Where a class of the roster is here: its id where there is one already. */
export interface ClassPlace {
	id: number | null;
	name: string;
	sourcedId: string;
}

/**
 * What becomes of classes and sections, and where each of them is here.
 *
 * @param kind of the classes that students belong to; others can come as sections
 */
export function planClasses(
	now: SchoolNow,
	roster: SchoolRoster,
	{ kind, words }: { kind: ClassKind; words: string[] },
	doubts: RosterDoubt[]
) {
	const isKnownSection = new Set(now.classes.flatMap((one) => (one.isSection ? [sourcedIdOf(now, 'class', one)] : [])));
	const isSection = ({ sourcedId, name, course }: RosterClass) =>
		isKnownSection.has(sourcedId) || words.some((word) => inWords(`${name} ${course}`).includes(inWords(word)));
	const chosen = roster.classes.filter((one) => one.kind === kind || isSection(one));
	const gradesIn = new Map<string, number[]>();
	for (const { grade, classes } of roster.students)
		if (grade !== null)
			for (const id of classes) {
				const grades = gradesIn.get(id);
				if (grades) grades.push(grade);
				else gradesIn.set(id, [grade]);
			}
	const called = byKey(chosen, ({ name }) => tidyName(name));
	const known = new Map(now.classes.map((one) => [sourcedIdOf(now, 'class', one), one]));
	const unclaimed = byKey(
		now.classes.filter(({ sourcedId }) => sourcedId === null),
		({ name }) => name
	);
	const found = chosen.map((source) => {
		const tidy = tidyName(source.name);
		const isShared = called.get(tidy.toLowerCase())!.length > 1;
		const name = isShared ? `${tidy} (${source.code || source.sourcedId})` : tidy;
		const before = known.get(source.sourcedId);
		const beside = source.kind !== kind;
		const namesakes = unclaimed.get(name.toLowerCase())?.filter((one) => one.isSection === beside);
		const alike = before ? null : only(namesakes);
		return { source, name, beside, before: before ?? alike, isAlike: alike !== null };
	});
	const kept = new Set(found.flatMap(({ before }) => before?.id ?? []));
	// Those that a roster brought and that it has no more come to an end, and leave their names.
	const taken = new Set(
		now.classes.flatMap((one) => (kept.has(one.id) || one.sourcedId !== null ? [] : [one.name.toLowerCase()]))
	);
	const changes: RosterChange[] = [];
	const placeOf = new Map<string, ClassPlace>();
	const sectionPlaceOf = new Map<string, ClassPlace>();
	for (const { source, name, beside, before, isAlike } of found) {
		const places = beside ? sectionPlaceOf : placeOf;
		const { sourcedId, line } = source;
		const grade = source.grade ?? mostCommon(gradesIn.get(sourcedId) ?? []) ?? before?.grade ?? null;
		if (before && before.isSection !== beside) {
			doubts.push({
				kind: 'conflict',
				of: 'class',
				name,
				line,
				says: beside ? 'It is a class here' : 'It is a section here'
			});
			continue;
		}
		const problem = problemOfClass(name, grade, now, taken);
		// A class that is here keeps its students, whatever is wrong with what the roster says of it.
		if (before) places.set(sourcedId, { id: before.id, name: before.name, sourcedId });
		if (problem) {
			doubts.push({ kind: 'conflict', of: 'class', name, line, says: problem });
			continue;
		}
		taken.add(name.toLowerCase());
		places.set(sourcedId, { id: before?.id ?? null, name, sourcedId });
		const after = { name, grade: grade! };
		if (!before) changes.push({ kind: 'add class', sourcedId, line, isSection: beside, ...after });
		else if (isAlike || before.name !== name || before.grade !== grade)
			changes.push({
				kind: 'renew class',
				id: before.id,
				sourcedId,
				line,
				matchedBy: isAlike ? 'name' : null,
				before: { name: before.name, grade: before.grade },
				after
			});
	}
	return { changes, placeOf, sectionPlaceOf, kept };
}

/** A text with a blank before each word: `math` begins a word of `Mathematics 4`, and none of `Aftermath`. */
const inWords = (text: string) =>
	` ${text
		.toLowerCase()
		.replace(/[^\p{L}\p{N}]+/gu, ' ')
		.trim()}`;

/** Why a class cannot be taken as the roster has it; empty where it can. */
function problemOfClass(name: string, grade: number | null, { grades }: SchoolNow, taken: Set<string>): string {
	if (grade === null) return 'It says no grade, and nobody in it does';
	if (name.length > LONGEST_CLASS_NAME) return `Its name has more than ${LONGEST_CLASS_NAME} characters`;
	if (grade < grades.first || grade > grades.last) return `${sayGrade(grade)} is not taught here; see School and year`;
	return taken.has(name.toLowerCase()) ? 'Another class has this name' : '';
}

function mostCommon(values: number[]): number | null {
	const [most] = countBy(values, String).sort(([a, n], [b, m]) => m - n || Number(a) - Number(b));
	return most ? Number(most[0]) : null;
}
