import { redirect, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import pino from 'pino';
import { SIGN_IN_COOKIE, viewerOf } from '$lib/server/auth';
import { now } from '$lib/server/request';
import { database } from '$lib/server/database';
import { startJobs } from '$lib/server/jobs';
import { refreshNotices } from '$lib/server/notices';
import { findSchool } from '$lib/server/school';
import { keepAskedSet } from '$lib/server/sitting';

// On the error output, which whoever serves the app keeps and shows.
const log = pino({ level: process.env.LOG_LEVEL ?? 'info' }, pino.destination(2));

export const init: ServerInit = () => {
	startJobs(log);
};

const isStaffRoute = (id: string | null) => id?.startsWith('/(staff)') ?? false;
const isStudentRoute = (id: string | null) => id?.startsWith('/(student)') ?? false;

/** What a browser may do with what we send; scripts, styles and frames are a matter of svelte.config.js. */
const HEADERS = {
	'X-Content-Type-Options': 'nosniff',
	'Referrer-Policy': 'same-origin',
	'Cross-Origin-Opener-Policy': 'same-origin',
	'Cross-Origin-Resource-Policy': 'same-origin',
	// Names of students are on nearly every page, on that of signing in, too.
	'Cache-Control': 'private, no-store'
};

/** Staff can record a message for students; nothing else of a device is asked for, of anybody. */
const permissionsOf = (isStaff: boolean) =>
	`camera=(), microphone=(${isStaff ? 'self' : ''}), geolocation=(), payment=(), usb=(), browsing-topics=()`;

/** Whether a request changes nothing, or comes from a page of ours. Browsers say where a request that may change something comes from. */
const isOurs = (request: Request, origin: string) =>
	request.method === 'GET' || request.method === 'HEAD' || request.headers.get('origin') === origin;

/** Where what people do may be what a notice waited for. */
const CHANGES_NOTICES = /^\/\(staff\)\/(setup|screen|groups|decide)/;

/** Looks for notices anew, so that the next page does not tell what was just seen to. What was done stands in any case. */
async function lookThrough({ database: ours, at }: App.Locals, schoolId: number): Promise<void> {
	try {
		await refreshNotices(ours, await findSchool(ours, schoolId, at), at);
	} catch (error) {
		log.error({ err: error }, 'notices could not be looked for');
	}
}

/** Finds out who asks, and keeps people out of pages that are not theirs. Each route still checks for whom. */
export const handle: Handle = async ({ event, resolve }) => {
	if (!isOurs(event.request, event.url.origin))
		return new Response('This was sent from another place than this site. Nothing was changed.', {
			status: 403,
			headers: HEADERS
		});
	event.locals.at = now();
	event.locals.database = database();
	const token = event.cookies.get(SIGN_IN_COOKIE);
	event.locals.viewer = token ? await viewerOf(event.locals.database, token, event.locals.at) : null;
	const { viewer } = event.locals;
	if (isStaffRoute(event.route.id) && viewer?.kind !== 'staff') redirect(303, viewer ? '/today' : '/sign-in');
	if (isStaffRoute(event.route.id) && viewer?.kind === 'staff' && viewer.lacksSecondFactor)
		redirect(303, '/second-factor');
	if (isStudentRoute(event.route.id) && viewer?.kind !== 'student') {
		if (!viewer) keepAskedSet(event.cookies, event.url);
		redirect(303, viewer ? '/screen' : '/sign-in?as=student');
	}
	const response = await resolve(event);
	if (event.request.method === 'POST' && CHANGES_NOTICES.test(event.route.id ?? '') && viewer?.kind === 'staff')
		await lookThrough(event.locals, viewer.schoolId);
	for (const [name, value] of Object.entries(HEADERS)) response.headers.set(name, value);
	response.headers.set('Permissions-Policy', permissionsOf(viewer?.kind === 'staff'));
	if (event.url.protocol === 'https:') response.headers.set('Strict-Transport-Security', 'max-age=31536000');
	return response;
};

/** What went wrong stays in the log; people get words. What was asked for may have been done before it went wrong. */
export const handleError: HandleServerError = ({ error, event, status }) => {
	if (status === 404) return { message: 'There is nothing here for you at this address.' };
	if (status < 500) return { message: 'What was sent cannot be understood here. Nothing was changed.' };
	log.error({ err: error, route: event.route.id }, 'request failed');
	return {
		message:
			event.request.method === 'GET'
				? 'Something went wrong on our side. Please try again.'
				: 'Something went wrong on our side. Load the page again to see what was done, before you try once more.'
	};
};
