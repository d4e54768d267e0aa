import { error } from '@sveltejs/kit';
import { fileOf } from '$lib/server/materials';
import { idOf } from '$lib/server/request';

/** The file of a material: for staff of its school, and for students who were given it. */
export async function GET({ locals, params, request }) {
	const id = idOf(params.material);
	const sent = id === null ? null : await fileOf(locals, id, request.headers.get('range'));
	if (!sent) error(404, 'There is nothing here for you at this address.');
	return sent;
}
