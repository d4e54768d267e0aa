import { describe, expect, it } from 'vitest';
import { itemFamilies, itemFrom, type ItemFamily } from './bank';
import recorded from './editions.json' with { type: 'json' };
import { fingerprint, nextEditions } from './recordEditions';

const [family, other] = itemFamilies;
const reworded: ItemFamily = {
	...family,
	make: (draw) => ({ ...family.make(draw), hint: 'Another hint.' })
};

describe('the editions of families', () => {
	it('are those of the questions that are made now (else run npm run items:editions)', () => {
		expect(nextEditions(itemFamilies, recorded)).toEqual(recorded);
	});

	it('go up by one for a family of which anything has changed, a hint even, and for no other', () => {
		const { [family.id]: raised, ...rest } = nextEditions([reworded, other], recorded);
		const { [family.id]: before, ...restBefore } = recorded as typeof rest;
		expect(raised).toEqual({ edition: before.edition + 1, items: fingerprint(reworded) });
		expect(rest).toEqual(restBefore);
	});

	it('begin with 1, and stay known of families that have left', () => {
		const isNew = { ...family, id: 'never-seen' };
		const after = nextEditions([isNew], recorded);
		expect(after['never-seen'].edition).toBe(1);
		expect(after[family.id]).toEqual((recorded as typeof after)[family.id]);
	});

	it('stand in each question', () => {
		expect(itemFrom(family.id, 7).edition).toBe((recorded as Record<string, { edition: number }>)[family.id].edition);
	});
});
