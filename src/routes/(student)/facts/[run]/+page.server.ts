import { error } from '@sveltejs/kit';
import { idOf, studentContext } from '$lib/server/request';
import { factRunPage } from '$lib/server/sitting/factRunPage';

export async function load({ locals, params }) {
	const id = idOf(params.run);
	const page = id === null ? null : await factRunPage(locals, studentContext(locals), id);
	if (!page) error(404, 'This is not on your page.');
	return page;
}
