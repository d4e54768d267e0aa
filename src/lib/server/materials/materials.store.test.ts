import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { post, undo } from '../../../../tests/formPost';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import type { Viewer } from '../request';
import { findScope } from '../shell/store/scope';
import { assignSet } from '../practice';
import { fileOf } from './fileOf';
import { fileTypeOf } from './fileType';
import { givenActions } from './givenForm';
import { givenPage, materialPage } from './givenPage';
import { givenMaterials, givenToStudent, seeMaterial } from './store/given';
import { PART_BYTES } from './store/files';
import { insertMaterial } from './store/materials';

let small: SmallSchool;
const specialist = staffAs('specialist');
const teacher = staffAs('teacher');
const elsewhere = { ...specialist, id: 20, schoolId: 2 };

/** The smallest picture that is one: one white pixel. */
const PNG = Buffer.from(
	'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8/5+hHgAHggJ/PchI7wAAAABJRU5ErkJggg==',
	'base64'
);
const PDF = Buffer.from('%PDF-1.4\n1 0 obj<<>>endobj\ntrailer<<>>\n%%EOF');
const WAV = Buffer.concat([Buffer.from('RIFF'), Buffer.from([40, 0, 0, 0]), Buffer.from('WAVEfmt '), Buffer.alloc(28)]);

beforeAll(async () => {
	small = await smallSchool('materials');
});
afterAll(() => small.database.close());

const act = (
	action: keyof typeof givenActions,
	fields: Parameters<typeof post>[3],
	staff: Viewer = specialist,
	material?: number
) => post(small, staff, givenActions[action], fields, material ? { params: { material: String(material) } } : {});
const back = (answer: Awaited<ReturnType<typeof act>>) => undo(small, specialist, givenActions, answer, {});
const onPage = async (id: number) => (await givenToStudent(small.database, seenOne(id), NOW)).map(({ title }) => title);
const file = (name: string, content: Buffer) => new File([new Uint8Array(content)], name);
const give = (more: Record<string, string | File>, students = '1,2') =>
	act('give', { kind: 'note', title: 'Strips', students, ...more });
const idOf = (answer: Awaited<ReturnType<typeof act>>) => Number(answer.undo!.fields.material);
const list = async (staff = specialist) => {
	const scope = (await findScope(small.database, staff, 'school', TODAY))!;
	const url = new URL('http://school.test/page');
	return (await givenPage({ database: small.database, staff, school: small.school, url, scope }))!.materials;
};

