import { expect, test } from './test';
import { address, expectAccessible, signInStaff } from './people';
import { openDatabase } from '../../src/lib/server/database/pool';
import { serveIdentities } from '../../standins/identityProvider/server';

test('staff and a student sign in with the school’s account, beside their passwords', async ({ page }) => {
	const database = openDatabase(process.env.DEMO_DATABASE!, 1);
	const { key } = (await database.row<{ key: string }>('SELECT roster_key AS `key` FROM school'))!;
	const specialist = (await database.row<{ id: number; name: string }>(
		`SELECT id, display_name AS name FROM account WHERE user_name = 'specialist'`
	))!;
	await database.close();
	const provider = await serveIdentities(
		[
			{ id: `${key}-adult-${specialist.id}`, name: 'The specialist' },
			{ id: `${key}-student-5`, name: 'A student' },
			{ id: 'someone', name: 'Somebody else' }
		],
		Number(process.env.DEMO_PROVIDER)
	);
	try {
		await signInStaff(page, 'coordinator');
		await page.goto(`${address()}/setup/school`);
		await page.getByLabel('Staff and students').selectOption({ label: 'can do either' });
		const keep = page
			.getByRole('region', { name: 'Signing in with Harbor account' })
			.getByRole('button', { name: 'Keep' });
		await keep.click();
		await expect(page.getByText('Whom the roster knows signs in there')).toBeVisible();
		await expectAccessible(page);

		const enter = async (name: string) => {
			const context = await page.context().browser()!.newContext();
			const theirs = await context.newPage();
			await theirs.goto(`${address()}/sign-in`);
			await expectAccessible(theirs);
			await theirs.getByRole('link', { name: 'Sign in with Harbor account' }).click();
			await theirs.getByLabel('Name').selectOption({ label: name });
			await theirs.getByRole('button', { name: 'Sign in' }).click();
			return theirs;
		};
		const staff = await enter('The specialist');
		await expect(staff.getByText(specialist.name)).toBeVisible();
		await expect(staff).toHaveURL(/\/screen/);
		const student = await enter('A student');
		await expect(student.getByRole('heading', { name: 'Hello' })).toBeVisible();
		const nobody = await enter('Somebody else');
		await expect(nobody.getByRole('alert')).toContainText('no roster here knows you');
		for (const one of [staff, student, nobody]) await one.context().close();

		await page.getByLabel('Staff and students').selectOption({ index: 0 });
		await keep.click();
		await expect(page.getByText('Everybody signs in with a password or PIN.')).toBeVisible();
	} finally {
		await provider.stop();
	}
});
