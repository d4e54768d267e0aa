import { expect, test } from './test';
import { address, signInStaff, signInStudent, workThrough } from './people';

test('in the progression everybody stands somewhere, and those at a skill are grouped or given practice', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps/progression?scope=class:8&domain=2`);
	await expect(page.locator('li[data-student]')).toHaveCount(22);
	await page
		.getByRole('button', { name: /^Select all at / })
		.first()
		.click();
	const chosen = await page.locator('li[data-student] input:checked').count();
	expect(chosen).toBeGreaterThan(1);
	await expect(page.getByText(`${chosen} students selected`)).toBeVisible();
	await expect(page.getByRole('link', { name: /^Assign practice on / })).toBeVisible();
	await page.getByRole('link', { name: 'Suggest groups' }).click();
	await expect(page.getByText(`${chosen} students chosen`)).toBeVisible();
});

test('the map then and now shows what rose and fell since a day', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps/then?scope=class:5`);
	await expect(page.getByText(/\d+ skills? rose, \d+ skills? fell, \d+ skills? were first seen/)).toBeVisible();
	await expect(page.locator('tbody tr[data-student]')).toHaveCount(22);
	const pairs = page.getByRole('img', {
		name: /: (Gap|Forming|Secure|Slipping), now (Gap|Forming|Secure|Slipping); (\d+ answers? on it since|no answer on it since)/
	});
	expect(await pairs.count()).toBeGreaterThan(3);
	await page.getByLabel('Show').selectOption('what rose');
	await expect(page).toHaveURL(/changes=risen/);
	await expect(page.getByRole('img', { name: /: Secure, now/ })).toHaveCount(0);
	await page.getByLabel('Then', { exact: true }).fill('2026-11-22');
	await expect(page.getByRole('heading', { name: /Nov 22 and now/ })).toBeVisible();
});

test('a class teacher sees what to reteach to all, who needs what, and which groups take whom when', async ({
	page
}) => {
	await signInStaff(page, 'phalarope');
	await page.goto(`${address()}/gaps/class?scope=school`);
	await expect(page.locator('.whole').filter({ hasText: 'Remainders' })).toContainText(
		/\d+ of 22 with evidence lack it, \d+% \(95% interval \d+% to \d+%\)/
	);
	await expect(page.locator('tbody tr[data-student]')).toHaveCount(22);
	await expect(page.getByRole('heading', { name: 'Who needs what' })).toBeVisible();
	const grouped = page.locator('tbody tr[data-student]').filter({ hasText: /(Mon|Tue) .*\d\d:\d\d, \S+ \S+/ });
	expect(await grouped.count()).toBeGreaterThan(3);
});

test('a student’s page shows domains, time, next steps; notes are kept and taken back; K and J walk the class', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/students/100?scope=class:5`);
	await expect(page.getByRole('img', { name: /^Skills with answers: .*today|^Skills with answers: / })).toBeVisible();
	await expect(page.locator('.domains th')).toHaveCount(6);
	await page.getByLabel(/^Note of /).fill('Counts on fingers with care');
	await page.getByRole('button', { name: 'Keep note' }).click();
	await expect(page.getByText('Counts on fingers with care')).toBeVisible();
	await page.getByRole('button', { name: /^Take back the note/ }).click();
	await expect(page.getByText('Counts on fingers with care')).toHaveCount(0);
	const name = await page.getByRole('heading', { level: 1 }).innerText();
	await page.locator('h1').click();
	await page.keyboard.press('j');
	await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(name);
	await page.keyboard.press('k');
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
});

test('what is only inferred is confirmed by a short check, whose answers are evidence at once', async ({
	page,
	browser
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps/check?students=245&scope=class:12`);
	const row = page.locator('tr[data-student="245"]');
	const boxes = row.getByRole('checkbox');
	while ((await row.getByRole('checkbox', { checked: true }).count()) > 1)
		await row.getByRole('checkbox', { checked: true }).last().uncheck();
	const skill = (await boxes.first().getAttribute('aria-label'))!.split(' for ')[0];
	await page.getByRole('button', { name: 'Assign to 1 student' }).click();
	await expect(page.getByRole('status')).toContainText('A check on 1 skill waits for 1 student');
	await expect(row).toContainText(`waiting: ${skill}`);

	const context = await browser.newContext();
	const student = await context.newPage();
	await signInStudent(student, 245);
	await student.getByRole('button', { name: 'Start Show what you know' }).click();
	await workThrough(student);
	await expect(student.getByText('Your answers help your teacher')).toBeVisible();
	await context.close();

	await page.goto(`${address()}/gaps?scope=class:12&columns=all&find=${encodeURIComponent(skill)}&student=245`);
	await expect(
		page
			.locator('tr[data-student="245"]')
			.getByRole('gridcell', { name: /: (Gap|Forming|Secure), from \d+ answers, last on Nov 23/ })
			.first()
	).toBeVisible();
});
