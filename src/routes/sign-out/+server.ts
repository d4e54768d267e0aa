import { redirect } from '@sveltejs/kit';
import { forgetViewer } from '$lib/server/auth/sessionCache';
import { SESSION_COOKIE, signOut } from '$lib/server/auth/signIn';

export async function POST({ cookies, locals }) {
	const token = cookies.get(SESSION_COOKIE);
	if (token) {
		forgetViewer(token);
		await signOut(locals.database, token);
	}
	cookies.delete(SESSION_COOKIE, { path: '/' });
	redirect(303, locals.viewer?.kind === 'student' ? '/sign-in?as=student' : '/sign-in');
}
