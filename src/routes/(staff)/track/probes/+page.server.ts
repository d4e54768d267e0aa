import { scopeOf, staffContext } from '$lib/server/shell/staffPage';
import { makeUpAction, startAction, undoStartAction } from '$lib/server/track/probesForm';
import { probesPage } from '$lib/server/track/probesPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	return { page: await probesPage(locals.database, staff, school, scope, url) };
}

export const actions = { start: startAction, undo: undoStartAction, makeUp: makeUpAction };
