import { beforeAll, describe, expect, it } from 'vitest';
import { handle, handleError } from './hooks.server';

beforeAll(() => {
	// Nothing here asks the database.
	process.env.DATABASE_URL = 'mysql://nobody@127.0.0.1:1/nothing';
});

/** What a request without a sign-in gets, and whether it got through to a page. */
async function ask(address: string, init: RequestInit = {}) {
	let resolved = false;
	const event = {
		request: new Request(address, init),
		url: new URL(address),
		route: { id: '/sign-in' },
		cookies: { get: () => undefined },
		locals: {}
	};
	const resolve = () => {
		resolved = true;
		return new Response('a page');
	};
	return { reply: await handle({ event, resolve } as never), resolved };
}

describe('every answer', () => {
	it('is kept nowhere, sniffed by nobody, framed and fetched by no other site, and over https kept to https', async () => {
		const { reply } = await ask('http://school.test/sign-in');
		expect(reply.headers.get('cache-control')).toBe('private, no-store');
		expect(reply.headers.get('x-content-type-options')).toBe('nosniff');
		expect(reply.headers.get('cross-origin-resource-policy')).toBe('same-origin');
		expect(reply.headers.get('permissions-policy')).toContain('camera=()');
		expect(reply.headers.has('strict-transport-security')).toBe(false);
		const secure = await ask('https://school.test/sign-in');
		expect(secure.reply.headers.get('strict-transport-security')).toMatch(/^max-age=\d{8}$/);
	});
});

describe('what may change something', () => {
	const post = (headers: Record<string, string>) => ask('http://school.test/sign-out', { method: 'POST', headers });

	it('comes from our own pages, whatever its kind of body', async () => {
		for (const type of ['application/json', 'application/x-www-form-urlencoded', 'text/plain'])
			for (const origin of ['https://elsewhere.test', 'http://school.test:81', 'null', '']) {
				const { reply, resolved } = await post({ 'content-type': type, ...(origin ? { origin } : {}) });
				expect([reply.status, resolved], `${type} from ${origin}`).toEqual([403, false]);
				expect(await reply.text()).toContain('Nothing was changed');
			}
		expect((await post({ origin: 'http://school.test' })).resolved).toBe(true);
	});
});

describe('a fault', () => {
	const say = (method: string, status = 500) => {
		const event = { request: new Request('http://school.test/', { method }), route: { id: '/' } };
		return (handleError({ error: new Error('secret'), event, status, message: '' } as never) as { message: string })
			.message;
	};

	it('is told without its inside, and never says that nothing was done when something may have been', () => {
		expect(say('POST')).not.toMatch(/secret|[Nn]othing was changed/);
		expect(say('GET')).not.toContain('secret');
		expect(say('POST', 415)).toContain('Nothing was changed');
		expect(say('GET', 404)).toContain('nothing here for you');
	});
});
