import { describe, expect, it } from 'vitest';
import { packedRow } from '../../../../tests/packedRow';
import { readCell } from '$lib/core/mastery';
import { cellsOf, foldDomain, type MapSkill } from './map';

const skills = [0, 1, 2, 3].map((place) => ({ id: 10 + place, place }) as MapSkill);

describe('rows of the map', () => {
	it('come from base 64 as they were packed', () => {
		const bytes = packedRow('g5r@2026-11-18 s255 F0? l9');
		const row = { cells: Buffer.from(bytes).toString('base64') };
		expect(cellsOf(row)).toEqual(bytes);
		expect(readCell(cellsOf(row), 1)).toMatchObject({ standing: 'secure', answers: 255 });
		expect(cellsOf(row)).toBe(cellsOf({ ...row }));
	});

	it('sum up a folded domain by own answers; what is inferred counts as unseen', () => {
		const cells = packedRow('s5 g6r F0 l9');
		expect(foldDomain(cells, skills)).toEqual({ secure: 1, between: 1, gap: 1, unseen: 1 });
		expect(foldDomain(cells, skills.slice(2, 3))).toEqual({ secure: 0, between: 0, gap: 0, unseen: 1 });
		expect(foldDomain(cells, [])).toEqual({ secure: 0, between: 0, gap: 0, unseen: 0 });
	});
});
