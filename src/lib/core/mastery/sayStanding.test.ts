import { describe, expect, it } from 'vitest';
import { standingNow } from '../../../../tests/standingNow';
import { cellFrom } from '../../../../tests/packedRow';
import { describeCell, describeStanding, sayStanding, standingWords } from './sayStanding';

describe('a standing in words', () => {
	it('says what it rests on', () => {
		expect(describeStanding({ standing: 'secure', inferred: null, answers: 9 })).toBe('Secure, from 9 answers');
		expect(describeStanding({ standing: 'gap', inferred: null, answers: 2 })).toBe('Gap, from 2 answers');
		expect(describeStanding(undefined)).toBe('Unseen: nothing is known yet');
	});

	it('says in full the share with its band, and how old the answers are once that is long', () => {
		const now = standingNow('gap', 0.02, { answers: 9, lastOn: '2026-11-18' });
		expect(sayStanding(now, '2026-11-23')).toMatch(
			/^Gap: right on about 2 of 10, between 1 and \d; from 9 answers, newest Wed, Nov 18$/
		);
		expect(sayStanding({ ...now, lastOn: '2026-09-18' }, '2026-11-23')).toMatch(
			/newest Fri, Sep 18; not seen for 9 weeks$/
		);
		const unseen = standingNow('unseen', 0.3, { answers: 0, inferred: 'forming' });
		expect(sayStanding(unseen, '2026-11-23')).toMatch(
			/^Unseen \(0 answers\); could be either.*: right on about 5 of 10/
		);
		expect(sayStanding(undefined, '2026-11-23')).toBe('Unseen: nothing is known yet');
	});

	it('never calls an inferred one Secure, Forming or Gap', () => {
		for (const inferred of ['gap', 'forming', 'secure'] as const) {
			const said = describeStanding({ standing: 'unseen', inferred, answers: 1 });
			expect(said).toMatch(/^Unseen \(1 answer\); .*going by what is near$/);
			expect(said).not.toMatch(/Secure|Forming|Gap/);
		}
	});

	it('tells the three inferences apart', () => {
		const said = (['gap', 'forming', 'secure'] as const).map((inferred) =>
			describeStanding({ standing: 'unseen', inferred, answers: 0 })
		);
		expect(new Set(said).size).toBe(3);
	});
});

describe('a cell in words', () => {
	it('is the standing with the day of its last answer, ready next where it is, and roughly known where it is', () => {
		expect(describeCell(cellFrom('g4r'))).toBe('Gap, from 4 answers; ready next');
		expect(describeCell(cellFrom('g4'))).toBe('Gap, from 4 answers');
		expect(describeCell(cellFrom('g4r@2026-11-18'))).toBe('Gap, from 4 answers, last on Nov 18; ready next');
		expect(describeCell(cellFrom('f2?'))).toBe('Forming, from 2 answers; known only roughly');
	});

	it('is the inference where too little was answered', () => {
		expect(describeCell(cellFrom('G0?'))).toBe('Unseen (0 answers); probably not yet there, going by what is near');
		expect(describeCell(cellFrom('u0'))).toBe('Unseen: nothing is known yet');
	});

	it('has a word for every standing', () => {
		expect(Object.values(standingWords)).toEqual(['Gap', 'Forming', 'Secure', 'Slipping', 'Unseen']);
	});
});
