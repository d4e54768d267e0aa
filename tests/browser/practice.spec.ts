import { countActions } from './countActions';
import { expect, test } from './test';
import type { Page } from '@playwright/test';
import { itemFrom } from '../../src/lib/core/items/bank';
import { layOutSitting } from './answering';
import { address, answerSomehow, expectAccessible, signInStaff, signInStudent, workThrough } from './people';

const assign = (page: Page) => page.getByRole('button', { name: 'Assign', exact: true });
/** What the sentence at the bottom says will happen. */
const sentence = (page: Page) =>
	page.getByRole('region', { name: 'Actions for the selection' }).locator('strong').first();

test('a practice set is assigned with who and how many, and taken back in one step', async ({ page }) => {
	await signInStaff(page, 'interventionist2');
	await page.goto(`${address()}/practice/new?for=group:3&scope=group:3`);
	await page.getByLabel('15 questions').check();
	await expect(page.getByText(/^Assign .* to \d students: 15 questions, about \d+ min, opens now, due /)).toBeVisible();
	await assign(page).click();
	await expect(page.getByRole('status')).toContainText(/assigned to \d students/);
	const assigned = page.getByRole('table', { name: 'Practice sets' }).locator('tbody tr.new');
	await expect(assigned).toHaveCount(1);
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText('Taken back');
	await expect(assigned).toHaveCount(0);
	// Even that can be undone.
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText(/Given to \d students again/);
	await expect(assigned).toHaveCount(1);
});

test('a due date is moved for all and for one, and a student is excused, each in at most three actions', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	const { act, within } = countActions();
	const status = page.getByRole('status');
	await page.goto(`${address()}/practice?scope=school`);
	await page
		.getByRole('table', { name: 'Practice sets' })
		.locator('tbody tr')
		.first()
		.getByRole('link')
		.first()
		.click();
	const table = page.getByRole('table', { name: 'Students with this set' });
	await expect(table).toBeVisible();
	await expectAccessible(page);

	const due = page.getByLabel('due', { exact: true });
	const before = await due.inputValue();
	await act(due.fill('2026-12-09'));
	await act(page.getByRole('button', { name: 'Keep for all' }).click());
	within(3, 'a due date moved');
	await expect(status).toContainText('due Wed, Dec 9');
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(due).toHaveValue(before);

	const first = table.locator('tbody tr').first();
	const name = await first.getByRole('link').innerText();
	await act(page.getByLabel(`Select ${name}`).check());
	await act(page.getByLabel('Due', { exact: true }).fill('2026-12-11'));
	await act(page.getByRole('button', { name: 'Due Fri, Dec 11 for 1 student' }).click());
	within(3, 'more time for one');
	await expect(first).toContainText('Fri, Dec 11, own');
	await expectAccessible(page);
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(first).not.toContainText('own');

	const open = table.getByRole('row', { name: /not begun/ }).first();
	if (await open.count()) {
		const who = await open.getByRole('link').innerText();
		await act(page.getByLabel(`Select ${who}`).check());
		await act(page.getByRole('button', { name: 'Excuse 1 student' }).click());
		within(3, 'one excused');
		await expect(table.getByRole('row', { name: new RegExp(who) })).toContainText('excused');
		await status.getByRole('button', { name: 'Undo' }).click();
		await expect(table.getByRole('row', { name: new RegExp(who) })).toContainText('not begun');
	}
});

test('a set is moved in the calendar, by keyboard and by dragging, and back', async ({ page }) => {
	await signInStaff(page, 'specialist');
	const { act, within } = countActions();
	await page.goto(`${address()}/practice/calendar?scope=school&view=week&day=2026-11-25`);
	const bars = page.getByRole('button', { name: /opens Mon, Nov 23, due Fri, Nov 27$/ });
	const title = (await bars.first().innerText()).split('\n')[0];
	const moved = page.getByRole('button', { name: `${title}, ` }).and(page.locator('[aria-pressed="true"]'));
	const status = page.getByRole('status');
	await bars.first().focus();
	await act(page.keyboard.press('Shift+ArrowRight'));
	await expect(sentence(page)).toContainText(/^Move “.+” for \d+ students?: opens Mon, Nov 23, due Sat, Nov 28\.$/);
	await act(page.keyboard.press('Enter'));
	within(3, 'a due date moved in the calendar');
	await expect(status).toContainText('due Sat, Nov 28');
	await expect(page.getByRole('button', { name: /due Sat, Nov 28$/ })).toHaveCount(1);
	await expectAccessible(page);
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(status).toContainText('due Fri, Nov 27');
	await expect(page.getByRole('button', { name: /due Sat, Nov 28$/ })).toHaveCount(0);

	// Two days on with the mouse; nothing is moved before it is said so.
	const box = (await bars.first().boundingBox())!;
	await page.mouse.move(box.x + 40, box.y + box.height / 2);
	await page.mouse.down();
	await page.mouse.move(box.x + 40 + (box.width / 5) * 2, box.y + box.height / 2, { steps: 5 });
	await page.mouse.up();
	await expect(sentence(page)).toContainText('opens Wed, Nov 25, due Sun, Nov 29.');
	await expect(moved).toHaveCount(1);
	await page.getByRole('button', { name: 'As it was' }).click();
	await expect(moved).toHaveCount(0);
	await bars.first().click();
	await page.getByLabel('Due', { exact: true }).fill('2026-12-01');
	await page.getByRole('button', { name: 'Move it' }).click();
	await expect(status).toContainText('due Tue, Dec 1');
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(status).toContainText('due Fri, Nov 27');
});

