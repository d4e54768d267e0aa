import { expect, test } from './test';
import { address, signInStaff } from './people';

test('the chart tells baseline, aimline, trend and forecast in words too', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/track?scope=school`);
	const rows = page.locator('tbody tr[data-student]');
	const enough = rows
		.filter({ hasNot: page.getByText('not yet') })
		.filter({ hasText: '%' })
		.first();
	await enough.getByRole('link').first().click();
	const chart = page.locator('section.chart');
	await expect(chart).toContainText(/Growing −?\d\.\d items a week \(80% interval −?\d\.\d to −?\d\.\d\)/);
	await expect(chart).toContainText(
		/the aimline needs −?\d\.\d\. Forecast for .*: \d\.\d of 8, (under 5|over 95|\d+)% likely to reach 7/
	);
	await expect(chart).toContainText(/Baseline \d\.\d, the median of the first three/);
	await expect(chart.getByRole('img', { name: /^Probes/ })).toHaveAttribute('aria-label', /^Probes: [\d, ]+ of 8\./);
});

test('probes start for a group with who and how many, and are taken back in one step', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(
		`${address()}/groups/suggest?scope=class:9&students=${Array.from({ length: 16 }, (_, i) => 177 + i).join(',')}`
	);
	await page.getByRole('button', { name: 'Suggest groups' }).click();
	await expect(page.getByRole('button', { name: 'Suggest again' })).toBeVisible();
	await page.getByRole('button', { name: /^Adopt/ }).click();
	await expect(page.getByRole('status')).toContainText('adopted');
	await page
		.getByRole('link', { name: /^Track/ })
		.first()
		.click();
	await expect(page.getByRole('heading', { name: /^Track/ })).toBeVisible();
	const waiting = page.getByRole('button', { name: /^Start for \d+/ });
	const before = await waiting.count();
	expect(before).toBeGreaterThan(0);
	await waiting.first().click();
	await expect(page.getByRole('status')).toContainText(/Weekly probes for \d+ students?/);
	await expect(waiting).toHaveCount(before - 1);
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText(/Taken back for \d+ students?/);
	await expect(waiting).toHaveCount(before);
});
