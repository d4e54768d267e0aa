import { expect, test } from './test';
import { address, signInStaff } from './people';

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
	await expect(peek.locator('.evidence')).toContainText('Add to 20');
});

test('the whole school’s map holds every student though only some rows are drawn', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps?scope=school`);
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

test('arrow keys held down go on past the rows and columns that are drawn', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps?columns=all&scope=school`);
	const grid = page.getByRole('grid', { name: /Needle map/ });
	await grid.locator('[data-at="0 0"]').focus();
	for (let i = 0; i < 80; i++) await page.keyboard.press('ArrowDown');
	await expect(grid.locator('[data-at="80 0"]')).toBeFocused();
	for (let i = 0; i < 60; i++) await page.keyboard.press('ArrowRight');
	const cell = grid.locator('[data-at="80 60"]');
	await expect(cell).toBeFocused();
	await expect(cell).toBeInViewport();
});

test('J walks past the rows that are drawn, and the map follows', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps?student=264&scope=school`);
	const row = page.locator('tr[data-student].current');
	await expect(row).toBeInViewport();
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('j');
	await expect(page).toHaveURL(/student=(?!264)\d+/);
	await expect(row).toBeInViewport();
	await page.keyboard.press('k');
	await expect(page).toHaveURL(/student=264/);
	await expect(row).toBeInViewport();
});

test('a skill that a whole class lacks is named as a lesson for the class, not as a group', async ({ page }) => {
	await signInStaff(page, 'phalarope');
	await page.goto(`${address()}/gaps?scope=school`);
	const notice = page.locator('.classwide').filter({ hasText: 'Phalarope: Remainders' });
	await expect(notice).toContainText(/\d+ of 2[0-2] with evidence lack it/);
	await expect(notice).toContainText('a lesson for the whole class');
});

test('rows, columns and tint of the map are chosen, and the address keeps them', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps?scope=class:7`);
	const grid = page.getByRole('grid');
	const columns = Number(await grid.getAttribute('aria-colcount'));
	await page.getByRole('combobox', { name: 'Only' }).selectOption('gaps');
	await expect(page).toHaveURL(/needles=gaps/);
	await expect.poll(async () => Number(await grid.getAttribute('aria-colcount'))).toBeLessThan(columns);
	await page.getByLabel('Rows by').selectOption('most gaps first');
	await expect(async () => {
		const gaps = await grid
			.locator('tbody tr[data-student]')
			.evaluateAll((rows) => rows.map((row) => row.querySelectorAll('[aria-label*=": Gap,"]').length));
		expect(gaps[0]).toBeGreaterThan(gaps.at(-1)!);
		expect(gaps).toEqual([...gaps].sort((a, b) => b - a));
	}).toPass();
	await page.getByLabel('Tint').uncheck();
	await expect(page).toHaveURL(/ground=off/);
	await page.reload();
	await expect(page.getByLabel('Tint')).not.toBeChecked();
	await expect(page.getByRole('combobox', { name: 'Only' })).toHaveValue('gaps');
});

test('domains fold into a summary by keyboard and unfold again, and the address keeps it', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps?scope=class:7`);
	const grid = page.getByRole('grid');
	const columns = async () => Number(await grid.getAttribute('aria-colcount'));
	const before = await columns();
	await page.getByText('Fold domains').click();
	await page.getByRole('checkbox', { name: 'Measurement' }).focus();
	await page.keyboard.press('Space');
	await expect(page).toHaveURL(/folded=4/);
	await expect.poll(columns).toBeLessThan(before);
	await page.getByRole('button', { name: 'Fold all' }).click();
	await expect.poll(columns).toBe(7);
	await expect(
		grid.getByRole('gridcell', { name: /^Measurement: \d+ secure, \d+ between, \d+ gaps?, \d+ unseen/ })
	).toHaveCount(22);
	await grid
		.getByRole('gridcell', { name: /^Shape and space: / })
		.first()
		.focus();
	await page.keyboard.press('Enter');
	await expect(grid.getByRole('button', { name: 'Shape and space: fold' })).toBeVisible();
	await page.reload();
	await expect(grid.getByRole('button', { name: 'Measurement: unfold' })).toBeVisible();
	await page.getByText('Some domains folded').click();
	await page.getByRole('button', { name: 'Unfold all' }).click();
	await expect.poll(columns).toBe(before);
});

test('a student or a skill is found in the map by typing, and a word that is neither says so', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps?scope=class:7`);
	const grid = page.getByRole('grid');
	const name = await grid.locator('tbody tr[data-student] a').nth(4).innerText();
	await page.waitForLoadState('networkidle');
	await page.getByRole('searchbox', { name: 'Find' }).fill(name);
	await expect(grid.locator('tbody tr[data-student]')).toHaveCount(1);
	await page.getByRole('searchbox', { name: 'Find' }).fill('remainders');
	await expect(grid.locator('tbody tr[data-student]')).toHaveCount(22);
	await expect(grid).toHaveAttribute('aria-colcount', '2');
	await page.getByRole('searchbox', { name: 'Find' }).fill('zebra');
	await expect(page.getByText('Nobody and no skill here is called “zebra”.')).toBeVisible();
	await page.getByRole('link', { name: 'Show all' }).click();
	await expect(grid.locator('tbody tr[data-student]')).toHaveCount(22);
});

test('a gap says where it begins: the chain of what comes before it', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps?scope=grade:5&needles=gaps&columns=all`);
	const cells = page.getByRole('gridcell', { name: /: Gap, from \d+ answers, last on [^;]+$/ });
	await expect(cells.first()).toBeVisible();
	const peek = page.getByRole('complementary', { name: 'Selected student' });
	const begins = peek.getByRole('heading', { name: 'Where it begins' });
	// A gap that is not ready next has something before it, and for most that is where it begins.
	for (let i = 0; i < 16 && !(await begins.isVisible()); i++) {
		const [skillName] = (await cells.nth(i).getAttribute('aria-label'))!.split(': Gap');
		await cells.nth(i).click();
		await expect(peek.locator('.evidence h3')).toContainText(skillName);
	}
	await expect(begins).toBeVisible();
	await expect(peek.locator('.causes li').first()).toContainText(
		/→\s+.+with it mastered about \d of 10 would be likely, now (about \d of 10|hardly any)/
	);
});
