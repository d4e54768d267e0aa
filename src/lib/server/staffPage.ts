import { error, fail } from '@sveltejs/kit';
import { windowInView } from './screening';
import { findSchool, type School } from './store/calendar';
import { findScope, type Scope } from './store/people';
import { may, type Action, type Staff } from './viewer';

/** The signed-in staff member, her school, and today there. 404 for anyone else. */
export async function staffContext(locals: App.Locals): Promise<{ staff: Staff; school: School }> {
	if (locals.viewer?.kind !== 'staff') error(404, 'There is nothing here for you at this address.');
	return { staff: locals.viewer, school: await findSchool(locals.database, locals.viewer.schoolId, locals.at) };
}

/** The scope the address names; 404 when it is not this person's to see. */
export async function scopeOf(locals: App.Locals, url: URL, staff: Staff, school: School): Promise<Scope> {
	const scope = await findScope(locals.database, staff, url.searchParams.get('scope') ?? 'school', school.today);
	if (!scope) error(404, 'No such class, group or list of students for you.');
	return scope;
}

/** The staff member, if her role may do this; 403 with plain words otherwise. */
export async function staffWho(locals: App.Locals, action: Action) {
	const context = await staffContext(locals);
	if (!may(context.staff.role, action)) error(403, `Your account cannot ${action}. Ask a specialist or coordinator.`);
	return context;
}

/** A form's refusal: what is wrong, and that nothing was changed. */
export const refuse = (problem: string) => fail(400, { problem: `${problem}. Nothing was changed.` });

/** What every page on a screening window begins with: who asks, whom for, and the window that the address names. */
export async function screenContext(locals: App.Locals, url: URL) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const wanted = Number(url.searchParams.get('window')) || undefined;
	return { staff, school, scope, ...(await windowInView(locals.database, school, wanted)) };
}
