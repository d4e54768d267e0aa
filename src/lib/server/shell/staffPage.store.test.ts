import Type from 'typebox';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { post } from '../../../../tests/formPost';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { fileForm } from '../request/formFields';
import { staffAction } from './staffPage';
import { formCheck } from '../request/validate';
import type { Role } from '../request/viewer';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('staff_page');
});
afterAll(() => small.database.close());

const form = formCheck(
	Type.Object({ name: Type.String({ minLength: 1 }), count: Type.Optional(Type.Integer()) }),
	fileForm(1_000)
);

describe('a form action of staff', () => {
	it('is carried out with who asks, the school today, the form and its file', async () => {
		const action = staffAction('form groups', form, async ({ staff, school, at, form: { name, count }, file }) => ({
			done: `${name} ${count} ${staff.displayName} ${school.today} ${at.toISOString()} ${await file?.text()}`
		}));
		const fields = { name: 'x', count: '3', sheet: new File(['a,b'], 'sheet.csv') };
		expect(await post(small, staffAs('specialist'), action, fields)).toEqual({
			done: `x 3 specialist ${TODAY} ${NOW.toISOString()} a,b`
		});
	});

	it('is refused to roles that may not, to students and to nobody, before the form is read', async () => {
		let times = 0;
		const action = staffAction('form groups', form, async () => ({ done: String(++times) }));
		for (const role of ['teacher', 'interventionist'] satisfies Role[])
			await expect(post(small, staffAs(role), action, { name: '' })).rejects.toMatchObject({ status: 403 });
		const student = { kind: 'student', id: seenOne(1), schoolId: 1, givenName: 'Given1', grade: 4 } as const;
		for (const viewer of [student, null])
			await expect(post(small, viewer, action, { name: 'x' })).rejects.toMatchObject({ status: 404 });
		expect(times).toBe(0);
	});

	it('is refused for a form that is wrong, with what is wrong or what the action says instead', async () => {
		const plain = staffAction('form groups', form, async () => ({ done: 'never' }));
		const worded = staffAction('form groups', form, async () => ({ done: 'never' }), 'Say a name');
		const fields = { name: 'x', count: 'three' };
		expect(await post(small, staffAs('specialist'), plain, fields)).toEqual({
			status: 400,
			problem: expect.stringMatching(/count.*Nothing was changed\.$/)
		});
		expect(await post(small, staffAs('specialist'), worded, fields)).toEqual({
			status: 400,
			problem: 'Say a name. Nothing was changed.'
		});
	});
});
