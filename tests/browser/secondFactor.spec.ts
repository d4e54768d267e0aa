import { generateSync } from 'otplib';
import { startDemoServer } from '../../scripts/demoServer.mjs';
import { expectAccessible, signInStaff } from './people';
import { expect, test, type Page } from './test';

/** What an authenticator shows, some half minutes later: a code is taken once. */
const codeOf = (secret: string, later = 0) =>
	generateSync({ secret: secret.replaceAll(' ', ''), epoch: Math.floor(Date.now() / 1_000) + 30 * later });

/** Takes the secret up that a page offers. @returns it, and the recovery codes */
async function setUp(page: Page) {
	await expect(page.getByAltText('Square code for an authenticator')).toBeVisible();
	const secret = await page.locator('code').innerText();
	await page.getByLabel('The code that it shows now').fill('000000');
	await page.getByRole('button', { name: 'Use it from now on' }).click();
	await expect(page.getByRole('alert')).toContainText('Nothing was changed');
	// Whoever has taken it up need not do so again.
	await expect(page.locator('code')).toHaveText(secret);
	await page.getByLabel('The code that it shows now').fill(codeOf(secret));
	await page.getByRole('button', { name: 'Use it from now on' }).click();
	await expect(page.getByText('They are shown only now.')).toBeVisible();
	const codes = await page.locator('li code').allInnerTexts();
	expect(codes).toHaveLength(10);
	return { secret, codes };
}

test('a code is asked for after the password, the school needs it of all, and who has lost it is helped', async ({
	page
}) => {
	const school = await startDemoServer(['--empty']);
	try {
		const password = /with the password (\S+)/.exec(school.said)![1];
		await signInStaff(page, 'coordinator', school.address, password);
		await page.goto(`${school.address}/setup/people`);
		await page.getByRole('button', { name: 'Need it of all staff' }).click();
		await expect(page.getByText('Set up your own first')).toBeVisible();
		await page.goto(`${school.address}/account`);
		await page.getByRole('link', { name: 'Set it up' }).click();
		await expectAccessible(page);
		const own = await setUp(page);
		await expectAccessible(page);
		await page.getByRole('link', { name: 'Back to your account' }).click();
		await expect(page.getByText('10 recovery codes are left')).toBeVisible();

		await page.goto(`${school.address}/setup/people`);
		await page.getByRole('button', { name: 'Need it of all staff' }).click();
		await expect(page.getByText(/^Needed of all staff/)).toBeVisible();
		await page.getByRole('button', { name: 'Add a colleague' }).click();
		await page.getByLabel('Name', { exact: true }).fill('Bo Lindqvist');
		await page.getByLabel('User name').fill('bo.l');
		await page.getByRole('button', { name: 'Add and make an invitation' }).click();
		const link = await page.locator('code').innerText();

		const context = await page.context().browser()!.newContext();
		const theirs = await context.newPage();
		await theirs.goto(link);
		await theirs.getByLabel('Password', { exact: true }).fill('estuary lantern');
		await theirs.getByLabel('Password again').fill('estuary lantern');
		await theirs.getByRole('button', { name: 'Keep it, and sign in' }).click();
		await theirs.getByLabel('User name').fill('bo.l');
		await theirs.getByLabel('Password').fill('estuary lantern');
		await theirs.getByRole('button', { name: 'Sign in' }).click();
		await expect(theirs.getByText('needs it of all staff: set it up, then go on')).toBeVisible();
		await theirs.goto(`${school.address}/screen`);
		await expect(theirs).toHaveURL(/\/second-factor$/);
		await setUp(theirs);
		await theirs.goto(`${school.address}/screen`);
		await expect(theirs.getByRole('navigation', { name: 'Legs of the cycle' })).toBeVisible();
		await context.close();

		await page.context().clearCookies();
		await page.goto(`${school.address}/sign-in`);
		await page.getByLabel('User name').fill('coordinator');
		await page.getByLabel('Password').fill(password);
		await page.getByRole('button', { name: 'Sign in' }).click();
		const code = page.getByLabel(/^The code that your authenticator shows/);
		await code.fill('123456');
		await page.getByRole('button', { name: 'Go on' }).click();
		await expect(page.getByRole('alert')).toContainText('The code is wrong');
		await expectAccessible(page);
		await code.fill(codeOf(own.secret, 1));
		await page.getByRole('button', { name: 'Go on' }).click();
		await expect(page.getByRole('navigation', { name: 'Legs of the cycle' })).toBeVisible();

		await page.goto(`${school.address}/setup/people`);
		await expect(page.getByRole('row', { name: /Bo Lindqvist/ })).toContainText('with a code');
		await page.getByRole('button', { name: 'Ask Bo Lindqvist for no code' }).click();
		await expect(page.getByRole('row', { name: /Bo Lindqvist/ })).not.toContainText('with a code');
		await page.goto(`${school.address}/second-factor`);
		await page.getByLabel(/^A code of your authenticator/).fill(own.codes[0]);
		await page.getByRole('button', { name: 'Make new recovery codes' }).click();
		await expect(page.getByText('The codes you had before work no more.')).toBeVisible();
		await page.goto(`${school.address}/second-factor`);
		await expect(page.getByRole('button', { name: 'Ask for no code any more' })).toHaveCount(0);
	} finally {
		await school.stop();
	}
});