test('what each student was given is listed by student, and what was done to a set stands in its history', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/log?scope=class:7`);
	const table = page.getByRole('table', { name: 'Sets by student' });
	const done = table.getByRole('row', { name: /finished/ }).first();
	await done.getByRole('link').last().click();
	await page.getByRole('heading', { name: 'What was changed' }).waitFor();
	const row = page
		.getByRole('table', { name: 'Students with this set' })
		.getByRole('row', { name: /finished/ })
		.first();
	const name = await row.getByRole('link').first().innerText();
	const own = page.getByRole('table', { name: 'Students with this set' }).getByRole('row', { name: new RegExp(name) });
	await page.getByLabel(`Select ${name}`).check();
	await page.getByRole('button', { name: /^Give it to 1 student once more/ }).click();
	await expect(page.getByRole('status')).toContainText('the answers of before stay');
	await expect(own).toContainText('not begun, run 2');
	await expect(own).toContainText(/before \d+ of \d+/);
	await page.getByRole('button', { name: `Undo: Given once more to ${name}.` }).click();
	await expect(own).not.toContainText('run 2');
	await expect(page.getByRole('listitem').filter({ hasText: `No further run for ${name}.` })).toBeVisible();
});

test('the newest sets are listed, and the others part by part', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice?scope=school`);
	const rows = page.getByRole('table', { name: 'Practice sets' }).locator('tbody tr');
	await expect(rows).toHaveCount(40);
	const count = Number((await page.getByText(/^1 to 40 of \d+$/).innerText()).split(' ').at(-1));
	await page.getByRole('link', { name: /^The next \d+$/ }).click();
	await expect(page.getByText(`41 to ${Math.min(80, count)} of ${count}`)).toBeVisible();
	await expect(rows).toHaveCount(Math.min(40, count - 40));
	await page.getByRole('link', { name: 'Those before' }).click();
	await expect(page.getByText(`1 to 40 of ${count}`)).toBeVisible();
});

test('sample questions are paged through with key, solution and what wrong answers tell', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/new?for=student:60&scope=school`);
	const sample = page.locator('.sample');
	const seen = new Set<string>();
	for (let i = 0; i < 6; i++) {
		await expect(page.locator('.pager')).toContainText(`${i + 1} of 6`);
		await expect(sample).toContainText(/Key: ?\S/);
		// Of some skills only the drawing differs.
		seen.add(await sample.innerHTML());
		await page.getByRole('button', { name: 'Next', exact: true }).click();
	}
	expect(seen.size).toBe(6);
	await expect(page.locator('.pager')).toContainText('1 of 6');
	await page.getByText('Solution, hint, and what wrong answers tell').click();
	await expect(sample).toContainText('Hint:');
});

test('after a wrong first try there is a hint, one more by choice, and then how it is done', async ({ page }) => {
	const question = { skillCode: 'W11', familyId: 'number-after', seed: 3 };
	expect(itemFrom(question.familyId, question.seed).key).not.toMatch(/^[78]$/);
	await page.setViewportSize({ width: 360, height: 740 });
	await signInStudent(page, 150);
	await page.goto(address() + (await layOutSitting(150, [question, { ...question, seed: 4 }])));
	await page.locator('html[data-alive]').waitFor({ state: 'attached' });
	await answerSomehow(page);
	await page.getByRole('button', { name: 'Check' }).click();
	await expect(page.getByText('Not yet.')).toBeVisible();
	await page.getByRole('button', { name: 'One more hint' }).click();
	await expect(page.getByRole('region', { name: 'One like it' })).toBeVisible();
	await expectAccessible(page);
	await answerSomehow(page, true);
	await page.getByRole('button', { name: 'Try again' }).click();
	await expect(page.getByText('Here is how:')).toBeVisible();
	await expect(page.getByRole('region', { name: 'One like it' })).toHaveCount(0);
});

test('a set is tried as a student meets it, and nothing of that is stored', async ({ page, context }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/new?for=group:2`);
	// What was chosen for the last set is proposed for this one.
	await page.getByLabel(/^A check of 2 at the end/).uncheck();
	await page.getByLabel('5 questions', { exact: true }).check();
	await expect(sentence(page)).toContainText(': 5 questions');
	const [tried] = await Promise.all([
		context.waitForEvent('page'),
		page.getByRole('link', { name: 'Try it as a student' }).click()
	]);
	const sent: string[] = [];
	tried.on('request', (request) => {
		if (request.method() !== 'GET') sent.push(request.url());
	});
	await expect(tried.getByText('nothing you do here is stored')).toBeVisible();
	await workThrough(tried);
	await expect(tried.getByText(/^\d of 5 questions right at the first try\./)).toBeVisible();
	expect(sent).toEqual([]);
});

