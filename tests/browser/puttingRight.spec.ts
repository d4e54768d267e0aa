import type { Locator, Page } from '@playwright/test';
import { unpackField } from '../../src/lib/core/mastery';
import { openDatabase } from '../../src/lib/server/database/pool';
import { address, expectAccessible, signInStaff } from './people';
import { expect, test } from './test';

/** Opens the results of the first set in the list of which several missed the same question. @returns that question */
async function openResults(page: Page): Promise<Locator> {
	await page.goto(`${address()}/practice?scope=school`);
	const links = await page
		.getByRole('link', { name: /^Results of .*: ([3-9]|\d\d) of \d+ finished$/ })
		.evaluateAll((found) => found.map((link) => link.getAttribute('href')!));
	const missed = page
		.getByRole('region', { name: 'Most missed' })
		.getByRole('listitem')
		.filter({ has: page.getByRole('link', { name: 'What they answered' }) })
		.filter({ has: page.getByRole('link', { name: /^Practice for these/ }) })
		.first();
	for (const href of links) {
		await page.goto(address() + href);
		if (await missed.isVisible()) return missed;
	}
	throw new Error('No set has a question that several missed');
}

/** Goes from one page of a set to another. */
async function turnTo(page: Page, name: 'Results' | 'The set'): Promise<void> {
	await page.getByRole('link', { name, exact: true }).click();
	await expect(page).toHaveURL(name === 'Results' ? /\/practice\/\d+\/results/ : /\/practice\/\d+(\?|$)/);
	await expect(page.getByRole('heading', { level: 1, name: /^Results: / })).toHaveCount(name === 'Results' ? 1 : 0);
}

/** Of all students: how many first tries were right. */
async function rightInAll(page: Page): Promise<number> {
	const said = await page.locator('.page-head').innerText();
	return Number(/(\d+) of \d+ answers? right at the first try/.exec(said)?.[1] ?? 0);
}

const notice = (page: Page) => page.locator('[data-notice]');

/** What the answers say of a student on a skill: the standing in words, and the newest answers it rests on. */
async function standing(page: Page, studentId: string, skillId: string): Promise<{ says: string; newest: string }> {
	const other = await page.context().newPage();
	await other.goto(`${address()}/gaps?scope=school&student=${studentId}&cell=${skillId}`);
	const evidence = other.locator('section.evidence');
	await expect(evidence).toBeVisible();
	const says = await evidence.locator('p strong').first().innerText();
	const newest = await evidence.getByRole('region', { name: 'Answers, newest first' }).innerText();
	await other.close();
	return { says, newest };
}

/** What is believed of a student on a skill, in logits: finer than words, which one answer of many need not change. */
async function levelOn(studentId: string, skillId: string): Promise<number> {
	const database = openDatabase(process.env.DEMO_DATABASE!, 1);
	try {
		const [{ packed }] = await database.rows<{ packed: Buffer }>(
			'SELECT packed FROM student_field WHERE student_id = ?',
			[studentId]
		);
		return unpackField(packed).find((skill) => skill.skillId === Number(skillId))!.level.mean;
	} finally {
		await database.close();
	}
}

/** The number of a skill that a student has answered questions of, by its code. */
async function skillId(page: Page, studentId: string, code: string): Promise<string> {
	const other = await page.context().newPage();
	await other.goto(`${address()}/students/${studentId}/answers`);
	const option = other
		.getByLabel('Skill')
		.locator('option')
		.filter({ hasText: new RegExp(`^${code} `) });
	const id = (await option.getAttribute('value'))!;
	await other.close();
	return id;
}

const numberIn = async (link: Locator, before: string) =>
	new RegExp(`${before}(\\d+)`).exec((await link.getAttribute('href'))!)![1];

test('another answer is accepted for all: scores and standings follow it, and its undo', async ({ page }) => {
	await signInStaff(page, 'specialist');
	const missed = await openResults(page);
	const before = await rightInAll(page);
	const skill = await numberIn(missed.getByRole('link', { name: /^Practice for these/ }), 'skill=');
	await missed.getByRole('link', { name: 'What they answered' }).click();
	const question = page.getByRole('region', { name: /^Question \d+$/ });
	const wrong = question.getByRole('listitem').filter({ hasText: 'not right' }).first();
	const answer = await wrong.locator('strong').first().innerText();
	const names = (await wrong.locator('.soft').first().innerText()).split(', ');
	const first = names.filter((name) => !name.includes('(try'));
	expect(first.length).toBeGreaterThan(0);
	const grid = page.getByRole('table', { name: 'Students by questions' });
	const student = await numberIn(grid.getByRole('link', { name: first[0], exact: true }), 'students/');
	const was = await standing(page, student, skill);
	const levelBefore = await levelOn(student, skill);

	await question.getByText(/^Accept (this answer|one of these answers) for all$/).click();
	const which = question.getByRole('radio', { name: answer, exact: true });
	if (await which.count()) await which.check();
	await question.getByLabel('Why it is right').fill('The question allows both');
	await expectAccessible(page);
	await question.getByRole('button', { name: 'Accept it for all' }).click();
	await expect(notice(page)).toContainText(`“${answer}” counts as right for all who are asked this question`);
	await expect(question).toContainText(
		`${names.length === 1 ? '1 answer is' : `${names.length} answers are`} right by it`
	);
	await expect(question.getByText('Judging anew')).toHaveCount(0);
	expect(await rightInAll(page)).toBe(before + first.length);
	await standing(page, student, skill);
	expect(await levelOn(student, skill)).toBeGreaterThan(levelBefore);

	await question.getByRole('button', { name: 'No longer accept this answer' }).click();
	await expect(notice(page)).toContainText('judged as before');
	await expect.poll(async () => (await page.reload(), rightInAll(page))).toBe(before);
	expect(await standing(page, student, skill)).toEqual(was);
});

