import { ROSTER_FILES, type RosterFile } from '../../../core/interchange/oneRoster/records';
import { REST_COLUMNS, type RestThing, rolesOf, rowsOf } from '../../../core/interchange/oneRoster/restRows';
import { type ReadRoster, RosterReader } from '../../../core/interchange/oneRoster/rosterReader';
import { isStandin } from '../../request';

/** Where a roster is fetched from, and as whom (OAuth 2.0 client credentials, RFC 6749, 4.4). */
export interface RosterService {
	/** Up to and without `/ims/oneroster/rostering/v1p2`. */
	address: string;
	tokenAddress: string;
	clientId: string;
	clientSecret: string;
}

const ROSTERING = '/ims/oneroster/rostering/v1p2';
const SCOPES = ['roster-core.readonly', 'roster.readonly', 'roster-demographics.readonly']
	.map((scope) => `https://purl.imsglobal.org/spec/or/v1p2/scope/${scope}`)
	.join(' ');
/** Things that are asked for at once. */
const PAGE = 500;
/** Things of a kind that a school may have: ten times a large one. */
const MOST = 100_000;
const PATIENCE_MS = 30_000;
/** Bytes of one answer. */
const LARGEST = 20_000_000;

/** The service cannot be read; its message says why, for people. */
export class UnreadableService extends Error {}

/** A service is asked over TLS; a stand-in on this machine may be asked without. */
export const isSafeAddress = (address: string): boolean => {
	if (!URL.canParse(address)) return false;
	const url = new URL(address);
	if (url.username || url.password) return false;
	return url.protocol === 'https:' || (url.protocol === 'http:' && isStandin(url));
};

async function ask(address: string, request: RequestInit): Promise<{ body: RestThing; total: number | null }> {
	if (!isSafeAddress(address)) throw new UnreadableService('The address is not one of https');
	let response: Response;
	let bytes: Buffer;
	try {
		response = await fetch(address, { ...request, redirect: 'error', signal: AbortSignal.timeout(PATIENCE_MS) });
		const parts: Uint8Array[] = [];
		let length = 0;
		for await (const part of (response.body ?? []) as AsyncIterable<Uint8Array>) {
			length += part.length;
			if (length > LARGEST) throw new UnreadableService('It sends more than can be read');
			parts.push(part);
		}
		bytes = Buffer.concat(parts);
	} catch (problem) {
		if (problem instanceof UnreadableService) throw problem;
		throw new UnreadableService(`${new URL(address).host} cannot be reached, or does not answer in time`);
	}
	if (response.status === 401 || response.status === 403)
		throw new UnreadableService(`It refuses the client’s name or secret (${response.status})`);
	if (!response.ok) throw new UnreadableService(`It answers with ${response.status} at ${new URL(address).pathname}`);
	try {
		const total = response.headers.get('x-total-count');
		return { body: JSON.parse(bytes.toString('utf8')), total: total === null ? null : Number(total) };
	} catch {
		throw new UnreadableService(`What it answers at ${new URL(address).pathname} is no JSON`);
	}
}

async function tokenFor({ tokenAddress, clientId, clientSecret }: RosterService): Promise<string> {
	const basic = Buffer.from(`${encodeURIComponent(clientId)}:${encodeURIComponent(clientSecret)}`).toString('base64');
	const { body } = await ask(tokenAddress, {
		method: 'POST',
		headers: { Authorization: `Basic ${basic}`, 'Content-Type': 'application/x-www-form-urlencoded' },
		body: new URLSearchParams({ grant_type: 'client_credentials', scope: SCOPES }).toString()
	});
	if (typeof body?.access_token !== 'string') throw new UnreadableService('It gives no token');
	return body.access_token;
}

/** Everything of a collection, page by page. */
async function collect({ address }: RosterService, token: string, path: string, key: string): Promise<RestThing[]> {
	const all: RestThing[] = [];
	for (;;) {
		const query = new URLSearchParams({ limit: String(PAGE), offset: String(all.length), filter: "status='active'" });
		const { body, total } = await ask(`${address}${ROSTERING}${path}?${query}`, {
			headers: { Authorization: `Bearer ${token}`, Accept: 'application/json' }
		});
		const page = body?.[key];
		if (!Array.isArray(page)) throw new UnreadableService(`There is no list of ${key} at ${path}`);
		all.push(...page.filter((thing): thing is RestThing => typeof thing === 'object' && thing !== null));
		if (all.length > MOST) throw new UnreadableService(`It has more than ${MOST} ${key}`);
		if (page.length === 0 || (total === null ? page.length < PAGE : all.length >= total)) return all;
	}
}

/** A service's schools, to choose from. */
export async function schoolsOfService(service: RosterService): Promise<{ sourcedId: string; name: string }[]> {
	const token = await tokenFor(service);
	const orgs = rowsOf('orgs', await collect(service, token, '/orgs', 'orgs'));
	return orgs.filter(({ type }) => type === 'school').map(({ sourcedId, name }) => ({ sourcedId, name }));
}

/**
 * Reads what a service has of one school, and says what is wrong with it as of a package: the “lines” are places in what was
 * sent, from 2 for the first.
 *
 * @throws UnreadableService
 */
export async function readService(service: RosterService, school: string): Promise<ReadRoster> {
	const token = await tokenFor(service);
	const own = `/schools/${encodeURIComponent(school)}`;
	const all = (path: string, key: string) => collect(service, token, path, key);
	const users = [...(await all(`${own}/students`, 'users')), ...(await all(`${own}/teachers`, 'users'))];
	// Who is both is sent twice.
	const people = [...new Map(users.map((user) => [user.sourcedId, user])).values()];
	const known = new Set(people.map(({ sourcedId }) => sourcedId));
	const rows: Record<RosterFile, Record<string, string>[]> = {
		orgs: rowsOf('orgs', await all('/orgs', 'orgs')),
		academicSessions: rowsOf('academicSessions', await all('/academicSessions', 'academicSessions')),
		courses: rowsOf('courses', await all('/courses', 'courses')),
		classes: rowsOf('classes', await all(`${own}/classes`, 'classes')),
		users: rowsOf('users', people),
		roles: rolesOf(people),
		enrollments: rowsOf('enrollments', await all(`${own}/enrollments`, 'enrollments')),
		demographics: rowsOf(
			'demographics',
			(await all('/demographics', 'demographics')).filter(({ sourcedId }) => known.has(sourcedId))
		)
	};
	const reader = new RosterReader();
	for (const file of ROSTER_FILES) {
		const columns = REST_COLUMNS[file];
		if (!reader.begin(file, columns)) continue;
		rows[file].forEach((row, i) =>
			reader.take(
				columns.map((column) => row[column]),
				i + 2
			)
		);
	}
	const modes = Object.fromEntries(ROSTER_FILES.map((file) => [file, 'bulk'])) as Record<RosterFile, 'bulk'>;
	return { manifest: { modes, source: new URL(service.address).host, isDelta: false }, ...reader.end() };
}
