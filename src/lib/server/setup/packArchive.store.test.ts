import { unzipSync, strFromU8 } from 'fflate';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { idsIn, twoSchools } from '../../../../tests/border/twoSchools';
import { NOW, TODAY } from '../../../../tests/smallSchool';
import { enrolledByIds } from '../people/store/enrollment';
import { fileName, packArchive } from './packArchive';
import { packStudent } from './packStudent';
import { archiveRows, PEOPLE_FILES, SCHOOL_FILES, WORK_FILES } from './store/archive';

let schools: Awaited<ReturnType<typeof twoSchools>>;
let unpacked: Record<string, Uint8Array>;
/** Files of the archive of the first school, by their names. */
let files: Record<string, string>;
const all = [...SCHOOL_FILES, ...PEOPLE_FILES, ...WORK_FILES];

beforeAll(async () => {
	schools = await twoSchools('archive');
	const { database, one } = schools;
	const parts: Uint8Array[] = [];
	for await (const part of packArchive(database, one.staff.coordinator, one.school, NOW)) parts.push(part.slice());
	unpacked = unzipSync(new Uint8Array(Buffer.concat(parts)));
	files = Object.fromEntries(Object.entries(unpacked).map(([name, bytes]) => [name, strFromU8(bytes)]));
});
afterAll(() => schools.database.close());

const csv = (name: string) =>
	Papa.parse<Record<string, string>>(files[`csv/${name}.csv`], { header: true, skipEmptyLines: true }).data;
const json = (name: string): Record<string, unknown>[] => JSON.parse(files[`json/${name}.json`]);

describe('the archive of a school', () => {
	it('has each table as CSV and as JSON, row by row the same, with every column in the dictionary', () => {
		const lists = Object.keys(files).filter((name) => !name.startsWith('files/'));
		expect(lists.sort()).toEqual(
			['dictionary.json', ...all.flatMap(({ name }) => [`csv/${name}.csv`, `json/${name}.json`])].sort()
		);
		const dictionary: { files: { name: string; columns: Record<string, string> }[] } = JSON.parse(
			files['dictionary.json']
		);
		for (const { name, columns } of dictionary.files) {
			const [rows, objects] = [csv(name), json(name)];
			expect(rows.length, name).toBe(objects.length);
			for (const row of [...rows, ...objects]) expect(Object.keys(row), name).toEqual(Object.keys(columns));
			expect(
				Object.values(columns).every((words) => words.length > 2),
				name
			).toBe(true);
		}
	});

	it('has what was given as a file, whole and under its number, and no other school’s', async () => {
		const { database, one } = schools;
		const rows = await database.rows<{ id: number; name: string; fileId: number }>(
			`SELECT material.id, material_file.name, material_file.id AS fileId FROM material
			JOIN material_file ON material_file.id = material.file_id WHERE material.school_id = ?`,
			[one.school.id]
		);
		expect(rows.length).toBeGreaterThan(0);
		expect(Object.keys(unpacked).filter((name) => name.startsWith('files/'))).toEqual(
			rows.map(({ id, name }) => `files/${id}/${name}`)
		);
		for (const { id, name, fileId } of rows) {
			const parts = await database.rows<{ content: Buffer }>(
				'SELECT content FROM material_file_part WHERE file_id = ? ORDER BY number',
				[fileId]
			);
			const content = Buffer.concat(parts.map((part) => part.content));
			expect(Buffer.from(unpacked[`files/${id}/${name}`]).equals(content)).toBe(true);
		}
	});

	it.each([
		['../../etc/passwd', '__.._etc_passwd'],
		['a/b\\c:d.png', 'a_b_c_d.png'],
		['..', '_'],
		['', 'file'],
		['Thirds, half.pdf', 'Thirds, half.pdf']
	])('calls a file that is called %j as every computer can', (name, called) => {
		expect(fileName(name)).toBe(called);
	});

	it('has something in every table of a school that has everything', () => {
		const empty = all.filter(({ name }) => json(name).length === 0).map(({ name }) => name);
		expect(empty).toEqual([]);
	});

	it('has all rows and nothing of another school', async () => {
		const { database, one, other } = schools;
		for (const [name, content] of Object.entries(files))
			expect(
				idsIn(content).filter((id) => id > other.base),
				name
			).toEqual([]);
		const counted = async (sql: string) => Number((await database.row<{ size: number }>(sql, [one.base]))!.size);
		expect(csv('answers')).toHaveLength(
			await counted(
				'SELECT COUNT(*) AS size FROM answer JOIN student ON student.id = answer.student_id WHERE student.school_id = ?'
			)
		);
		expect(csv('log').length).toBe(await counted('SELECT COUNT(*) AS size FROM audit_entry WHERE school_id = ?'));
	});

	it('tells questions once, whole, and answers as they were given', () => {
		const keys = json('questions').map(({ family, seed, edition }) => `${family} ${seed} ${edition}`);
		expect(new Set(keys).size).toBe(keys.length);
		expect(json('questions')[0].content).toHaveProperty('stem');
		for (const { family, seed, edition } of json('answers')) expect(keys).toContain(`${family} ${seed} ${edition}`);
	});

	it('has no secrets', () => {
		const everything = Object.values(files).join('\n');
		expect(everything).not.toContain('argon2');
		expect(everything).not.toContain('JBSWY3DPEHPK3PXP');
		expect(everything).not.toMatch(/pin_hash|password_hash|totp/);
	});

	it('lets no text be taken for a formula by a spreadsheet', async () => {
		const { database, one } = schools;
		await database.run(`UPDATE student SET given_name = '=1+1' WHERE id = ?`, [one.students[7]]);
		const parts: Uint8Array[] = [];
		for await (const part of packArchive(database, one.staff.coordinator, one.school, NOW)) parts.push(part.slice());
		const again = unzipSync(new Uint8Array(Buffer.concat(parts)));
		expect(strFromU8(again['csv/students.csv'])).toContain("'=1+1");
	});
});

describe('the file of a student', () => {
	it('has everything of the student and of nobody else', async () => {
		const { database, one } = schools;
		const [student] = await enrolledByIds(database, one.staff.coordinator, [one.students[0]], TODAY);
		const bytes = await packStudent(database, one.staff.coordinator, one.school, student, NOW);
		unpacked = unzipSync(bytes);
		const html = strFromU8(unpacked['student.html']);
		const { data } = JSON.parse(strFromU8(unpacked['student.json'])) as { data: Record<string, unknown[]> };
		for (const file of [...PEOPLE_FILES, ...WORK_FILES])
			expect(data[file.name], file.name).toHaveLength((await archiveRows(database, file, [student.id])).length);
		expect(data.answers.length).toBeGreaterThan(5);
		expect(html).toContain(`Given${one.students[0]}`);
		expect(html).toContain('Where the student stands');
		const others = one.students.slice(1);
		const text = html + JSON.stringify(data);
		expect(others.filter((id) => text.includes(`Given${id}`) || text.includes(`Family${id}`))).toEqual([]);
		const entry = await database.row<{ detail: string }>(
			`SELECT detail FROM audit_entry WHERE action = 'fetch student file' AND school_id = ?`,
			[one.base]
		);
		expect(JSON.parse(entry!.detail)).toEqual({ student: student.id });
	});
});
