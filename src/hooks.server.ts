import { redirect, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import pino from 'pino';
import { viewerOf } from '$lib/server/auth/sessionCache';
import { SESSION_COOKIE } from '$lib/server/auth/signIn';
import { now } from '$lib/server/clock';
import { database } from '$lib/server/database/current';
import { startJobs } from '$lib/server/jobs/start';

const log = pino({ level: process.env.LOG_LEVEL ?? 'info' });

export const init: ServerInit = () => startJobs(log);

const isStaffRoute = (id: string | null) => id?.startsWith('/(staff)') ?? false;
const isStudentRoute = (id: string | null) => id?.startsWith('/(student)') ?? false;

/** Finds out who asks, and keeps people out of pages that are not theirs. Each route still checks for whom. */
export const handle: Handle = async ({ event, resolve }) => {
	event.locals.at = now();
	event.locals.database = database();
	const token = event.cookies.get(SESSION_COOKIE);
	event.locals.viewer = token ? await viewerOf(event.locals.database, token, event.locals.at) : null;
	const { viewer } = event.locals;
	if (isStaffRoute(event.route.id) && viewer?.kind !== 'staff') redirect(303, viewer ? '/today' : '/sign-in');
	if (isStudentRoute(event.route.id) && viewer?.kind !== 'student')
		redirect(303, viewer ? '/screen' : '/sign-in?as=student');
	const response = await resolve(event);
	response.headers.set('X-Content-Type-Options', 'nosniff');
	response.headers.set('Referrer-Policy', 'same-origin');
	response.headers.set('Cross-Origin-Opener-Policy', 'same-origin');
	if (viewer) response.headers.set('Cache-Control', 'private, no-store');
	return response;
};

/** What went wrong stays in the log; people get words. */
export const handleError: HandleServerError = ({ error, event, status }) => {
	if (status === 404) return { message: 'There is nothing here for you at this address.' };
	log.error({ err: error, route: event.route.id }, 'request failed');
	return { message: 'Something went wrong on our side. Nothing was changed; please try again.' };
};
