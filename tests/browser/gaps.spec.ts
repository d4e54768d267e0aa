import { expect, test } from '@playwright/test';
import { address, signInStaff } from './people';

test('the needle map is walked by arrow keys, and Enter shows the answers behind a cell', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps?scope=class:3`);
	const grid = page.getByRole('grid', { name: /Needle map/ });
	await grid.locator('[data-at="0 0"]').focus();
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('ArrowRight');
	await page.keyboard.press('ArrowRight');
	await expect(grid.locator('[data-at="1 2"]')).toBeFocused();
	const said = await grid.locator('[data-at="1 2"]').getAttribute('aria-label');
	await page.keyboard.press('Enter');
	const peek = page.getByRole('complementary', { name: 'Selected student' });
	await expect(peek).toContainText(said!.split(': ')[1].split(/[,;(]/)[0].trim());
	await expect(peek.locator('.evidence')).toContainText('Add to 20');
});

test('the whole school’s map holds every student though only some rows are drawn', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps`);
	await expect(page.getByText('264 students', { exact: true })).toBeVisible();
	const drawn = await page.locator('tr[data-student]').count();
	expect(drawn).toBeLessThan(100);
	const last = await page.locator('tr[data-student]').last().getAttribute('data-student');
	await page.mouse.wheel(0, 20_000);
	await expect(page.locator('tr[data-student="264"], tr[data-student]').last()).not.toHaveAttribute(
		'data-student',
		last!
	);
});

test('J walks past the rows that are drawn, and the map follows', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps?student=264`);
	const row = page.locator('tr[data-student].current');
	await expect(row).toBeInViewport();
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('j');
	await expect(page).toHaveURL(/student=(?!264)\d+/);
	await expect(row).toBeInViewport();
	await page.keyboard.press('k');
	await expect(page).toHaveURL(/student=264/);
	await expect(row).toBeInViewport();
});

test('a skill that a whole class lacks is named as a lesson for the class, not as a group', async ({ page }) => {
	await signInStaff(page, 'phalarope');
	await page.goto(`${address()}/gaps`);
	const notice = page.locator('.classwide').filter({ hasText: 'Phalarope: Remainders' });
	await expect(notice).toContainText(/\d+ of 2[0-2] with evidence lack it/);
	await expect(notice).toContainText('a lesson for the whole class');
});

test('rows, columns and tint of the map are chosen, and the address keeps them', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps?scope=class:7`);
	const grid = page.getByRole('grid');
	const columns = await grid.locator('thead tr').nth(1).locator('th').count();
	await page.getByRole('combobox', { name: 'Skills' }).selectOption('with a gap here');
	await expect(page).toHaveURL(/columns=gaps/);
	expect(await grid.locator('thead tr').nth(1).locator('th').count()).toBeLessThan(columns);
	await page.getByLabel('Rows by').selectOption('most gaps first');
	const gaps = await grid
		.locator('tbody tr[data-student]')
		.evaluateAll((rows) => rows.map((row) => row.querySelectorAll('[aria-label*=": Gap,"]').length));
	expect(gaps).toEqual([...gaps].sort((a, b) => b - a));
	await page.getByLabel('Tint').uncheck();
	await page.reload();
	await expect(page.getByLabel('Tint')).not.toBeChecked();
	await expect(page.getByRole('combobox', { name: 'Skills' })).toHaveValue('gaps');
});
