import { expect, test, type Page } from './test';
import { type ItemSeed } from '../../src/lib/core/items';
import { itemFrom } from '../../src/lib/core/items/bank';
import { openDatabase } from '../../src/lib/server/database/pool';
import { layOutSitting } from './answering';
import { address, signInStudent } from './people';

test.use({ viewport: { width: 360, height: 740 }, hasTouch: true });

const field = (page: Page) => page.locator('form').filter({ has: page.locator('.stem') });
const checkButton = (page: Page) => page.getByRole('button', { name: 'Check' });

/** The first item of a family that fits. */
function itemWhere(skillCode: string, familyId: string, fits: (key: never, seed: number) => boolean): ItemSeed {
	for (let seed = 0; seed < 500; seed++)
		if (fits(itemFrom(familyId, seed).key as never, seed)) return { skillCode, familyId, seed };
	throw new Error(`no such item of ${familyId}`);
}

/** Opens a practice sitting with one item. */
async function open(page: Page, student: number, ...items: ItemSeed[]) {
	await signInStudent(page, student);
	await page.goto(`${address()}${await layOutSitting(student, items)}`);
	await page.waitForLoadState('networkidle');
}

test('parts are shaded by drawing over them, cleared again, and counted aloud', async ({ page }) => {
	await open(
		page,
		186,
		itemWhere('F31', 'shade-fraction', (key: number) => key === 3)
	);
	const parts = field(page).getByRole('checkbox');
	const [first, third] = [(await parts.nth(0).boundingBox())!, (await parts.nth(2).boundingBox())!];
	await page.mouse.move(first.x + 5, first.y + 10);
	await page.mouse.down();
	await page.mouse.move(third.x + 5, third.y + 10, { steps: 8 });
	await page.mouse.up();
	await expect(field(page).getByRole('status')).toHaveText(/^3 of \d+ shaded\.$/);
	await parts.nth(1).click();
	await expect(parts.nth(1)).toHaveAttribute('aria-checked', 'false');
	await expect(field(page).getByRole('status')).toHaveText(/^2 of \d+ shaded\.$/);
	for (const i of [0, 2]) await parts.nth(i).click();
	await expect(field(page).getByRole('status')).toHaveText('Tap parts to shade them.');
	await expect(checkButton(page)).toBeDisabled();
});

test('a match that is taken can be taken over, and nothing can be checked until each has one', async ({ page }) => {
	await open(
		page,
		187,
		itemWhere('F66', 'match-forms', () => true)
	);
	const row = (i: number) => field(page).locator('fieldset').nth(i).getByRole('radio');
	await row(0).nth(1).check();
	await row(1).nth(0).check();
	await expect(checkButton(page)).toBeDisabled();
	await row(2).nth(1).check();
	await expect(row(0).nth(1)).not.toBeChecked();
	await expect(checkButton(page)).toBeDisabled();
	await row(0).nth(2).check();
	await expect(checkButton(page)).toBeEnabled();
	// Each choice says both sides, formulas in words.
	await expect(row(0).nth(2)).toHaveAccessibleName(/^\d+ over \d+: [\d.]+%$/);
});

test('the math keyboard types where the caret is, deletes, and shows powers raised', async ({ page }) => {
	await open(
		page,
		188,
		itemWhere('W81', 'product-of-powers', (key: string) => key === 'x^9')
	);
	const keys = page.getByRole('group', { name: 'Math keyboard' });
	const tap = (name: string) => keys.getByRole('button', { name, exact: true }).tap();
	const answer = field(page).getByRole('textbox');
	for (const name of ['x', 'to the power', '8']) await tap(name);
	await expect(answer).toHaveValue('x^8');
	await expect(page.locator('sup')).toHaveText('8');
	await tap('Delete');
	await tap('9');
	await expect(answer).toHaveValue('x^9');
	await answer.press('Home');
	await tap('3');
	await expect(answer).toHaveValue('3x^9');
	await answer.press('Home');
	await answer.press('Delete');
	await checkButton(page).click();
	await expect(page.locator('.feedback')).toContainText('Right.');
});

test('a clock that stands right already, and an order that is, can be said so', async ({ page }) => {
	await open(
		page,
		189,
		itemWhere('M12', 'set-half-hours', (key: number) => key === 0),
		{
			skillCode: 'F51',
			familyId: 'order-decimals',
			seed: 2
		}
	);
	await expect(checkButton(page)).toBeDisabled();
	await page.getByRole('button', { name: 'The clock shows it already' }).click();
	await checkButton(page).click();
	await expect(page.locator('.feedback')).toContainText('Right.');
	await page.getByRole('button', { name: 'Next', exact: true }).click();
	await page.getByRole('button', { name: 'They are in order already' }).click();
	await expect(checkButton(page)).toBeEnabled();
});

test('steps of a rectangle and a point stay inside the grid, and say where they stand', async ({ page }) => {
	await open(
		page,
		190,
		itemWhere('M32', 'build-area', () => true),
		itemWhere('S61', 'plot-in-quadrants', () => true)
	);
	const more = field(page).getByRole('button', { name: 'Rows: more' });
	for (let i = 0; i < 8 && (await more.isEnabled()); i++) await more.click();
	await expect(more).toBeDisabled();
	await expect(field(page).getByRole('img')).toHaveAccessibleName('6 rows of 1 square');
	await expect(field(page).getByRole('button', { name: 'In each row: less' })).toBeDisabled();
	await checkButton(page).click();
	await expect(page.locator('.feedback')).toContainText('Not yet.');
	// The same answer once more is no second try.
	const again = page.getByRole('button', { name: 'Try again' });
	await expect(again).toBeDisabled();
	await field(page).getByRole('button', { name: 'Rows: less' }).click();
	await again.click();
	await page.getByRole('button', { name: 'Next', exact: true }).click();
	const across = field(page).getByRole('button', { name: 'Across: less' });
	for (let i = 0; i < 10 && (await across.isEnabled()); i++) await across.click();
	await expect(across).toBeDisabled();
	await expect(field(page).getByRole('img')).toHaveAccessibleName('The point is at (−6, 0).');
});

