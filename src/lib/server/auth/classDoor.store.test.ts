import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { NOW, smallSchool, type SmallSchool } from '../../../../tests/smallSchool';
import { findDoor, studentOfKey, type Door } from './classDoor';
import { newToken } from './signIn';
import { signedText, signer } from './signedText';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('class_door');
});
afterAll(() => small.database.close());
beforeEach(() => small.database.run('DELETE FROM sign_in_try'));

const find = (code: string, address = '10.0.0.1', browserToken = newToken()) =>
	findDoor(small.database, code, { address, browserToken }, NOW);
const keysOf = async (code: string) => ((await find(code)) as Door).students.map(({ key }) => key);

describe('a class code', () => {
	it('opens the names of the class, each with a key that only this page gives out', async () => {
		const door = (await find('AVO1')) as Door;
		expect(door.name).toBe('Avocet');
		expect(door.students.map(({ givenName }) => givenName)).toEqual(['Given1', 'Given2', 'Given3', 'Given4']);
		for (const [i, { key }] of door.students.entries())
			expect(await studentOfKey(small.database, key, NOW)).toBe(i + 1);
	});

	it('is counted before it is looked up, also when many come at once', async () => {
		const many = await Promise.all(Array.from({ length: 60 }, (_, i) => find(`X${i}`)));
		expect(many.filter((one) => one === 'wrong')).toHaveLength(30);
		expect(many.filter((one) => one === 'too many')).toHaveLength(30);
		expect(await find('AVO1')).toBe('too many');
		expect(await find('AVO1', '10.0.0.2')).toHaveProperty('name');
	});

	it('that is right counts for nothing, and lets a browser that knows the class in whatever others do', async () => {
		const browser = newToken();
		for (let i = 0; i < 40; i++) expect(await find('AVO1', '10.0.0.1', browser)).toHaveProperty('name');
		for (let i = 0; i < 30; i++) await find(`X${i}`);
		expect(await find('AVO1', '10.0.0.1', browser)).toHaveProperty('name');
		expect(await find('CUR2', '10.0.0.1', browser)).toBe('too many');
	});
});

describe('the key of a student', () => {
	it('cannot be made up, changed, kept for long, or used for another purpose', async () => {
		const [first, second] = await keysOf('AVO1');
		const made = [
			'1',
			'',
			'.',
			`1 ${NOW.getTime() + 1e9}.`,
			first.replace(/^1 /, '2 '),
			`${first.split('.')[0]}.${second.split('.')[1]}`,
			(await signer(small.database, 'something else'))(`1 ${NOW.getTime() + 1e9}`)
		];
		for (const key of made) expect(await studentOfKey(small.database, key, NOW), key).toBeNull();
		expect(await studentOfKey(small.database, first, new Date(NOW.getTime() + 13 * 3_600_000))).toBeNull();
	});

	it('is known to every process of the installation', async () => {
		const sign = await signer(small.database, 'a purpose');
		expect(await signedText(small.database, 'a purpose', sign('text.with.dots'))).toBe('text.with.dots');
		expect(await small.database.rows('SELECT only_row FROM signing_key')).toHaveLength(1);
	});
});
