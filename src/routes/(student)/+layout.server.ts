import { studentContext } from '$lib/server/sitting';

export function load({ locals }) {
	return { givenName: studentContext(locals).givenName };
}
