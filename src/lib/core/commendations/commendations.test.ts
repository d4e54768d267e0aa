import { describe, expect, it } from 'vitest';
import { openBadge, propose, type Proposal, sayProposal, sayToStudent, type WeekFacts } from '.';

const facts = (change: Partial<WeekFacts> = {}): WeekFacts => ({
	...{ minutes: 0, minutesBefore: [0, 0, 0, 0], sessions: [], secure: [], series: [], risenBefore: [] },
	...change
});
const kinds = (change: Partial<WeekFacts>) => propose(facts(change)).map(({ is }) => is);
const days = (text: string) => [...text].map((one) => ({ attended: one === '1' }));

describe('what a student may be commended for', () => {
	it('is nothing where nothing stands out', () => expect(propose(facts())).toEqual([]));

	it.each([
		['half as many minutes again as usual', 30, [20, 20, 18, 22], true],
		['as many as always', 22, [20, 20, 18, 22], false],
		['many, but nothing to compare with', 60, [0, 0, 0, 30], false],
		['more than usual, but few', 15, [4, 5, 4, 5], false]
	])('effort: %s', (_, minutes, minutesBefore, is) =>
		expect(kinds({ minutes, minutesBefore }).includes('active minutes')).toBe(is)
	);

	it.each([
		['10011111', true],
		['10101111', true],
		['11101111', false],
		['00111101', false],
		['1111', false],
		['', false]
	])('effort: sessions %s', (text, is) => expect(kinds({ sessions: [days(text)] }).includes('in a row')).toBe(is));

	it('growth: skills made secure, and a series whose bands lie apart, once', () => {
		expect(propose(facts({ secure: [3, 5] }))).toEqual([{ kind: 'growth', is: 'secure', skillIds: [3, 5] }]);
		const series = [{ skillId: 4, probes: 5, of: 16, first: { lower: 3, upper: 5 }, last: { lower: 6, upper: 9 } }];
		expect(kinds({ series })).toEqual(['risen']);
		expect(kinds({ series, risenBefore: [4] })).toEqual([]);
		expect(kinds({ series: [{ ...series[0], probes: 3 }] })).toEqual([]);
		expect(kinds({ series: [{ ...series[0], last: { lower: 5, upper: 9 } }] })).toEqual([]);
	});

	it('is told to the adult with its figures, to the student without any of others', () => {
		const name = (id: number) => ['', '', '', 'Equal parts', 'Ratios', 'Polygons'][id];
		const all: Proposal[] = [
			{ kind: 'effort', is: 'active minutes', minutes: 42.4, usual: 20 },
			{ kind: 'effort', is: 'in a row', sessions: 4, missed: 2 },
			{ kind: 'growth', is: 'secure', skillIds: [3, 4, 5] },
			{ kind: 'growth', is: 'risen', skillId: 4, of: 16, from: { lower: 3, upper: 5 }, to: { lower: 6, upper: 9 } }
		];
		expect(all.map((one) => sayProposal(one, name))).toEqual([
			'42 active minutes this week; 20 in the usual week before.',
			'The last 4 sessions attended, after 2 of the 4 before were missed.',
			'Made secure since the cycle began: Equal parts, Ratios and Polygons.',
			'Probes on Ratios: the level rose from 3.0–5.0 to 6.0–9.0 of 16 (80%), more than their errors explain.'
		]);
		for (const said of all.map((one) => sayToStudent(one, name))) {
			expect(said).toMatch(/^(You|In your)/);
			expect(said).not.toMatch(/\bthan (others|the class)|best|rank/);
		}
	});
});

it('a badge has what Open Badges 3.0 asks of a credential, and no name in it', () => {
	const badge = openBadge({
		uuid: '7f9c24e5-0000-4000-8000-000000000001',
		kind: 'effort',
		school: 'Saltmarsh Bridge School',
		identity: { hash: 'ab'.repeat(32), salt: 'salt' },
		said: 'You were there for 4 group meetings in a row.',
		sentence: 'I saw how you came back.',
		givenAt: new Date('2026-11-23T15:00:00Z'),
		issuer: 'urn:uuid:7f9c24e5-0000-4000-8000-000000000002'
	});
	expect(badge.type).toEqual(['VerifiableCredential', 'OpenBadgeCredential']);
	expect(badge['@context'][0]).toBe('https://www.w3.org/ns/credentials/v2');
	expect(badge.validFrom).toBe('2026-11-23T15:00:00.000Z');
	expect(badge.credentialSubject.identifier[0]).toMatchObject({
		hashed: true,
		identityHash: `sha256$${'ab'.repeat(32)}`
	});
	expect(badge.credentialSubject.achievement.description).toContain('I saw how you came back.');
});
