import { defaultScope, findScope, type Scope } from './store/scope';
import { error, fail, type RequestEvent } from '@sveltejs/kit';
import { NotOfTheSchool, type RootDatabase } from '../database';
import { type RosterStudent, visibleAmong } from '../people';
import { findSchool, type School } from '../school';
import { type Action, type FormCheck, idsIn, may, readForm, type Staff } from '../request';

/** The signed-in staff member, the school, and today there, read once a request. 404 for anyone else. */
export async function staffContext(locals: App.Locals): Promise<{ staff: Staff; school: School }> {
	if (locals.viewer?.kind !== 'staff') error(404, 'There is nothing here for you at this address.');
	locals.school ??= findSchool(locals.database, locals.viewer.schoolId, locals.at);
	return { staff: locals.viewer, school: await locals.school };
}

/** The scope the address names, or else the person's own, read once a request; 404 when it is not theirs to see. */
export async function scopeOf(locals: App.Locals, url: URL, staff: Staff, school: School): Promise<Scope> {
	// Read each time, so that each load that asks is known to depend on it.
	const key = url.searchParams.get('scope');
	locals.scope ??=
		key === null
			? defaultScope(locals.database, staff, school.today)
			: findScope(locals.database, staff, key, school.today);
	const scope = await locals.scope;
	if (!scope) error(404, 'No such class, group or list of students for you.');
	return scope;
}

/** As many rows as may be asked for at once. */
const ROWS_A_TIME = 100;

/** The students whose rows an address asks for (`rows=1,2,3`), in that order, of those whom the staff member may see. */
export async function rowsAsked(locals: App.Locals, url: URL, staff: Staff, school: School): Promise<RosterStudent[]> {
	const ids = idsIn(url, 'rows', ROWS_A_TIME);
	const found = new Map<number, RosterStudent>(
		(await visibleAmong(locals.database, staff, ids, school.today)).map((student) => [student.id, student])
	);
	return ids.flatMap((id) => found.get(id) ?? []);
}

/** The staff member, if their role may do this; 403 with plain words otherwise. */
export async function staffWho(locals: App.Locals, action: Action) {
	const context = await staffContext(locals);
	if (!may(context.staff.role, action)) error(403, `Your account cannot ${action}. Ask a specialist or coordinator.`);
	return context;
}

/** A form's refusal: what is wrong, and that nothing was changed. */
export const refuse = (problem: string) => fail(400, { problem: `${problem}. Nothing was changed.` });

/** What a form action of staff works with: who asks, the form, the file that came with it, and the time now. */
interface Asked<T> {
	staff: Staff;
	school: School;
	database: RootDatabase;
	at: Date;
	form: T;
	file: File | null;
	event: RequestEvent;
}

/**
 * A form action for staff whose role may do something, with a form that passes a check; refused otherwise, with
 * what the check says or the problem named here.
 *
 * end: staffAction('run screening', sittingForm, async ({ staff, database, at, form }) => …)
 */
export const staffAction = <T, R>(
	action: Action,
	check: FormCheck<T>,
	act: (asked: Asked<T>) => Promise<R>,
	problem?: string
) =>
	Object.assign(
		async (event: RequestEvent) => {
			const who = await staffWho(event.locals, action);
			const read = await readForm(event, check);
			if ('problem' in read) return refuse(problem ?? read.problem);
			const { database, at } = event.locals;
			try {
				return await act({ ...who, database, at, form: read.value, file: read.file, event });
			} catch (error) {
				if (error instanceof NotOfTheSchool) return refuse('Something of this is not there, or not of your school');
				throw error;
			}
		},
		// Told for tests that send rubbish to every action.
		{ check }
	);
