import { expect, test } from '@playwright/test';
import { address, expectAccessible, signInStaff, signInStudent } from './people';

test('scope and selected student persist across legs, and J and K walk the roster', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=class:5`);
	const peek = page.getByRole('complementary', { name: 'Selected student' });
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('j');
	const first = await page.locator('tbody tr[data-student]').first().getAttribute('data-student');
	await expect(page).toHaveURL(new RegExp(`student=${first}$`));
	await expect(peek.getByRole('heading', { level: 2 })).toBeVisible();
	const name = await peek.getByRole('heading', { level: 2 }).innerText();
	for (const leg of ['Gaps', 'Groups', 'Practice', 'Track', 'Decide']) {
		await page
			.getByRole('link', { name: new RegExp(`^${leg}`) })
			.first()
			.click();
		await expect(page).toHaveURL(new RegExp(`/${leg.toLowerCase()}\\?.*scope=class:5.*student=${first}`));
		await expect(peek.getByRole('heading', { level: 2 })).toHaveText(name);
	}
	await page.goBack();
	await expect(page).toHaveURL(/\/track/);
	await page.goto(`${address()}/screen?scope=class:5&student=${first}`);
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('j');
	await expect(peek.getByRole('heading', { level: 2 })).not.toHaveText(name);
	await page.keyboard.press('k');
	await expect(peek.getByRole('heading', { level: 2 })).toHaveText(name);
});

test('the slash key finds a student, and the question mark lists the shortcuts', async ({ page }) => {
	await signInStaff(page, 'specialist');
	const name = await page.locator('tbody tr[data-student] th a').nth(8).innerText();
	await page.keyboard.press('/');
	await page.keyboard.type(name);
	await page.keyboard.press('Enter');
	await expect(page.getByRole('complementary', { name: 'Selected student' })).toContainText(name);
	await page.locator('h1').click();
	await page.keyboard.press('Shift+?');
	await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('every list shows every student in scope, the untested too', async ({ page }) => {
	await signInStaff(page, 'specialist');
	const roster = page.locator('tbody tr[data-student]');
	for (const path of ['/screen', '/practice', '/track']) {
		await page.goto(`${address()}${path}?scope=class:6`);
		const shown = await roster.evaluateAll(
			(rows) => new Set(rows.map((row) => (row as HTMLElement).dataset.student)).size
		);
		expect(shown, path).toBe(22);
	}
	await page.goto(`${address()}/screen`);
	await expect(roster).toHaveCount(264);
	expect(await page.getByRole('cell', { name: 'not started' }).count()).toBeGreaterThan(0);
});

test('a flagged sitting waits for a person; keeping it gives scores, and undo takes them back', async ({ page }) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/screen?status=needs+another+look`);
	const list = page.locator('details.flags li');
	const before = await list.count();
	expect(before).toBeGreaterThan(3);
	const name = await list.first().getByRole('link').innerText();
	const row = page.locator('tbody tr').filter({ hasText: name });
	await expect(row).toContainText('none');
	await list.first().getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByRole('status')).toContainText('The sitting is kept');
	await expect(list).toHaveCount(before - 1);
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(list).toHaveCount(before);
});

test('a score file is checked row by row, good rows are kept, and the same file again changes nothing', async ({
	page
}) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/screen/import`);
	const csv = [
		'Student number,Taken on,Total points,Whole numbers',
		'S10008,2026-11-16,512,505',
		'S10049,11/16/2026,498,',
		'S99999,2026-11-16,500,',
		'S10090,2026-14-16,500,',
		'S10131,2026-11-16,5000,'
	].join('\n');
	const bring = async () => {
		await page.getByLabel('Where the scores come from').fill('Harbor district test');
		await page
			.locator('input[type=file]')
			.setInputFiles({ name: 'scores.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
		await page.getByRole('button', { name: 'Match the columns' }).click();
		await expect(page.getByLabel('What Total points holds')).toHaveValue('overall');
		await page.getByRole('button', { name: 'Check the rows' }).click();
	};
	await bring();
	await expect(page.getByRole('row', { name: /^4 S99999/ })).toContainText('No student has the number S99999');
	await expect(page.getByRole('row', { name: /^5 S10090/ })).toContainText('is no date');
	await expect(page.getByRole('row', { name: /^6 S10131/ })).toContainText('outside 200 to 800');
	await page.getByRole('button', { name: /^Take 2 rows/ }).click();
	await expect(page.getByText('2 rows were taken, 0 were already there, 3 were left out.')).toBeVisible();
	await page.goto(`${address()}/screen/import`);
	await bring();
	await expect(page.getByRole('button', { name: /^Take 0 rows/ })).toBeDisabled();
	await expect(page.getByRole('row', { name: /^2 S10008/ })).toContainText('already there');
});

test('a file that is no score file gets a clear message', async ({ page }) => {
	await signInStaff(page, 'coordinator');
	for (const [text, says] of [
		['just one line', 'at least two columns'],
		['a,b', 'no rows below the header'],
		['a,b\n1,2\u0000', 'UTF-8']
	]) {
		await page.goto(`${address()}/screen/import`);
		await page.getByLabel('Where the scores come from').fill('x');
		await page
			.locator('input[type=file]')
			.setInputFiles({ name: 'scores.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
		await page.getByRole('button', { name: 'Match the columns' }).click();
		await expect(page.getByRole('alert')).toContainText(says);
		await expect(page.getByRole('alert')).toContainText('Nothing was changed');
	}
});

test('the needle map is walked by arrow keys, and Enter shows the answers behind a cell', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps?scope=class:3`);
	const grid = page.getByRole('grid', { name: /Needle map/ });
	await grid.locator('[data-at="0 0"]').focus();
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('ArrowRight');
	await page.keyboard.press('ArrowRight');
	await expect(grid.locator('[data-at="1 2"]')).toBeFocused();
	const said = await grid.locator('[data-at="1 2"]').getAttribute('aria-label');
	await page.keyboard.press('Enter');
	const peek = page.getByRole('complementary', { name: 'Selected student' });
	await expect(peek).toContainText(said!.split(': ')[1].split(/[,;(]/)[0].trim());
	await expect(peek.locator('.evidence')).toContainText('Add and subtract to 1,000');
});

