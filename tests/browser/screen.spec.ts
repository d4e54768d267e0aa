import { expect, test } from './test';
import { address, signInStaff } from './people';

test('every list shows every student in scope, the untested too', async ({ page }) => {
	await signInStaff(page, 'specialist');
	const roster = page.locator('tbody tr[data-student]');
	for (const path of ['/screen', '/practice/queues', '/track']) {
		await page.goto(`${address()}${path}?scope=class:6`);
		const shown = await roster.evaluateAll(
			(rows) => new Set(rows.map((row) => (row as HTMLElement).dataset.student)).size
		);
		expect(shown, path).toBe(22);
	}
	// Of a long list a part is drawn; scrolled through, everybody comes by once, those not started at the end.
	await page.goto(`${address()}/screen?scope=school`);
	await expect(page.getByRole('table', { name: 'Results' })).toHaveAttribute('aria-rowcount', '265');
	const seen = new Set<string>();
	await expect(async () => {
		for (const row of await roster.all()) if (await row.getByRole('link').count()) seen.add(await row.innerText());
		await page.mouse.wheel(0, 700);
		expect(seen.size).toBe(264);
	}).toPass({ intervals: [100], timeout: 120_000 });
	expect(await roster.count()).toBeLessThan(80);
	await expect(page.getByRole('cell', { name: 'not started' }).last()).toBeInViewport();
});

test('a long table is one tab stop, with arrows within, and all of its list can be selected at once', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen/sittings?scope=school`);
	const table = page.getByRole('table', { name: 'Sittings' });
	await expect(table.locator('tbody [tabindex="0"]')).toHaveCount(1);
	const links = table.locator('tbody th a');
	await links.first().focus();
	for (let row = 12; row <= 62; row += 10) {
		for (let next = row - 9; next <= row; next++) {
			await expect(table.locator(`tr[aria-rowindex="${next}"] th a`)).toBeAttached();
			await page.keyboard.press('ArrowDown');
		}
		await expect(table.locator('tr:has(th a:focus)')).toHaveAttribute('aria-rowindex', String(row));
	}
	await page.keyboard.press('ArrowLeft');
	await page.keyboard.press('Space');
	await expect(page.getByRole('region', { name: 'Actions for the selection' })).toContainText('1 student selected');
	await table.getByRole('checkbox', { name: 'Select all 264 of this list' }).check();
	await expect(page.getByRole('region', { name: 'Actions for the selection' })).toContainText('264 students selected');
	await page.keyboard.press('Tab');
	await expect(table.locator('tbody [tabindex="0"]')).toHaveCount(1);
	// On paper every row stands, with the name in it.
	await page.evaluate(() => {
		window.print = () => {
			document.body.dataset.printed = String(document.querySelectorAll('tr[data-student] th[scope="row"]').length);
		};
	});
	await page.getByRole('button', { name: 'Print all 264 rows' }).click();
	await expect(page.locator('body')).toHaveAttribute('data-printed', '264');
});

test('a flagged sitting waits for a person; keeping it gives scores, and undo takes them back', async ({ page }) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/screen?status=needs+another+look&scope=school`);
	await page.getByRole('link', { name: /sittings need another look/ }).click();
	const list = page.locator('details li');
	await expect(list.first()).toBeVisible();
	const before = await list.count();
	expect(before).toBeGreaterThan(3);
	const name = await list.first().getByRole('link').first().innerText();
	const row = page.locator('tr[data-student]').filter({ hasText: name });
	await expect(row).toContainText('needs another look');
	await list.first().getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByRole('status')).toContainText('The sitting is kept');
	await expect(list).toHaveCount(before - 1);
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(list).toHaveCount(before);
});

