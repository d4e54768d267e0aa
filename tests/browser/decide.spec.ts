import type { Page } from '@playwright/test';
import { expect, test } from './test';
import { address, signInStaff } from './people';

const due = (page: Page) => page.getByRole('table', { name: 'Reviews due' });

/** Opens the review of a row of those due. @returns the student's name */
async function openReview(page: Page, tier?: string): Promise<string> {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/decide?scope=school`);
	const rows = due(page).locator('tbody tr');
	const row = tier ? rows.filter({ has: page.getByText(tier, { exact: true }) }).first() : rows.last();
	await row.getByRole('link', { name: /^Review / }).click();
	await expect(page.getByRole('form', { name: 'Decision' })).toBeVisible();
	return page.getByRole('heading', { level: 1 }).innerText();
}

/** Chooses a verdict, with a reason where it is not the advised one. */
async function choose(page: Page, verdict: string) {
	const panel = page.getByRole('form', { name: 'Decision' });
	await panel.getByRole('radio', { name: new RegExp(`^${verdict}`) }).check();
	const why = panel.getByLabel('Why not as advised');
	if (await why.isVisible()) await why.fill('Agreed with the class teacher.');
	return panel;
}

test('a verdict changes the tier from its date', async ({ page }) => {
	const name = await openReview(page);
	const panel = await choose(page, 'exit');
	await panel.getByRole('button', { name: 'Record' }).click();
	const status = page.getByRole('status');
	await expect(status).toContainText('moves to tier 1 on Mon, Nov 23');
	await page.goto(`${address()}/decide/decisions?scope=school`);
	await page.getByRole('row').filter({ hasText: name }).first().getByRole('link', { name }).click();
	const peek = page.getByRole('complementary', { name: 'Selected student' });
	await expect(peek).toContainText('Tier 1');
	await page.getByRole('row').filter({ hasText: name }).first().getByRole('link').nth(1).click();
	await page.getByRole('button', { name: `Undo exit for ${name}` }).click();
	await expect(status).toContainText('Taken back');
	await page.goto(`${address()}/decide?scope=school`);
	await due(page).getByRole('link', { name, exact: true }).click();
	await expect(peek).toContainText(/Tier [23]/);
});

test('each review shows the advice with its reason, and a verdict without a next date or a reason is refused', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/decide?scope=school`);
	for (const row of await due(page).locator('tbody tr').all())
		await expect(row).toContainText(/(exit|fade|continue|adjust|intensify|deliver first|not enough yet) .*\./s);
	const name = await openReview(page);
	const panel = page.getByRole('form', { name: 'Decision' });
	const isExit = (await panel.getByRole('radio', { checked: true }).getAttribute('value')) === 'exit';
	await panel.getByRole('radio', { name: isExit ? /^fade/ : /^continue/ }).check();
	await panel.evaluate((form: HTMLFormElement) => (form.noValidate = true));
	const status = page.getByRole('status');
	if (await panel.getByLabel('Why not as advised').isVisible()) {
		await panel.getByRole('button', { name: 'Record' }).click();
		await expect(status).toContainText('say in a few words why');
	}
	await panel.getByRole('button', { name: 'More' }).click();
	await panel.getByLabel('Look again on').fill('');
	await panel.getByRole('button', { name: 'Record' }).click();
	await expect(status).toContainText('Say when to look again');
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
	await expect(panel).toBeVisible();
});

test('a verdict for another tier chooses a group that has a place, and says when a group of another tier is stayed in', async ({
	page
}) => {
	// Of a student in tier 2, whom the verdict moves to tier 3.
	const name = await openReview(page, 'Tier 2');
	const panel = await choose(page, 'intensify');
	const group = panel.locator('label.group select');
	const offered = await group.locator('optgroup option').count();
	if (offered) await expect(group).not.toHaveValue('stays');
	await group.selectOption('stays');
	await expect(panel.getByText(/is a tier 2 group\./)).toBeVisible();
	await group.selectOption('leaves');
	await expect(panel.getByText(/is a tier 2 group\./)).toHaveCount(0);
	if (offered) await group.selectOption({ index: 2 });
	await panel.getByRole('button', { name: 'Record' }).click();
	const status = page.getByRole('status');
	await expect(status).toContainText(/moves to tier 3 on Mon, Nov 23/);
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(panel).toBeVisible();
	await page.goto(`${address()}/decide?scope=school`);
	await expect(due(page).getByRole('row').filter({ hasText: name })).toHaveCount(1);
});

test('tiers through time say who moved, how long they stay, and hide counts that could point at a student', async ({
	page
}) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/decide/tiers?scope=school`);
	const through = page.getByRole('table', { name: 'Students in each tier' });
	const last = async (row: string) =>
		Number(await through.getByRole('row').filter({ hasText: row }).locator('td').last().innerText());
	expect((await last('tier 1')) + (await last('tier 2')) + (await last('tier 3'))).toBe(264);
	const moves = page.getByRole('table', { name: 'Changes of tier' });
	await expect(moves.locator('tbody tr').first()).toContainText(/tier \d.*tier \d/is);
	const choice = page.getByLabel('Tell apart by');
	const [, name] = await choice.locator('option').allInnerTexts();
	await choice.selectOption(name);
	const by = page.getByRole('table', { name: `Tiers by ${name}` });
	await expect(by).toBeVisible();
	for (const cell of await by.locator('td').allInnerTexts())
		expect(cell === 'not told' || cell === '0' || Number(cell) >= 5, cell).toBe(true);
});
