import { tidyName } from '../words';
import { readGrade } from './studentList';

/** Characters that the name of a class may have. */
export const LONGEST_CLASS_NAME = 60;

/**
 * Classes as they are typed, one a line: the name, then the grade (`Avocet 4`, `Room 12, grade K`).
 *
 * @returns the classes, or the first line that cannot be read, in words
 */
export function readClassList(text: string): { classes: { name: string; grade: number }[] } | { problem: string } {
	const classes: { name: string; grade: number }[] = [];
	for (const line of text.split(/\r\n|\r|\n/)) {
		if (!line.trim()) continue;
		const [, name, last] = /^(.*?)[\s,;·-]+((?:(?:grade|gr\.?)\s*)?\S+)$/i.exec(line.trim()) ?? [];
		const grade = last ? readGrade(last) : null;
		if (!name?.trim() || grade === null)
			return { problem: `“${line.trim()}” is no name with a grade from K to 12 after it, as “Avocet 4”` };
		if (name.length > LONGEST_CLASS_NAME)
			return { problem: `The name of a class has at most ${LONGEST_CLASS_NAME} characters` };
		if (classes.some((one) => one.name.toLowerCase() === tidyName(name).toLowerCase()))
			return { problem: `“${name}” stands there twice` };
		classes.push({ name: tidyName(name), grade });
	}
	return classes.length ? { classes } : { problem: 'Type a class a line: its name, then its grade' };
}
