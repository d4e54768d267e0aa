import { describe, expect, it } from 'vitest';
import { mostDoubtfulDomain, sayPlace, type SittingRow } from './sittingRows';

const row = (id: number, change: Partial<SittingRow> = {}): SittingRow => ({
	id,
	givenName: `Given ${id}`,
	familyName: 'Family',
	classId: 1,
	className: 'Avocet',
	grade: 4,
	status: 'not started',
	lastAt: null,
	given: null,
	note: null,
	accommodation: { readAloud: false, largerType: false, timeFactor: 1, itemsADay: null },
	sitting: null,
	...change
});
const sitting = { id: 1, trust: 'open', answered: 7, of: null, flags: [], resitOf: null };

describe('a row of the board', () => {
	it('says how far a sitting is, and of how many only where that is known', () => {
		expect(sayPlace(row(1, { status: 'under way', sitting }))).toBe('7 answered');
		expect(sayPlace(row(1, { status: 'under way', sitting: { ...sitting, of: 24 } }))).toBe('7 of 24 answered');
		expect(sayPlace(row(1, { status: 'to sit again', sitting: { ...sitting, resitOf: 'Geometry' } }))).toBe(
			'Geometry again'
		);
		expect(sayPlace(row(1))).toBe('');
	});

	it('says what a measure that was given came to', () => {
		const given = { attempted: 90, correct: 88, correctPerMinute: 88, standardError: 9.38, accuracy: 88 / 90 };
		expect(sayPlace(row(1, { status: 'finished', given }))).toBe('88 ± 9 correct a minute');
	});

	it('says why a student is missing and until when they can make up', () => {
		const note = { kind: 'excused' as const, reason: 'moved away', makeUpUntil: null };
		expect(sayPlace(row(1, { status: 'excused', note }))).toBe('moved away');
		const later = { kind: null, reason: '', makeUpUntil: '2026-12-11' };
		expect(sayPlace(row(1, { note: later }))).toBe('can make up until Fri, Dec 11');
	});

	it('offers the domain that most doubts are about to be sat again', () => {
		const about = (...domainIds: number[]) => ({ domainIds });
		expect(mostDoubtfulDomain([about(1, 4), about(4), about(2)])).toBe(4);
		expect(mostDoubtfulDomain([about(), about(2, 3)])).toBe(2);
		expect(mostDoubtfulDomain([about()])).toBeUndefined();
		expect(mostDoubtfulDomain([])).toBeUndefined();
	});
});
