import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { currentCycle } from './cycles';
import { findSchool } from './school';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('school');
});
afterAll(() => small.database.close());

describe('the school’s calendar', () => {
	it('takes today from the school’s time zone', async () => {
		expect((await findSchool(small.database, 1, new Date('2026-11-24T03:00:00Z'))).today).toBe('2026-11-23');
		await expect(findSchool(small.database, 99, NOW)).rejects.toThrow('99');
	});

	it('finds the cycle of a day, the last one after its end, none before the first', async () => {
		expect(await currentCycle(small.database, 1, TODAY)).toMatchObject({ number: 2, endsOn: '2026-12-20' });
		expect(await currentCycle(small.database, 1, '2027-03-01')).toMatchObject({ number: 2 });
		expect(await currentCycle(small.database, 1, '2026-10-25')).toBeNull();
	});
});
