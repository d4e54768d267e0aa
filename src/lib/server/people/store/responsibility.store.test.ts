import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addDays } from '../../../core/calendar';
import { NOW, seen, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { findScope } from '../../shell/store/scope';
import { responsibleFor, setResponsible } from './responsibility';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('responsibility');
	await small.database.run(
		"INSERT INTO tier_interval (student_id, tier, from_on) VALUES (1, 2, '2026-09-01'), (2, 3, '2026-09-01'), (5, 2, '2026-09-01')"
	);
});
afterAll(() => small.database.close());

const TOMORROW = addDays(TODAY, 1);
const set = (ids: number[], account: number | null, from = TODAY) =>
	setResponsible(small.database, staffAs('coordinator'), seen(...ids), account, { from, at: NOW });
/** Whom a person's caseload holds on a day. */
const caseload = async (role: 'specialist' | 'interventionist', day = TODAY) => {
	const scope = await findScope(small.database, staffAs(role), 'caseload', day);
	return (await scope!.students()).map(({ id }) => Number(id)).sort();
};

describe('who is responsible for whom', () => {
	it('leaves nobody unseen: those without an adult are the specialist’s', async () => {
		expect(await caseload('specialist')).toEqual([1, 2, 5]);
		expect(await caseload('interventionist')).toEqual([]);
	});

	it('is what the caseload follows, from the day on', async () => {
		expect(await set([1, 2], 3, TOMORROW)).toEqual(
			new Map([
				[1, null],
				[2, null]
			])
		);
		expect([await caseload('specialist'), await caseload('interventionist')]).toEqual([[1, 2, 5], []]);
		expect([await caseload('specialist', TOMORROW), await caseload('interventionist', TOMORROW)]).toEqual([
			[5],
			[1, 2]
		]);
		expect(await responsibleFor(small.database, seen(1, 5), TOMORROW)).toEqual(
			new Map([[1, { id: 3, name: 'Staff 3' }]])
		);
	});

	it('goes from one to another, and back, without overlapping', async () => {
		await set([1], 2, TOMORROW);
		expect(await caseload('interventionist', TOMORROW)).toEqual([2]);
		expect(await set([1, 2], null, addDays(TODAY, 5))).toEqual(
			new Map([
				[1, 2],
				[2, 3]
			])
		);
		expect(await caseload('specialist', TOMORROW)).toEqual([1, 5]);
		expect(await caseload('specialist', addDays(TODAY, 5))).toEqual([1, 2, 5]);
	});

	it('is set only for students and by adults of the own school', async () => {
		await expect(set([9], 2)).rejects.toThrow('not of the school');
		await expect(set([1], 20)).rejects.toThrow('not of the school');
	});
});