test('a set is begun anew, and what was answered is kept aside until that is undone', async ({ page }) => {
	await signInStaff(page, 'specialist');
	const missed = await openResults(page);
	const before = await rightInAll(page);
	const skill = await numberIn(missed.getByRole('link', { name: /^Practice for these/ }), 'skill=');
	await turnTo(page, 'The set');
	const row = page
		.getByRole('table', { name: 'Students with this set' })
		.getByRole('row')
		.filter({ hasText: 'finished' })
		.first();
	const student = (await row.getAttribute('data-student'))!;
	const own = page.locator(`tr[data-student="${student}"]`);
	const [, right, answered] = /(\d+) of (\d+)/.exec(await row.innerText())!;
	const was = await standing(page, student, skill);

	await row.getByRole('checkbox').check();
	await page.getByRole('button', { name: /^Let 1 student begin anew/ }).click();
	await expect(notice(page)).toContainText('1 student may begin it anew, with other questions');
	await expect(own).toContainText('not begun, run 2');
	await expect(own).toContainText(`kept aside ${right} of ${answered}`);
	await turnTo(page, 'Results');
	expect(await rightInAll(page)).toBe(before - Number(right));
	const now = await standing(page, student, skill);
	expect(now.newest).not.toBe(was.newest);
	// Nothing is lost: the student's answers have it, and say that it counts for nothing.
	await page.goto(`${address()}/students/${student}/answers?kind=practice`);
	await expect(page.getByText('kept aside: counts for nothing').first()).toBeVisible();
	await expectAccessible(page);
	await page.goBack();
	await turnTo(page, 'The set');
	await page.getByRole('button', { name: /^Undo: Begun anew by/ }).click();
	await expect(notice(page)).toContainText('counts again');
	await expect(own).toContainText('finished');
	await turnTo(page, 'Results');
	expect(await rightInAll(page)).toBe(before);
	expect(await standing(page, student, skill)).toEqual(was);
});

test('a set is turned in for a student, or a student excused, and results say so until that is undone', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice?scope=school`);
	const hrefs = await page
		.getByRole('link', { name: /^Results of / })
		.evaluateAll((links) => links.map((link) => link.getAttribute('href')!));
	const row = page
		.getByRole('row')
		.filter({ hasText: /\d+ of \d+ answered/ })
		.first();
	const skills = page.getByRole('main').getByRole('link', { name: /^[A-Z]\d\d$/ });
	for (const href of hrefs) {
		await page.goto(address() + href.replace('/results', ''));
		if ((await row.count()) && (await skills.count())) break;
	}
	const student = (await row.getAttribute('data-student'))!;
	const skill = await skillId(page, student, await skills.first().innerText());
	const was = await standing(page, student, skill);
	const own = page.locator(`tr[data-student="${student}"]`);
	const [, answered, of] = /(\d+) of (\d+) answered/.exec(await own.innerText())!;
	const head = page.locator('.page-head');
	const finished = async () => Number(/(\d+) of \d+ finished/.exec(await head.innerText())![1]);
	const needed = async () => Number(/\d+ of (\d+) finished/.exec(await head.innerText())![1]);
	const [wasFinished, wasNeeded] = [await finished(), await needed()];

	await own.getByRole('checkbox').check();
	await page.getByRole('button', { name: 'Turn in for 1 student' }).click();
	await expect(own).toContainText(`turned in, ${answered} of ${of} answered`);
	expect(await finished()).toBe(wasFinished + 1);
	await turnTo(page, 'Results');
	expect(await finished()).toBe(wasFinished + 1);
	// What was answered counts, turned in or not.
	const right = await rightInAll(page);
	expect(await standing(page, student, skill)).toEqual(was);
	await turnTo(page, 'The set');
	await own.getByRole('checkbox').check();
	await page.getByRole('button', { name: 'Open again for 1 student' }).click();
	await expect(own).not.toContainText('turned in');
	await expect(own).toContainText(`${answered} of ${of} answered`);
	expect(await finished()).toBe(wasFinished);

	await own.getByRole('checkbox').check();
	await page.getByRole('button', { name: 'Excuse 1 student' }).click();
	await expect(own).toContainText('excused');
	expect([await finished(), await needed()]).toEqual([wasFinished, wasNeeded - 1]);
	await turnTo(page, 'Results');
	expect(await rightInAll(page)).toBe(right);
	expect(await standing(page, student, skill)).toEqual(was);
	await turnTo(page, 'The set');
	await expect(own).toContainText('excused');
	await page.getByRole('button', { name: /^Undo: .* excused/ }).click();
	await expect(own).toContainText(`${answered} of ${of} answered`);
	expect(await needed()).toBe(wasNeeded);
	expect(await standing(page, student, skill)).toEqual(was);
});
