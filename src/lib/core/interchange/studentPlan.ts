import type { SchoolDate } from '../calendar';
import { fullName } from '../words';
import type { ListedStudent } from './studentList';

/** A student whom the school has, or had, with the class of today; null for none. */
export interface KnownStudent {
	id: number;
	givenName: string;
	familyName: string;
	preferredName: string | null;
	number: string | null;
	birthDate: SchoolDate | null;
	classId: number | null;
}

interface SchoolClass {
	id: number;
	name: string;
	grade: number;
}

/** What a line of a list would do: `moves` from another class, `returns` after having left, `here` for nothing. */
export type PlannedEffect = 'new' | 'here' | 'moves' | 'returns' | 'bad';

export interface PlannedStudent extends Omit<ListedStudent, 'line' | 'grade'> {
	effect: PlannedEffect;
	/** The student who is meant; null for a new one. */
	studentId: number | null;
	/** That of the class where the line says none; null only where the line cannot be taken. */
	grade: number | null;
	/** The class that the student is in from then on. */
	className: string;
	/** Null for one that there is not yet. */
	classId: number | null;
}

/** What a list would do to a school. */
export interface StudentPlan {
	/** In the order of the list. */
	students: PlannedStudent[];
	/** Classes that there are not yet. */
	newClasses: { name: string; grade: number }[];
}

interface School {
	known: KnownStudent[];
	classes: SchoolClass[];
	/** The class of lines that name none; null where every line has to. */
	into: string | null;
	/** Grades taught, from the first to the last. */
	grades: { first: number; last: number };
}

const same = (one: string | null, other: string | null) => (one ?? '').toLowerCase() === (other ?? '').toLowerCase();

/** Those whom a line may mean: by number, else by name where neither number nor birth date says that it is another. */
function meant(student: Omit<ListedStudent, 'line'>, known: KnownStudent[]): KnownStudent[] {
	const { number, givenName, familyName, birthDate } = student;
	const byNumber = number ? known.filter((one) => same(one.number, number)) : [];
	if (byNumber.length) return byNumber;
	return known.filter(
		(one) =>
			same(one.familyName, familyName) &&
			(same(one.givenName, givenName) || same(one.preferredName, givenName)) &&
			!(number && one.number) &&
			!(birthDate && one.birthDate && birthDate !== one.birthDate)
	);
}

/**
 * What each line of a list would do. Nothing is stored; a line that cannot be taken says why, and keeps no other from
 * being taken. Whoever is in the school already is found by number, or by name.
 */
export function planStudents(listed: Omit<ListedStudent, 'line'>[], school: School): StudentPlan {
	const newClasses: SchoolClass[] = [];
	const classNamed = (name: string) => [...school.classes, ...newClasses].find((one) => same(one.name, name));
	const taken = new Set<number>();
	const students = listed.map((student): PlannedStudent => {
		const name = student.className || school.into || '';
		const there = classNamed(name);
		// Who has to be looked at keeps what the line says.
		const grade = student.grade ?? (student.problem ? null : (there?.grade ?? null));
		const found = meant(student, school.known);
		const planned = {
			...student,
			grade,
			className: there?.name ?? name,
			classId: there && there.id > 0 ? there.id : null,
			studentId: null,
			effect: 'bad' as const
		};
		const bad = (problem: string) => ({ ...planned, problem });
		if (student.problem) return planned;
		if (!name) return bad('No class');
		if (grade === null) return bad('No grade');
		const { first, last } = school.grades;
		if (grade < first || grade > last) return bad(`Grade ${grade || 'K'} is not taught here`);
		if (found.length > 1) return bad('Several students have this name: give the number or the birth date');
		if (!there) newClasses.push({ id: -1 - newClasses.length, name, grade });
		const [one] = found;
		if (!one) return { ...planned, effect: 'new' };
		if (same(one.number, student.number) && !isLike(student, one)) return bad(`This is the number of ${fullName(one)}`);
		if (taken.has(one.id)) return bad(`${fullName(one)} is meant twice`);
		taken.add(one.id);
		const effect = one.classId === null ? 'returns' : one.classId === planned.classId ? 'here' : 'moves';
		return { ...planned, effect, studentId: one.id };
	});
	const used = new Set(
		students.flatMap(({ effect, className }) => (effect === 'bad' ? [] : [className.toLowerCase()]))
	);
	return {
		students,
		newClasses: newClasses
			.filter(({ name }) => used.has(name.toLowerCase()))
			.map(({ name, grade }) => ({ name, grade }))
	};
}

/** Whether a name of a line is one of a student's: people marry, and lists shorten. */
const isLike = (student: Pick<ListedStudent, 'givenName' | 'familyName'>, one: KnownStudent) =>
	same(one.familyName, student.familyName) ||
	same(one.givenName, student.givenName) ||
	same(one.preferredName, student.givenName);
