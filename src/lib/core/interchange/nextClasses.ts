import { HIGHEST_GRADE } from './studentList';

/** A class's name and grade; kindergarten is grade 0. */
interface ClassOfGrade {
	name: string;
	grade: number;
}

/**
 * What a class may be called a year later: with the next grade where its name has the grade in it (`4A`, `Grade 4`, `KB`),
 * else the same. Only a proposal: the 4 of `Room 4` may be no grade.
 */
export function nextClassName({ name, grade }: ClassOfGrade): string {
	const own = grade === 0 ? /\bK(?=[A-Z]?\b)/ : new RegExp(`(?<!\\d)${grade}(?!\\d)`);
	return name.replace(own, String(grade + 1));
}

/**
 * What a class becomes in a new year: the next grade, or null where its students leave, as they are of the last grade, or
 * there are none.
 */
export function nextClass(now: ClassOfGrade & { students: number }, lastGrade: number): ClassOfGrade | null {
	if (now.students === 0 || now.grade >= Math.min(lastGrade, HIGHEST_GRADE)) return null;
	return { name: nextClassName(now), grade: now.grade + 1 };
}

/** Of a student whose class goes to another grade: as far from the class's as before, from kindergarten to the highest. */
export const gradeAlong = (student: number, before: number, after: number): number =>
	Math.min(HIGHEST_GRADE, Math.max(0, student + after - before));

/**
 * The classes of a new year, each with those that become it: classes of one name and grade become one.
 *
 * @returns them, or the name that two of different grades would have
 */
export function joinNext<Source>(
	plan: { source: Source; becomes: ClassOfGrade | null }[]
): { classes: (ClassOfGrade & { sources: Source[] })[] } | { taken: string } {
	const classes: (ClassOfGrade & { sources: Source[] })[] = [];
	for (const { source, becomes } of plan) {
		if (!becomes) continue;
		const same = classes.find(({ name }) => name.toLowerCase() === becomes.name.toLowerCase());
		if (same && same.grade !== becomes.grade) return { taken: becomes.name };
		if (same) same.sources.push(source);
		else classes.push({ ...becomes, sources: [source] });
	}
	return { classes };
}
