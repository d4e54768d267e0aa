import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addClasses } from '../people/store/classes';
import { addStudents, changeStudent, takeBackStudents } from '../people/store/enrollment';
import { changeProfile, schoolProfile } from '../school/store/profile';
import { logPage } from './logPage';
import { auditLog } from './store/auditLog';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('audit_log');
});
afterAll(() => small.database.close());

const coordinator = staffAs('coordinator');
const LATER = new Date(NOW.getTime() + 36 * 3_600_000);
const ALL = { accountId: null, studentId: null, action: null, from: null, until: null };
const page = (query = '') =>
	logPage(small.database, coordinator, small.school, new URL(`http://school.test/setup/log${query}`), NOW);

describe('the log', () => {
	it('has what was done with old and new values, by whom and about whom, and is read by each of them', async () => {
		const { database } = small;
		const record = { givenName: 'Ada', familyName: 'Diaz', preferredName: null, number: null, birthDate: null };
		const joining = [1, 2, 3, 4].map((n) => ({ ...record, givenName: `Ada${n}`, grade: 4, classId: 1 }));
		const ids = await addStudents(database, coordinator, joining, { from: TODAY, at: NOW });
		await changeStudent(database, staffAs('specialist'), ids[0], { ...record, grade: 5 }, LATER);
		await changeProfile(database, coordinator, { ...(await schoolProfile(database, 1)), name: 'Estuary' }, LATER);

		const { deeds, total, actions } = await page();
		expect(total).toBe(3);
		expect(deeds.map(({ action, by }) => [action, by])).toEqual([
			['change school', 'Staff 1'],
			['change student', 'Staff 2'],
			['add students', 'Staff 1']
		]);
		expect(deeds[0].lines).toEqual([{ name: 'name', before: 'School 1', value: 'Estuary' }]);
		expect(deeds[1]).toMatchObject({
			names: 'Ada Diaz',
			lines: [
				{ name: 'given name', before: 'Ada1', value: 'Ada' },
				{ name: 'grade', before: '4', value: '5' }
			]
		});
		expect(deeds[2]).toMatchObject({ students: 4, names: 'Ada Diaz, Ada2 Diaz, Ada3 Diaz' });
		expect(actions).toEqual(['add students', 'change school', 'change student']);

		const found = async (query: string) => (await page(query)).deeds.map(({ action }) => action);
		expect(await found(`?about=${ids[0]}`)).toEqual(['change student', 'add students']);
		expect(await found(`?about=${ids[1]}`)).toEqual(['add students']);
		expect(await found('?by=2')).toEqual(['change student']);
		expect(await found('?action=change school')).toEqual(['change school']);
		expect(await found(`?to=${TODAY}`)).toEqual(['add students']);
		expect(await found('?since=2026-11-24')).toEqual(['change school', 'change student']);
		expect(await found('?from=2')).toEqual(['add students']);

		// Who was added by mistake is gone from the log, too.
		await takeBackStudents(database, coordinator, [ids[3]], LATER);
		expect((await page(`?about=${ids[1]}`)).deeds[0]).toMatchObject({ students: 3 });
	});

	it('is of the own school', async () => {
		const elsewhere = { ...staffAs('coordinator', 20), schoolId: 2 };
		await addClasses(small.database, elsewhere, [{ name: 'Knot', grade: 3 }], NOW);
		const part = { from: 0, most: 10 };
		const theirs = await auditLog(small.database, elsewhere, ALL, part);
		expect(theirs.deeds.map(({ action }) => action)).toEqual(['add classes']);
		expect((await page('?action=add classes')).deeds.some(({ action }) => action === 'add classes')).toBe(false);
	});
});
