import { error, redirect } from '@sveltejs/kit';
import { endSingleSignOn, keepSignIn, provider, SIGN_IN_COOKIE, takeSingleSignOn } from '$lib/server/auth';
import { clientAddress } from '$lib/server/request';

/** Back from the identity provider. The page is a step between: a cookie of this site alone is not sent on the way from another. */
export async function load(event) {
	const { locals, url, cookies, request } = event;
	const by = provider();
	if (!by) error(404, 'This installation knows no identity provider.');
	const trying = {
		address: clientAddress(event),
		browser: request.headers.get('user-agent') ?? '',
		held: cookies.get(SIGN_IN_COOKIE)
	};
	const kept = takeSingleSignOn(cookies, url);
	const outcome = await endSingleSignOn(locals.database, by, url, kept, trying, locals.at);
	if ('token' in outcome) {
		keepSignIn(cookies, url, outcome.token);
		return { next: '/' };
	}
	if ('codeKey' in outcome) redirect(303, `/sign-in?${new URLSearchParams({ key: outcome.codeKey })}`);
	redirect(303, `/sign-in?${new URLSearchParams({ single: outcome.refused })}`);
}
