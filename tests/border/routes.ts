import type { RequestEvent } from '@sveltejs/kit';
import type { RootDatabase } from '../../src/lib/server/database/pool';
import type { FormCheck } from '../../src/lib/server/request/validate';
import type { Viewer } from '../../src/lib/server/request/viewer';
import { NOW } from '../smallSchool';

type Act = ((event: RequestEvent) => Promise<unknown>) & { check?: FormCheck<unknown> };
interface RouteModule {
	load?: (event: never) => unknown;
	actions?: Record<string, Act>;
	GET?: (event: never) => Promise<Response>;
	POST?: (event: never) => Promise<Response>;
}

/** Every file of a route that runs on the server, by its path: `/(staff)/gaps/+page.server.ts`. */
export const modules = Object.fromEntries(
	Object.entries(import.meta.glob<RouteModule>('/src/routes/**/*server.ts', { eager: true })).map(([path, module]) => [
		path.replace('/src/routes', ''),
		module
	])
);

/** Which layouts' loads run before a page's: all on its way. */
export const layoutsOf = (path: string) =>
	Object.keys(modules).filter(
		(one) => one.endsWith('/+layout.server.ts') && path.startsWith(one.replace('+layout.server.ts', ''))
	);

/** Requests under way at the same time. */
const AT_ONCE = 4;

/** Does something with each one, several at a time: while the database answers one, another is worked on. */
export async function withEach<One>(ones: Iterable<One>, work: (one: One) => Promise<void>): Promise<void> {
	const waiting = ones[Symbol.iterator]();
	const worker = async () => {
		for (let next = waiting.next(); !next.done; next = waiting.next()) await work(next.value);
	};
	await Promise.all(Array.from({ length: AT_ONCE }, worker));
}

/** What a route is asked with. */
export interface Asking {
	database: RootDatabase;
	viewer: Viewer | null;
	path: string;
	params?: Record<string, string>;
	query?: string;
	body?: BodyInit;
	type?: string;
}

/** The event of a request, as far as our routes use it. */
export function eventFor({ database, viewer, path, params = {}, query = '', body, type }: Asking): RequestEvent {
	const place = path.replace(/\/\([^)]+\)/g, '').replace(/\/\+.*$/, '') || '/';
	const address = place.replace(/\[(\w+)\]/g, (_, name) => encodeURIComponent(params[name] ?? ''));
	const url = new URL(`http://school.test${address}${query}`);
	return {
		locals: { database, viewer, at: NOW },
		url,
		params,
		route: { id: path.replace(/\/\+.*$/, '') || '/' },
		request: new Request(url, {
			method: body === undefined ? 'GET' : 'POST',
			body,
			headers: type ? { 'content-type': type } : {}
		}),
		cookies: { get: () => undefined, set: () => {}, delete: () => {}, getAll: () => [], serialize: () => '' },
		getClientAddress: () => '10.0.0.1',
		depends: () => {},
		isDataRequest: false
	} as unknown as RequestEvent;
}

/** What a thrown refusal or redirect says; anything else that is thrown is a fault of ours. */
export function refusal(thrown: unknown): { status: number; said: unknown } | null {
	const { status, body, location } = (thrown ?? {}) as { status?: unknown; body?: unknown; location?: unknown };
	return typeof status === 'number' && status < 500 ? { status, said: body ?? location } : null;
}
