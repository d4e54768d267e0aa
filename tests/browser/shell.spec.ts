import { expect, test } from './test';
import { address, signInStaff } from './people';

test('scope and selected student persist across legs, and J and K walk the roster', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=class:5`);
	const peek = page.getByRole('complementary', { name: 'Selected student' });
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('j');
	const first = await page.locator('tbody tr[data-student]').first().getAttribute('data-student');
	await expect(page).toHaveURL(new RegExp(`student=${first}$`));
	await expect(peek.getByRole('heading', { level: 2 })).toBeVisible();
	const name = await peek.getByRole('heading', { level: 2 }).innerText();
	for (const leg of ['Gaps', 'Groups', 'Practice', 'Track', 'Decide']) {
		await page
			.getByRole('link', { name: new RegExp(`^${leg}`) })
			.first()
			.click();
		await expect(page).toHaveURL(new RegExp(`/${leg.toLowerCase()}\\?.*scope=class:5.*student=${first}`));
		await expect(peek.getByRole('heading', { level: 2 })).toHaveText(name);
	}
	await page.goBack();
	await expect(page).toHaveURL(/\/track/);
	await page.goto(`${address()}/screen?scope=class:5&student=${first}`);
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('j');
	await expect(peek.getByRole('heading', { level: 2 })).not.toHaveText(name);
	await page.keyboard.press('k');
	await expect(peek.getByRole('heading', { level: 2 })).toHaveText(name);
});

test('the slash key finds a student, and the question mark lists the shortcuts', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=school`);
	const name = await page.locator('tbody tr[data-student] th a').nth(8).innerText();
	// The page takes keys once it has come alive.
	await expect(async () => {
		await page.keyboard.press('/');
		await expect(page.getByPlaceholder(/^Find a student or skill/)).toBeFocused({ timeout: 500 });
	}).toPass();
	await page.keyboard.type(name);
	await page.keyboard.press('Enter');
	await expect(page.getByRole('complementary', { name: 'Selected student' })).toContainText(name);
	// Found, or left by Escape: the keys of the page work again at once.
	const others = page.getByRole('complementary', { name: 'Selected student' });
	await page.keyboard.press('j');
	await expect(others).not.toContainText(name);
	await page.keyboard.press('/');
	await page.keyboard.type('no');
	await page.keyboard.press('Escape');
	await page.keyboard.press('k');
	await expect(others).toContainText(name);
	await page.keyboard.press('Shift+?');
	await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('who has a caseload begins with it, finds students beyond it, and changes to the whole school in one step', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps`);
	const scope = page.locator('header').getByRole('button', { name: /^My caseload \d+$/ });
	await expect(scope).toBeVisible();
	const size = Number((await scope.innerText()).match(/\d+/)![0]);
	expect(size).toBeLessThan(264);
	await page.goto(`${address()}/screen`);
	await expect(page.locator('table[aria-rowcount]')).toHaveAttribute('aria-rowcount', String(size + 1));

	// Everybody in the school, to find one who is not on the caseload.
	const idsIn = async (key: string) => {
		await page.goto(`${address()}/gaps/check?scope=${key}`);
		return page.locator('tr[data-student]').evaluateAll((rows) => rows.map((row) => row.getAttribute('data-student')!));
	};
	const own = new Set(await idsIn('caseload'));
	expect(own.size).toBe(size);
	const other = (await idsIn('school')).find((id) => !own.has(id))!;
	const name = await page.locator(`tr[data-student="${other}"] th a`).innerText();
	await page.goto(`${address()}/screen`);
	await page.getByLabel('Find a student or a skill').fill(name);
	await expect(page.getByRole('option').first()).toHaveText('Nobody in your caseload is called that; elsewhere:');
	await page.keyboard.press('Enter');
	await expect(page).toHaveURL(new RegExp(`student=${other}`));
	await expect(page.getByRole('complementary', { name: 'Selected student' })).toContainText(name);
	await expect(page.locator('header').getByRole('button', { name: 'Whole school 264' })).toBeVisible();
});
