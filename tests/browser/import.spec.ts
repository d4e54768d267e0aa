import { readFile } from 'node:fs/promises';
import { expect, test } from './test';
import { rowsOfSpreadsheet } from '../../src/lib/server/request/files/spreadsheet';
import { spreadsheetOf } from '../../src/lib/server/reports/spreadsheet';
import { address, signInStaff } from './people';

/** Rows that are left out, each for a reason of its own; every row stands for a student who has not sat. */
const BAD: [row: (string | number)[], says: string][] = [
	[['', '', '', ''], 'The line is empty'],
	[['', '2026-11-16', 500, ''], 'No student number'],
	[['S99999', '2026-11-16', 500, ''], 'No student has the number S99999'],
	[['S10008', '2026-11-16', 501, ''], 'stands on line 2 already'],
	[['S10090', '2026-14-16', 500, ''], 'is no date'],
	[['S10091', '11/16/2026', 500, ''], 'make them alike'],
	[['S10092', '2027-01-16', 500, ''], 'lies in the future'],
	[['S10093', '2020-01-16', 500, ''], 'more than two years back'],
	[['S10094', '2026-11-16', 'absent', ''], 'is no score'],
	[['S10131', '2026-11-16', 5000, ''], 'outside 200 to 800'],
	[['S10132', '2026-11-16', 12, ''], 'outside 200 to 800'],
	[['S10133', '2026-11-16', '', ''], 'No score on this line']
];

test('a spreadsheet is checked row by row, twelve kinds of bad rows are named, and the same again changes nothing', async ({
	page
}) => {
	await signInStaff(page, 'coordinator');
	const table = [
		['Student number', 'Taken on', 'Total points', 'Whole numbers'],
		['S10008', '2026-11-16', 512, 505],
		['S10049', '2026-11-16', 498, null],
		...BAD.map(([row]) => row)
	];
	const buffer = Buffer.from(await spreadsheetOf({ Scores: table }));
	const bring = async () => {
		await page.goto(`${address()}/screen/import`);
		await page.getByLabel('Where the scores come from').fill('Harbor district test');
		const mimeType = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
		await page.locator('input[type=file]').setInputFiles({ name: 'scores.xlsx', mimeType, buffer });
		await page.getByRole('button', { name: 'Match the columns' }).click();
		await expect(page.getByLabel('What Total points holds')).toHaveValue('overall');
	};
	await bring();
	await page.getByLabel('What Whole numbers holds').selectOption({ label: 'nothing we need' });
	await page.getByRole('button', { name: 'Check the rows' }).click();
	for (const [n, [, says]] of BAD.entries())
		await expect(page.getByRole('row', { name: new RegExp(`^${n + 4} `) })).toContainText(says);
	await page.getByRole('button', { name: /^Take 2 rows/ }).click();
	await expect(page.getByText('2 rows were taken, 0 were already there, 12 were left out.')).toBeVisible();

	await bring();
	await expect(page.getByText('As it was matched for Harbor district test the last time.')).toBeVisible();
	await expect(page.getByLabel('What Whole numbers holds')).toHaveValue('ignore');
	await page.getByRole('button', { name: 'Check the rows' }).click();
	await expect(page.getByRole('button', { name: /^Take 0 rows/ })).toBeDisabled();
	await expect(page.getByRole('row', { name: /^2 S10008/ })).toContainText('already there');
});

test('of a flagged sitting the answers are told although a score that was brought in counts meanwhile', async ({
	page
}) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/screen/sittings?status=needs+another+look&scope=school`);
	const student = Number(await page.locator('tr[data-student]').nth(4).getAttribute('data-student'));
	await page.goto(`${address()}/screen/import`);
	await page.getByLabel('Where the scores come from').fill('Tide table test');
	await page.locator('input[type=file]').setInputFiles({
		name: 'one.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from(`Student number,Taken on,Total points\nS${10_000 + student},2026-11-16,487\n`)
	});
	await page.getByRole('button', { name: 'Match the columns' }).click();
	await expect(page.getByLabel('What Total points holds')).toHaveValue('overall');
	await page.getByRole('button', { name: 'Check the rows' }).click();
	await page.getByRole('button', { name: /^Take 1 row/ }).click();
	await expect(page.getByText(/^1 row was taken/)).toBeVisible();
	await page.goto(`${address()}/screen/score?of=${student}`);
	await expect(page.getByRole('heading', { level: 1 })).toContainText('487');
	await expect(page.getByText('The score that counts was brought in from Tide table test')).toBeVisible();
	await expect(page.getByText('This sitting needs another look before it counts')).toBeVisible();
	expect(await page.getByRole('table', { name: 'Answer by answer' }).locator('tbody tr').count()).toBeGreaterThan(20);
});

test('results go out as CSV and as a spreadsheet, every student on a line', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/screen?scope=class:6`);
	const [csv] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'CSV of students' }).click()
	]);
	const lines = (await readFile((await csv.path())!, 'utf8')).trim().split(/\r?\n/);
	expect(lines).toHaveLength(23);
	expect(lines[0].replace('\ufeff', '')).toContain(
		'Student number,Given name,Family name,Class,Grade,Tier,Status,Cut score,Overall'
	);
	const [xlsx] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'XLSX of both' }).click()
	]);
	const rows = await rowsOfSpreadsheet(await readFile((await xlsx.path())!));
	expect(rows.map((row) => row.length)).toEqual(Array(23).fill(rows[0].length));
	expect(rows.map((row) => row[0])).toEqual(lines.map((line) => line.replace('\ufeff', '').split(',')[0]));

	const [classes] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'CSV of classes' }).click()
	]);
	const sums = (await readFile((await classes.path())!, 'utf8')).trim().split(/\r?\n/);
	// The whole scope, its grade and its class, each overall and on six domains, below a header.
	expect(sums).toHaveLength(1 + 3 * 7);
	expect(sums[1]).toMatch(/^All,Overall,22,/);
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
