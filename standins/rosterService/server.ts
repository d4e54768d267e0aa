import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { randomBytes } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import { passTerm } from './passTerm';
import { type Collection, studentsIn, teachersIn, type Thing, type Things } from './things';

export const CLIENT = { id: 'orderly-compass', secret: 'ebb-and-flow' };
const ROSTERING = '/ims/oneroster/rostering/v1p2';
const DEFAULT_LIMIT = 100;

/** A roster service as it runs. */
export interface RunningRosterService {
	address: string;
	tokenAddress: string;
	/** Lets a term pass, as the button on its page does. */
	passTerm(): ReturnType<typeof passTerm>;
	/** Lets nobody be a student any more, as before a new year. */
	empty(): void;
	/** Whether it answers, or only says that it cannot. */
	setBroken(isBroken: boolean): void;
	stop(): Promise<void>;
}

const textOf = async (request: IncomingMessage) => {
	let text = '';
	for await (const chunk of request.setEncoding('utf8')) text += chunk;
	return text;
};

/** Whether a thing is what a filter asks for: `field='value'`, joined by AND, as far as the standard goes that is used here. */
function passes(thing: Thing, filter: string | null): boolean {
	if (!filter) return true;
	return filter.split(' AND ').every((part) => {
		const [, field, value] = /^(\w+)='(.*)'$/.exec(part.trim()) ?? [];
		return field !== undefined && String(thing[field]) === value;
	});
}

/** What lies at a path of the service; null for nothing. */
function found(things: Things, path: string): [Collection, Thing[]] | null {
	const [, name, school, part] = /^\/(\w+)(?:\/([^/]+)\/(\w+))?$/.exec(path) ?? [];
	if (!name) return null;
	if (name !== 'schools') return name in things && !school ? [name as Collection, things[name as Collection]] : null;
	const inSchool = (thing: Thing) => (thing.school as Thing | undefined)?.sourcedId === school;
	const hasRole = ({ roles }: Thing) => (roles as { org: Thing }[]).some(({ org }) => org.sourcedId === school);
	if (part === 'classes' || part === 'enrollments') return [part, things[part].filter(inSchool)];
	if (part === 'students') return ['users', studentsIn(things).filter(hasRole)];
	if (part === 'teachers') return ['users', teachersIn(things).filter(hasRole)];
	return null;
}

/**
 * Serves a roster on loopback as OneRoster 1.2 (REST), with OAuth 2.0 client credentials, and a page with a button that lets
 * a term pass.
 */
export async function serveRoster(things: Things, port = 0): Promise<RunningRosterService> {
	const tokens = new Set<string>();
	let terms = 0;
	let broken = false;
	const next = () => passTerm(things, ++terms);
	const send = (response: ServerResponse, status: number, body: unknown, headers: Record<string, string> = {}) =>
		response.writeHead(status, { 'Content-Type': 'application/json', ...headers }).end(JSON.stringify(body));

	async function answer(request: IncomingMessage, response: ServerResponse) {
		const url = new URL(request.url ?? '/', 'http://127.0.0.1');
		if (broken) return send(response, 503, { imsx_codeMajor: 'failure' });
		if (url.pathname === '/' && request.method === 'GET') return sendPage(response);
		if (url.pathname === '/pass-term' && request.method === 'POST') {
			next();
			return response.writeHead(303, { Location: '/' }).end();
		}
		if (url.pathname === '/token' && request.method === 'POST') {
			const [id, secret] = Buffer.from((request.headers.authorization ?? '').replace('Basic ', ''), 'base64')
				.toString()
				.split(':')
				.map(decodeURIComponent);
			const asked = new URLSearchParams(await textOf(request));
			if (id !== CLIENT.id || secret !== CLIENT.secret) return send(response, 401, { error: 'invalid_client' });
			if (asked.get('grant_type') !== 'client_credentials')
				return send(response, 400, { error: 'unsupported_grant_type' });
			const token = randomBytes(18).toString('base64url');
			tokens.add(token);
			return send(response, 200, { access_token: token, token_type: 'Bearer', expires_in: 3_600 });
		}
		if (!url.pathname.startsWith(`${ROSTERING}/`)) return send(response, 404, { imsx_codeMajor: 'failure' });
		if (!tokens.has((request.headers.authorization ?? '').replace('Bearer ', '')))
			return send(response, 401, { imsx_codeMajor: 'failure' });
		const there = found(things, url.pathname.slice(ROSTERING.length));
		if (!there) return send(response, 404, { imsx_codeMajor: 'failure' });
		const [key, all] = there;
		const wanted = all.filter((thing) => passes(thing, url.searchParams.get('filter')));
		const offset = Number(url.searchParams.get('offset') ?? 0);
		const limit = Number(url.searchParams.get('limit') ?? DEFAULT_LIMIT);
		return send(
			response,
			200,
			{ [key]: wanted.slice(offset, offset + limit) },
			{ 'X-Total-Count': String(wanted.length) }
		);
	}

	function sendPage(response: ServerResponse) {
		response.writeHead(200, { 'Content-Type': 'text/html; charset=utf-8' }).end(`<!doctype html>
<html lang="en"><meta charset="utf-8"><title>Roster service (stand-in)</title>
<h1>Roster service</h1><p>A stand-in: ${studentsIn(things).length} students in ${things.classes.length} classes; ${terms} terms have passed.</p>
<p>Client <code>${CLIENT.id}</code>, secret <code>${CLIENT.secret}</code>, token address <code>/token</code>.</p>
<form method="POST" action="/pass-term"><button>Let a term pass</button></form></html>`);
	}

	const server = createServer((request, response) => {
		answer(request, response).catch(() => send(response, 500, {}));
	});
	await new Promise<void>((resolve) => server.listen(port, '127.0.0.1', resolve));
	const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
	return {
		address,
		tokenAddress: `${address}/token`,
		passTerm: next,
		empty: () => {
			things.enrollments = [];
			things.users = teachersIn(things);
		},
		setBroken: (isBroken) => (broken = isBroken),
		stop: () =>
			new Promise((resolve) => {
				server.closeAllConnections();
				server.close(() => resolve());
			})
	};
}
