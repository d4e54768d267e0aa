import { expect, test } from '@playwright/test';
import { address, signInStaff } from './people';

test('a score file is checked row by row, good rows are kept, and the same file again changes nothing', async ({
	page
}) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/screen/import`);
	const csv = [
		'Student number,Taken on,Total points,Whole numbers',
		'S10008,2026-11-16,512,505',
		'S10049,11/16/2026,498,',
		'S99999,2026-11-16,500,',
		'S10090,2026-14-16,500,',
		'S10131,2026-11-16,5000,'
	].join('\n');
	const bring = async () => {
		await page.getByLabel('Where the scores come from').fill('Harbor district test');
		await page
			.locator('input[type=file]')
			.setInputFiles({ name: 'scores.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
		await page.getByRole('button', { name: 'Match the columns' }).click();
		await expect(page.getByLabel('What Total points holds')).toHaveValue('overall');
		await page.getByRole('button', { name: 'Check the rows' }).click();
	};
	await bring();
	await expect(page.getByRole('row', { name: /^4 S99999/ })).toContainText('No student has the number S99999');
	await expect(page.getByRole('row', { name: /^5 S10090/ })).toContainText('is no date');
	await expect(page.getByRole('row', { name: /^6 S10131/ })).toContainText('outside 200 to 800');
	await page.getByRole('button', { name: /^Take 2 rows/ }).click();
	await expect(page.getByText('2 rows were taken, 0 were already there, 3 were left out.')).toBeVisible();
	await page.goto(`${address()}/screen/import`);
	await bring();
	await expect(page.getByRole('button', { name: /^Take 0 rows/ })).toBeDisabled();
	await expect(page.getByRole('row', { name: /^2 S10008/ })).toContainText('already there');
});

test('a file that is no score file gets a clear message', async ({ page }) => {
	await signInStaff(page, 'coordinator');
	for (const [text, says] of [
		['just one line', 'at least two columns'],
		['a,b', 'no rows below the header'],
		['a,b\n1,2\u0000', 'UTF-8']
	]) {
		await page.goto(`${address()}/screen/import`);
		await page.getByLabel('Where the scores come from').fill('x');
		await page
			.locator('input[type=file]')
			.setInputFiles({ name: 'scores.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
		await page.getByRole('button', { name: 'Match the columns' }).click();
		await expect(page.getByRole('alert')).toContainText(says);
		await expect(page.getByRole('alert')).toContainText('Nothing was changed');
	}
});