test('a domain of a flagged sitting is given again, and taken back', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen/sittings?scope=school`);
	await page.locator('summary').click();
	const first = page.locator('details li').first();
	const name = await first.getByRole('link').first().innerText();
	await first.getByLabel('Domain to sit again').selectOption({ label: 'Measurement' });
	await first.getByRole('button', { name: 'Sit this domain again' }).click();
	await expect(page.getByRole('status')).toContainText('The domain is to be sat again.');
	const row = page.locator('tr[data-student]').filter({ hasText: name });
	await expect(row).toContainText('Measurement again');
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(row).toContainText('needs another look');
});

test('a window is planned for some classes, opened early, and taken away; impossible days are refused', async ({
	page
}) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/screen/windows`);
	const plan = async (opens: string, closes: string) => {
		await page.getByRole('button', { name: 'Plan a window' }).click();
		const dialog = page.getByRole('dialog', { name: 'Plan a screening window' });
		await expect(dialog).toContainText('All students of these classes see the diagnostic on their page');
		await dialog.getByLabel('Name').fill('Spring screening');
		await dialog.getByLabel('Opens').fill(opens);
		await dialog.getByLabel('Closes').fill(closes);
		await dialog.getByLabel('Grade 2').uncheck();
		await dialog.getByRole('button', { name: 'Plan the window for 10 classes' }).click();
		await expect(dialog).toHaveCount(0);
	};
	await plan('2027-03-08', '2027-03-01');
	await expect(page.getByRole('status')).toContainText('closes before it opens. Nothing was changed.');
	await plan('2027-03-01', '2027-03-12');
	await expect(page.getByRole('status')).toContainText(
		'Spring screening is planned for 10 classes: Mon, Mar 1 to Fri, Mar 12.'
	);
	const row = page.getByRole('row').filter({ hasText: 'Spring screening' });
	await expect(row).toContainText('opens later');
	await expect(row).toContainText('220');
	await row.getByRole('button', { name: /^Open today/ }).click();
	await expect(row).not.toContainText('opens later');
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(row).toContainText('opens later');
	await page.getByLabel('Window').selectOption({ label: 'Spring screening' });
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Spring screening');
	await page.getByRole('navigation', { name: 'Pages on screening' }).getByRole('link', { name: 'Results' }).click();
	await expect(page.getByText('220 not started')).toBeVisible();
	await expect(page.getByText('44 not in this window')).toBeVisible();
	await page.getByRole('link', { name: 'Windows of the year' }).click();
	await row.getByRole('button', { name: /^Take away/ }).click();
	await expect(page.getByRole('status')).toContainText('The window is taken away.');
	await expect(row).toHaveCount(0);
});

test('who is missing is noted, excused with a reason, and printed for the class teacher', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen/sittings?status=not+started&scope=school`);
	const rows = page.locator('tr[data-student]');
	const count = await rows.count();
	expect(count).toBeGreaterThan(2);
	const name = await rows.first().getByRole('link').innerText();
	await rows.first().getByRole('checkbox').check();
	const bar = page.getByRole('region', { name: 'Actions for the selection' });
	await bar.getByRole('button', { name: 'Note as absent' }).click();
	await expect(page.getByRole('status')).toContainText('1 student noted as absent.');
	await expect(rows).toHaveCount(count - 1);
	await page.getByLabel('Show').selectOption('absent');
	await bar.getByRole('button', { name: 'Excuse …' }).click();
	const dialog = page.getByRole('dialog', { name: 'Excuse from this window' });
	await expect(dialog).toContainText(`1 student: ${name}`);
	await dialog.getByLabel('Why').fill('Sat at the last school');
	await dialog.getByRole('button', { name: 'Excuse 1 student' }).click();
	await expect(page.getByRole('status')).toContainText('1 student excused');
	await page.getByLabel('Show').selectOption('excused');
	await expect(rows.first()).toContainText('Sat at the last school');
	await page.getByRole('link', { name: /^Reminders for/ }).click();
	await expect(page.getByText(name)).toHaveCount(0);
	await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
	await page.goBack();
	await rows.first().getByRole('checkbox').check();
	await bar.getByRole('button', { name: 'Take note away' }).click();
	await expect(page.getByRole('status')).toContainText('is taken away');
});

test('results are sorted by any domain and narrowed to those below the line, who can be chosen at once', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=grade:5`);
	const rows = page.locator('tbody tr[data-student]');
	await expect(rows).toHaveCount(44);
	await page.getByRole('columnheader').getByRole('link', { name: 'Fractions' }).click();
	await expect(page).toHaveURL(/sort=\d+/);
	const column = (await rows.locator('td.number:nth-child(10)').allInnerTexts())
		.map((text) => parseInt(text))
		.filter((points) => !Number.isNaN(points));
	expect(column.length).toBeGreaterThan(30);
	expect(column).toEqual([...column].sort((a, b) => a - b));
	await page.getByRole('button', { name: /^Select the \d+ shown below the line$/ }).click();
	const bar = page.getByRole('region', { name: 'Actions for the selection' });
	const chosen = parseInt(await bar.innerText());
	expect(chosen).toBeGreaterThan(2);
	await page.getByLabel('Show').selectOption('below the line');
	await expect(rows).toHaveCount(chosen);
	await bar.getByRole('link', { name: 'See their gaps' }).click();
	await expect(page.getByRole('heading', { name: `Gaps in the ${chosen} chosen students` })).toBeVisible();
});

