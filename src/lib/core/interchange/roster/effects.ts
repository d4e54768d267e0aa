import { RULED_FIELDS, type RosterChange } from './schoolRoster';

/** What a roster does, as people look through it; what a person has to settle comes first. */
export const ROSTER_EFFECTS = [
	'settle',
	'join',
	'move',
	'return',
	'leave',
	'change',
	'find',
	'classes',
	'sections',
	'adults'
] as const;
export type RosterEffect = (typeof ROSTER_EFFECTS)[number];

/** Under which effect a change is looked at: `find` for who only is known by the source's id from then on. */
export function effectOf(change: RosterChange): Exclude<RosterEffect, 'settle'> {
	switch (change.kind) {
		case 'add student':
			return 'join';
		case 'renew student':
			return RULED_FIELDS.some((field) => change.before[field] !== change.after[field]) ? 'change' : 'find';
		case 'move student':
			return change.from === null ? 'return' : 'move';
		case 'student leaves':
			return 'leave';
		case 'add class':
		case 'renew class':
		case 'end class':
			return 'classes';
		case 'members of section':
			return 'sections';
		case 'add adult':
		case 'renew adult':
		case 'adults of class':
			return 'adults';
	}
}
