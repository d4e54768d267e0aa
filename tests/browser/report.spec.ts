import { readFile } from 'node:fs/promises';
import { expect, test } from './test';
import { address, expectAccessible, signInStaff } from './people';

test('a student’s report fits one page, for staff with numbers and for the family in plain words', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=class:7`);
	const finished = page.locator('tbody tr[data-student]').filter({ hasText: 'finished' }).first();
	const name = await finished.getByRole('rowheader').innerText();
	const points = parseInt(await finished.locator('td.number').nth(1).innerText());
	await finished.getByRole('link', { name }).click();
	await expect(page).toHaveURL(/student=\d+/);
	await page.getByRole('link', { name: 'Reports' }).click();
	const report = page.locator('article');
	await expect(report).toHaveCount(1);
	await expect(report.getByRole('heading', { level: 2 })).toHaveText(name);
	await expect(report).toContainText(`${points} points ± `);
	await expect(report).toContainText('one standard error');
	await expect(report.locator('tbody tr')).toHaveCount(6);
	await expectAccessible(page);

	await page.getByLabel('For').selectOption('the family');
	await expect(report).toContainText('Knows well');
	await expect(report).toContainText(`${points} points give or take`);
	expect(await report.innerText()).not.toMatch(/standard error|cut score|percentile|prerequisite/i);
	await page.setViewportSize({ width: 760, height: 1000 });
	await page.emulateMedia({ media: 'print' });
	// US Letter at 96 dots an inch, less margins of half an inch.
	expect((await report.boundingBox())!.height).toBeLessThan(960);
});

test('reports of a whole class are printed at once, those without a score too', async ({ page }) => {
	await signInStaff(page, 'knot');
	await page.goto(`${address()}/screen/report?scope=school`);
	await page.getByLabel('Who').selectOption('yes');
	await expect(page.locator('article')).toHaveCount(22);
	await expect(page.getByRole('button', { name: 'Print 22 reports' })).toBeVisible();
	await expect(page.getByText(/There is no score in Winter screening yet/).first()).toBeVisible();
	expect((await page.goto(`${address()}/screen/report?scope=class:7`))?.status()).toBe(404);
});

test('reports go out as a PDF, one a page, to those who may see the students only', async ({ page }) => {
	await signInStaff(page, 'knot');
	await page.goto(`${address()}/screen/report?for=family&scope=school`);
	await page.getByLabel('Who').selectOption('yes');
	await expect(page.getByRole('button', { name: 'Print 22 reports' })).toBeVisible();
	const [download] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'Take out as PDF' }).click()
	]);
	expect(download.suggestedFilename()).toMatch(/^Winter screening, .*\.pdf$/);
	const file = (await readFile((await download.path())!)).toString('latin1');
	expect(file.startsWith('%PDF-')).toBe(true);
	expect(file.match(/\/Type \/Page\n/g)).toHaveLength(22);
	expect((await page.request.get(`${address()}/screen/report.pdf?scope=class:7`)).status()).toBe(404);
});
