/** Requests as a browser would send them, and how long they take. */
import { request } from 'node:http';
import { DEMO_PASSWORD } from '../../demo/people';

export interface Client {
	address: string;
	/** Of a sign-in; empty for a stranger. */
	cookie: string;
}

/** Posts over a connection of its own, since the server reads no further on one whose body it refuses. */
export async function post(
	{ address, cookie }: Client,
	path: string,
	content: BodyInit,
	type?: string
): Promise<{ status: number; text: string; milliseconds: number }> {
	const packed = new Response(content);
	const body = Buffer.from(await packed.arrayBuffer());
	const headers = {
		origin: address,
		accept: 'application/json',
		cookie,
		'content-type': type ?? packed.headers.get('content-type') ?? 'application/octet-stream',
		'content-length': body.length
	};
	const from = performance.now();
	return new Promise((resolve, reject) => {
		const sent = request(address + path, { method: 'POST', agent: false, headers }, (reply) => {
			let text = '';
			reply.setEncoding('utf8').on('data', (part) => (text += part));
			reply.on('end', () => resolve({ status: reply.statusCode!, text, milliseconds: performance.now() - from }));
			reply.on('error', reject);
		});
		// What comes after the answer, as that the rest was not read, tells nothing new.
		sent.on('error', reject);
		sent.end(body);
	});
}

export async function timeOf({ address, cookie }: Client, path: string): Promise<number> {
	const from = performance.now();
	await (await fetch(address + path, { headers: { cookie }, redirect: 'manual' })).arrayBuffer();
	return performance.now() - from;
}

/** Signs a member of the demo school's staff in. */
export async function signedIn(address: string, userName: string): Promise<Client> {
	const reply = await fetch(`${address}/sign-in?/staff`, {
		method: 'POST',
		body: new URLSearchParams({ userName, password: DEMO_PASSWORD }),
		headers: { origin: address },
		redirect: 'manual'
	});
	const cookie = reply.headers.getSetCookie().find((one) => one.startsWith('compass_sign_in='));
	if (!cookie) throw new Error(`${userName} could not sign in: ${reply.status}`);
	return { address, cookie: cookie.split(';')[0] };
}

export const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1];

/** Asks for a page again and again until work is done. @returns how long (ms) the slowest took, and the usual one */
export async function served(client: Client, path: string, work: Promise<unknown>) {
	let isDone = false;
	void work.catch(() => {}).finally(() => (isDone = true));
	const times: number[] = [];
	while (!isDone || times.length === 0) times.push(await timeOf(client, path));
	await work;
	return { slowest: Math.max(...times), usual: median(times), times: times.length };
}