test('all of a domain is picked, shows its count before, and is taken back in one step', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/new?for=group:2`);
	const whole = page.getByLabel('All of a domain, or of a step of it');
	const says = await whole
		.getByRole('option', { name: /^all of it, \d+ skills$/ })
		.first()
		.innerText();
	const count = Number(/\d+/.exec(says)![0]);
	await whole.selectOption({ label: says });
	await expect(page.getByText(`${count} skills in`)).toBeVisible();
	await expect(sentence(page)).toContainText(`sets, ${count} skills`);
	const sets = Number(/(\d+) sets/.exec(await sentence(page).innerText())![1]);
	await assign(page).click();
	const status = page.getByRole('status');
	await expect(status).toContainText('assigned to');
	await expect(page.locator('tr.new')).toHaveCount(sets);
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(page.locator('tr.new')).toHaveCount(0);
});

test('another skill can be chosen, and dates that do not fit are refused', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/new?for=student:61&scope=school`);
	const what = page.getByRole('region', { name: 'What' });
	const before = await what.locator('strong').first().innerText();
	await what.getByRole('combobox', { name: 'Another skill' }).selectOption({ index: 20 });
	await expect(what.locator('strong').first()).not.toHaveText(before);
	await page.getByLabel('due', { exact: true }).fill('2026-11-01');
	await assign(page).click();
	await expect(page.getByRole('status')).toContainText('due before it opens. Nothing was changed.');
	await page.getByLabel('opens', { exact: true }).fill('2026-11-30');
	await page.getByLabel('due', { exact: true }).fill('2026-12-04');
	await expect(page.getByText('After Fri, Dec 4 it stays open; what comes later is accepted')).toBeVisible();
	await expect(sentence(page)).toHaveText(/to 1 student: .*, opens Mon, Nov 30, due Fri, Dec 4\.$/);
	await assign(page).click();
	await expect(page.getByRole('status')).toContainText('assigned to 1 student');
});

