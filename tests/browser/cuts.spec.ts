import { expect, test } from './test';
import { address, expectAccessible, signInStaff } from './people';

test('a coordinator sets a cut score, all bands follow, and undo gives the one before', async ({ page }) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/screen/cuts`);
	const row = page.getByRole('row', { name: /^5 / });
	const below = async () => Number(await row.getByRole('cell').nth(2).innerText());
	const before = await below();
	await page.getByLabel('Cut score of grade 5').fill('530');
	await page.getByRole('button', { name: 'Set the cut scores of term 2' }).click();
	await expect(page.getByRole('status')).toContainText('Cut scores of term 2 are set for grade 5.');
	expect(await below()).toBeGreaterThan(before);
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByLabel('Cut score of grade 5')).not.toHaveValue('530');
	await expect.poll(below).toBe(before);
	await page.getByLabel('Cut score of grade 5').fill('5300');
	await page.getByRole('button', { name: 'Set the cut scores of term 2' }).click();
	await expect(page.getByRole('status')).toContainText('whole numbers from 200 to 800');
});

test('outcomes judge the line: area with its interval, what it catches and spares, and a suggestion', async ({
	page
}) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/screen/cuts?window=1`);
	await expectAccessible(page);
	const row = page.getByRole('row', { name: /^4 / });
	await expect(row).toContainText(/0\.\d\d\s*0\.\d\d to (0\.\d\d|>0\.99)/);
	const suggested = async () => parseInt(await row.getByRole('cell').last().innerText());
	const at80 = await suggested();
	await page.getByLabel('Suggest a line that catches').selectOption('0.9');
	await expect(page).toHaveURL(/catch=0\.9/);
	expect(await suggested()).toBeGreaterThanOrEqual(at80);
	await page.getByRole('button', { name: 'Bring in outcomes …' }).click();
	const dialog = page.getByRole('dialog', { name: 'Bring in outcomes' });
	await dialog.getByLabel('What it was').fill('Harbor check');
	await dialog.getByLabel(/^Rows:/).fill('Student,Result\nS10001,met\nS10002,not met\nS10003,perhaps');
	await dialog.getByRole('button', { name: 'Take the outcomes' }).click();
	await expect(page.getByText('Line 4: “perhaps” is neither met nor not met.')).toBeVisible();
	await page.getByLabel('Judged by').selectOption('Harbor check');
	await expect(row).toContainText('too few of either kind');
});

test('a specialist sees cut scores and cannot set them', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen/cuts`);
	await expect(page.getByRole('row', { name: /^5 / })).toBeVisible();
	await expect(page.getByLabel('Cut score of grade 5')).toHaveCount(0);
	const reply = await page.request.post(`${address()}/screen/cuts?/cuts`, {
		form: { term: '2', grades: '5', points: '530' },
		headers: { origin: address(), accept: 'application/json' }
	});
	expect(JSON.stringify(await reply.json())).toContain('Your account cannot');
});
