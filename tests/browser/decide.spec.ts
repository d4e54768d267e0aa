import { expect, test } from './test';
import { address, signInStaff } from './people';

test('a verdict changes the tier from its date', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/decide?scope=school`);
	const review = page.locator('article').last();
	const name = await review.getByRole('heading').innerText();
	await review.getByRole('link', { name: 'Record a verdict' }).click();
	await page.getByRole('radio', { name: /^exit/ }).check();
	await page.getByRole('button', { name: `Record exit for ${name}` }).click();
	await expect(page.getByRole('status')).toContainText('exit, tier 1 from Mon, Nov 23');
	await page.locator('tr').filter({ hasText: name }).first().getByRole('link').click();
	const peek = page.getByRole('complementary', { name: 'Selected student' });
	await expect(peek).toContainText('Tier 1');
	await page.getByRole('button', { name: `Undo exit for ${name}` }).click();
	await expect(peek).toContainText(/Tier [23]/);
});

test('each review shows the advice with its reasons, and a verdict without a next date is refused', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/decide?scope=school`);
	for (const review of await page.locator('article').all()) {
		await expect(review).toContainText(
			/The rule advises: (exit|fade|continue|adjust|intensify|deliver first|not enough yet)/
		);
		expect(await review.locator('li').count()).toBeGreaterThan(0);
	}
	const review = page.locator('article').first();
	const name = await review.getByRole('heading').innerText();
	await review.getByRole('link', { name: 'Record a verdict' }).click();
	await page.getByRole('radio', { name: /^continue/ }).check();
	await page.locator('article form').evaluate((form: HTMLFormElement) => (form.noValidate = true));
	await page.getByLabel('Look again on').fill('');
	await page.getByRole('button', { name: `Record continue for ${name}` }).click();
	await expect(page.getByRole('status')).toContainText('Say when to look again');
	await expect(page.locator('article').first().getByRole('heading')).toHaveText(name);
});

test('a verdict for another tier offers the groups that have a place, and says when a group of another tier is stayed in', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/decide?scope=school`);
	// Of a student in tier 2, whom the verdict moves to tier 3.
	const review = page
		.locator('article')
		.filter({ has: page.getByText('Tier 2', { exact: true }) })
		.first();
	const name = await review.getByRole('heading').innerText();
	await review.getByRole('link', { name: 'Record a verdict' }).click();
	await page.getByRole('radio', { name: /^intensify/ }).check();
	const group = page.getByLabel('Group from then on');
	await expect(page.getByText(/is a tier 2 group\./)).toBeVisible();
	await group.selectOption('leaves');
	await expect(page.getByText(/is a tier 2 group\./)).toHaveCount(0);
	const fitting = group.locator('optgroup option');
	if ((await fitting.count()) > 0) await group.selectOption({ index: 2 });
	await page.getByRole('button', { name: `Record intensify for ${name}` }).click();
	const status = page.getByRole('status');
	await expect(status).toContainText(/intensify, tier 3 from Mon, Nov 23/);
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(page.locator('article').filter({ hasText: name })).toHaveCount(1);
});

test('a review leads to practice with its student and the group’s focus filled in', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/decide?scope=school`);
	const review = page.locator('article').first();
	const name = await review.getByRole('heading').innerText();
	const focus = /, on (.*) · due /.exec(await review.locator('header').innerText())![1];
	await review.getByRole('link', { name: 'Assign practice' }).click();
	await expect(page.getByRole('region', { name: 'Who' })).toContainText(name);
	await expect(page.getByRole('region', { name: 'What' }).locator('strong').first()).toHaveText(focus);
});
