import { describe, expect, it } from 'vitest';
import { cellsHtml } from './cellsHtml';
import { packedRow } from '../../../../tests/packedRow';
import type { MapColumn } from './columns';
import type { MapSkill } from './map';

const skill = (place: number, shortName = `Skill ${place}`): MapSkill => ({
	id: 10 + place,
	domainId: 1,
	code: `W${place}`,
	shortName,
	statement: '',
	grade: 3,
	term: 1,
	place
});
const column = (place: number, shortName?: string): MapColumn => ({
	kind: 'skill',
	domainId: 1,
	skill: skill(place, shortName),
	isFirst: place === 0
});
const row = {
	cells: packedRow('g5r@2026-11-18 s6 F0? u0'),
	row: 7,
	chosenSkillId: null,
	isShown: () => true,
	ground: true
};
const cellsOf = (html: string) => html.match(/<td .*?<\/td>/g)!;

describe('cells of the needle map as HTML', () => {
	it('say their standing in words, and show their needle from the sheet', () => {
		const [gap, secure, inferred, unseen] = cellsOf(
			cellsHtml(
				[0, 1, 2, 3].map((place) => column(place)),
				0,
				row
			)
		);
		expect(gap).toContain('aria-label="Skill 0: Gap, from 5 answers, last on Nov 18; ready next"');
		expect(gap).toContain('class="first needle" style="background-position:-0px -120px"');
		expect(secure).toContain('class="needle" style="background-position:-40px -0px"');
		expect(inferred).toMatch(/position:-20px -100px".*aria-label="Skill 2: Unseen \(0 answers\); could be either/);
		expect(unseen).toContain('position:-80px -0px"');
	});

	it('know their place among all columns, and are reached by script only until one is made the focus', () => {
		const [cell] = cellsOf(cellsHtml([column(2)], 30, row));
		expect(cell).toContain('data-at="7 30"');
		expect(cell).toContain('aria-colindex="32"');
		expect(cell).toContain('tabindex="-1"');
	});

	it('are blank where their needle is not asked for, bare without tint, and marked when chosen', () => {
		expect(cellsHtml([column(0)], 0, { ...row, isShown: () => false })).toContain('class="first blank"');
		expect(cellsHtml([column(1)], 1, { ...row, ground: false })).toContain('position:-40px -20px"');
		expect(cellsHtml([column(1)], 1, { ...row, chosenSkillId: 11 })).toContain(
			'class="chosen needle" style="background-position:-40px -0px"'
		);
	});

	it('sum up a folded domain', () => {
		const folded: MapColumn = {
			kind: 'folded',
			domainId: 1,
			name: 'Data & chance',
			skills: [skill(0), skill(1), skill(2)],
			isFirst: true
		};
		const html = cellsHtml([folded], 0, row);
		expect(html).toContain('aria-label="Data &amp; chance: 1 secure, 0 between, 1 gap, 1 unseen"');
		expect(html).toContain('<rect class="secure" width="1"');
	});

	it('let no name of a skill become markup', () => {
		const html = cellsHtml([column(0, '"><img src=x onerror=alert(1)>')], 0, row);
		expect(html).not.toContain('<img');
		expect(cellsOf(html)).toHaveLength(1);
	});
});
