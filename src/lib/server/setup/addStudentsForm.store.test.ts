import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { post, undo } from '../../../../tests/formPost';
import { seen, smallSchool, staffAs, type SmallSchool } from '../../../../tests/smallSchool';
import { saidOf } from '../people';
import { addStudentsActions } from './addStudentsForm';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('add_students');
});
afterAll(() => small.database.close());

const coordinator = staffAs('coordinator');
/** A pasted list read as it is proposed, and added. */
async function add(text: string) {
	const read = await post(small, coordinator, addStudentsActions.read, { text, into: 'Avocet' });
	const { students } = read.plan as { students: Record<string, unknown>[] };
	const rows = students.map(({ givenName, familyName, preferredName, number, grade, birthDate, ...student }) => ({
		...{ givenName, familyName, preferredName, number, grade, birthDate },
		className: student.className,
		homeLanguage: student.homeLanguage
	}));
	return post(small, coordinator, addStudentsActions.add, { rows: JSON.stringify(rows), into: 'Avocet' });
}
/** Home languages by family name. */
async function languages() {
	const students = await small.database.rows<{ id: number; name: string }>(
		'SELECT id, family_name AS name FROM student WHERE school_id = 1 ORDER BY id'
	);
	const said = await saidOf(small.database, coordinator, seen(...students.map(({ id }) => id)));
	return Object.fromEntries(
		students.flatMap(({ id, name }) => (said.get(id) ?? []).map(({ value }): [string, string] => [name, value]))
	);
}

describe('a list of students with their home languages', () => {
	it('says them of who is new and of who is here, and is taken back with them', async () => {
		const [here] = await small.database.rows<{ given: string; family: string }>(
			'SELECT given_name AS given, family_name AS family FROM student WHERE id = 1'
		);
		const list = (language: string) =>
			`First name\tLast name\tHome language\n${here.given}\t${here.family}\t${language}\nIlse\tRahimi\tDari\nTomo\tOkafor\t`;
		const first = await add(list('Wolof'));
		expect(first.done).toContain('2 students added, home language of 2 noted, 1 were here already');
		expect(await languages()).toEqual({ [here.family]: 'Wolof', Rahimi: 'Dari' });
		// A list that says nothing new does nothing; one that says another thing is enough to be taken.
		expect(await add(`First name\tLast name\n${here.given}\t${here.family}`)).toMatchObject({ status: 400 });
		const second = await add(list('Serer'));
		expect(second.done).toContain('0 students added, home language of 1 noted');
		expect(await languages()).toMatchObject({ [here.family]: 'Serer' });
		const back = await undo(small, coordinator, addStudentsActions, second);
		expect(back.done).toContain('home language of 1 as before');
		expect(await languages()).toEqual({ [here.family]: 'Wolof', Rahimi: 'Dari' });
		expect((await undo(small, coordinator, addStudentsActions, first)).done).toContain('2 students taken back');
		expect(await languages()).toEqual({});
	});
});
