import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { address, expectAccessible, signInStaff } from './people';

/** What stands above each step and the agenda. */
const bar = (page: Page) => page.locator('main .bar').first();

test('a review meeting of nine is run from one screen: the advice is followed in one action, against it with a reason', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/decide/meetings`);
	await page.getByRole('table', { name: 'Meetings to come' }).getByRole('link').first().click();
	await page.getByRole('link', { name: /^Begin with / }).click();
	await expect(bar(page)).toContainText('1 of 9');
	await expectAccessible(page);
	const panel = page.getByRole('form', { name: 'Decision' });
	const name = () => page.getByRole('heading', { level: 1 }).innerText();

	// What is advised is chosen already, and the sentence says all that will happen.
	const first = await name();
	await expect(panel.getByRole('radio', { checked: true })).toHaveAccessibleName(/ advised$/);
	const says = panel.locator('.says strong');
	await expect(says).toContainText(new RegExp(`^${first.split(' ')[0]} .*\\.$`));
	const said = await says.innerText();
	await panel.getByRole('button', { name: 'Record and next' }).click();
	const status = page.getByRole('status');
	await expect(status).toContainText(`${first} ${said.split(' ').slice(1, 6).join(' ')}`);
	await expect(bar(page)).toContainText('2 of 9');
	await expect(bar(page)).toContainText('1 of 9 decided');
	expect(await name()).not.toBe(first);

	// J and K walk through the agenda.
	await page.keyboard.press('k');
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(first);
	await expect(page.getByRole('region', { name: 'Decided' })).toContainText('Recorded by Viggo Cisneros');
	await page.keyboard.press('j');
	await expect(bar(page)).toContainText('2 of 9');

	// Another verdict than the advised one needs a reason in words.
	const advised = (await panel.getByRole('radio', { checked: true }).getAttribute('value'))!;
	const advice = (await page.getByRole('heading', { name: /^Advice: / }).innerText()).replace('Advice: ', '');
	const against = advised === 'adjust' ? 'continue' : 'adjust';
	await panel.getByRole('radio', { name: new RegExp(`^${against}`) }).check();
	const why = panel.getByLabel('Why not as advised');
	await expect(why).toBeVisible();
	if (against === 'adjust') await panel.getByLabel('What is done in another way').fill('smaller steps');
	await panel.getByRole('button', { name: 'Record and next' }).click();
	await expect(bar(page)).toContainText('2 of 9');
	await why.fill('The sessions of last week changed it.');
	const more = panel.getByRole('button', { name: 'More' });
	await more.click();
	await panel.getByRole('button', { name: 'Add a task' }).click();
	await panel.getByLabel('Task 1', { exact: true }).fill('Ask at home what helps');
	await panel.locator('select[name=taskWho]').selectOption({ label: 'Viggo Cisneros' });
	await expect(says).toContainText('1 task');
	await panel.getByRole('button', { name: 'Record and next' }).click();
	await expect(bar(page)).toContainText('2 of 9 decided');

	// The task is with who has it, until it is done.
	await page.goto(`${address()}/decide`);
	const mine = page.getByRole('region', { name: 'Yours to do' });
	await expect(mine).toContainText('Ask at home what helps');
	await mine.getByRole('button', { name: 'Done: Ask at home what helps' }).click();
	await expect(mine.getByText('Ask at home what helps')).toHaveCount(0);
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(mine).toContainText('Ask at home what helps');

	// All of it is in the history, and can be taken back as a whole.
	await page.goto(`${address()}/decide/decisions?advised=no`);
	const row = page.getByRole('row').filter({ hasText: 'The sessions of last week changed it.' });
	await expect(row).toContainText(`was ${advice}`);
	await row.getByRole('link').nth(1).click();
	await page.getByRole('button', { name: /^Undo .* for / }).click();
	await expect(page.getByRole('status')).toContainText('Taken back');
	await expect(page.getByRole('form', { name: 'Decision' })).toBeVisible();
	await page.goto(`${address()}/decide`);
	await expect(page.getByText('Ask at home what helps')).toHaveCount(0);
	await page.goto(`${address()}/decide/meetings/3?step=1`);
	await page.getByRole('button', { name: /^Undo .* for / }).click();
	await expect(bar(page)).toContainText('0 of 9 decided');
});

test('a meeting draws its agenda up from what is due and at stake, is put into order, and is called off with Undo', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/decide/meetings?on=2026-12-18`);
	const plan = page.getByRole('form', { name: 'Plan a review meeting' });
	const button = plan.getByRole('button', { name: 'Plan the meeting' });
	await expect(button).toBeDisabled();
	const chosen = plan.getByRole('table').getByRole('checkbox', { checked: true });
	// All whose review is due by then and who are on no agenda.
	await expect(chosen.first()).toBeVisible();
	// Somebody with two reviews is one student.
	const due = new Set(await chosen.evaluateAll((boxes) => boxes.map((box) => (box as HTMLInputElement).value))).size;
	expect(due).toBeGreaterThan(5);
	await expect(plan).toContainText(`${due} students, 0 adults on Fri, Dec 18`);
	// Three of them who have one review each: a step a review.
	const boxes = plan.getByRole('table').getByRole('checkbox');
	const values = await boxes.evaluateAll((all) => all.map((box) => (box as HTMLInputElement).value));
	const kept: string[] = [];
	for (const [i, value] of values.entries()) {
		const box = boxes.nth(i);
		if (!(await box.isChecked())) continue;
		if (kept.length < 3 && values.filter((one) => one === value).length === 1) kept.push(value);
		else await box.uncheck();
	}
	await plan.getByRole('checkbox', { name: 'Ilse Waweru' }).check();
	await button.click();
	const status = page.getByRole('status');
	await expect(status).toContainText('A review meeting on Fri, Dec 18 with 1 adult: 3 students on its agenda.');
	const coming = page.getByRole('table', { name: 'Meetings to come' });
	await coming.getByRole('link', { name: 'Fri, Dec 18' }).click();
	const agenda = page.getByRole('table', { name: 'Agenda' });
	const names = () => agenda.locator('th[scope=row] a').allInnerTexts();
	await expect(agenda.locator('tbody tr')).toHaveCount(3);
	const before = await names();
	await agenda.getByRole('button', { name: `${before[2]} earlier` }).click();
	await expect.poll(names).toEqual([before[0], before[2], before[1]]);
	await agenda.getByRole('button', { name: `Take ${before[0]} off` }).click();
	await expect.poll(names).toEqual([before[2], before[1]]);
	await page.getByRole('form', { name: 'Who was there' }).getByText('Somebody else came').click();
	await page.getByRole('checkbox', { name: 'Amara Ibekwe' }).check();
	await page.getByRole('button', { name: 'Keep who was there' }).click();
	await expect(bar(page)).toContainText('Amara Ibekwe, Ilse Waweru');
	await page.goto(`${address()}/decide/meetings`);
	await coming.getByRole('button', { name: 'Call off the meeting of Fri, Dec 18' }).click();
	await expect(coming.getByRole('link', { name: 'Fri, Dec 18' })).toHaveCount(0);
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(coming.getByRole('link', { name: 'Fri, Dec 18' })).toBeVisible();
	await coming.getByRole('button', { name: 'Call off the meeting of Fri, Dec 18' }).click();
	await expect(coming.getByRole('link', { name: 'Fri, Dec 18' })).toHaveCount(0);
});

