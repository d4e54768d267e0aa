import type { CommendationKind } from './propose';

/** What a badge tells of a commendation. */
export interface BadgeFacts {
	/** UUID of the commendation. */
	uuid: string;
	kind: CommendationKind;
	school: string;
	/** Of the student: their name, salted and hashed (SHA-256, hex), so that a badge names nobody to who does not know them. */
	identity: { hash: string; salt: string };
	/** What it was given for, and in whose words. */
	said: string;
	sentence: string;
	givenAt: Date;
	/** URI of who issues it. */
	issuer: string;
}

const NAMES: Record<CommendationKind, string> = { effort: 'Commended for effort', growth: 'Commended for growth' };
const CRITERIA: Record<CommendationKind, string> = {
	effort:
		'More active practice than in the student’s own weeks before, or group meetings in a row after some were missed.',
	growth: 'Skills made secure, or a level of weekly checks that rose by more than its error.'
};

/**
 * A commendation as an achievement credential of Open Badges 3.0 (1EdTech, on the Verifiable Credentials Data Model 2.0 of the
 * W3C): what is signed and taken out.
 */
export function openBadge({ uuid, kind, school, identity, said, sentence, givenAt, issuer }: BadgeFacts) {
	return {
		'@context': ['https://www.w3.org/ns/credentials/v2', 'https://purl.imsglobal.org/spec/ob/v3p0/context-3.0.3.json'],
		id: `urn:uuid:${uuid}`,
		type: ['VerifiableCredential', 'OpenBadgeCredential'],
		name: NAMES[kind],
		issuer: { id: issuer, type: ['Profile'], name: school },
		validFrom: givenAt.toISOString(),
		credentialSubject: {
			type: ['AchievementSubject'],
			identifier: [
				{
					type: 'IdentityObject',
					identityType: 'name',
					hashed: true,
					identityHash: `sha256$${identity.hash}`,
					salt: identity.salt
				}
			],
			achievement: {
				id: `${issuer}:${kind}`,
				type: ['Achievement'],
				name: NAMES[kind],
				description: `${sentence} ${said}`,
				criteria: { narrative: CRITERIA[kind] }
			}
		}
	};
}
