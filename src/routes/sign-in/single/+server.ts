import { error, redirect } from '@sveltejs/kit';
import { beginSingleSignOn, keepSingleSignOn, provider } from '$lib/server/auth';

/** Sends the browser to the identity provider. */
export async function GET({ locals, url, cookies }) {
	const by = provider();
	if (!by) error(404, 'This installation knows no identity provider.');
	const begun = await beginSingleSignOn(locals.database, by, `${url.origin}/sign-in/single/done`, locals.at);
	if (!begun) redirect(303, '/sign-in?single=away');
	keepSingleSignOn(cookies, url, begun.kept);
	redirect(303, begun.address);
}