describe('what is given to students', () => {
	it('is on the pages of those it was given to, says how many, and is taken back and given again', async () => {
		const given = await give({ note: 'Fold a strip into thirds at home.' });
		expect(given.done).toBe('“Strips” given to 2 students.');
		expect([await onPage(1), await onPage(2), await onPage(5)]).toEqual([['Strips'], ['Strips'], []]);
		expect((await list()).find(({ id }) => id === idOf(given))).toMatchObject({ students: 2, seen: 0, isTheirs: true });
		await back(given);
		expect(await onPage(1)).toEqual([]);
		const all = await givenMaterials(small.database, { staff: specialist, today: TODAY }, { from: 0, most: 30 });
		const behind = await givenMaterials(small.database, { staff: specialist, today: TODAY }, { from: 30, most: 30 });
		expect(behind).toEqual({ materials: [], total: all.total });
		const again = await act('giveBack', { students: '1', material: String(idOf(given)) });
		expect(await onPage(1)).toEqual(['Strips']);
		await back(again);
	});

	it('is looked at once by each, and stays to be looked at again', async () => {
		const given = await give({ kind: 'link', title: 'Thirds', link: 'https://example.org/thirds' }, '1');
		expect(await seeMaterial(small.database, seenOne(2), idOf(given), NOW)).toBe(false);
		expect(await seeMaterial(small.database, seenOne(1), idOf(given), NOW)).toBe(true);
		expect(await seeMaterial(small.database, seenOne(1), idOf(given), NOW)).toBe(false);
		expect(await onPage(1)).toContain('Thirds');
		const page = (await materialPage(small.database, specialist, small.school, idOf(given)))!;
		expect(page.students).toMatchObject([{ id: 1, seenAt: NOW }]);
		expect(await materialPage(small.database, elsewhere, small.school, idOf(given))).toBeNull();
		await back(given);
	});

	it('is refused where it is empty, no address of the web, or for students who are not one’s own', async () => {
		expect((await give({ note: ' ' })).problem).toContain('empty');
		expect((await give({ title: '  ', note: 'a' })).problem).toContain('title');
		for (const link of ['javascript:alert(1)', 'not a link', 'ftp://example.org/a', ''])
			expect((await give({ kind: 'link', link })).problem).toContain('https://');
		expect((await act('give', { kind: 'note', title: 'a', note: 'b', students: '1,5' }, teacher)).problem).toContain(
			'not yours'
		);
		expect(
			(await act('give', { kind: 'note', title: 'a', note: 'b', students: '1' }, elsewhere)).problem
		).toBeDefined();
	});

	it('is a colleague’s to leave alone, but a task is marked by whoever leads it', async () => {
		const note = idOf(await give({ note: 'a' }, '1'));
		expect((await act('take', { students: '1' }, teacher, note)).problem).toContain('not yours to change');
		const task = await give({ kind: 'task', title: 'Build thirds', note: 'With strips' }, '1,2');
		const done = await act('done', { students: '1' }, teacher, idOf(task));
		expect(done.done).toBe('Done with 1 student.');
		expect(await seeMaterial(small.database, seenOne(2), idOf(task), NOW)).toBe(false);
		expect((await list()).find(({ id }) => id === idOf(task))).toMatchObject({ seen: 1, students: 2 });
		await back(done);
		expect((await list()).find(({ id }) => id === idOf(task))).toMatchObject({ seen: 0 });
	});
});

