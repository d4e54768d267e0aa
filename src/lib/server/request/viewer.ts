declare const visible: unique symbol;
/**
 * The id of a student whom the viewer may see: own, or of the own school or class. Only `store/people.ts` gives such ids
 * out, so that what is read about students is about those.
 */
export type VisibleId = number & { readonly [visible]: true };

export type Role = 'coordinator' | 'specialist' | 'interventionist' | 'teacher';

export interface Staff {
	kind: 'staff';
	id: number;
	schoolId: number;
	role: Role;
	displayName: string;
	/** The account at another school by which the person signs in; left out for who signs in by this one. */
	homeId?: number;
	/** Whether the person serves other schools as well. */
	servesOthers?: true;
	/** Whether the school needs a second factor of all staff and this one has none: nothing else can be done before. */
	lacksSecondFactor?: boolean;
}

/** The account that has a staff member's password and second factor. */
export const signsInBy = ({ id, homeId }: Staff): number => homeId ?? id;

export interface SignedInStudent {
	kind: 'student';
	id: VisibleId;
	schoolId: number;
	givenName: string;
	grade: number;
}

/** Who is asking. Every store function that shows or changes something takes one, or ids taken from one. */
export type Viewer = Staff | SignedInStudent;

export type Action =
	| 'run screening'
	| 'note absences'
	| 'give measures'
	| 'set cut scores'
	| 'calibrate'
	| 'form groups'
	| 'plan the timetable'
	| 'assign skill checks'
	| 'write notes'
	| 'keep materials'
	| 'assign practice'
	| 'plan probes'
	| 'take attendance'
	| 'decide'
	| 'change own account'
	| 'let students sign in'
	| 'change the library'
	| 'set up the school'
	| 'make PINs';

const allowed: Record<Action, Role[]> = {
	'run screening': ['coordinator', 'specialist'],
	'set cut scores': ['coordinator'],
	calibrate: ['coordinator'],
	'note absences': ['coordinator', 'specialist', 'interventionist', 'teacher'],
	'give measures': ['coordinator', 'specialist', 'interventionist', 'teacher'],
	'form groups': ['coordinator', 'specialist'],
	'plan the timetable': ['coordinator', 'specialist'],
	'assign skill checks': ['coordinator', 'specialist', 'interventionist', 'teacher'],
	'write notes': ['coordinator', 'specialist', 'interventionist', 'teacher'],
	'keep materials': ['coordinator', 'specialist', 'interventionist', 'teacher'],
	'assign practice': ['coordinator', 'specialist', 'interventionist', 'teacher'],
	'plan probes': ['coordinator', 'specialist', 'interventionist'],
	'take attendance': ['coordinator', 'specialist', 'interventionist'],
	decide: ['coordinator', 'specialist'],
	'change own account': ['coordinator', 'specialist', 'interventionist', 'teacher'],
	'let students sign in': ['coordinator', 'specialist', 'interventionist', 'teacher'],
	'change the library': ['coordinator', 'specialist'],
	'set up the school': ['coordinator'],
	'make PINs': ['coordinator', 'specialist', 'interventionist', 'teacher']
};

/** Whether a role may take back what colleagues did; everybody else only what they did themselves. */
export const undoesAll = (role: Role) => role === 'coordinator' || role === 'specialist';

/** Whether a role may do something at all; for whom is a matter of scope. */
export function may(role: Role, action: Action): boolean {
	return allowed[action].includes(role);
}
