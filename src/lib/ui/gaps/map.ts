/** A student as a row of the needle map. */
export interface MapStudent {
	id: number;
	givenName: string;
	familyName: string;
	className: string;
	tier: number;
	/** A written cell a skill, see core/mastery/cell.ts. */
	cells: string;
}

/** A skill as a column of the needle map. */
export interface MapSkill {
	id: number;
	domainId: number;
	code: string;
	shortName: string;
	statement: string;
	grade: number;
	term: number;
	/** Its place in a student's cells. */
	place: number;
}
