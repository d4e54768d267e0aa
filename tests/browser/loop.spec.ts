import { expect, test } from './test';
import { address, signInStaff, signInStudent, workThrough } from './people';

/** Once around all six legs, from sign-in to verdict, with a student in between. */
test('a specialist goes once around the cycle', async ({ page, browser }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=school`);

	// Screen: a class, low to high; choose the lowest five.
	// Whoever types faster than the choices come is understood.
	let answer = () => {};
	const answered = new Promise<void>((resolve) => (answer = resolve));
	await page.route('**/scopes', async (route) => {
		await answered;
		await route.continue();
	});
	await page.getByRole('button', { name: /Whole school/ }).click();
	await page.getByRole('combobox', { name: /Find a grade/ }).fill('Turnstone');
	await page.keyboard.press('Enter');
	answer();
	await expect(page).toHaveURL(/scope=class:11/);
	const rows = page.locator('tbody tr[data-student]');
	await expect(rows).toHaveCount(22);
	const points = (await rows.locator('td.number:nth-child(7)').allInnerTexts())
		.map((text) => parseInt(text))
		.filter((value) => !Number.isNaN(value));
	expect(points).toEqual([...points].sort((a, b) => a - b));
	for (let i = 0; i < 5; i++) await rows.nth(i).getByRole('checkbox').check();
	await expect(page.getByText('5 students selected')).toBeVisible();

	// Gaps: the same five on the needle map, and the answers behind one cell.
	await page.getByRole('link', { name: 'See their gaps' }).click();
	await expect(page.getByRole('heading', { name: 'Gaps in the 5 chosen students' })).toBeVisible();
	await page
		.getByRole('gridcell', { name: /: (Gap|Forming|Secure|Slipping)/ })
		.first()
		.click();
	await expect(page.getByRole('complementary', { name: 'Selected student' })).toContainText(
		/right on (about \d of 10|hardly any|nearly all)/
	);

	// Groups: suggest, look at the proof, adopt.
	for (const box of await page.getByRole('checkbox', { name: /^Select / }).all()) await box.check();
	await page.getByRole('link', { name: 'Suggest groups' }).click();
	await page.getByLabel('Smallest tier 2 group').fill('2');
	await page.getByRole('button', { name: 'Suggest groups' }).click();
	await expect(page.getByText(/^Places \d+ of \d+ students|^Places all \d+/)).toBeVisible();
	await page.getByText('Why these').click();
	await expect(page.getByText(/proven\s+within\s+\d+\.\d%\s+of\s+the\s+best|that\s+is\s+proven/)).toBeVisible();
	await expect(page.getByRole('button', { name: 'Suggest again' })).toBeVisible();
	const adopt = page.getByRole('button', { name: /^Adopt \d+ groups with \d+ students/ });
	const today = '2026-11-23';
	await page.getByLabel('From').fill(today);
	await page.getByLabel('first review').fill('2026-11-24');
	await adopt.click();
	await expect(page.getByRole('status')).toContainText('adopted');

	// Practice: the new group's focus is offered; assign five questions.
	const group = page.locator('section').filter({ hasText: 'Nov 23 to' }).first();
	const member = (await group.locator('li a').first().innerText()).trim();
	await group.getByRole('link', { name: 'Assign practice' }).click();
	await expect(page.getByRole('button', { name: /\(focus\)/ })).toHaveAttribute('aria-pressed', 'true');
	const skill = (await page.getByRole('button', { name: /\(focus\)/ }).innerText()).replace(' (focus)', '');
	const firstStem = await page.locator('.sample .stem').innerText();
	await page.getByRole('button', { name: 'Next', exact: true }).click();
	await expect(page.locator('.sample .stem')).not.toHaveText(firstStem);
	await page.getByLabel('5 questions', { exact: true }).check();
	await expect(page.getByText(/^Assign .* to \d+ students?: 5 questions, about \d+ min, opens now/)).toBeVisible();
	await page.getByRole('button', { name: 'Assign', exact: true }).click();
	await expect(page.getByRole('status')).toContainText('assigned to');

	// Track: weekly probes began with the group.
	await page.getByRole('link', { name: 'Track', exact: true }).click();
	await page.getByRole('link', { name: 'Probes this week' }).click();
	await expect(page.getByRole('row').filter({ hasText: member }).filter({ hasText: skill }).first()).toContainText(
		'to take'
	);

	// The student, on a phone, works the set and the probe.
	const phone = await browser.newContext({ viewport: { width: 360, height: 740 }, hasTouch: true });
	const student = await phone.newPage();
	await signInStudent(student, { classId: 11, name: member });
	await student
		.getByRole('button', { name: `Start ${skill}` })
		.first()
		.click();
	await workThrough(student);
	await expect(student.getByText(/of 5 right at the first try/)).toBeVisible();
	await student.getByRole('link', { name: 'Back to my page' }).click();
	await student.getByRole('button', { name: `Start Check: ${skill}` }).click();
	await workThrough(student);
	await student.getByRole('link', { name: 'Back to my page' }).click();
	await expect(student.getByRole('button', { name: `Start Check: ${skill}` })).toHaveCount(0);
	await phone.close();

	// Track again: the probe is there, and it is too early for advice.
	await page.goto(page.url().replace(/\/track.*/, '/track?scope=class:11'));
	const row = page.locator('tbody tr').filter({ hasText: member }).filter({ hasText: skill }).first();
	await row.getByRole('link', { name: skill }).click();
	await expect(page.getByRole('heading', { name: 'Advice: not enough yet' })).toBeVisible();

	// Decide: a review that is due, with the rule's advice; record, see it in the history, take it back.
	await page.getByRole('link', { name: 'Decide', exact: true }).click();
	await expect(page).toHaveURL(/\/decide/);
	await page.getByRole('button', { name: /Turnstone/ }).click();
	await page.getByRole('combobox', { name: /Find a grade/ }).fill('Whole');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('button', { name: /^Whole school/ })).toBeVisible();
	const due = page.getByRole('table', { name: 'Reviews due' }).locator('tbody tr');
	await due
		.first()
		.getByRole('link', { name: /^Review / })
		.click();
	await expect(page.getByRole('heading', { name: /^Advice: / })).toBeVisible();
	const name = await page.getByRole('heading', { level: 1 }).innerText();
	const panel = page.getByRole('form', { name: 'Decision' });
	await panel.getByRole('radio', { name: /^exit/ }).check();
	const why = panel.getByLabel('Why not as advised');
	if (await why.isVisible()) await why.fill('Met with the family.');
	await panel.getByRole('button', { name: 'More' }).click();
	await panel.getByLabel('Note').fill('Met with the family.');
	await panel.getByRole('button', { name: 'Record' }).click();
	const status = page.getByRole('status');
	await expect(status).toContainText('moves to tier 1');
	await page.getByRole('link', { name: 'Decisions' }).click();
	const decided = page.getByRole('row').filter({ hasText: name }).filter({ hasText: 'Met with the family' });
	await expect(decided).toContainText('exit, tier 1');
	await decided.getByRole('link').nth(1).click();
	await page.getByRole('button', { name: `Undo exit for ${name}` }).click();
	await expect(status).toContainText('Taken back');
	await page.getByRole('link', { name: 'Decisions' }).click();
	await expect(decided).toHaveCount(0);
	await page.getByRole('link', { name: 'Reviews', exact: true }).click();
	await expect(due.filter({ hasText: name })).toBeVisible();
});
