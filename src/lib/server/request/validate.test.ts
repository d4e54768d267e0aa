import fc from 'fast-check';
import Type from 'typebox';
import { describe, expect, it } from 'vitest';
import { formCheck, id, idList, jsonCheck, readForm, readJson, schoolDate } from './validate';

const fields = {
	student: id,
	on: schoolDate,
	note: Type.Optional(Type.String({ maxLength: 10 })),
	others: Type.Optional(idList(3))
};
const form = formCheck(Type.Object(fields));
const body = jsonCheck(Type.Object(fields, { additionalProperties: false }));

const eventWith = (request: Request) => ({ request }) as never;
const post = (content: BodyInit, type?: string) =>
	eventWith(
		new Request('http://school/', { method: 'POST', body: content, headers: type ? { 'content-type': type } : {} })
	);

describe('a form', () => {
	it('has its text turned into numbers and lists where these are meant', () => {
		expect(form({ student: '7', on: '2026-11-23', others: '3' })).toEqual({
			value: { student: 7, on: '2026-11-23', others: [3] }
		});
	});

	it.each([
		[{ on: '2026-11-23' }, /student/],
		[{ student: '0', on: '2026-11-23' }, /student must be >= 1/],
		[{ student: '1.5', on: '2026-11-23' }, /student must be integer/],
		[{ student: '4294967296', on: '2026-11-23' }, /student must be <= 4294967295/],
		[{ student: 'Infinity', on: '2026-11-23' }, /number is too large/],
		[{ student: '1e400', on: '2026-11-23' }, /number is too large/],
		[{ student: '7', on: '2026-02-30' }, /on must match format/],
		[{ student: '7', on: '9999-12-31' }, /on must match pattern/],
		[{ student: '7', on: '2026-11-23', note: 'x'.repeat(11) }, /note must NOT have more than 10/],
		[{ student: '7', on: '2026-11-23', others: ['1', '1'] }, /others must NOT have duplicate/],
		[{ student: '7', on: '2026-11-23', others: ['1', '2', '3', '4'] }, /others must NOT have more than 3/]
	])('is refused for %j', (input, problem) => {
		expect(form(input)).toEqual({ problem: expect.stringMatching(problem) });
	});

	it('takes no number without an end where nothing else bounds it', () => {
		const open = formCheck(Type.Object({ bound: Type.Number() }));
		for (const bound of ['Infinity', '-Infinity', '1e400', '9'.repeat(400)])
			expect(open({ bound }), bound).toHaveProperty('problem');
		expect(open({ bound: '1e300' })).toEqual({ value: { bound: 1e300 } });
	});

	it('never lets anything through that is not an id, whatever comes', () => {
		fc.assert(
			fc.property(fc.anything(), (student) => {
				const result = form({ student, on: '2026-11-23' });
				if ('value' in result) {
					expect(Number.isInteger(result.value.student)).toBe(true);
					expect(result.value.student).toBeGreaterThan(0);
				}
			})
		);
	});

	it('is read with fields that stand several times as lists', async () => {
		const content = new FormData();
		content.append('student', '7');
		content.append('on', '2026-11-23');
		content.append('others', '1');
		content.append('others', '2');
		expect(await readForm(post(content), form)).toEqual({
			value: { student: 7, on: '2026-11-23', others: [1, 2] },
			file: null
		});
	});

	it('that is none is refused in words', async () => {
		expect(await readForm(post('{"student":7}', 'application/json'), form)).toEqual({
			problem: 'The form could not be read'
		});
	});
});

describe('a JSON body', () => {
	it('must come in the types it is meant to have', () => {
		expect(body({ student: 7, on: '2026-11-23' })).toEqual({ value: { student: 7, on: '2026-11-23' } });
		expect(body({ student: '7', on: '2026-11-23' })).toHaveProperty('problem');
		expect(body({ student: 7, on: '2026-11-23', role: 'coordinator' })).toHaveProperty('problem');
	});

	it('that cannot be read, or does not fit, is a 400 that says nothing was changed', async () => {
		for (const content of ['', '{', '[]', '{"student":7}']) {
			await expect(readJson(post(content), body, 1_000)).rejects.toMatchObject({
				status: 400,
				body: { message: expect.stringContaining('Nothing was changed') }
			});
		}
	});

	it('that is larger than it may be is refused before it is read', async () => {
		await expect(readJson(post(`[${'1,'.repeat(600)}1]`), body, 1_000)).rejects.toMatchObject({
			status: 400,
			body: { message: 'What was sent is larger than 1 KB. Nothing was changed.' }
		});
	});

	it('holds no number that is none, and no character that cannot be stored', () => {
		const loose = jsonCheck(Type.Object({ held: Type.Unknown() }));
		for (const held of ['1e400', '[[-1e400]]', '"\\ud800"', '{"\\udfff":1}'])
			expect(loose(JSON.parse(`{"held":${held}}`)), held).toEqual({
				problem: expect.stringMatching(/cannot be stored/)
			});
		expect(loose({ held: ['\u{1f6a4}', 1.5, null] })).toHaveProperty('value');
	});

	it('is looked through however deeply it is nested', () => {
		const deep = JSON.parse(`${'['.repeat(20_000)}1e400${']'.repeat(20_000)}`);
		expect(jsonCheck(Type.Unknown())(deep)).toHaveProperty('problem');
	});
});
