/** Signing in with an identity provider: OpenID Connect, authorization code with PKCE (RFC 7636). */
import {
	allowInsecureRequests,
	authorizationCodeGrant,
	buildAuthorizationUrl,
	calculatePKCECodeChallenge,
	ClientSecretBasic,
	Configuration,
	discovery,
	enableNonRepudiationChecks,
	randomNonce,
	randomPKCECodeVerifier,
	randomState
} from 'openid-client';
import { isWithin, type SchoolHours } from '../../core/calendar';
import type { RootDatabase } from '../database';
import { studentPin } from '../people';
import { isStandin } from '../request';
import { findSchool } from '../school';
import { askForCode } from './secondFactor';
import { signedText, signer } from './signedText';
import { newToken, tokenHash, type Trying } from './signIn';
import { knownByRoster } from './store/singleSignOns';
import { beginSignIn } from './store/signIns';

/** Who signs in has so long at the provider. */
const GOOD_FOR_MS = 10 * 60_000;
const PURPOSE = 'single sign-on';
/** Seconds for which the provider is waited for. */
const PATIENCE = 10;

/** The provider of this installation. */
export interface Provider {
	issuer: string;
	clientId: string;
	clientSecret: string;
	/** As people know it. */
	name: string;
	/** The claim that holds the roster's id. */
	claim: string;
}

/** The provider that this installation knows (`ORDERLY_OIDC_…`); null for none. */
export function provider(): Provider | null {
	const { ORDERLY_OIDC_ISSUER: issuer, ORDERLY_OIDC_CLIENT: clientId, ORDERLY_OIDC_SECRET: clientSecret } = process.env;
	if (!issuer || !clientId || !clientSecret) return null;
	const { ORDERLY_OIDC_NAME: name = 'your school’s account', ORDERLY_OIDC_CLAIM: claim = 'sub' } = process.env;
	return { issuer, clientId, clientSecret, name, claim };
}

let found: { issuer: string; configuration: Promise<Configuration> } | null = null;

/** Signatures are looked at; without TLS only a stand-in on this machine is asked. */
const checksOf = (issuer: string) => [
	enableNonRepudiationChecks,
	...(isStandin(new URL(issuer)) ? [allowInsecureRequests] : [])
];

/** What the provider says of itself, asked once while it answers. */
function configurationOf({ issuer, clientId, clientSecret }: Provider): Promise<Configuration> {
	if (found?.issuer === issuer) return found.configuration;
	const configuration = discovery(new URL(issuer), clientId, undefined, ClientSecretBasic(clientSecret), {
		execute: checksOf(issuer),
		timeout: PATIENCE
	});
	found = { issuer, configuration };
	configuration.catch(() => (found = null));
	return configuration;
}

/** The same without the keys that were asked for before: a provider may have changed them a moment ago. */
async function withFreshKeys(by: Provider): Promise<Configuration> {
	const known = await configurationOf(by);
	const fresh = new Configuration(
		{ ...known.serverMetadata() },
		by.clientId,
		undefined,
		ClientSecretBasic(by.clientSecret)
	);
	fresh.timeout = PATIENCE;
	for (const check of checksOf(by.issuer)) check(fresh);
	return fresh;
}

/** What this browser has to bring back. */
interface Kept {
	state: string;
	nonce: string;
	verifier: string;
	until: number;
}

/**
 * Begins signing in.
 *
 * @param back the address to which the provider sends the browser back
 * @returns where the browser goes, and what it keeps until it is back; null where the provider does not answer
 */
export async function beginSingleSignOn(
	database: RootDatabase,
	by: Provider,
	back: string,
	at: Date
): Promise<{ address: string; kept: string } | null> {
	const configuration = await configurationOf(by).catch(() => null);
	if (!configuration) return null;
	const kept: Kept = {
		...{ state: randomState(), nonce: randomNonce(), verifier: randomPKCECodeVerifier() },
		until: at.getTime() + GOOD_FOR_MS
	};
	const address = buildAuthorizationUrl(configuration, {
		redirect_uri: back,
		scope: 'openid',
		state: kept.state,
		nonce: kept.nonce,
		code_challenge: await calculatePKCECodeChallenge(kept.verifier),
		code_challenge_method: 'S256'
	});
	return { address: address.href, kept: (await signer(database, PURPOSE))(JSON.stringify(kept)) };
}

/** What came of it. `codeKey`: a second factor is asked for. */
export type SingleSignOnOutcome =
	{ token: string } | { codeKey: string } | { refused: 'failed' | 'not known' | 'closed'; hours?: SchoolHours };

/**
 * Ends signing in, for whom the roster knows by the id that the provider says; by a name nobody is known.
 *
 * @param address at which the browser came back
 * @param kept what it kept, as it was signed
 */
export async function endSingleSignOn(
	database: RootDatabase,
	by: Provider,
	address: URL,
	kept: string,
	trying: Pick<Trying, 'address' | 'browser' | 'held'>,
	at: Date
): Promise<SingleSignOnOutcome> {
	const text = await signedText(database, PURPOSE, kept);
	const before = text ? (JSON.parse(text) as Kept) : null;
	if (!before || before.until < at.getTime()) return { refused: 'failed' };
	const id = await idFrom(by, address, before);
	if (!id) return { refused: 'failed' };
	const known = await knownByRoster(database, id);
	if (known.length !== 1) return { refused: 'not known' };
	const [{ holder, asksForCode }] = known;
	if ('studentId' in holder) {
		const student = await studentPin(database, holder.studentId, at);
		if (!student) return { refused: 'not known' };
		const { hours, schoolId, timeZone } = student;
		if (hours && !isWithin(hours, at, timeZone, (await findSchool(database, schoolId, at)).calendar))
			return { refused: 'closed', hours };
	} else if (asksForCode) return { codeKey: await askForCode(database, holder.accountId, new Date()) };
	const token = newToken();
	const hashes = { tokenHash: tokenHash(token), heldHash: trying.held ? tokenHash(trying.held) : null };
	await beginSignIn(database, holder, hashes, trying, at);
	return { token };
}

/** The roster's id of who came back; null for what the provider did not say, or not for this browser. */
async function idFrom(by: Provider, address: URL, { state, nonce, verifier }: Kept): Promise<string | null> {
	try {
		const tokens = await authorizationCodeGrant(await withFreshKeys(by), address, {
			pkceCodeVerifier: verifier,
			expectedState: state,
			expectedNonce: nonce,
			idTokenExpected: true
		});
		const id = tokens.claims()?.[by.claim];
		return typeof id === 'string' && id.length > 0 && id.length <= 255 ? id : null;
	} catch {
		return null;
	}
}
