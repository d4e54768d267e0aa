import { expect, test } from './test';
import { address, signInStaff } from './people';

test('another rule shows whom it would move before it is taken, and moves nobody by itself', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/decide/rules?scope=school`);
	await expect(page.getByRole('heading', { name: 'The shipped rule' })).toBeVisible();
	const meant = page.getByRole('table', { name: 'Meant for a higher tier' }).locator('tbody tr');
	const before = await meant.count();
	await page.getByText('Try another rule').click();
	const fields = page.getByRole('form', { name: 'Another rule' });
	await fields.getByLabel('Sure to, in 100').fill('55');
	await fields.getByRole('button', { name: 'See whom it would move' }).click();
	const tried = page.getByRole('region', { name: 'What that rule would change' });
	const changes = tried.locator('tbody tr');
	await expect(changes.first()).toContainText(/tier 1.*tier 2/s);
	await expect(page.getByRole('heading', { name: 'The shipped rule' })).toBeVisible();
	expect(await meant.count()).toBe(before);
	await tried.getByRole('button', { name: 'Take that rule' }).click();
	const status = page.getByRole('status');
	await expect(status).toContainText('This rule holds now. Nobody has moved');
	await page.goto(`${address()}/decide/rules?scope=school`);
	await expect(page.getByRole('heading', { name: 'The school’s rule' })).toBeVisible();
	await expect(page.getByText('it is 55% sure to be under the cut score')).toBeVisible();
	expect(await meant.count()).toBeGreaterThan(before);

	// One is moved, one stays with a reason; both are taken back.
	const [first, second] = await meant.locator('th a').allInnerTexts();
	await page.getByRole('checkbox', { name: `Move ${first}` }).check();
	await page.getByRole('button', { name: 'Move 1 student to the tier the rule means' }).click();
	await expect(status).toContainText('1 student in the tier that the rule means from Mon, Nov 23');
	await expect(meant.filter({ hasText: first })).toHaveCount(0);
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(meant.filter({ hasText: first })).toHaveCount(1);
	const stays = page.getByRole('form', { name: 'Stays all the same' });
	await stays.getByLabel('Not this one:').selectOption({ label: second });
	await stays.getByLabel('stays, because').fill('A second score comes next week.');
	await stays.getByRole('button', { name: 'Leave as they are' }).click();
	await expect(page.getByRole('heading', { name: 'Stay as they are all the same' })).toBeVisible();
	await expect(meant.filter({ hasText: second })).toHaveCount(0);
	await page.getByRole('button', { name: `Take back that ${second} stays` }).click();
	await expect(meant.filter({ hasText: second })).toHaveCount(1);

	await page.getByText('Try another rule').click();
	await page.getByRole('button', { name: 'Take the shipped rule again' }).click();
	await expect(page.getByRole('heading', { name: 'The shipped rule' })).toBeVisible();
});

test('a class teacher says a word for the rule, and can neither change it nor move anybody', async ({ page }) => {
	await signInStaff(page, 'redshank');
	await page.goto(`${address()}/decide/rules`);
	await expect(page.getByText('Try another rule')).toHaveCount(0);
	await expect(page.getByRole('button', { name: /^Move / })).toHaveCount(0);
	const form = page.getByRole('form', { name: 'A word for the rule' });
	await form.getByLabel('Student').fill('a');
	await page.getByRole('listbox', { name: 'Students found' }).getByRole('option').first().click();
	await form.getByLabel('Needs more, because').fill('Loses the thread in stories.');
	await form.getByRole('button', { name: 'Say it' }).click();
	const status = page.getByRole('status');
	await expect(status).toContainText(/^Said of .*; it counts until/);
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(status).toContainText('Taken back.');
});