test('a typed answer that a wrong idea gives is stored with the name of the idea', async ({ page }) => {
	const expression = itemWhere('P72', 'multiply-out', () => true);
	const blanks = itemWhere('W12', 'tens-and-ones', () => true);
	await open(page, 191, expression, blanks);
	const error = (seed: ItemSeed, misconception: string) =>
		itemFrom(seed.familyId, seed.seed).expectedErrors.find((one) => one.misconception === misconception)!.answer;
	await field(page)
		.getByRole('textbox')
		.fill(String(error(expression, 'distributedOnce')));
	await checkButton(page).click();
	await field(page).getByRole('textbox').fill('1');
	await page.getByRole('button', { name: 'Try again' }).click();
	await page.getByRole('button', { name: 'Next', exact: true }).click();
	const swapped = error(blanks, 'digitsSwapped') as string[];
	for (const [i, text] of swapped.entries()) await field(page).getByRole('textbox').nth(i).fill(text);
	const saved = page.waitForResponse((reply) => reply.url().endsWith('/answers') && reply.ok());
	await checkButton(page).click();
	await saved;
	const database = openDatabase(process.env.DEMO_DATABASE!, 1);
	try {
		await expect
			.poll(async () => {
				const rows = await database.rows<{ misconception: string }>(
					`SELECT misconception FROM answer WHERE student_id = 191 AND attempt = 1
					ORDER BY answered_at DESC, position DESC LIMIT 2`
				);
				return rows.map(({ misconception }) => misconception);
			})
			.toEqual(['digitsSwapped', 'distributedOnce']);
	} finally {
		await database.close();
	}
});

test('a minus is entered where a keypad has none, beside a unit and in a blank', async ({ page }) => {
	const power = itemWhere('W84', 'exponent-of-ten', (key: string[]) => Number(key[1]) < 0);
	const height = itemWhere('F73', 'add-signed-decimals', (key: string) => Number(key) < 0);
	await open(page, 193, power, height);
	const box = field(page).getByRole('textbox');
	const [first, exponent] = itemFrom(power.familyId, power.seed).key as string[];
	await box.nth(0).fill(first);
	await box.nth(1).fill(String(Math.abs(Number(exponent))));
	await field(page).getByRole('button', { name: 'Change the sign of 10 to the power' }).tap();
	await expect(box.nth(1)).toHaveValue(exponent);
	await checkButton(page).click();
	await expect(page.locator('.feedback')).toContainText('Right.');
	await page.getByRole('button', { name: 'Next', exact: true }).click();
	const { key } = itemFrom(height.familyId, height.seed);
	await box.fill(String(key).slice(1));
	await field(page).getByRole('button', { name: 'Change the sign' }).tap();
	await checkButton(page).click();
	await expect(page.locator('.feedback')).toContainText('Right.');
});

test('another form of a number than the one asked for is asked for again, right or wrong, and costs no try', async ({
	page
}) => {
	const half = itemWhere('F45', 'fraction-to-decimal', (key: string) => Number(key) === 0.5);
	await open(page, 193, half);
	const box = field(page).getByRole('textbox');
	for (const other of ['1/2', '1/3', '50%']) {
		await box.fill(other);
		await checkButton(page).click();
		await expect(page.locator('.feedback')).toHaveText('Write it as a decimal, please.');
	}
	await box.fill('0.05');
	await checkButton(page).click();
	await expect(page.locator('.feedback')).toContainText('Not yet.');
	await box.fill('0,5');
	await page.getByRole('button', { name: 'Try again' }).click();
	await expect(page.locator('.feedback')).toContainText('Right.');
});

/** Lays a question before a student whose page comes alive only when it is let. */
async function holdPage(page: Page, item: ItemSeed): Promise<() => void> {
	await signInStudent(page, 192);
	let letIn = () => {};
	const held = new Promise<void>((resolve) => (letIn = resolve));
	await page.route('**/_app/immutable/**/*.js', async (route) => {
		await held;
		await route.continue();
	});
	await page.goto(`${address()}${await layOutSitting(192, [item])}`, { waitUntil: 'commit' });
	return letIn;
}

test('what is typed before the page has come alive is taken', async ({ page }) => {
	const item = itemWhere('W11', 'number-after', () => true);
	const letIn = await holdPage(page, item);
	await field(page)
		.getByRole('textbox')
		.fill(String(itemFrom(item.familyId, item.seed).key));
	await expect(checkButton(page)).toBeDisabled();
	letIn();
	await expect(checkButton(page)).toBeEnabled();
	await checkButton(page).click();
	await expect(page.locator('.feedback')).toContainText('Right.');
});

test('what is chosen before the page has come alive is taken, too', async ({ page }) => {
	for (const [skillCode, familyId, choose] of [
		['F41', 'lowest-terms', () => field(page).getByRole('radio').nth(1).check()],
		['W45', 'mark-factors', () => field(page).getByRole('checkbox').nth(1).check()],
		['F46', 'place-decimal', () => field(page).getByRole('slider').press('ArrowRight')]
	] as const) {
		const letIn = await holdPage(page, { skillCode, familyId, seed: 3 });
		await choose();
		await expect(checkButton(page)).toBeDisabled();
		letIn();
		await expect(checkButton(page), familyId).toBeEnabled();
		await page.unrouteAll();
		await page.context().clearCookies();
	}
});
