import { expect, test, type Page } from './test';
import { address, expectAccessible, signInStaff } from './people';

const board = (page: Page) => page.getByRole('group', { name: 'Sheet to mark' });
const place = (page: Page, i: number) => page.locator(`[data-place="${i}"]`);

test('a class teacher gives reading aloud by keyboard alone, minute, wrong tap and last word, and it is in the results', async ({
	page
}) => {
	await page.clock.install({ time: new Date('2026-11-23T15:00:00Z') });
	await signInStaff(page, 'turnstone');
	await page.goto(`${address()}/screen/sittings?window=4&scope=school`);
	const first = page.locator('tr[data-student]').filter({ hasText: 'not started' }).first();
	const name = await first.getByRole('rowheader').innerText();
	const give = first.getByRole('link', { name: `Give to ${name}` });
	await give.focus();
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name })).toBeVisible();
	await expect(page.getByText('reads like grade 6.7')).toBeVisible();
	await page.getByRole('button', { name: 'Start', exact: true }).focus();
	await page.keyboard.press('Enter');
	await expect(page.getByRole('timer')).toContainText('left');

	await place(page, 0).focus();
	await page.keyboard.press('ArrowRight');
	await page.keyboard.press('ArrowRight');
	await page.keyboard.press('Space');
	await expect(place(page, 2)).toHaveAccessibleName('eels, missed');
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('Space');
	await expect(board(page).locator('.missed')).toHaveCount(2);
	await page.keyboard.press('Backspace');
	await expect(board(page).locator('.missed')).toHaveCount(1);

	await page.clock.runFor(61_000);
	await expect(page.getByText('Time. Tap the last word that was reached.')).toBeVisible();
	await page.keyboard.press('Home');
	for (let i = 0; i < 49; i++) await page.keyboard.press('ArrowRight');
	await page.keyboard.press('l');
	await expect(place(page, 49)).toHaveAccessibleName(/last reached/);
	await expect(page.getByText('49 of 50 right in 60 seconds, 98% accurate')).toBeVisible();
	await page.getByRole('button', { name: /^Save for/ }).focus();
	await page.keyboard.press('Enter');
	await expect(page.getByText('Saved: 49 correct words a minute, 98% accurate.')).toBeVisible();
	await expect(page.getByRole('group', { name: 'Marked sheet' }).locator('.missed')).toHaveCount(1);
	await expect(page.getByRole('link', { name: /^Next: / })).toBeVisible();

	await page.getByRole('link', { name: 'Results', exact: true }).click();
	const row = page.locator('tr[data-student]').filter({ hasText: name });
	await expect(row).toContainText('49 ± 7');
	await expect(row).toContainText('98% of 50');
	await expect(page.locator('tr[data-student]')).toHaveCount(22);
});

test('number fluency is planned and given by touch; marks outlast a closed page, and what is saved can be set aside', async ({
	browser
}) => {
	const context = await browser.newContext({ hasTouch: true, viewport: { width: 1024, height: 768 } });
	const page = await context.newPage();
	await page.clock.install({ time: new Date('2026-11-23T15:00:00Z') });
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen/windows`);
	await page.getByRole('button', { name: 'Plan a window' }).click();
	const dialog = page.getByRole('dialog', { name: 'Plan a screening window' });
	await dialog.getByLabel('Name').fill('Facts in November');
	await dialog.getByLabel('How').selectOption('teacher-given');
	await expect(dialog).toContainText('Students see nothing of it');
	await dialog.getByLabel('Measure').selectOption('number fluency');
	await dialog.getByRole('button', { name: /^Plan the window/ }).click();
	await expect(page.getByRole('status')).toContainText('Facts in November is planned for 12 classes');

	await page.getByRole('link', { name: 'Facts in November' }).first().click();
	await page.waitForURL(/window=/);
	const windowId = new URL(page.url()).searchParams.get('window')!;
	await page.goto(`${address()}/screen/sittings?window=${windowId}&scope=class:4`);
	await expect(page.locator('tr[data-student]')).toHaveCount(22);
	await page
		.getByRole('link', { name: /^Give to/ })
		.first()
		.tap();
	await expect(page.getByText('60 facts')).toBeVisible();
	await page.getByRole('button', { name: 'Start', exact: true }).tap();
	await place(page, 1).tap();
	await place(page, 4).tap();
	await place(page, 4).tap();
	await place(page, 5).tap();
	await page.getByRole('button', { name: 'Take back' }).tap();
	await expect(board(page).locator('.missed')).toHaveCount(1);

	await page.reload();
	await expect(board(page).locator('.missed')).toHaveCount(1);
	await expect(page.getByRole('timer')).toContainText('left');
	await page.clock.runFor(61_000);
	await place(page, 19).tap();
	await expect(page.getByText('19 of 20 right in 60 seconds')).toBeVisible();
	await page.getByRole('button', { name: 'Other last fact' }).tap();
	await place(page, 23).tap();
	await expectAccessible(page);
	await page.getByRole('button', { name: /^Save for/ }).tap();
	await expect(page.getByText('Saved: 23 correct facts a minute, 96% accurate.')).toBeVisible();
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).tap();
	await expect(page.getByText('Set aside: it feeds nothing.')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible();
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).tap();
	await expect(page.getByText('Taken back in: it counts again.')).toBeVisible();
	await expect(page.getByRole('group', { name: 'Marked sheet' })).toBeVisible();
	await context.close();
});

test('a measure stopped at once is not scored, and a closed window takes none', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen/give?window=4&to=219&scope=school`);
	await page.getByRole('button', { name: 'Start', exact: true }).click();
	await page.getByRole('button', { name: 'Stop now' }).click();
	await place(page, 3).click();
	await expect(page.getByText('too short to say anything of a pace')).toBeVisible();
	await expect(page.getByRole('button', { name: /^Save for/ })).toHaveCount(0);
	await page.getByRole('button', { name: 'Start over' }).click();
	await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible();

	await page.goto(`${address()}/screen/give?window=3&to=219&scope=school`);
	await expect(page.getByText('The window is open from')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Start', exact: true })).toHaveCount(0);
});

