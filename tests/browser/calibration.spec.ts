import { expect, test } from './test';
import { address, expectAccessible, signInStaff } from './people';

test('a coordinator calibrates from the answers there are, looks it through, approves it, and takes it back', async ({
	page
}) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/screen/calibration`);
	await expect(page.getByText('In use: what is supposed at first.')).toBeVisible();
	await page.getByRole('button', { name: /^Calibrate from [\d,]+ answers in \d+ sittings$/ }).click();
	await expect(page.getByRole('status').filter({ hasText: 'The calibration has begun.' })).toBeVisible();
	await expect(page.getByRole('button', { name: 'Cancel' })).toBeVisible();

	const use = page.getByRole('button', { name: /^Use for \d+ families, as a new version$/ });
	await expect(use).toBeVisible({ timeout: 200_000 });
	const proposed = Number((await use.innerText()).match(/\d+/)![0]);
	expect(proposed).toBeGreaterThan(20);
	const rows = page.getByRole('table', { name: 'Families of questions' }).locator('tbody tr');
	const all = await rows.count();
	expect(all).toBeGreaterThan(300);
	await page.getByRole('link', { name: 'Answers', exact: true }).click();
	await expect(page).toHaveURL(/sort=answers/);
	const answers = await rows.locator('td:nth-child(5)').allInnerTexts();
	expect(answers.map(Number)).toEqual(answers.map(Number).sort((a, b) => b - a));
	await page.getByLabel('Show').selectOption('few');
	await expect(rows.first()).toContainText('too few answers');
	await expect(rows.getByRole('checkbox')).toHaveCount(0);
	await page.getByLabel('Show').selectOption('flagged');
	await expect(rows.first()).toBeVisible();
	await expectAccessible(page);
	await page.getByLabel('Show').selectOption('all');

	await rows.getByRole('checkbox', { checked: true }).first().uncheck();
	await page.getByRole('button', { name: `Use for ${proposed - 1} families, as a new version` }).click();
	await expect(page.getByText(`Version 1 is in use, for ${proposed - 1} families`)).toBeVisible();
	await expect(page.getByText(/In use: version 1 with \d+ families/)).toBeVisible();
	await expect(page.getByText('This calibration is in use.')).toBeVisible();
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('In use: what is supposed at first.')).toBeVisible();
});

test('a calibration is canceled; a specialist sees calibration but changes nothing, a teacher does not see it', async ({
	page,
	browser
}) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/screen/calibration`);
	await page.getByRole('button', { name: /^Calibrate from/ }).click();
	await page.getByRole('button', { name: 'Cancel' }).click();
	await expect(page.getByText('The calibration is canceled. Nothing was changed.')).toBeVisible();
	await expect(page.getByText('The last calibration was canceled.')).toBeVisible();

	const context = await browser.newContext();
	const other = await context.newPage();
	await signInStaff(other, 'specialist');
	await other.goto(`${address()}/screen/calibration`);
	await expect(other.getByRole('heading', { name: 'Calibration' })).toBeVisible();
	await expect(other.getByRole('button', { name: /^(Calibrate|Use for)/ })).toHaveCount(0);
	const refused = await other.request.post(`${address()}/screen/calibration?/start`, {
		headers: { origin: address(), accept: 'application/json' },
		form: {}
	});
	expect(await refused.text()).toContain('cannot calibrate');
	await context.clearCookies();
	await signInStaff(other, 'avocet');
	await other.goto(`${address()}/screen?scope=school`);
	await expect(other.getByRole('link', { name: 'Calibration' })).toHaveCount(0);
	expect((await other.goto(`${address()}/screen/calibration`))!.status()).toBe(403);
	await context.close();
});
