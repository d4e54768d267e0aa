import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { twoSchools } from '../../../../tests/border/twoSchools';
import { NOW, TODAY } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { rebuildEverything } from '../standing/rebuild';
import { addStudents, changeStudent } from '../people/store/enrollment';
import { moveToClass, takeBackMoves } from '../people/store/moves';
import { eraseAgain } from './eraseAgain';
import { countTraces, erasedAgain, erasedStudents, eraseStudents, leftStudents } from './store/erasing';

const when = { today: TODAY, at: NOW };
let schools: Awaited<ReturnType<typeof twoSchools>>;
beforeAll(async () => {
	schools = await twoSchools('erasing');
	await rebuildEverything(schools.database);
});
afterAll(() => schools.database.close());

const coordinator = () => schools.one.staff.coordinator;
const leave = (...ids: number[]) =>
	moveToClass(schools.database, coordinator(), ids, null, { from: addDays(TODAY, -1), at: NOW });
const erase = (...ids: number[]) => eraseStudents(schools.database, coordinator(), ids, 'asked for', when);

/** Every column of the database that could hold a student's id, and every one that could hold words. */
async function columns(kind: 'ids' | 'words') {
	return schools.database.rows<{ t: string; c: string }>(
		`SELECT table_name AS t, column_name AS c FROM information_schema.columns
		WHERE table_schema = DATABASE() AND generation_expression IS NULL AND ${
			kind === 'ids'
				? `data_type IN ('int', 'bigint') AND (column_name IN ('student_id', 'other_id') OR (table_name = 'student' AND column_name = 'id'))`
				: `data_type IN ('varchar', 'text', 'mediumtext', 'longtext')`
		}`
	);
}

/** Where an id, or a word, still stands. */
async function standsIn(kind: 'ids' | 'words', what: number | string): Promise<string[]> {
	const places: string[] = [];
	for (const { t, c } of await columns(kind)) {
		const row = await schools.database.row<{ size: number }>(
			`SELECT COUNT(*) AS size FROM ${t} WHERE \`${c}\` ${kind === 'ids' ? '= ?' : "LIKE CONCAT('%', ?, '%')"}`,
			[what]
		);
		if (Number(row!.size)) places.push(`${t}.${c}`);
	}
	return places;
}

describe('erasing a student', () => {
	it('is refused while the student is in a class, or of another school', async () => {
		const { one, other } = schools;
		expect(await erase(one.students[0], other.students[0])).toEqual([]);
		expect(await standsIn('ids', one.students[0])).not.toEqual([]);
	});

	it('leaves no row about them and no word of them, and a count of what there was', async () => {
		const { database, one, other } = schools;
		const [id] = one.students;
		const record = {
			givenName: 'Zebedee',
			familyName: 'Quillfeather',
			preferredName: null,
			number: 'Z-77',
			grade: 4,
			birthDate: null
		};
		await changeStudent(database, coordinator(), id, record, NOW);
		await changeStudent(database, coordinator(), id, { ...record, givenName: 'Zeb' }, NOW);
		expect(await standsIn('words', 'Quillfeather')).toEqual(expect.arrayContaining(['audit_entry.detail']));
		await leave(id);
		const before = await countTraces(database, [id]);
		expect(before.answers).toBeGreaterThan(0);
		// Counted another way: row by row.
		for (const [name, table] of [
			['answers', 'answer'],
			['sittings', 'sitting'],
			['reviews', 'review'],
			['notes', 'student_note']
		] as const) {
			const rows = await database.rows<{ student: number }>(`SELECT student_id AS student FROM ${table}`);
			expect(before[name], name).toBe(rows.filter(({ student }) => student === id).length);
		}
		const others = await countTraces(database, [...one.students.slice(1), ...other.students]);
		expect((await leftStudents(database, one.base, TODAY, null)).map((student) => student.id)).toEqual([id]);
		expect(await erase(id)).toEqual([id]);
		expect(await standsIn('ids', id)).toEqual(['erasure.student_id']);
		expect(await standsIn('words', 'Quillfeather')).toEqual([]);
		expect(await standsIn('words', 'Z-77')).toEqual([]);
		expect(await countTraces(database, [...one.students.slice(1), ...other.students])).toEqual(others);
		const erased = (await erasedStudents(database, one.base)).find(({ studentId }) => studentId === id)!;
		expect(erased).toMatchObject({ studentId: id, why: 'asked for', counts: before, at: NOW });
		expect(erased.mark).toMatch(/^[0-9a-f]{64}$/);
	});

	it('leaves everything that is derived as it is made anew', async () => {
		expect(await rebuildEverything(schools.database)).toMatchObject({ different: 0, summariesChanged: 0 });
	});

	it('lists who has left for longer than a day', async () => {
		const { database, one } = schools;
		const ways = await leave(one.students[1]);
		const left = (before: string | null) => leftStudents(database, one.base, TODAY, before);
		expect((await left(null)).map(({ id, leftOn }) => [id, leftOn])).toEqual([[one.students[1], addDays(TODAY, -1)]]);
		expect(await left(addDays(TODAY, -1))).toEqual([]);
		expect(await left(TODAY)).toHaveLength(1);
		await takeBackMoves(database, coordinator(), ways, NOW);
		expect(await left(null)).toEqual([]);
	});
});

describe('after a backup was restored', () => {
	/** Students as a backup brings them back, under the numbers that they had. */
	const bringBack = async (id: number, givenName: string) => {
		const { database, one } = schools;
		const record = { givenName, familyName: 'Back', preferredName: null, number: null, grade: 4, birthDate: null };
		const [made] = await addStudents(database, coordinator(), [{ ...record, classId: one.classes.a }], {
			from: addDays(TODAY, -9),
			at: NOW
		});
		if (id !== made) {
			await database.run('SET FOREIGN_KEY_CHECKS = 0');
			for (const table of ['class_membership', 'audit_subject'])
				await database.run(`UPDATE ${table} SET student_id = ? WHERE student_id = ?`, [id, made]);
			await database.run('UPDATE student SET id = ? WHERE id = ?', [id, made]);
			await database.run('SET FOREIGN_KEY_CHECKS = 1');
		}
		return id;
	};

	it('those who were erased are recognized by their mark and erased again, and nobody else', async () => {
		const { database, one } = schools;
		const first = await bringBack(7_100_000 + 3_900, 'Ada');
		const second = await bringBack(7_100_000 + 3_901, 'Bo');
		await leave(first, second);
		expect(await erase(first, second)).toEqual([first, second]);
		const list = (await erasedStudents(database, one.base)).filter(({ studentId }) =>
			[first, second].includes(studentId)
		);
		await bringBack(first, 'Ada');
		await bringBack(second, 'Somebody else');
		expect(await erasedAgain(database, one.base, list)).toEqual({ same: [first], others: [second] });
		const lines = list.map(({ schoolId, studentId, mark }) => ({
			school: String(schoolId),
			student: String(studentId),
			mark
		}));
		const broken = { school: 'x', student: '1', mark: '' };
		const done = await eraseAgain(database, [...lines, { ...lines[0], school: '99' }, broken], NOW);
		expect(done).toEqual({ erased: 1, others: [second], unread: 1 });
		expect(await standsIn('ids', first)).toEqual(['erasure.student_id']);
		expect(await standsIn('ids', second)).toContain('student.id');
	});
});