test('a set opens with nobody in the whole school, and one for many is asked for once more', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice?scope=school`);
	await page.waitForLoadState('networkidle');
	await page.getByRole('link', { name: 'New practice set' }).click();
	const who = page.getByRole('region', { name: 'Who' });
	await expect(who).toContainText('Nobody yet.');
	await expect(assign(page)).toBeDisabled();
	await who.getByLabel('Class or group').selectOption({ label: 'everyone in the whole school (264)' });
	await expect(sentence(page)).toContainText('to 264 students');
	await assign(page).click();
	await expect(page.getByRole('alert')).toHaveText('This goes to 264 students of 12 classes.');
	await page.getByRole('button', { name: 'Yes, assign' }).click();
	await expect(page.getByRole('status')).toContainText('assigned to 264 students');
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText('Taken back');
	// A class is chosen by its name, and needs no second question.
	await page.goto(`${address()}/practice/new?scope=school`);
	await page.waitForLoadState('networkidle');
	const godwit = await who.locator('option', { hasText: /^Godwit/ }).getAttribute('value');
	await who.getByLabel('Class or group').selectOption(godwit);
	await expect(who).toContainText('22 students of');
	await assign(page).click();
	await expect(page.getByRole('status')).toContainText('assigned to 22 students');
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
});

test('work is assigned in few actions: from the map’s selection, and each their own next step for sixty', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	const { act, within } = countActions();
	await page.goto(`${address()}/gaps?scope=class:8`);
	// What is selected on the map is there before anything is counted.
	for (const place of [0, 1, 2])
		await page
			.getByRole('checkbox', { name: /^Select / })
			.nth(place)
			.check();
	await act(page.getByRole('link', { name: /Assign practice/ }).click());
	await expect(sentence(page)).toContainText('to 3 students');
	await expectAccessible(page);
	await act(assign(page).click());
	await expect(page.getByRole('status')).toContainText('assigned to 3 students');
	within(4, 'from the map’s selection to assigned');
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText('Taken back');

	await page.goto(`${address()}/practice/queues?scope=school`);
	await act(page.getByRole('link', { name: 'Give each their own next step' }).click());
	const steps = page.getByRole('table', { name: 'Each their own next step' });
	await expect(steps).toBeVisible();
	const rows = steps.locator('tbody tr');
	const given = Number(/to (\d+) students/.exec((await sentence(page).innerText()) ?? '')![1]);
	console.log(`${given} students with a clear queue and open gaps`);
	expect(await rows.count()).toBeGreaterThanOrEqual(given);
	await expectAccessible(page);
	await page.goto(`${address()}/practice/new?for=clear-all&own=yes&scope=school`);
	const many = Number(/to (\d+) students/.exec((await sentence(page).innerText()) ?? '')![1]);
	expect(many).toBeGreaterThanOrEqual(60);
	await act(assign(page).click());
	await act(page.getByRole('button', { name: 'Yes, assign' }).click());
	await expect(page.getByRole('status')).toContainText(`assigned to ${many} students`);
	within(4, `each their own next step for ${many} students`);
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText('Taken back');
});

test('within one set some have it otherwise, and its page says who has what', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/new?for=group:5&scope=school`);
	const some = page.getByRole('region', { name: 'For some' });
	await some.getByRole('button', { name: 'Otherwise for one or several' }).click();
	const name = (await some.getByLabel('Who').locator('option').first().innerText()).trim();
	await some.getByLabel('Who').selectOption({ index: 0 });
	await some.getByLabel('questions').fill('3');
	await some.getByLabel('numbers').selectOption('easier');
	await some.getByRole('button', { name: 'Add', exact: true }).click();
	await expect(some).toContainText(`${name}: due Fri, Dec 4; 3 easier questions`);
	await expect(sentence(page)).toContainText(`(${name}: Fri, Dec 4)`);
	await page.getByLabel('Called').fill('Before the holiday');
	await assign(page).click();
	await expect(page.getByRole('status')).toContainText('Before the holiday: assigned to');
	await page.getByRole('link', { name: 'Before the holiday' }).first().click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Before the holiday');
	const row = page.getByRole('row', { name: new RegExp(name) });
	await expect(row).toContainText('Fri, Dec 4, own');
	await expect(row).toContainText('3 easier questions');
	await page.getByLabel(`Select ${name}`).check();
	await page.getByRole('button', { name: 'Otherwise for them' }).click();
	await page.getByLabel('Read aloud').selectOption('yes');
	await page.getByRole('button', { name: 'Keep for 1 student' }).click();
	await expect(row).toContainText('3 easier questions; read aloud');
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(row).not.toContainText('read aloud');
	await expectAccessible(page);
});

test('a student looks at an example first, works until enough are right, and is told at the end what was not told before', async ({
	page,
	browser
}) => {
	await signInStaff(page, 'specialist');
	const student = 167;
	await page.goto(`${address()}/practice/new?for=student:${student}&scope=school`);
	await page.getByLabel(/^A worked example before/).check();
	await page.getByLabel(/^A check of 2 at the end/).check();
	await page.getByLabel('3 questions').check();
	await page.getByLabel('Called').fill('With an example');
	await expect(sentence(page)).toHaveText(/^Assign “With an example” to 1 student: 1 skill, 5 questions, /);
	await assign(page).click();
	await expect(page.getByText('With an example: assigned to 1 student.')).toBeVisible();

	const device = await browser.newPage();
	await signInStudent(device, student);
	await device.getByRole('button', { name: 'Start With an example' }).click();
	await expect(device.getByText('Look at one first')).toBeVisible();
	await expectAccessible(device);
	for (;;) {
		const next = device.getByRole('button', { name: /How is it done|And then|Now you/ });
		const isLast = (await next.innerText()) === 'Now you';
		await next.click();
		if (isLast) break;
	}
	await expect(device.getByText('Question 1 of 5')).toBeVisible();
	await workThrough(device);
	await expect(device.getByRole('heading', { name: 'All done' })).toBeVisible();
	await expect(
		device.getByText(/Of the 2 questions without help|right at the first try, and of the 2 questions/)
	).toBeVisible();
	await expect(device.locator('ol > li')).toHaveCount(2);
	await expectAccessible(device);
	await device.getByRole('link', { name: 'Back to my page' }).click();
	await expect(device.getByRole('heading', { name: 'Done this week' })).toBeVisible();
	await expect(device.getByRole('link', { name: 'With an example' })).toBeVisible();
	await expectAccessible(device);
	await device.close();
});
