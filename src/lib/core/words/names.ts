/** A student's name as pages say it: given name first. */
export const fullName = ({ givenName, familyName }: { givenName: string; familyName: string }): string =>
	`${givenName} ${familyName}`;

/** A grade and term as text: `4·2`. */
export const sayLevel = ({ grade, term }: { grade: number; term: number }): string => `${grade}·${term}`;
