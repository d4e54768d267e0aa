import { expect, test, type Page } from './test';
import { address, signInStaff } from './people';

test.use({ viewport: { width: 1280, height: 800 } });

/** How many pages a page takes on US Letter. */
async function pagesOf(page: Page): Promise<number> {
	const margin = { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' };
	const file = (await page.pdf({ format: 'Letter', margin })).toString('latin1');
	return file.match(/\/Type \/Page\b(?!s)/g)!.length;
}

/** Sees to it that nothing on paper is a control, and nothing reaches over the right edge of a page. */
async function expectOnPaper(page: Page) {
	await page.setViewportSize({ width: 725, height: 960 });
	await page.emulateMedia({ media: 'print' });
	for (const control of await page.locator('button, input, select, textarea').all()) await expect(control).toBeHidden();
	// Browsers shrink what is a fourth wider than the page.
	expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(906);
	await page.emulateMedia({ media: null });
	await page.setViewportSize({ width: 1280, height: 800 });
}

test('what people print holds no controls and fits its page: group, reviews, results, practice, class', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	for (const path of [
		...[
			'/groups/1',
			'/groups',
			'/decide',
			'/decide/meetings/3?step=1',
			'/decide/decisions',
			'/decide/tiers',
			'/screen?scope=class:4',
			'/practice',
			'/gaps/class?scope=class:4'
		],
		...[
			'/track?scope=class:8',
			'/track/charts?scope=class:8',
			'/library/F41',
			'/practice/1/print?versions=2&key=on',
			'/track/paper/print?group=1',
			'/practice/1/results'
		]
	]) {
		await page.goto(`${address()}${path}`);
		await test.step(path, () => expectOnPaper(page));
	}
});

test('a student’s sheet for a meeting holds probes, sessions, practice and advice on one page', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/decide?scope=school`);
	await page.getByRole('table', { name: 'Reviews due' }).locator('tbody th a').first().click();
	await page.getByRole('complementary', { name: 'Selected student' }).getByRole('link').first().click();
	await expect(page.getByRole('heading', { name: 'Weekly probes' })).toBeVisible();
	await expect(page.locator('main')).toContainText(/\d+ of \d+ planned sessions attended/);
	await expect(page.locator('main')).toContainText(/right at first try/);
	await expect(page.locator('main')).toContainText(/at the review of .+ on/);
	await expectOnPaper(page);
	expect(await pagesOf(page)).toBeLessThanOrEqual(2);
});

test('the sessions of a day print on one page, with names to tick and the questions for the end', async ({ page }) => {
	await signInStaff(page, 'interventionist1');
	// Those of one person, as a substitute gets them.
	await page.goto(`${address()}/groups/today?scope=school`);
	await expect(page.getByRole('heading', { name: /^My sessions today/ })).toBeVisible();
	const sessions = await page.locator('section[aria-label]').count();
	expect(sessions).toBeGreaterThan(0);
	expect(await pagesOf(page)).toBe(1);
	await page.emulateMedia({ media: 'print' });
	const sheet = page.locator('.print-only');
	await expect(sheet).toBeVisible();
	await expect(sheet.getByText('At the end, each alone:')).toHaveCount(sessions);
	await expect(sheet.locator('.box').first()).toBeVisible();
});
