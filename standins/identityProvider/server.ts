import { createHash, randomBytes } from 'node:crypto';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { exportJWK, generateKeyPair, SignJWT, type CryptoKey, type JWK } from 'jose';
import { escape } from '../escape';

export const CLIENT = { id: 'orderly-compass', secret: 'moon-and-mooring' };

/** Somebody who has an account with the provider. */
export interface Person {
	/** By which rosters know them. */
	id: string;
	name: string;
}

/** An identity provider as it runs. */
export interface RunningProvider {
	issuer: string;
	/** Signs with a new key from now on; the old one is shown no more. */
	rotateKey(): Promise<void>;
	stop(): Promise<void>;
}

/** What a client asked for, until its code is used. */
interface Granted {
	person: Person;
	nonce: string | null;
	challenge: string;
	redirect: string;
}

const textOf = async (request: IncomingMessage) => {
	let text = '';
	for await (const chunk of request.setEncoding('utf8')) text += chunk;
	return text;
};

/** Lets people sign in on loopback by OpenID Connect: discovery, authorization code with PKCE, a key that can be changed. */
export async function serveIdentities(people: Person[], port = 0): Promise<RunningProvider> {
	const granted = new Map<string, Granted>();
	let issuer = '';
	let key: { id: string; sign: CryptoKey; shown: JWK };
	async function rotateKey() {
		const { publicKey, privateKey } = await generateKeyPair('RS256');
		const id = randomBytes(6).toString('hex');
		key = { id, sign: privateKey, shown: { ...(await exportJWK(publicKey)), kid: id, alg: 'RS256', use: 'sig' } };
	}
	await rotateKey();
	const send = (response: ServerResponse, status: number, body: unknown) =>
		response.writeHead(status, { 'Content-Type': 'application/json' }).end(JSON.stringify(body));

	/** People to sign in as; choosing one leads back to the client. */
	function sendPeople(response: ServerResponse, asked: URLSearchParams) {
		const hidden = [...asked].map(
			([name, value]) => `<input type="hidden" name="${escape(name)}" value="${escape(value)}">`
		);
		response.writeHead(200, { 'Content-Type': 'text/html; charset=utf-8' }).end(`<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>Identity provider (stand-in)</title>
<style>body { max-width: 30rem; margin: 2rem auto; padding: 0 1rem; font: 16px/1.5 sans-serif; } select, button { font: inherit; min-height: 44px; }</style>
<h1>Who are you?</h1>
<p>A stand-in: it believes everybody.</p>
<form action="/choose">${hidden.join('')}
<label>Name <select name="person">${people
			.map(({ id, name }) => `<option value="${escape(id)}">${escape(name)}</option>`)
			.join('')}</select></label> <button>Sign in</button></form></html>`);
	}

	function choose(response: ServerResponse, asked: URLSearchParams) {
		const person = people.find(({ id }) => id === asked.get('person'));
		const [redirect, challenge] = [asked.get('redirect_uri'), asked.get('code_challenge')];
		if (!person || !redirect || !challenge || asked.get('code_challenge_method') !== 'S256')
			return send(response, 400, { error: 'invalid_request' });
		const code = randomBytes(18).toString('base64url');
		granted.set(code, { person, nonce: asked.get('nonce'), challenge, redirect });
		const back = new URL(redirect);
		back.searchParams.set('code', code);
		back.searchParams.set('state', asked.get('state') ?? '');
		return response.writeHead(302, { Location: back.href }).end();
	}

	async function exchange(request: IncomingMessage, response: ServerResponse) {
		const [id, secret] = Buffer.from((request.headers.authorization ?? '').replace('Basic ', ''), 'base64')
			.toString()
			.split(':')
			.map(decodeURIComponent);
		if (id !== CLIENT.id || secret !== CLIENT.secret) return send(response, 401, { error: 'invalid_client' });
		const asked = new URLSearchParams(await textOf(request));
		const grant = granted.get(asked.get('code') ?? '');
		granted.delete(asked.get('code') ?? '');
		const proof = createHash('sha256')
			.update(asked.get('code_verifier') ?? '')
			.digest('base64url');
		if (!grant || proof !== grant.challenge || asked.get('redirect_uri') !== grant.redirect)
			return send(response, 400, { error: 'invalid_grant' });
		const token = await new SignJWT({ name: grant.person.name, ...(grant.nonce ? { nonce: grant.nonce } : {}) })
			.setProtectedHeader({ alg: 'RS256', kid: key.id })
			.setIssuer(issuer)
			.setAudience(CLIENT.id)
			.setSubject(grant.person.id)
			.setIssuedAt()
			.setExpirationTime('5m')
			.sign(key.sign);
		return send(response, 200, {
			access_token: randomBytes(18).toString('base64url'),
			token_type: 'Bearer',
			expires_in: 300,
			id_token: token
		});
	}

	async function answer(request: IncomingMessage, response: ServerResponse): Promise<unknown> {
		const url = new URL(request.url ?? '/', issuer);
		switch (url.pathname) {
			case '/.well-known/openid-configuration':
				return send(response, 200, {
					issuer,
					authorization_endpoint: `${issuer}/authorize`,
					token_endpoint: `${issuer}/token`,
					jwks_uri: `${issuer}/keys`,
					response_types_supported: ['code'],
					subject_types_supported: ['public'],
					id_token_signing_alg_values_supported: ['RS256'],
					code_challenge_methods_supported: ['S256']
				});
			case '/keys':
				return send(response, 200, { keys: [key.shown] });
			case '/authorize':
				return sendPeople(response, url.searchParams);
			case '/choose':
				return choose(response, url.searchParams);
			case '/token':
				return exchange(request, response);
			default:
				return send(response, 404, { error: 'not_found' });
		}
	}
	const server = createServer((request, response) => {
		answer(request, response).catch(() => response.writeHead(500).end());
	});
	await new Promise<void>((resolve) => server.listen(port, '127.0.0.1', resolve));
	issuer = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
	return {
		issuer,
		rotateKey,
		stop: () =>
			new Promise<void>((resolve) => {
				server.closeAllConnections();
				server.close(() => resolve());
			})
	};
}
