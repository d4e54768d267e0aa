import { address, answerSomehow, expectAccessible, signInStaff, signInStudent } from './people';
import { expect, test } from './test';

test('a set that is done in one go says so to all, and what it asks is changed for who has not begun', async ({
	page,
	browser
}) => {
	// Somebody whose next set no other test assigns: choices are remembered.
	await signInStaff(page, 'interventionist2');
	await page.goto(`${address()}/practice/new?for=group:3&scope=group:3`);
	await page.getByLabel('5 questions', { exact: true }).check();
	await page.getByLabel('can be left and gone on with').uncheck();
	await expect(page.getByText(/^In one go: who has begun and answers nothing for 10 minutes/)).toBeVisible();
	await page.getByLabel('Called').fill('In one go');
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Assign', exact: true }).click();
	await page.getByRole('link', { name: 'In one go' }).first().click();
	await expect(page.getByText(/; in one go/)).toBeVisible();
	const rows = page.getByRole('table', { name: 'Students with this set' }).locator('tbody tr');
	const students = await rows.count();
	const childId = Number(await rows.first().getAttribute('data-student'));

	const child = await (await browser.newContext({ viewport: { width: 360, height: 740 } })).newPage();
	await signInStudent(child, childId);
	await expect(child.getByText('but for what is done in one go')).toBeVisible();
	const own = child.getByRole('listitem').filter({ hasText: 'In one go' });
	await expect(own).toContainText('in one go, ');
	await own.getByRole('button', { name: /Start In one go/ }).click();
	await expect(child.getByText('Do this in one go: you cannot leave it and come back by yourself.')).toBeVisible();
	await expectAccessible(child);
	await answerSomehow(child);
	await child.getByRole('button', { name: 'Check', exact: true }).click();
	await expect(child.getByText('Do this in one go')).toHaveCount(0);

	// Changed meanwhile: who has begun keeps five questions.
	await page.reload();
	await page.getByText('Change its questions and skills').click();
	await expect(page.getByText('1 has begun and keeps their questions.')).toBeVisible();
	const unchanged = page.getByRole('button', { name: `5 questions for ${students - 1} students who have not begun` });
	await expect(unchanged).toBeDisabled();
	await page.getByLabel(/^Questions with help on /).fill('3');
	await page.getByLabel('A further skill of this set').selectOption({ index: 1 });
	await page.getByRole('button', { name: `6 questions for ${students - 1} students who have not begun` }).click();
	await expect(page.getByRole('status')).toContainText('Changed for all who have not begun');
	await expect(
		page.getByText(/^Other questions: 3 with help on .*; 3 with help on .* Before: 5 with help on /)
	).toBeVisible();
	await expect(page.getByText(/^6 questions, /)).toBeVisible();
	await expectAccessible(page);
	await child.reload();
	await expect(child.getByText(/^Question \d of 5$/)).toBeVisible();
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText(/^5 questions, /)).toBeVisible();
	await child.context().close();
});

test('a plan of weeks says before on which days its sets open and are due, by the group’s meetings or not', async ({
	page
}) => {
	await signInStaff(page, 'interventionist2');
	await page.goto(`${address()}/practice/new?for=group:3&scope=group:3`);
	await page.getByLabel('can be left and gone on with').check();
	await page.getByLabel('weekly').selectOption({ index: 1 });
	const days = page.getByRole('listitem').filter({ hasText: /^opens .*, due / });
	await expect(days).toHaveCount(2);
	const byMeetings = await days.allInnerTexts();
	await page.getByLabel(/by the group’s meeting days/).uncheck();
	const byWeekday = await days.allInnerTexts();
	expect(byWeekday[0]).toBe(byMeetings[0]);
	// A week later to the day.
	const due = (says: string) => new Date(`${/due \w+, (.*)$/.exec(says)![1]}, 2026`);
	expect(due(byWeekday[1]).getTime() - due(byWeekday[0]).getTime()).toBe(7 * 86_400_000);
	await page.getByLabel(/by the group’s meeting days/).check();
	await page.getByLabel('Called').fill('Week by week');
	await page.getByRole('button', { name: 'Assign', exact: true }).click();
	await expect(page.getByRole('status')).toContainText('2 sets');
	await page.getByRole('link', { name: 'Week by week' }).first().click();
	const shown = page.getByLabel('due', { exact: true });
	expect(new Date(`${await shown.inputValue()}T00:00`).getTime()).toBe(due(byMeetings[1]).getTime());
});