test('the whole school’s map holds every student though only some rows are drawn', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps`);
	await expect(page.getByText('264 students', { exact: true })).toBeVisible();
	const drawn = await page.locator('tr[data-student]').count();
	expect(drawn).toBeLessThan(100);
	const last = await page.locator('tr[data-student]').last().getAttribute('data-student');
	await page.mouse.wheel(0, 20_000);
	await expect(page.locator('tr[data-student="264"], tr[data-student]').last()).not.toHaveAttribute(
		'data-student',
		last!
	);
});

test('students move between groups by menu and keyboard, and the cost is told', async ({ page }) => {
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
	const from = (await moved.locator('.chip').boundingBox())!;
	const to = (await second.locator('li').first().boundingBox())!;
	await page.mouse.move(from.x + 20, from.y + 10);
	await page.mouse.down();
	await page.mouse.move(to.x + 30, to.y + 20, { steps: 15 });
	await page.mouse.move(to.x + 32, to.y + 22, { steps: 5 });
	await page.mouse.up();
	await expect(second.getByRole('listitem', { name })).toBeVisible();
	await expect(out.getByRole('listitem', { name })).toHaveCount(0);
	await page.getByRole('button', { name: 'Leave without adopting' }).click();
	await expect(page.getByRole('heading', { name: /^Groups in/ })).toBeVisible();
});

test('a practice set is assigned with who and how many, and taken back in one step', async ({ page }) => {
	await signInStaff(page, 'interventionist2');
	await page.goto(`${address()}/practice/new?for=group:3&scope=group:3`);
	await page.getByLabel('10 questions').check();
	await page.getByRole('button', { name: /^Assign to \d students, now/ }).click();
	await expect(page.getByRole('status')).toContainText(/assigned to \d students/);
	const rows = page.locator('section').first().locator('tbody tr');
	const count = await rows.count();
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText('Taken back');
	await expect(rows).toHaveCount(count - 1);
});

test('a verdict changes the tier from its date', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/decide`);
	const review = page.locator('article').last();
	const name = await review.getByRole('heading').innerText();
	await review.getByRole('link', { name: 'Record a verdict' }).click();
	await page.getByRole('radio', { name: /^exit/ }).check();
	await page.getByRole('button', { name: `Record exit for ${name}` }).click();
	await expect(page.getByRole('status')).toContainText('exit, tier 1 from 2026-11-23');
	await page.locator('tr').filter({ hasText: name }).first().getByRole('link').click();
	const peek = page.getByRole('complementary', { name: 'Selected student' });
	await expect(peek).toContainText('Tier 1');
	await page.getByRole('button', { name: `Undo exit for ${name}` }).click();
	await expect(peek).toContainText(/Tier [23]/);
});

test('axe finds nothing on any staff page', async ({ page }) => {
	await signInStaff(page, 'specialist');
	for (const path of [
		'/screen?scope=class:7&student=140',
		'/screen/import',
		'/gaps?scope=class:7&student=140&cell=12',
		'/groups',
		'/groups?suggest=140,141,142',
		'/practice?scope=class:7',
		'/practice/new?for=group:2',
		'/track?scope=class:7',
		'/decide'
	]) {
		await page.goto(address() + path);
		await test.step(path, () => expectAccessible(page));
	}
});

test('axe finds nothing on the sign-in and student pages', async ({ page }) => {
	await page.setViewportSize({ width: 360, height: 740 });
	await page.goto(`${address()}/sign-in`);
	await expectAccessible(page);
	await signInStudent(page, 'WHIM108', 1);
	await expectAccessible(page);
	await page
		.getByRole('button', { name: /^(Start|Go on)/ })
		.first()
		.click();
	await expect(page.locator('.stem')).toBeVisible();
	await expectAccessible(page);
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