test('a school is read from grades over classes to students, on any domain, with what changed beyond error', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=school`);
	const classes = page.getByRole('table', { name: 'Grades and classes' });
	await expect(classes.locator('tbody tr')).toHaveCount(18);
	await page.getByRole('combobox', { name: 'Measure' }).selectOption({ label: 'Measurement' });
	await expect(page).toHaveURL(/on=4/);
	const grade = classes.getByRole('row', { name: /^Grade 5/ });
	const below = Number(await grade.getByRole('cell').nth(3).innerText());
	const parts = await Promise.all(
		['Phalarope', 'Plover'].map((name) =>
			classes
				.getByRole('row', { name: new RegExp(`^${name}`) })
				.getByRole('cell')
				.nth(3)
				.innerText()
		)
	);
	expect(parts.map(Number).reduce((sum, count) => sum + count, 0)).toBe(below);
	await classes.getByRole('link', { name: 'Phalarope' }).click();
	const rows = page.locator('tbody tr[data-student]');
	await expect(rows).toHaveCount(22);
	await expect(page).toHaveURL(/on=4/);
	await page.getByLabel('Since autumn').selectOption('no earlier score');
	await expect(rows).not.toHaveCount(22);
	await page.getByLabel('Since autumn').selectOption('all');
	await expect(rows).toHaveCount(22);
	await page.getByLabel('Tier').selectOption('2');
	await expect(rows).not.toHaveCount(22);
	await expect(rows.first()).toBeVisible();
});

test('beside the panel every column can be scrolled into view, and names stay there', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=class:7&student=140`);
	const panel = (await page.getByRole('complementary', { name: 'Selected student' }).boundingBox())!;
	const last = page.getByRole('table', { name: 'Results', exact: true }).locator('thead th').last();
	const right = async () => {
		const { x, width } = (await last.boundingBox())!;
		return x + width;
	};
	expect(await right()).toBeGreaterThan(panel.x);
	await page.evaluate(() => window.scrollTo(document.documentElement.scrollWidth, 0));
	expect(await right()).toBeLessThanOrEqual(panel.x);
	const name = (await page.locator('table[aria-rowcount] tbody tr.current th').boundingBox())!;
	expect(name.x).toBeGreaterThanOrEqual(0);
});

test('one step from a domain score shows where each student of the class is ready next', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=class:8`);
	const row = page.locator('tbody tr[data-student]').first();
	const name = await row.getByRole('rowheader').innerText();
	await row.locator('a.score').nth(1).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(/ in Plover$/);
	const places = page.locator('li[data-student]');
	await expect(places).toHaveCount(22);
	await expect(page.locator('li.current')).toContainText(name);
	await expect(page.locator('li.current a')).toHaveAttribute('title', /\d+ points, works at \d·\d$/);
	await page.getByLabel('Domain').selectOption({ label: 'Measurement' });
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Measurement in /);
	await expect(places).toHaveCount(22);
	await page
		.getByRole('button', { name: /^Select all at / })
		.first()
		.click();
	await page.getByRole('link', { name: /^Assign practice on / }).click();
	await expect(page.getByRole('region', { name: 'Who' }).getByText(/^\d+ students?$/)).toBeVisible();
});

test('a list that is empty says so and offers the way back', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=class:1&status=to+sit+again`);
	await expect(page.getByText('Nobody in Avocet is “to sit again”.')).toBeVisible();
	await page.getByRole('link', { name: 'Show everyone' }).click();
	await expect(page.locator('tbody tr[data-student]')).toHaveCount(22);
});

