import type { RootDatabase } from '../../../src/lib/server/database/pool';
import type { Skill } from '../../../src/lib/server/library/store/skills';
import type { FilledSchool } from '../twoSchools';

/** What a store function is tried with. */
export interface Asking {
	database: RootDatabase;
	/** The school that asks: who signs in, and what is written about. */
	me: FilledSchool;
	/** Whose rows are asked for: the own school's, or another's. */
	of: FilledSchool;
	/** Skills that the asking school teaches. */
	skills: Skill[];
	/** A skill that only the school asked about has. */
	ownSkillId: number;
}

/** How a store function is tried. */
export interface Call {
	/**
	 * `checks`: the function itself sees to it that what it is asked for is the asking school's; tried with both.
	 * `given`: it takes what only functions that check give out, or belongs into their transactions; tried with own.
	 * `all`: it is about the installation and no school, or gives out SQL that others join; not tried.
	 */
	kind: 'checks' | 'given' | 'all';
	run: (asking: Asking) => unknown;
	/** What has to be the case for it to do something with own rows. */
	before?: (asking: Asking) => unknown;
}

export const checks = (run: Call['run'], before?: Call['before']): Call => ({ kind: 'checks', run, before });
export const given = (run: Call['run']): Call => ({ kind: 'given', run });
export const all: Call = { kind: 'all', run: () => null };
