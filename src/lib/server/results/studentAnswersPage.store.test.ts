import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { visibleAmong } from '../people';
import { assignSet } from '../practice';
import { beginPractice } from '../sitting';
import { resultFile, type ResultFile } from './resultFiles';
import { studentAnswersPage, studentAnswersTakenOut } from './studentAnswersPage';

let small: SmallSchool;
const specialist = staffAs('specialist');
const later = (minutes: number) => new Date(NOW.getTime() + minutes * 60_000);

beforeAll(async () => {
	small = await smallSchool('student_answers');
	for (const [i, skill] of small.skills.slice(0, 2).entries()) {
		const set = { skillId: skill.id, groupId: null, itemCount: 30, opensOn: TODAY, dueOn: addDays(TODAY, 4) };
		const id = await assignSet(small.database, specialist, oneSkillSet({ ...set, studentIds: [1, 2] }), NOW);
		for (const student of [1, 2]) {
			const sitting = await beginPractice(small.database, seenOne(student), { id }, small.skills, NOW);
			await small.answerAll(student, sitting, (position) => position % 3 !== i, 9_000, later(10 * i + 1));
		}
	}
});
afterAll(() => small.database.close());

const page = async (query = '', id = 1) => {
	const [student] = await visibleAmong(small.database, specialist, [id], TODAY);
	return studentAnswersPage(
		small.database,
		specialist,
		small.school,
		student,
		new URL(`http://school.test/answers?${query}`)
	);
};
const counted = async (where: string) =>
	Number(
		(await small.database.row<{ n: number }>(
			`SELECT COUNT(*) AS n FROM answer JOIN sitting ON sitting.id = answer.sitting_id WHERE answer.student_id = 1 ${where}`
		))!.n
	);

describe('the answers of a student', () => {
	it('are all there, the newest first, a part at a time, each once', async () => {
		const first = await page();
		expect(first.part).toEqual({ from: 0, most: 50, total: await counted('') });
		expect(first.part.total).toBe(60);
		const rest = await page('answers=50');
		const all = [...first.answers, ...rest.answers];
		expect(new Set(all.map(({ id }) => id)).size).toBe(60);
		const times = all.map(({ answeredAt }) => answeredAt.getTime());
		expect(times).toEqual([...times].sort((a, b) => b - a));
		expect(all.every(({ kind, attempt, seconds }) => kind === 'practice' && attempt === 1 && seconds === 9)).toBe(true);
	});

	it('are told with the question, and where not right with the key', async () => {
		for (const { correct, keyHtml, stemHtml, answerHtml, set } of (await page()).answers) {
			expect(stemHtml.length).toBeGreaterThan(5);
			expect(answerHtml.length).toBeGreaterThan(0);
			expect(keyHtml === '').toBe(correct);
			expect(set).not.toBeNull();
		}
	});

	it('are narrowed by skill, by right or not, and by kind of work, alone and together', async () => {
		const [{ id }] = small.skills;
		for (const [query, where] of [
			[`skill=${id}`, `AND answer.skill_id = ${id}`],
			['judged=not+right', 'AND NOT answer.correct'],
			['judged=right', 'AND answer.correct'],
			['kind=practice', "AND sitting.kind = 'practice'"],
			['kind=probe', "AND sitting.kind = 'probe'"],
			[`skill=${id}&judged=not+right&kind=practice`, `AND answer.skill_id = ${id} AND NOT answer.correct`]
		])
			expect((await page(query)).part.total, query).toBe(await counted(where));
		expect((await page('judged=not+right')).answers.every(({ correct }) => !correct)).toBe(true);
		// What is nothing narrows nothing.
		expect((await page('kind=nonsense&judged=perhaps&skill=x')).part.total).toBe(60);
	});

	it('offer the skills that the student has answered, and are of nobody else', async () => {
		expect((await page()).skills.map(({ id }) => id).sort()).toEqual(
			small.skills
				.slice(0, 2)
				.map(({ id }) => id)
				.sort()
		);
		expect((await page('', 5)).answers).toEqual([]);
		const [mine, theirs] = [await page(), await page('', 2)];
		expect(mine.answers.some(({ id }) => theirs.answers.some((other) => other.id === id))).toBe(false);
	});

	it('are taken out all at once, narrowed as the page is', async () => {
		const [student] = await visibleAmong(small.database, specialist, [1], TODAY);
		const url = new URL('http://school.test/answers?judged=not+right');
		const taken = await studentAnswersTakenOut(small.database, student, url);
		const send = (file: ResultFile) =>
			resultFile(small.database, specialist, small.school, file, taken, { origin: url.origin, at: NOW });
		const lines = (await (await send('answers.jsonl'))!.text()).trimEnd().split('\n');
		const shown = await page('judged=not+right');
		expect(lines.map((line) => JSON.parse(line).id)).toEqual(shown.answers.map(({ id }) => id));
		expect(await send('results.csv')).toBeNull();
		const names = (await (await send('columns.csv'))!.text()).split('\r\n').slice(1, -1);
		expect(names.every((line) => line.startsWith('answers,'))).toBe(true);
		expect((await send('results.xlsx'))!.headers.get('Content-Disposition')).toContain('.xlsx');
	});
});
