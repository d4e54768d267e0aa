import { readFileSync } from 'node:fs';
import { extractText, getDocumentProxy } from 'unpdf';
import { expect, test } from './test';
import { address, signInStaff } from './people';

const STUDENT = 140;

test('sheets are shown and taken out in the parts chosen, the family’s in Spanish and in own words', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/students/${STUDENT}?scope=school`);
	await page.getByRole('link', { name: 'Sheets' }).click();
	const paper = page.locator('article.paper');
	await expect(paper.getByRole('heading', { level: 1 })).toContainText('Evidence: ');
	await expect(paper.getByRole('heading', { name: 'Notes' })).toBeVisible();
	await page.getByRole('checkbox', { name: 'Notes' }).uncheck();
	await expect(paper.getByRole('heading', { name: 'Notes' })).toHaveCount(0);
	await expect(paper.getByRole('heading', { name: 'Support so far' })).toBeVisible();

	await page.getByLabel('Sheet').selectOption('For the family');
	await expect(page.getByText(/Reads at grade .* by Flesch–Kincaid/)).toBeVisible();
	await page.getByLabel('Language').selectOption('Español');
	await expect(paper).toHaveAttribute('lang', 'es');
	await expect(page.getByText(/by Fernández-Huerta/)).toBeVisible();
	await expect(page.getByText('Hard to read.')).toHaveCount(0);

	// One's own words in place of what is drawn up, and back.
	const own = page.locator('details').filter({ hasText: 'Una cosa para hacer en casa' });
	await own.locator('summary').click();
	const before = await own.getByRole('textbox').inputValue();
	await own.getByRole('textbox').fill('Cuenten juntos hasta cien.');
	await own.getByRole('button', { name: 'Keep my words' }).click();
	await expect(paper.getByText('Cuenten juntos hasta cien.', { exact: true }).first()).toBeVisible();

	// The PDF says the same, read by another program.
	const waiting = page.waitForEvent('download');
	await page.getByRole('link', { name: 'PDF' }).click();
	const file = await waiting;
	const pdf = await getDocumentProxy(new Uint8Array(readFileSync(await file.path())));
	const { text, totalPages } = await extractText(pdf, { mergePages: true });
	expect(totalPages).toBe(1);
	const said = text.replace(/\s+/g, ' ');
	for (const line of await paper.locator('section > p').allInnerTexts()) expect(said).toContain(line.trim());
	expect(said).toContain('Cuenten juntos hasta cien.');

	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(paper.getByText(before.split('\n')[0], { exact: true }).first()).toBeVisible();
});

test('what a family was sent is noted with its language and answer, and taken back', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/students/${STUDENT}/sheet?for=family&language=es`);
	const form = page.getByRole('form', { name: 'Note what was sent' });
	await form.getByRole('checkbox', { name: 'asks the family to agree' }).check();
	await form.getByRole('button', { name: 'Note that it was sent in Español' }).click();
	const letters = page.getByRole('table', { name: 'What the family was sent' });
	const row = letters.getByRole('row').filter({ hasText: 'Mon, Nov 23' });
	await expect(row).toContainText('on paper, in Español, by Viggo Cisneros; asks the family to agree');
	await expect(row).toContainText('not answered yet');
	await row.getByRole('button', { name: /^Agrees to/ }).click();
	await expect(row).toContainText('agrees, Nov 23');
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(row).toContainText('not answered yet');
	await row.getByRole('button', { name: /^Take back/ }).click();
	await expect(letters).toContainText('Nothing was noted yet.');
});

test('the sheet of a meeting has a row a student, on paper and as a PDF', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/decide/meetings/3`);
	const names = await page.getByRole('table', { name: 'Agenda' }).locator('tbody th a').allInnerTexts();
	await page.getByRole('link', { name: 'Sheet for the table' }).click();
	const rows = page.getByRole('table', { name: 'Students' }).locator('tbody th');
	await expect(rows).toHaveCount(names.length);
	const waiting = page.waitForEvent('download');
	await page.getByRole('link', { name: 'PDF' }).click();
	const pdf = await getDocumentProxy(new Uint8Array(readFileSync(await (await waiting).path())));
	const { text } = await extractText(pdf, { mergePages: true });
	for (const name of names) expect(text.replace(/\s+/g, ' ')).toContain(name);
});