test('a teacher gives measures to their own class only', async ({ page }) => {
	await signInStaff(page, 'avocet');
	await page.goto(`${address()}/screen/give?window=4&to=219&scope=school`);
	await expect(page.getByRole('link', { name: 'Sittings' })).toHaveAttribute('aria-current', 'page');
	const answer = await page.request.post(`${address()}/screen/give?/save`, {
		headers: { origin: address(), accept: 'application/json' },
		form: {
			id: '11111111-2222-4333-8444-555555555555',
			window: '4',
			student: '219',
			sheet: '6',
			seconds: '60',
			reached: '80',
			missed: ''
		}
	});
	expect(await answer.text()).toContain('not yours to see');
});

test('the student’s copy is printed alone: the passage in large type, the facts without their answers', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen/give?window=4&to=219&scope=school`);
	await page.emulateMedia({ media: 'print' });
	await expect(page.locator('section').filter({ hasText: 'How many eels live in a river?' })).toBeVisible();
	await expect(board(page)).toBeHidden();
	await expect(page.getByRole('timer')).toBeHidden();
});

test('what was given is seen again as it was marked, and can be given once more', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen/sittings?window=4&scope=class:3`);
	await page
		.getByRole('link', { name: /^See what was given to / })
		.first()
		.click();
	const marked = page.getByRole('group', { name: 'Marked sheet' });
	await expect(marked).toBeVisible();
	await expect(marked.getByRole('button')).toHaveCount(0);
	await expect(marked.locator('.last')).toHaveCount(1);
	await page.getByRole('button', { name: 'Give it again' }).click();
	await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible();
});

test('a measure is begun week by week for some of a class, given, read in its chart, and taken back', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/track/measures?scope=class:6`);
	await expect(page.getByText('No measure is given week by week in this scope.')).toBeVisible();
	await page.getByRole('link', { name: 'number fluency' }).click();
	const begins = page.getByRole('table', { name: 'Who begins' });
	const goals = begins.getByRole('textbox');
	await goals.nth(0).fill('30');
	await goals.nth(1).fill('28');
	await page.getByRole('button', { name: 'Begin', exact: true }).click();
	const status = page.getByRole('status');
	await expect(status).toContainText('2 students: number fluency each week, until');
	const list = page.getByRole('table', { name: 'Series of measures' });
	await expect(list.locator('tbody tr')).toHaveCount(2);
	await expectAccessible(page);
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(status).toContainText('Taken back for 2 students.');
	await expect(list.locator('tbody tr[data-student]')).toHaveCount(0);

	// In a class where it runs: a giving is marked, stands in the chart's table, and can be set aside.
	await page.clock.install();
	await page.goto(`${address()}/track/measures?scope=class:5`);
	const give = list.getByRole('link', { name: /^Give number fluency to/ }).first();
	const name = (await give.getAttribute('aria-label'))!.replace('Give number fluency to ', '');
	await give.click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
	const again = page.getByRole('button', { name: 'Give another sheet' });
	const start = page.getByRole('button', { name: 'Start', exact: true });
	await expect(again.or(start)).toBeVisible();
	if (await again.isVisible()) await again.click();
	await expectAccessible(page);
	await start.click();
	await page.clock.runFor(61_000);
	await place(page, 19).click();
	await page.getByRole('button', { name: /^Save for/ }).click();
	await expect(page.getByText('Saved: 20 correct facts a minute, 100% accurate.')).toBeVisible();
	await page.getByRole('link', { name: /^Measures in/ }).click();
	const given = page.getByRole('table', { name: 'What was given' });
	await expect(given.locator('tbody tr').first()).toContainText('20 ± 4');
	await expect(page.getByRole('img', { name: /^Correct facts a minute: .*, 20\.$/ })).toBeVisible();
	await expectAccessible(page);
	const before = await given.locator('tbody tr').count();
	await given.getByRole('button', { name: 'Set what was given on Mon, Nov 23 aside' }).first().click();
	await expect(status).toContainText('Set aside');
	await expect(given.locator('tbody tr')).toHaveCount(before - 1);
});
