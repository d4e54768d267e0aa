import { expect, test } from './test';
import { expectAccessible, signInStaff } from './people';
import { startDemoServer } from '../../scripts/demoServer.mjs';
import { serveMail } from '../../standins/mailServer/server';

test('a colleague is invited by mail, and signs in by what the letter says', async ({ page }) => {
	const mail = await serveMail();
	const school = await startDemoServer(['--empty'], { ORDERLY_MAIL: mail.smtp });
	try {
		const password = /with the password (\S+)/.exec(school.said)![1];
		await signInStaff(page, 'coordinator', school.address, password);
		await page.goto(`${school.address}/setup/people`);
		await page.getByRole('button', { name: 'Add a colleague' }).click();
		await page.getByLabel('Name', { exact: true }).fill('Bo Lindqvist');
		await page.getByLabel('User name').fill('bo.l');
		await page.getByLabel('Mail', { exact: true }).fill('bo@school.example');
		await page.getByRole('button', { name: 'Add and make an invitation' }).click();
		await page.getByRole('button', { name: 'Send it to bo@school.example' }).click();
		await expect(page.getByText('The invitation goes to bo@school.example.')).toBeVisible();
		await expect.poll(() => mail.letters.length, { timeout: 60_000 }).toBe(1);
		await page.reload();
		await expect(page.getByRole('row', { name: /Bo Lindqvist/ })).toContainText('; mailed');
		await expectAccessible(page);

		// As Bo would: from the page on which the letter is read.
		const theirs = await (await page.context().browser()!.newContext()).newPage();
		await theirs.goto(mail.address);
		await theirs.getByRole('link', { name: /\/welcome\// }).click();
		await theirs.getByLabel('Password', { exact: true }).fill('estuary lantern');
		await theirs.getByLabel('Password again').fill('estuary lantern');
		await theirs.getByRole('button', { name: 'Keep it, and sign in' }).click();
		await theirs.getByLabel('User name').fill('bo.l');
		await theirs.getByLabel('Password').fill('estuary lantern');
		await theirs.getByRole('button', { name: 'Sign in' }).click();
		await expect(theirs.getByRole('button', { name: /^My class/ })).toBeVisible();
		await theirs.context().close();
	} finally {
		await school.stop();
		await mail.stop();
	}
});
