/** A student's name as pages say it: given name first. */
export const fullName = ({ givenName, familyName }: { givenName: string; familyName: string }): string =>
	`${givenName} ${familyName}`;

/** A grade and term as text: `4·2`. */
export const sayLevel = ({ grade, term }: { grade: number; term: number }): string => `${grade}·${term}`;

/** A grade as a name by itself: `Grade 4`, `Kindergarten`. */
export const sayGrade = (grade: number): string => (grade === 0 ? 'Kindergarten' : `Grade ${grade}`);

/** A name without stray spaces, and not all in capitals: `  RUIZ-SOTO` is `Ruiz-Soto`. */
export function tidyName(text: string): string {
	const name = text.normalize('NFC').replace(/\s+/g, ' ').trim();
	const isShouted = name.length > 2 && /\p{Lu}/u.test(name) && !/\p{Ll}/u.test(name);
	return isShouted
		? name
				.toLocaleLowerCase('en')
				.replace(/(^|[\s'’-])(\p{L})/gu, (_, before, first) => before + first.toLocaleUpperCase('en'))
		: name;
}