describe('files', () => {
	const asks = (viewer: Viewer | null, id: number, range: string | null = null) =>
		fileOf({ database: small.database, viewer, at: NOW }, id, range);
	const student = (id: number) => ({ kind: 'student', id, schoolId: 1 }) as unknown as Viewer;

	it('are told by what is in them, whatever they are called', async () => {
		expect(await fileTypeOf(PNG)).toBe('image/png');
		expect(await fileTypeOf(PDF)).toBe('application/pdf');
		expect(await fileTypeOf(WAV)).toBe('audio/wav');
		const page = '<html><script>alert(1)</script></html>';
		for (const [name, content] of [
			['thirds.png', Buffer.from(page)],
			['thirds.pdf', Buffer.from(`<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg"><script/></svg>`)],
			['thirds.mp3', Buffer.from('MZ program')]
		] as const)
			expect((await give({ kind: 'file', file: file(name, content) })).problem).toContain('whatever its name says');
		expect((await give({ kind: 'recording', file: file('a.ogg', PNG) })).problem).toContain('no sound');
		expect((await give({ kind: 'file' })).problem).toContain('Choose a file');
		await fc.assert(
			fc.asyncProperty(fc.uint8Array({ maxLength: 300 }), async (bytes) => {
				const type = await fileTypeOf(bytes);
				expect(type === null || /^(image|audio|application)\//.test(type)).toBe(true);
			}),
			{ numRuns: 200 }
		);
	});

	it('are refused beyond ten megabytes, and kept whole below', async () => {
		const large = Buffer.concat([PNG, Buffer.alloc(10_000_001 - PNG.length)]);
		expect((await give({ kind: 'file', file: file('large.png', large) })).problem).toContain('10 MB');
		const content = Buffer.concat([PDF, Buffer.from(Uint8Array.from({ length: 2 * PART_BYTES }, (_, i) => i % 251))]);
		const id = idOf(await give({ kind: 'file', file: file('Thirds “at home”.pdf', content) }, '1'));
		const whole = (await asks(student(1), id))!;
		expect(whole.headers.get('content-type')).toBe('application/pdf');
		expect(whole.headers.get('content-disposition')).toContain("filename*=UTF-8''Thirds%20%E2%80%9C");
		expect(Buffer.compare(Buffer.from(await whole.arrayBuffer()), content)).toBe(0);
		for (const [range, from, to] of [
			['bytes=0-9', 0, 9],
			[`bytes=${PART_BYTES - 3}-${PART_BYTES + 3}`, PART_BYTES - 3, PART_BYTES + 3],
			['bytes=-5', content.length - 5, content.length - 1],
			[`bytes=${content.length - 2}-`, content.length - 2, content.length - 1],
			['bytes=5-99999999', 5, content.length - 1]
		] as const) {
			const part = (await asks(student(1), id, range))!;
			expect([part.status, part.headers.get('content-range')], range).toEqual([
				206,
				`bytes ${from}-${to}/${content.length}`
			]);
			expect(Buffer.compare(Buffer.from(await part.arrayBuffer()), content.subarray(from, to + 1)), range).toBe(0);
		}
		for (const range of ['bytes=9-2', 'bytes=-', 'lines=1-2', `bytes=${content.length}-`])
			expect((await asks(student(1), id, range))!.status, range).toBe(200);
	});

	it('are seen by those they were given to and by staff of the school, and by nobody else', async () => {
		const given = await give({ kind: 'file', file: file('strip.png', PNG) }, '1');
		const id = idOf(given);
		const may = async (viewer: Viewer | null) => (await asks(viewer, id)) !== null;
		expect([await may(student(1)), await may(student(2)), await may(null)]).toEqual([true, false, false]);
		expect([await may(teacher), await may(elsewhere)]).toEqual([true, false]);
		await back(given);
		expect(await may(student(1))).toBe(false);
		// A set that begins with it gives it, too.
		const set = await assignSet(
			small.database,
			specialist,
			oneSkillSet(
				{ skillId: small.skills[0].id, groupId: null, itemCount: 5, opensOn: TODAY, dueOn: TODAY, studentIds: [2] },
				{ lessonId: id }
			),
			NOW
		);
		expect([await may(student(1)), await may(student(2))]).toEqual([false, true]);
		// Not before it opens.
		await small.database.run('UPDATE practice_set SET opens_on = ?, due_on = NULL WHERE id = ?', [
			addDays(TODAY, 1),
			set
		]);
		expect(await may(student(2))).toBe(false);
		await small.database.run('UPDATE practice_set SET opens_on = ? WHERE id = ?', [TODAY, set]);
		expect(await may(student(2))).toBe(true);
		await small.database.run('UPDATE practice_set SET withdrawn_at = ? WHERE id = ?', [NOW, set]);
		expect(await may(student(2))).toBe(false);
	});

	it('that were given to nobody go after two days; others stay', async () => {
		const material = { kind: 'file', title: 'a', note: '', link: null } as const;
		const kept = { name: 'a.png', type: 'image/png', content: PNG };
		const unused = await insertMaterial(small.database, specialist, { ...material, file: kept }, NOW);
		const used = idOf(await give({ kind: 'file', file: file('b.png', PNG) }, '1'));
		const later = (hours: number) => new Date(NOW.getTime() + hours * 3_600_000);
		const there = async () =>
			(
				await small.database.rows<{ id: number }>('SELECT id FROM material WHERE id IN (?) ORDER BY id', [
					[unused, used]
				])
			).map(({ id }) => id);
		await insertMaterial(small.database, specialist, { ...material, kind: 'note', note: 'b', file: null }, later(47));
		expect(await there()).toEqual([unused, used]);
		await insertMaterial(small.database, specialist, { ...material, kind: 'note', note: 'b', file: null }, later(49));
		expect(await there()).toEqual([used]);
		const parts = await small.database.rows(
			'SELECT file_id FROM material_file_part WHERE file_id NOT IN (SELECT id FROM material_file)'
		);
		expect(parts).toEqual([]);
	});
});
