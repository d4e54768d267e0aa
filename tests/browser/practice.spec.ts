import { expect, test } from './test';
import { address, expectAccessible, signInStaff } from './people';

test('a practice set is assigned with who and how many, and taken back in one step', async ({ page }) => {
	await signInStaff(page, 'interventionist2');
	await page.goto(`${address()}/practice/new?for=group:3&scope=group:3`);
	await page.getByLabel('15 questions').check();
	await page.getByRole('button', { name: /^Assign 15 questions \(about \d+ min\) to \d students, now/ }).click();
	await expect(page.getByRole('status')).toContainText(/assigned to \d students/);
	const assigned = page.locator('section').first().locator('tbody tr.new');
	await expect(assigned).toHaveCount(1);
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText('Taken back');
	await expect(assigned).toHaveCount(0);
	// Even that can be undone.
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText(/Given to \d students again/);
	await expect(assigned).toHaveCount(1);
});

test('a due date is moved for all and for one, and a student is excused, each in at most three actions', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	let actions = 0;
	const act = async (one: Promise<unknown>) => {
		actions++;
		await one;
	};
	const within = (most: number, what: string) => {
		console.log(`${what}: ${actions} actions`);
		expect(actions, what).toBeLessThanOrEqual(most);
		actions = 0;
	};
	const status = page.getByRole('status');
	await page.goto(`${address()}/practice?scope=school`);
	await page.locator('section').first().locator('tbody tr').first().getByRole('link').click();
	const table = page.getByRole('table', { name: 'Students with this set' });
	await expect(table).toBeVisible();
	await expectAccessible(page);

	const due = page.getByLabel('due', { exact: true });
	const before = await due.inputValue();
	await act(due.fill('2026-12-09'));
	await act(page.getByRole('button', { name: 'Keep for all' }).click());
	within(3, 'a due date moved');
	await expect(status).toContainText('due Wed, Dec 9');
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(due).toHaveValue(before);

	const first = table.locator('tbody tr').first();
	const name = await first.getByRole('link').innerText();
	await act(page.getByLabel(`Select ${name}`).check());
	await act(page.getByLabel('Due', { exact: true }).fill('2026-12-11'));
	await act(page.getByRole('button', { name: 'Due Fri, Dec 11 for 1 student' }).click());
	within(3, 'more time for one');
	await expect(first).toContainText('Fri, Dec 11, own');
	await expectAccessible(page);
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(first).not.toContainText('own');

	const open = table.getByRole('row', { name: /not begun/ }).first();
	if (await open.count()) {
		const who = await open.getByRole('link').innerText();
		await act(page.getByLabel(`Select ${who}`).check());
		await act(page.getByRole('button', { name: 'Excuse 1 student' }).click());
		within(3, 'one excused');
		await expect(table.getByRole('row', { name: new RegExp(who) })).toContainText('excused');
		await status.getByRole('button', { name: 'Undo' }).click();
		await expect(table.getByRole('row', { name: new RegExp(who) })).toContainText('not begun');
	}
});

test('the newest sets are listed, and the others part by part', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice?scope=school`);
	const rows = page.locator('section').first().locator('tbody tr');
	await expect(rows).toHaveCount(40);
	const count = Number((await page.getByText(/^1 to 40 of \d+$/).innerText()).split(' ').at(-1));
	await page.getByRole('link', { name: /^The next \d+$/ }).click();
	await expect(page.getByText(`41 to ${Math.min(80, count)} of ${count}`)).toBeVisible();
	await expect(rows).toHaveCount(Math.min(40, count - 40));
	await page.getByRole('link', { name: 'Those before' }).click();
	await expect(page.getByText(`1 to 40 of ${count}`)).toBeVisible();
});

test('sample questions are paged through with key, solution and what wrong answers tell', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/new?for=student:60&scope=school`);
	const sample = page.locator('.sample');
	const seen = new Set<string>();
	for (let i = 0; i < 6; i++) {
		await expect(page.locator('.pager')).toContainText(`${i + 1} of 6`);
		await expect(sample).toContainText(/Key: ?\S/);
		// Of some skills only the drawing differs.
		seen.add(await sample.innerHTML());
		await page.getByRole('button', { name: 'Next' }).click();
	}
	expect(seen.size).toBe(6);
	await expect(page.locator('.pager')).toContainText('1 of 6');
	await page.getByText('Solution, hint, and what wrong answers tell').click();
	await expect(sample).toContainText('Hint:');
});

test('another skill can be chosen, and dates that do not fit are refused', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/new?for=student:61&scope=school`);
	const statement = page.locator('.offers + p');
	const before = await statement.innerText();
	await page.getByRole('combobox', { name: 'Another skill' }).selectOption({ index: 20 });
	await expect(statement).not.toHaveText(before);
	// Past the browser's own check, as a request made by hand would come.
	await page
		.locator('form')
		.filter({ hasText: 'Length' })
		.evaluate((form: HTMLFormElement) => (form.noValidate = true));
	await page.getByLabel('Due').fill('2026-11-01');
	await page.getByRole('button', { name: /^Assign .* to 1 student/ }).click();
	await expect(page.getByRole('status')).toContainText('due before it opens. Nothing was changed.');
	await page.getByLabel('Students see it from').fill('2026-11-30');
	await page.getByLabel('Due').fill('2026-12-04');
	await expect(page.getByText('After Fri, Dec 4 the set stays open')).toBeVisible();
	await page.getByRole('button', { name: /^Assign .* to 1 student, from Mon, Nov 30$/ }).click();
	await expect(page.getByRole('status')).toContainText('assigned to 1 student');
});

test('a set opens with nobody in the whole school, and one for many is asked for once more', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice?scope=school`);
	await page.waitForLoadState('networkidle');
	await page.getByRole('link', { name: 'New practice set' }).click();
	await expect(page.getByRole('heading', { name: 'Who: nobody yet' })).toBeVisible();
	await expect(page.getByRole('button', { name: /^Assign .* to 0 students/ })).toBeDisabled();
	await page.getByRole('button', { name: /^Everyone in the whole school \(\d{3}\)$/ }).click();
	await page.getByRole('button', { name: /^Assign .* to \d{3} students, now/ }).click();
	await expect(page.getByRole('alert')).toHaveText(/^This set goes to \d{3} students of 12 classes\.$/);
	await page.getByRole('button', { name: /^Yes, assign .* to \d{3} students, now/ }).click();
	await expect(page.getByRole('status')).toContainText(/assigned to \d{3} students/);
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText('Taken back');
	// A class is chosen by its name, and needs no second question.
	await page.goto(`${address()}/practice/new?scope=school`);
	await page.waitForLoadState('networkidle');
	await page
		.getByRole('button', { name: /^Godwit/ })
		.first()
		.click();
	await expect(page.getByRole('heading', { name: /^Practice for Godwit/ })).toBeVisible();
	await page.getByRole('button', { name: /^Assign .* to 22 students, now/ }).click();
	await expect(page.getByRole('status')).toContainText('assigned to 22 students');
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
});
