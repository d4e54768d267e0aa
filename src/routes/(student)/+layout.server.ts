import { studentContext } from '$lib/server/studentPage';

export function load({ locals }) {
	return { givenName: studentContext(locals).givenName };
}
