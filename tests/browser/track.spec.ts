import { expect, test } from './test';
import { address, signInStaff } from './people';

test('a caseload begins with who needs somebody, says why, and leads to the series', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/track?scope=school`);
	const rows = page.locator('tbody tr[data-student]');
	await expect(rows.first()).toContainText(/The goal is unlikely \((under 5|\d+)%\), though sessions took place\./);
	// Narrowed to one reason, everybody has it; sorted by sessions, who attended least comes first.
	await page.getByLabel('Show').selectOption('not delivered');
	await expect(rows.first()).toContainText(/Only \d+ of \d+ planned sessions attended/);
	for (const row of await rows.all()) await expect(row).toContainText('planned sessions attended');
	await page.getByLabel('Show').selectOption('');
	await page.getByRole('link', { name: 'Sessions', exact: true }).last().click();
	await expect(page).toHaveURL(/sort=sessions/);
	await expect(rows.first()).toContainText('planned sessions attended');
	// Two who are ticked are looked at side by side.
	await rows.nth(0).getByRole('checkbox').check();
	await rows.nth(1).getByRole('checkbox').check();
	await page.getByRole('link', { name: 'Charts side by side' }).click();
	await expect(page.locator('.many li')).toHaveCount(2);
	await expect(page.locator('.many svg')).toHaveCount(2);
});

test('a chart tells level, outlook, advice with its error rates and what would change it in words too', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/track?scope=school&show=goal+unlikely`);
	await page.locator('tbody tr[data-student]').first().locator('.probes a').click();
	const chart = page.locator('section.chosen');
	await expect(chart).toContainText(/Now about \d+(\.\d)? of (8|16) right, between \d+(\.\d)? and \d+(\.\d)? \(80%\)/);
	await expect(chart).toContainText(/may have \d+ to \d+ right \(80%\); (under 5|over 95|\d+)% likely to reach \d+ of/);
	await expect(chart).toContainText(/Baseline \d+\.\d, the median of the first three/);
	await expect(chart.getByRole('heading', { name: /^Advice: / })).toBeVisible();
	await expect(chart).toContainText(/By simulation, with so many probes: of those exactly on track/);
	await expect(chart.getByRole('img', { name: /^Probes/ })).toHaveAttribute(
		'aria-label',
		/^Probes: [\d, ]+ of \d+; goal/
	);
	// Each probe can be asked: the very questions, and no others.
	await chart.getByText('The probes as a table').click();
	const table = chart.getByRole('table', { name: 'Probes of this series' });
	const [right, of] = (await table.locator('tbody tr').first().locator('td').nth(1).innerText()).split(' of ');
	await table.getByRole('link', { name: 'Questions and answers' }).first().click();
	await expect(page).toHaveURL(/\/answers\?.*sitting=\d+/);
	await expect(page.getByText(`${of} answers`)).toBeVisible();
	expect(Number(right)).toBeLessThanOrEqual(Number(of));
});

test('sessions are added up by group, student and adult; what a colleague saw is kept and taken back', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/track/sessions?scope=school`);
	const held = page.getByText(/planned sessions held/);
	const said = await held.innerText();
	await page.getByLabel('Added up by').selectOption('student');
	await expect(page.getByRole('columnheader', { name: 'Student' })).toBeVisible();
	expect(await held.innerText()).toBe(said);
	await page.getByLabel('Added up by').selectOption('adult');
	await expect(page.locator('tbody tr')).toHaveCount(3);
	await page.getByLabel('Added up by').selectOption('group');
	await page.getByRole('link', { name: 'watch' }).first().click();
	await page.getByLabel(/It began on time/).check();
	await page.getByLabel(/A wrong answer was put right/).check();
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByRole('status')).toContainText('Kept: 2 of 5 points');
	await expect(page.getByText(/2 of 5\. Not so: The focus was shown/)).toBeVisible();
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText('Taken back');
	await expect(page.getByText(/Not so: The focus was shown/)).toHaveCount(0);
});

test('probes start for a group with who and how many, and are taken back in one step', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(
		`${address()}/groups/suggest?scope=class:9&students=${Array.from({ length: 16 }, (_, i) => 177 + i).join(',')}`
	);
	await page.getByRole('button', { name: 'Suggest groups' }).click();
	await expect(page.getByRole('button', { name: 'Suggest again' })).toBeVisible();
	await page.getByLabel('weekly probes').selectOption('not now');
	await page.getByRole('button', { name: /^Adopt/ }).click();
	await expect(page.getByRole('status')).toContainText('adopted');
	await page
		.getByRole('link', { name: /^Track/ })
		.first()
		.click();
	await page.getByRole('link', { name: 'Probes this week' }).click();
	await expect(page.getByRole('heading', { name: /^Probes this week/ })).toBeVisible();
	const waiting = page.locator('.start a');
	await expect(waiting.first()).toBeVisible();
	const before = await waiting.count();
	await waiting.first().click();
	// Each way to set a goal says what it asks of each student, and how likely that is.
	const goals = page.getByRole('table', { name: 'Goals' });
	await expect(goals.locator('tbody tr').first()).toContainText(
		/about \d+ of (8|16)\s*14: −?\d+\.\d more a week, (under 5|over 95|\d+)% likely/
	);
	await page.getByLabel('Right of 16').selectOption('12');
	await expect(goals.locator('tbody tr').first()).toContainText(/12: −?\d+\.\d more a week/);
	await expect(
		page.getByText(/One probe alone tells members of a group apart with a reliability of 0\.\d+/)
	).toBeVisible();
	await page.getByLabel(/the growth of the .* norm/).check();
	await page.getByRole('button', { name: /^Start for \d+/ }).click();
	await expect(page.getByRole('status')).toContainText(/Weekly probes for \d+ students?/);
	await expect(waiting).toHaveCount(before - 1);
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('status')).toContainText(/Taken back for \d+ students?/);
	await expect(waiting).toHaveCount(before);
});
