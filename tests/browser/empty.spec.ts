import { expect, test } from './test';
import { startDemoServer } from '../../scripts/demoServer.mjs';
import { expectAccessible, signInStaff } from './people';

test('a school with nobody in it opens on every leg, and each says why it is empty', async ({ page }) => {
	const school = await startDemoServer(['--empty']);
	try {
		const password = /with the password (\S+)/.exec(school.said)![1];
		expect(school.said).not.toContain('Demo sign-ins');
		await signInStaff(page, 'coordinator', school.address, password);
		const says: [leg: string, text: RegExp][] = [
			['screen', /No screening window is planned yet/],
			['gaps', /Nobody is in this scope/],
			['groups', /No group meets in this scope/],
			['practice', /No set was assigned to anyone here yet/],
			['track', /0 students in tiers 2 and 3/],
			['decide', /No review is due today/]
		];
		for (const [leg, text] of says) {
			await page.goto(`${school.address}/${leg}`);
			await expect(page.locator('main')).toContainText(text);
			await expectAccessible(page);
		}
		await page.goto(`${school.address}/screen`);
		await page.getByRole('link', { name: 'Plan a window' }).click();
		await page.getByRole('button', { name: 'Plan a window' }).click();
		await expect(page.getByText('There are no classes yet.')).toBeVisible();
		await expect(page.getByRole('button', { name: 'Plan the window for 0 classes' })).toBeDisabled();
	} finally {
		await school.stop();
	}
});
