import { countActions } from './countActions';
import { address, expectAccessible, signInStaff } from './people';
import { expect, test } from './test';

test('from the Practice leg to who has a wrong idea, and practice given to them', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice?scope=school`);
	const { act, within } = countActions();
	// The first set in the list that several have finished.
	const finished = page.getByRole('link', { name: /^Results of .*: ([3-9]|1\d) of \d+ finished$/ }).first();
	await act(finished.click());
	const ideas = page.getByRole('region', { name: 'Wrong ideas' }).getByRole('listitem');
	const shared = ideas.filter({ has: page.getByRole('link', { name: /^Practice for these/ }) }).first();
	await expect(shared).toBeVisible();
	const names = await shared.locator('p').nth(1).getByRole('link').allInnerTexts();
	const practice = shared.getByRole('link', { name: `Practice for these ${names.length}` });
	await expectAccessible(page);
	await act(practice.click());
	const who = page.getByRole('region', { name: 'Who' });
	for (const name of names) await expect(who).toContainText(name);
	await act(page.getByRole('button', { name: 'Assign', exact: true }).click());
	await expect(page.getByRole('status')).toContainText(`assigned to ${names.length} students`);
	within(5, 'from the Practice leg to practice for who has a wrong idea');
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText('Taken back');
});

test('a set that nobody has begun says so, and nothing of what was missed', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/new?for=student:63&scope=school`);
	await page.getByRole('button', { name: 'Assign', exact: true }).click();
	await page
		.getByRole('link', { name: /^Results of .*: 0 of 1 finished$/ })
		.first()
		.click();
	await expect(page.getByText('Nobody has answered anything yet.')).toBeVisible();
	await expect(page.getByText(/^Not begun:/)).toBeVisible();
	await expect(page.getByRole('heading', { name: 'Most missed' })).toHaveCount(0);
	await expectAccessible(page);
});

test('a mark leads to the very question with what was answered, by keyboard as well, and one can be modeled', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice?scope=school`);
	await page
		.getByRole('link', { name: /^Results of .*: ([3-9]|1\d) of \d+ finished$/ })
		.first()
		.click();
	const grid = page.getByRole('table', { name: 'Students by questions' });
	const missed = grid.getByRole('link', { name: /: missed, 2 tries/ }).first();
	const [, name, place] = /^(.*), question (\d+): /.exec((await missed.getAttribute('title'))!)!;
	await missed.click();
	const given = page.getByRole('region', { name: `Question ${place}` });
	await expect(given).toContainText(`Question ${place}, ${name}`);
	await expect(given.getByRole('listitem')).toHaveCount(2);
	await expect(given.getByText('not right')).toHaveCount(2);
	await expect(given.getByText('Key:')).toBeVisible();
	await expectAccessible(page);

	// Arrows go from mark to mark: one tab stop for all.
	const first = grid.locator('tbody a').first();
	await first.focus();
	await page.keyboard.press('ArrowRight');
	const at = page.locator(':focus');
	await expect(at).toHaveAttribute('title', /, question 1: /);
	await page.keyboard.press('ArrowDown');
	await expect(at).toHaveAttribute('title', /, question \d+: /);
	await page.keyboard.press('Enter');
	await expect(page.getByRole('region', { name: /^Question \d+$/ })).toBeVisible();

	// What all answered to it.
	await grid.getByRole('link', { name: new RegExp(`^Question ${place}, right at the first try`) }).click();
	await expect(page.getByRole('region', { name: `Question ${place}` })).toContainText('all who have answered it');
	// What only one of them missed is told of last, folded.
	const folded = page.getByText(/missed by one student each$/);
	if (await folded.count()) await folded.click();
	await page.getByRole('button', { name: 'Model it' }).first().click();
	const dialog = page.getByRole('dialog', { name: 'Model it together' });
	await dialog.getByRole('button', { name: /^Show the first step/ }).click();
	await expect(dialog.getByRole('button', { name: /^Show the first step/ })).toHaveCount(0);
	await page.keyboard.press('Escape');
	await expect(dialog).toHaveCount(0);
});

test('the answers of a student are a key away, narrowed, and walked through student by student', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice?scope=class:7&student=140`);
	await page.keyboard.press('a');
	const heading = page.getByRole('heading', { level: 1 });
	await expect(heading).toHaveText(/^Answers of /);
	const first = await heading.innerText();
	const rows = page.getByRole('table', { name: /^Answers of / }).locator('tbody tr');
	await expect(rows).toHaveCount(50);
	await page.getByLabel('Judged').selectOption('not right');
	await expect(rows.filter({ hasNotText: 'not right' })).toHaveCount(0);
	await page.keyboard.press('Escape');
	await page.getByLabel('Judged').blur();
	await page.keyboard.press('j');
	await expect(heading).not.toHaveText(first);
	// The next student's are narrowed in the same way.
	await expect(page.getByLabel('Judged')).toHaveValue('not right');
	await page.keyboard.press('k');
	await expect(heading).toHaveText(first);
	await rows.getByRole('link').first().click();
	await expect(page.getByRole('heading', { name: /^Results: / })).toBeVisible();
	await expect(page.getByRole('region', { name: /^Question \d+$/ })).toBeVisible();
});