test('a score says why: every answer, what was known after it, and by domain; without answers it says so', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=class:8`);
	const row = page.locator('tbody tr[data-student]').filter({ hasText: 'finished' }).first();
	const score = row.getByTitle('Why this score');
	const points = (await score.innerText()).trim();
	await score.click();
	await expect(page.getByRole('heading', { level: 1 })).toContainText(`${points} ± `);
	const steps = page.getByRole('table', { name: 'Answer by answer' }).locator('tbody tr');
	const count = await steps.count();
	expect(count).toBeGreaterThanOrEqual(25);
	await expect(steps.last().locator('td').last()).toContainText(points);
	const answers = await page
		.getByRole('table', { name: 'Scores by domain' })
		.locator('tbody tr td:nth-child(2)')
		.allInnerTexts();
	expect(answers.reduce((sum, text) => sum + Number(text), 0)).toBe(count);
	await expect(page.getByRole('img', { name: `The score after each of ${count} answers` })).toBeVisible();

	// Absent in the demo.
	await page.goto(`${address()}/screen/score?of=254&scope=school`);
	await expect(page.getByText(/has answered nothing in Winter screening yet/)).toBeVisible();
});

test('results are narrowed by what the roster says, and everybody can be shown again', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=school`);
	const rows = page.locator('tbody tr[data-student]');
	const list = page.getByRole('table', { name: 'Results' });
	await expect(list).toHaveAttribute('aria-rowcount', '265');
	const choice = page.getByLabel('Roster').locator('option', { hasText: /^yes, \d+$/ });
	const [, has] = /yes, (\d+)/.exec(await choice.innerText())!;
	await page.getByLabel('Roster').selectOption({ label: `yes, ${has}` });
	await expect(page).toHaveURL(/roster=Education/);
	await expect(rows).toHaveCount(Number(has));
	expect(Number(has)).toBeGreaterThan(5);
	await page.getByLabel('Roster').selectOption('all');
	await expect(list).toHaveAttribute('aria-rowcount', '265');
});

test('Undo stays when the rows are narrowed', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen/sittings?scope=class:9`);
	const row = page.locator('tr[data-student]').filter({ hasText: 'finished' }).first();
	await row.getByRole('checkbox').check();
	await page.getByRole('button', { name: 'Note as absent' }).click();
	const said = page.getByText('1 student noted as absent.');
	await expect(said).toBeVisible();
	await page.getByLabel('Show').selectOption('finished');
	await expect(page).toHaveURL(/status=finished/);
	await expect(said).toBeVisible();
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('Taken back for 1 student.')).toBeVisible();
});

test('each count of the ribbon opens just the list that it counts', async ({ page }) => {
	await signInStaff(page, 'specialist');
	const ribbon = page.getByRole('navigation', { name: 'Legs of the cycle' });
	for (const leg of ['Screen', 'Gaps', 'Practice', 'Track']) {
		await page.goto(`${address()}/library`);
		const waits = ribbon.getByRole('link', { name: new RegExp(`^${leg}: \\d+ `) });
		const count = Number(/\d+/.exec(await waits.innerText())![0]);
		expect(count).toBeGreaterThan(0);
		await waits.click();
		await expect(page.locator('table[aria-rowcount]'), leg).toHaveAttribute('aria-rowcount', String(count + 1));
	}
	await page.goto(`${address()}/library`);
	const groups = ribbon.getByRole('link', { name: /^Groups: \d+ / });
	const count = Number(/\d+/.exec(await groups.innerText())![0]);
	await groups.click();
	await expect(page.getByText(`${count} groups with`)).toBeVisible();
});
