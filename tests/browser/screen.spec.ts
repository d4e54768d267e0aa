import { expect, test } from '@playwright/test';
import { address, signInStaff } from './people';

test('every list shows every student in scope, the untested too', async ({ page }) => {
	await signInStaff(page, 'specialist');
	const roster = page.locator('tbody tr[data-student]');
	for (const path of ['/screen', '/practice', '/track']) {
		await page.goto(`${address()}${path}?scope=class:6`);
		const shown = await roster.evaluateAll(
			(rows) => new Set(rows.map((row) => (row as HTMLElement).dataset.student)).size
		);
		expect(shown, path).toBe(22);
	}
	await page.goto(`${address()}/screen`);
	await expect(roster).toHaveCount(264);
	expect(await page.getByRole('cell', { name: 'not started' }).count()).toBeGreaterThan(0);
});

test('a flagged sitting waits for a person; keeping it gives scores, and undo takes them back', async ({ page }) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/screen?status=needs+another+look`);
	const list = page.locator('details li');
	const before = await list.count();
	expect(before).toBeGreaterThan(3);
	const name = await list.first().getByRole('link').innerText();
	const row = page.locator('tbody tr').filter({ hasText: name });
	await expect(row).toContainText('none');
	await list.first().getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByRole('status')).toContainText('The sitting is kept');
	await expect(list).toHaveCount(before - 1);
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(list).toHaveCount(before);
});

test('a window is planned with the days students see it, and impossible days are refused', async ({ page }) => {
	await signInStaff(page, 'coordinator');
	const plan = async (opens: string, closes: string) => {
		await page.getByRole('button', { name: 'Plan a window' }).click();
		const dialog = page.getByRole('dialog', { name: 'Plan a screening window' });
		await expect(dialog).toContainText('All Saltmarsh Bridge School students see the diagnostic on their page');
		await dialog.getByLabel('Name').fill('Spring screening');
		await dialog.getByLabel('Opens').fill(opens);
		await dialog.getByLabel('Closes').fill(closes);
		await dialog.getByRole('button', { name: 'Plan the window' }).click();
		await expect(dialog).toHaveCount(0);
	};
	await plan('2027-03-08', '2027-03-01');
	await expect(page.getByRole('status')).toContainText('closes before it opens. Nothing was changed.');
	await plan('2027-03-01', '2027-03-12');
	await expect(page.getByRole('status')).toContainText('Spring screening is planned: 2027-03-01 to 2027-03-12.');
	await page.getByLabel('Window').selectOption({ label: 'Spring screening' });
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Spring screening');
	await expect(page.getByText('264 not started')).toBeVisible();
});

test('results are sorted by any domain and narrowed to those below the line, who can be chosen at once', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=grade:5`);
	const rows = page.locator('tbody tr[data-student]');
	await expect(rows).toHaveCount(44);
	await page.getByRole('link', { name: 'Fractions' }).click();
	await expect(page).toHaveURL(/sort=\d+/);
	const column = (await rows.locator('td.number:nth-child(9)').allInnerTexts())
		.map((text) => parseInt(text))
		.filter((points) => !Number.isNaN(points));
	expect(column.length).toBeGreaterThan(30);
	expect(column).toEqual([...column].sort((a, b) => a - b));
	await page.getByRole('button', { name: 'Select all below the line' }).click();
	const bar = page.getByRole('region', { name: 'Actions for the selection' });
	const chosen = parseInt(await bar.innerText());
	expect(chosen).toBeGreaterThan(2);
	await page.getByLabel('Show').selectOption('below the line');
	expect(await rows.count()).toBeLessThanOrEqual(chosen);
	await bar.getByRole('link', { name: 'See their gaps' }).click();
	await expect(page.getByRole('heading', { name: `Gaps in ${chosen} chosen students` })).toBeVisible();
});

test('a list that is empty says so and offers the way back', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=class:1&status=set+aside`);
	await expect(page.getByText('Nobody in Avocet is “set aside”.')).toBeVisible();
	await page.getByRole('link', { name: 'Show everyone' }).click();
	await expect(page.locator('tbody tr[data-student]')).toHaveCount(22);
});
