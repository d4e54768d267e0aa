import { error } from '@sveltejs/kit';
import { givenActions } from '$lib/server/materials/givenForm';
import { materialPage } from '$lib/server/materials/givenPage';
import { idOf } from '$lib/server/request';
import { staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, params }) {
	const { staff, school } = await staffContext(locals);
	const found = await materialPage(locals.database, staff, school, idOf(params.material) ?? 0);
	if (!found) error(404, 'Nothing that your students were given.');
	return found;
}

const { take, giveBack, done, notDone } = givenActions;
export const actions = { take, giveBack, done, notDone };
