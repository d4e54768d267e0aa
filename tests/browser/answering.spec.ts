import { expect, test } from './test';
import { itemFrom } from '../../src/lib/core/items/bank';
import { address, expectAccessible, signInStudent } from './people';
import { answerRightly, layOutSitting, ONE_OF_EACH } from './answering';

test.use({ viewport: { width: 360, height: 740 }, hasTouch: true });

test('there is a question of every response kind to try', () => {
	const kinds = new Set(ONE_OF_EACH.map(({ familyId, seed }) => itemFrom(familyId, seed).response.kind));
	expect(kinds.size).toBe(14);
});

for (const way of ['touch', 'keys'] as const) {
	test(`every response kind can be answered on a phone by ${way === 'touch' ? 'touch' : 'keyboard alone'}`, async ({
		page
	}) => {
		test.setTimeout(240_000);
		const student = way === 'touch' ? 251 : 252;
		await signInStudent(page, student);
		await page.goto(`${address()}${await layOutSitting(student, ONE_OF_EACH)}`);
		await page.waitForLoadState('networkidle');
		for (const [i, item] of ONE_OF_EACH.entries()) {
			await expect(page.getByText(`Question ${i + 1} of ${ONE_OF_EACH.length}`)).toBeVisible();
			await expect(page.getByRole('button', { name: 'Check' })).toBeDisabled();
			if (way === 'touch') await expectAccessible(page);
			const wide = await page.evaluate(() => document.documentElement.scrollWidth);
			expect(wide, `${item.familyId} is as wide as the phone`).toBeLessThanOrEqual(360);
			const larger = await page.evaluate(() => {
				const sheet = document.querySelector<HTMLElement>('main > div')!;
				sheet.style.fontSize = '25px';
				const width = document.documentElement.scrollWidth;
				sheet.style.fontSize = '';
				return width;
			});
			expect(larger, `${item.familyId} is as wide as the phone in larger type`).toBeLessThanOrEqual(360);
			await answerRightly(page, item, way);
			await page.getByRole('button', { name: 'Check' }).press('Enter');
			await expect(page.locator('.feedback'), item.familyId).toContainText('Right.');
			await expect(page.getByText(`Question ${i + 1} of ${ONE_OF_EACH.length}`)).toBeVisible();
			await page.getByRole('button', { name: 'Next', exact: true }).click();
		}
		await expect(page.getByText(`${ONE_OF_EACH.length} of ${ONE_OF_EACH.length}`)).toBeVisible();
	});
}

test('what cannot be read as an answer is asked for again and not counted', async ({ page }) => {
	const word = ONE_OF_EACH.find(({ familyId }) => familyId === 'type-polygon-name')!;
	const expression = ONE_OF_EACH.find(({ familyId }) => familyId === 'multiply-out')!;
	await signInStudent(page, 253);
	await page.goto(`${address()}${await layOutSitting(253, [word, expression])}`);
	await page.waitForLoadState('networkidle');
	await page.getByRole('textbox').fill('77');
	await page.getByRole('button', { name: 'Check' }).click();
	await expect(page.locator('.feedback')).toContainText('as a word');
	await answerRightly(page, word, 'keys');
	await page.getByRole('button', { name: 'Check' }).click();
	await expect(page.locator('.feedback')).toContainText('Right.');
	await page.getByRole('button', { name: 'Next', exact: true }).click();
	await page.getByRole('textbox').fill('3x +');
	await page.getByRole('button', { name: 'Check' }).click();
	await expect(page.locator('.feedback')).toContainText('numbers, letters and signs');
});

test('the question stays while its hint, and then its solution, is read', async ({ page }) => {
	const [first, second] = ONE_OF_EACH;
	await signInStudent(page, 254);
	await page.goto(`${address()}${await layOutSitting(254, [first, second])}`);
	await page.waitForLoadState('networkidle');
	const { stem, hint, solution } = itemFrom(first.familyId, first.seed);
	await page.getByRole('textbox').fill('3');
	await page.getByRole('button', { name: 'Check' }).click();
	await expect(page.locator('.feedback')).toContainText(`Not yet. ${hint}`);
	await expect(page.locator('.stem')).toHaveText(stem);
	await page.getByRole('textbox').fill('4');
	await page.getByRole('button', { name: 'Try again' }).click();
	await expect(page.locator('.feedback')).toContainText(solution[0]);
	await expect(page.locator('.feedback').getByRole('img')).toBeVisible();
	await expect(page.locator('.stem')).toHaveText(stem);
	await page.getByRole('button', { name: 'Next', exact: true }).click();
	await expect(page.locator('.stem')).toHaveText(itemFrom(second.familyId, second.seed).stem);
});
