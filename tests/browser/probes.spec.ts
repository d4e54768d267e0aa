import { expect, test } from './test';
import { address, expectAccessible, signInStaff, signInStudent, workThrough } from './people';

test('a group’s probe on paper: printed with its key, results typed by keyboard alone, in the chart, taken back', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/track/probes?scope=school`);
	await page.getByRole('link', { name: /^On paper: Ratios 10:05/ }).click();
	await expect(page.getByRole('heading', { name: /^Probes on paper: Ratios 10:05/ })).toBeVisible();
	const letter = await page.getByLabel('Form').inputValue();

	// One sheet each with the letter on it, and the key with as many answers as there are questions.
	await page.getByRole('link', { name: 'Print the sheets and the key' }).click();
	const sheets = page.locator('main section');
	await expect(sheets).toHaveCount(3 + 1);
	await expect(sheets.first().locator('.letter')).toHaveText(letter);
	await expect(sheets.first().locator('ol > li')).toHaveCount(16);
	await expect(page.getByRole('region', { name: 'Answers' }).locator('li')).toHaveCount(16);
	await page.getByRole('link', { name: /^Enter results for/ }).click();

	// By keyboard: each student a line, Enter goes on.
	const fields = page.getByLabel(/^Questions that .* missed$/);
	await fields.first().focus();
	await page.keyboard.type('3 7 12');
	await page.keyboard.press('Enter');
	await page.keyboard.type('77');
	await expect(page.getByText('There is no question 77: they are 1 to 16, or 0 for none missed.')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Keep form' })).toBeDisabled();
	await page.keyboard.press('Control+A');
	await page.keyboard.type('0');
	await expectAccessible(page);
	await page.getByRole('button', { name: `Keep form ${letter} for 2 students` }).press('Enter');
	const status = page.getByRole('status');
	await expect(status).toContainText(`Form ${letter} kept for 2 students.`);
	const rows = page.getByRole('table', { name: /^Probes on paper/ }).locator('tbody tr');
	await expect(rows.nth(0)).toContainText('13 of 16 right');
	await expect(rows.nth(1)).toContainText('16 of 16 right');
	await expect(fields).toHaveCount(1);

	// In the student's answers it is told as what it is.
	const student = await rows.nth(0).getAttribute('data-student');
	const paper = page.url();
	await page.goto(`${address()}/students/${student}/answers?kind=probe`);
	await expect(page.getByText(`weekly probe, on paper (form ${letter})`).first()).toBeVisible();
	await page.goto(paper);
	await fields.fill('1');
	await page.getByRole('button', { name: `Keep form ${letter} for 1 student` }).click();
	await expect(status).toContainText(`kept for 1 student`);
	await expect(page.getByText('Every probe of this week is there.')).toBeVisible();
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(status).toContainText('Taken back for 1 student.');
	await expect(fields).toHaveCount(1);
});

test('a level check is gone on with on a phone, and tells staff the level of the domain', async ({ page, browser }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/track/probes?scope=school`);
	const table = page.getByRole('table', { name: 'Level checks to take' });
	const row = table
		.getByRole('row')
		.filter({ hasText: /of 20 answered/ })
		.last();
	const id = Number(await row.getAttribute('data-student'));
	const phone = await browser.newContext({ viewport: { width: 360, height: 740 }, hasTouch: true });
	const student = await phone.newPage();
	await signInStudent(student, id);
	await student.getByRole('button', { name: /^Go on with Show what you know/ }).click();
	await expect(student.getByText(/^Question \d+ of at most 20$/)).toBeVisible();
	await workThrough(student);
	await student.getByRole('link', { name: 'Back to my page' }).click();
	await expect(student.getByRole('button', { name: /Show what you know/ })).toHaveCount(0);
	await phone.close();
	await page.reload();
	await expect(table.locator(`tr[data-student="${id}"]`)).toHaveCount(0);
	await page.goto(`${address()}/track/charts?scope=school&student=${id}`);
	await expect(page.locator('section.chosen')).toContainText(
		/Level of [A-Z].*: \d+ points, give or take \d+ \(.*level check, middle, Nov 23\)/
	);
});

test('a student is commended in an adult’s words: on their page, on a card, as a badge, and taken back', async ({
	page,
	browser
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/track/commendations?scope=school`);
	await expectAccessible(page);
	const proposed = page.getByRole('table', { name: 'Proposed this week' }).locator('tbody tr');
	const row = proposed.last();
	const id = Number(await row.getAttribute('data-student'));
	const kind = await row.getByRole('cell').first().innerText();
	const ofKind = proposed.and(page.locator(`[data-student="${id}"]`)).filter({ hasText: kind });
	await expect(ofKind).not.toHaveCount(0);
	await row.getByRole('textbox').fill('I saw how you kept going.');
	await row.getByRole('textbox').press('Enter');
	const status = page.getByRole('status');
	await expect(status).toContainText(/^Given to .*: it stands on their page for two weeks/);
	await expect(ofKind).toHaveCount(0);
	await expectAccessible(page);
	const given = page.getByRole('table', { name: 'Commendations given' }).locator(`tr[data-student="${id}"]`);
	const [download] = await Promise.all([
		page.waitForEvent('download'),
		given.getByRole('link', { name: /^Badge of/ }).click()
	]);
	const badge = (await (await download.createReadStream())!.toArray()).map(String).join('');
	const claims = JSON.parse(Buffer.from(badge.split('.')[1], 'base64url').toString());
	expect(claims.type).toContain('OpenBadgeCredential');
	expect(claims.credentialSubject.achievement.description).toContain('I saw how you kept going.');

	const student = await (await browser.newContext()).newPage();
	await signInStudent(student, id);
	await expect(student.getByText('I saw how you kept going.')).toBeVisible();
	await given.getByRole('link', { name: /^Card for/ }).click();
	await expect(page.locator('article')).toContainText('I saw how you kept going.');
	await page.goBack();
	await given.getByRole('button', { name: /^Take back from/ }).click();
	await expect(status).toContainText('Taken back');
	await expect(given).toHaveCount(0);
	await student.reload();
	await expect(student.getByText('I saw how you kept going.')).toHaveCount(0);
});

test('what several students need is asked of their groups’ adults from the caseload, and taken back', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/track?show=not+delivered`);
	const rows = page.locator('tbody tr[data-student]');
	for (let i = 0; i < 2; i++) await rows.nth(i).getByRole('checkbox').check();
	const bar = page.getByRole('region', { name: 'Actions for the selection' });
	await bar.getByLabel(/^Ask their groups’ adults to/).selectOption('hold the missed sessions first');
	await bar.getByRole('button', { name: 'Ask for 2' }).click();
	const status = page.getByRole('status');
	await expect(status).toContainText('Asked for 2 things');
	await bar.getByRole('button', { name: 'Ask for 2' }).click();
	await expect(status).toContainText('All of this was asked for already');
	// What is asked for can be taken back by whoever asked.
	await page.reload();
	for (let i = 0; i < 2; i++) await rows.nth(i).getByRole('checkbox').check();
	await bar.getByLabel(/^Ask their groups’ adults to/).selectOption('look at the focus again');
	await bar.getByRole('button', { name: 'Ask for 2' }).click();
	await expect(status).toContainText('Asked for 2 things');
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(status).toContainText('Taken back: 2 things.');
});
