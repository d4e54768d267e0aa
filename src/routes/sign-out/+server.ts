import { redirect } from '@sveltejs/kit';
import { forgetViewer, SIGN_IN_COOKIE, signOut } from '$lib/server/auth';

export async function POST({ cookies, locals }) {
	const token = cookies.get(SIGN_IN_COOKIE);
	if (token) {
		forgetViewer(token);
		await signOut(locals.database, token);
	}
	cookies.delete(SIGN_IN_COOKIE, { path: '/' });
	redirect(303, locals.viewer?.kind === 'student' ? '/sign-in?as=student' : '/sign-in');
}
