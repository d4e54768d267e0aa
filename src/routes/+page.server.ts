import { redirect } from '@sveltejs/kit';

export function load({ locals }) {
	if (!locals.viewer) redirect(303, '/sign-in');
	redirect(303, locals.viewer.kind === 'staff' ? '/screen' : '/today');
}
