import { execFileSync } from 'node:child_process';
import { expect, test } from './test';
import { expectAccessible, signInStaff } from './people';
import { startDemoServer } from '../../scripts/demoServer.mjs';

test('a colleague of one school opens the invitation of another, and goes from one to the other', async ({ page }) => {
	const school = await startDemoServer(['--empty']);
	try {
		const [first] = /(?<=with the password )\S+/.exec(school.said)!;
		const said = execFileSync(
			process.execPath,
			['--import', 'tsx', 'scripts/addSchool.ts', 'Gull Point School', 'America/New_York', 'gull.coordinator'],
			{ encoding: 'utf8', env: { ...process.env, DATABASE_URL: school.databaseUrl } }
		);
		const [second] = /(?<=with the password )\S+/.exec(said)!;

		const theirs = await (await page.context().browser()!.newContext()).newPage();
		await signInStaff(theirs, 'gull.coordinator', school.address, second);
		await theirs.goto(`${school.address}/setup/people`);
		await theirs.getByRole('button', { name: 'Add a colleague' }).click();
		await theirs.getByLabel('Name', { exact: true }).fill('Ida Marlow');
		await theirs.getByLabel('User name').fill('ida.m');
		await theirs.getByLabel('Role').selectOption('interventionist');
		await theirs.getByRole('button', { name: 'Add and make an invitation' }).click();
		const link = await theirs.getByText(/\/welcome\//).innerText();

		await page.goto(link);
		await expect(page.getByText('Sign in there first')).toBeVisible();
		await signInStaff(page, 'coordinator', school.address, first);
		await page.goto(link);
		await expect(page.getByText('This browser is signed in as Coordinator at Our school')).toBeVisible();
		await expectAccessible(page);
		await page.getByRole('button', { name: 'Go on as Coordinator' }).click();
		await expect(page.getByRole('link', { name: 'Ida Marlow interventionist' })).toBeVisible();
		await page.getByRole('link', { name: 'Gull Point School' }).click();
		await expect(page.getByRole('heading', { name: 'Your other schools' })).toBeVisible();
		await expectAccessible(page);
		await page.getByRole('button', { name: 'Go to Our school' }).click();
		await expect(page.getByRole('link', { name: 'Coordinator coordinator' })).toBeVisible();

		await theirs.reload();
		await expect(theirs.getByRole('row', { name: /Ida Marlow/ })).toContainText('by an account at another school');
		await theirs.context().close();
	} finally {
		await school.stop();
	}
});
