import { expect, test } from '@playwright/test';
import { address, signInStaff } from './people';

test('students move between groups by menu, by drag and by keyboard, and the cost is told', async ({ page }) => {
	// High enough for all groups to be in view above the action bar while something is dragged.
	await page.setViewportSize({ width: 1280, height: 1200 });
	await signInStaff(page, 'specialist');
	const ids = Array.from({ length: 22 }, (_, i) => 133 + i).join(',');
	await page.goto(`${address()}/groups?suggest=${ids}`);
	await page.getByRole('button', { name: 'Suggest groups' }).click();
	await expect(page.getByRole('button', { name: 'Suggest again' })).toBeVisible({ timeout: 25_000 });
	const first = page.locator('section.column').first();
	const members = first.locator('li');
	const before = await members.count();
	await members.first().getByRole('combobox').selectOption({ label: 'In no group' });
	await expect(members).toHaveCount(before - 1);
	await expect(page.locator('.proof')).toContainText('less than the suggestion');
	// By drag, from the place for those in no group into the second group.
	const out = page.getByRole('region', { name: 'In no group' });
	const moved = out.locator('li').last();
	const name = (await moved.getAttribute('aria-label'))!;
	const second = page.locator('section.column').nth(1);
	const room = await second.locator('li').count();
	const from = (await moved.locator('.chip').boundingBox())!;
	const to = (await second.locator('li').nth(1).boundingBox())!;
	await page.mouse.move(from.x + 20, from.y + 10);
	await page.mouse.down();
	await page.mouse.move(to.x + 30, to.y + 20, { steps: 15 });
	// The group makes room for what is held over it before it is let go.
	let down = 0;
	await expect
		.poll(async () => {
			await page.mouse.move(to.x + 30, to.y + 20 + (down++ % 20));
			return second.locator('li').count();
		})
		.toBe(room + 1);
	await page.mouse.up();
	await expect(second.getByRole('listitem', { name })).toBeVisible();
	await expect(out.getByRole('listitem', { name })).toHaveCount(0);
	// By keyboard, from there to the next group: Space picks up, Tab carries, Space drops.
	const carried = second.getByRole('listitem', { name });
	await carried.focus();
	await page.keyboard.press('Space');
	await page.keyboard.press('Tab');
	await expect(carried).toHaveCount(0);
	await page.keyboard.press('Space');
	const dropped = page.locator('section.column').nth(2).getByRole('listitem', { name });
	await expect(dropped).toBeFocused();
	await page.getByRole('button', { name: 'Leave without adopting' }).click();
	await expect(page.getByRole('heading', { name: /^Groups in/ })).toBeVisible();
});

test('adopted groups are announced with who and how many, and taken back in one step', async ({ page }) => {
	await signInStaff(page, 'coordinator');
	await page.goto(
		`${address()}/groups?scope=class:4&suggest=${Array.from({ length: 12 }, (_, i) => 67 + i).join(',')}`
	);
	await page.getByRole('button', { name: 'Suggest groups' }).click();
	await expect(page.getByRole('button', { name: 'Suggest again' })).toBeVisible({ timeout: 25_000 });
	await page.getByRole('button', { name: /^Adopt \d+ groups? with \d+ students/ }).click();
	await expect(page.getByRole('status')).toContainText(/\d+ groups? with \d+ students adopted/);
	const shown = await page.getByText('(not started)').count();
	expect(shown).toBeGreaterThan(0);
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText('Taken back');
	await expect(page.getByText('(not started)')).toHaveCount(0);
});

test('a limit that a move breaks is named, and the grouping can still be adopted', async ({ page }) => {
	await signInStaff(page, 'specialist');
	const ids = Array.from({ length: 22 }, (_, i) => 155 + i).join(',');
	await page.goto(`${address()}/groups?suggest=${ids}`);
	await page.getByRole('button', { name: 'Suggest groups' }).click();
	await expect(page.getByRole('button', { name: 'Suggest again' })).toBeVisible({ timeout: 60_000 });
	await expect(page.locator('.broken')).toHaveCount(0);
	const members = page.locator('section.column').filter({ hasText: 'Tier 2' }).first().locator('li');
	while ((await members.count()) > 1)
		await members.first().getByRole('combobox').selectOption({ label: 'In no group' });
	await expect(page.locator('.broken').first()).toContainText(/^the group at .+ has 1 student; tier 2 takes 3 to 6$/);
	await expect(page.getByRole('button', { name: /^Adopt/ })).toBeEnabled();
});

test('limits nobody can meet place nobody, and say why', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/groups?suggest=155,156`);
	await page.getByLabel('Smallest tier 2 group').fill('9');
	await page.getByLabel('Largest tier 2 group').fill('9');
	await page.getByLabel('Smallest tier 3 group').fill('9');
	await page.getByLabel('Largest tier 3 group').fill('9');
	await page.getByRole('button', { name: 'Suggest groups' }).click();
	await expect(page.getByRole('button', { name: 'Suggest again' })).toBeVisible({ timeout: 60_000 });
	const out = page.getByRole('region', { name: 'In no group' });
	await expect(out.locator('li')).toHaveCount(2);
	for (const reason of await out.locator('.reason').allInnerTexts()) expect(reason.length).toBeGreaterThan(15);
	await expect(page.getByRole('button', { name: /^Adopt/ })).toHaveCount(0);
});
