import { fullName } from '$lib/core/words';

/** A student as a search finds them. */
export interface FoundStudent {
	id: number;
	givenName: string;
	familyName: string;
	className: string;
}

/** A student's name with the class, which tells those of one name apart. */
export const sayFound = (student: FoundStudent) => `${fullName(student)}, ${student.className}`;
