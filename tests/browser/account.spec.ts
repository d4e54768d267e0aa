import { expect, test, type Page } from './test';
import { classCodeOf, DEMO_PASSWORD } from '../../demo/people';
import { address, expectAccessible } from './people';

const NEW_PASSWORD = 'eleven gulls at noon';

async function signIn(page: Page, userName: string, password: string) {
	await page.goto(`${address()}/sign-in`);
	await page.getByLabel('User name').fill(userName);
	await page.getByLabel('Password').fill(password);
	await page.getByRole('button', { name: 'Sign in' }).click();
}

test('who is signed in in several places sees them, ends them, and changes the password', async ({ page, browser }) => {
	const elsewhere = await (await browser.newContext()).newPage();
	const third = await (await browser.newContext()).newPage();
	for (const one of [elsewhere, third, page]) {
		await signIn(one, 'oystercatcher', DEMO_PASSWORD);
		await expect(one.getByRole('navigation', { name: 'Legs of the cycle' })).toBeVisible();
	}
	await page.getByRole('link', { name: 'teacher', exact: false }).first().click();
	await expect(page.getByRole('heading', { name: 'Your account' })).toBeVisible();
	const rows = page.getByRole('row').filter({ has: page.getByRole('rowheader') });
	await expect(rows).toHaveCount(3);
	await expect(rows.filter({ hasText: 'here' })).toHaveCount(1);
	await expectAccessible(page);
	await page
		.getByRole('button', { name: /^Sign out of/ })
		.first()
		.click();
	await expect(page.getByText('Signed out there.')).toBeVisible();
	await expect(rows).toHaveCount(2);

	const change = async (old: string, fresh: string, again: string) => {
		await page.getByLabel('Old password').fill(old);
		await page.getByLabel('New password', { exact: true }).fill(fresh);
		await page.getByLabel('New password again').fill(again);
		await page.getByRole('button', { name: 'Change the password' }).click();
	};
	await change(DEMO_PASSWORD, NEW_PASSWORD, 'eleven gulls at none');
	await expect(page.getByText('The two new passwords differ. Nothing was changed.')).toBeVisible();
	await change('not this one', NEW_PASSWORD, NEW_PASSWORD);
	await expect(page.getByText('The old password is wrong. Nothing was changed.')).toBeVisible();
	await change(DEMO_PASSWORD, NEW_PASSWORD, NEW_PASSWORD);
	await expect(page.getByText('The password is changed. You are signed out in 1 other place.')).toBeVisible();
	await expect(rows).toHaveCount(1);

	for (const one of [elsewhere, third]) {
		await one.goto(`${address()}/screen?scope=school`);
		await expect(one).toHaveURL(/\/sign-in/);
	}
	await signIn(third, 'oystercatcher', DEMO_PASSWORD);
	await expect(third.getByRole('alert')).toHaveText('User name or password is wrong.');
	await signIn(third, 'oystercatcher', NEW_PASSWORD);
	await expect(third.getByRole('navigation', { name: 'Legs of the cycle' })).toBeVisible();
	await elsewhere.context().close();
	await third.context().close();
});

test('a student with too many wrong PINs is let in again by the teacher with one press', async ({ page, browser }) => {
	const tablet = await (await browser.newContext()).newPage();
	const tryPin = async (pin: string) => {
		await tablet.goto(`${address()}/sign-in?as=student&class=${classCodeOf(3)}`);
		await tablet.getByLabel('Your name').selectOption({ index: 5 });
		await tablet.getByLabel('Your PIN').fill(pin);
		await tablet.getByRole('button', { name: 'Start' }).click();
	};
	for (let i = 0; i < 8; i++) {
		await tryPin(`111${i}`);
		await expect(tablet.getByRole('alert')).toHaveText('That PIN does not fit the name. Try again.');
	}
	await tryPin('2468');
	await expect(tablet.getByRole('alert')).toContainText('Ask your teacher to let you in');

	const other = await (await browser.newContext()).newPage();
	await signIn(other, 'turnstone', DEMO_PASSWORD);
	await expect(other.getByRole('navigation', { name: 'Legs of the cycle' })).toBeVisible();
	await expect(other.getByText('Locked out')).toHaveCount(0);
	await other.context().close();

	await signIn(page, 'dunlin', DEMO_PASSWORD);
	const bar = page.getByText('Locked out after too many wrong PINs:');
	await expect(bar).toBeVisible();
	await expectAccessible(page);
	await page.getByRole('button', { name: /^Let .+ in$/ }).click();
	await expect(bar).toHaveCount(0);
	await page.goto(`${address()}/students/locked`);
	await expect(page.getByText('Nobody is locked out.')).toBeVisible();

	await tryPin('2468');
	await expect(tablet.getByRole('heading', { name: 'Hello' })).toBeVisible();
	await tablet.context().close();
});
