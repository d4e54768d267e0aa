import { studentContext } from '$lib/server/request';

export function load({ locals }) {
	return { givenName: studentContext(locals).givenName };
}