test('an invited teacher sees the meeting with their own students, and decides nothing', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/decide/meetings/3`);
	const adults = page.getByRole('form', { name: 'Who was there' });
	await adults.getByText('Somebody else came').click();
	for (const box of await adults.locator('details').getByRole('checkbox').all()) await box.check();
	await adults.getByRole('button', { name: 'Keep who was there' }).click();
	await expect(page.getByRole('status')).toContainText('adults there');
	await page.context().clearCookies();
	await signInStaff(page, 'oystercatcher');
	await page.goto(`${address()}/decide/meetings`);
	await expect(page.getByRole('form', { name: 'Plan a review meeting' })).toHaveCount(0);
	await page.getByRole('table', { name: 'Meetings to come' }).getByRole('link').first().click();
	const rows = page.getByRole('table', { name: 'Agenda' }).locator('tbody tr');
	await expect(rows.first()).toContainText('Oystercatcher');
	const own = await rows.count();
	expect(own).toBeLessThan(9);
	for (const row of await rows.all()) await expect(row).toContainText('Oystercatcher');
	await expect(page.getByText(`${9 - own} reviews on this agenda are of students you do not see.`)).toBeVisible();
	await page.getByRole('link', { name: /^Begin with / }).click();
	await expect(page.getByRole('form', { name: 'Decision' })).toHaveCount(0);
	await expect(page.getByText('Nothing is decided yet.')).toBeVisible();
});
