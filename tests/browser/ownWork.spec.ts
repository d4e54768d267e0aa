import { freePort } from '../../scripts/mariadb.mjs';
import { askFact, type Operation } from '../../src/lib/core/fluency';

import { serveOn } from './ownServer';
import { address, answerSomehow, assignPractice, expectAccessible, signInStaff, signInStudent } from './people';
import { expect, test, type Page } from './test';

/** A third grader with nothing given, and one with something from before. */
const [FACTS_STUDENT, REVIEW_STUDENT] = [52, 49];

/** The right answer to the fact on the page. */
async function factAnswer(page: Page): Promise<string> {
	const [first, sign, second] = (await page.locator('.fact p').first().innerText()).split(' ');
	const [a, b] = [Number(first), Number(second)];
	const operation = ({ '+': 'add', '−': 'take', '×': 'times', '÷': 'divide' } as Record<string, Operation>)[sign];
	const key =
		operation === 'take'
			? { first: a - b, second: b }
			: operation === 'divide'
				? { first: a / b, second: b }
				: { first: a, second: b };
	return String(askFact(operation, key).answer);
}

const alive = (page: Page) => page.locator('html[data-alive]').waitFor({ state: 'attached' });

test('a minute of facts goes by keyboard and by touch, shows what was missed, and loses nothing when the server goes', async ({
	page
}) => {
	const port = await freePort();
	const serve = () => serveOn(port);
	let app = await serve();
	try {
		await signInStudent(page, FACTS_STUDENT, app.address);
		await page.getByRole('button', { name: /^times/ }).click();
		await alive(page);
		await expectAccessible(page);
		const run = Number(/facts\/(\d+)/.exec(page.url())![1]);
		await page.getByRole('button', { name: 'Start the time' }).click();
		// By keyboard.
		await page.keyboard.type(await factAnswer(page));
		// By touch, wrongly: the right answer stands there until it was typed once.
		const right = await factAnswer(page);
		for (const digit of right) await page.getByRole('button', { name: digit === '9' ? '8' : '9', exact: true }).click();
		await expect(page.getByText('Type it once, then go on.')).toBeVisible();
		await expect(page.locator('.shown')).toHaveText(`= ${right}`);
		await expectAccessible(page);
		await page.keyboard.type(right);
		await expect(page.locator('.shown')).toHaveCount(0);

		await app.stop();
		await page.keyboard.type(await factAnswer(page));
		await expect(page.getByText('Your answers are kept on this device')).toBeVisible();
		await page.keyboard.type(await factAnswer(page));
		const kept = () =>
			page.evaluate((id) => JSON.parse(localStorage.getItem(`facts of run ${id}`) ?? '[]').length, run);
		expect(await kept()).toBe(2);
		app = await serve();
		await expect.poll(kept).toBe(0);

		// Come back to, it goes on after the four, and the page says so.
		await page.reload();
		await alive(page);
		await page.getByRole('button', { name: 'Go on' }).click();
		await expect(page.locator('.fact')).toBeVisible();
		await page.getByRole('link', { name: 'Orderly Compass, my page' }).click();
		await expect(page.getByRole('button', { name: /^times\s*go on/ })).toBeVisible();
		await page.goto(`${app.address}/facts/${run}`);
		await alive(page);
	} finally {
		await app.stop();
	}
});

test('a student does a few from before, then chooses for themselves; on a phone nothing is cut off', async ({
	page
}) => {
	await page.setViewportSize({ width: 360, height: 740 });
	await signInStudent(page, REVIEW_STUDENT);
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Start A few from before' }).click();
	await alive(page);
	for (;;) {
		const done = page.getByRole('heading', { name: 'All done' });
		await expect(done.or(page.getByRole('button', { name: 'Check' }))).toBeVisible();
		if (await done.isVisible()) break;
		await answerSomehow(page);
		await page.getByRole('button', { name: 'Check' }).click();
		const next = page.getByRole('button', { name: 'Next', exact: true });
		const again = page.getByRole('button', { name: 'Try again' });
		await expect(next.or(again)).toBeVisible();
		if (await again.isVisible()) {
			await answerSomehow(page, true);
			await again.click();
		}
		await next.click();
	}
	await expect(page.getByText(/right at the first try/)).toBeVisible();
	await page.getByRole('link', { name: 'Back to my page' }).click();
	await expect(page.getByRole('button', { name: 'Start A few from before' })).toHaveCount(0);
	await expect(page.getByRole('link', { name: 'A few from before' })).toBeVisible();
	expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
});

test('a class teacher says what the class does on its own, which is undone by one click', async ({ page }) => {
	await signInStaff(page, 'knot');
	await page.goto(`${address()}/practice/own`);
	await alive(page);
	await expect(page.getByRole('row')).toHaveCount(2);
	await page.getByLabel('A few from before, Knot').selectOption('7');
	await page.getByLabel('Own choice, Knot').uncheck();
	await page.getByLabel('Which facts, Knot').selectOption('times');
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Save for one class' }).click();
	await expect(page.getByRole('status').getByText('Changed for 1 class.')).toBeVisible();
	await page.reload();
	await expect(page.getByLabel('A few from before, Knot')).toHaveValue('7');
	await expect(page.getByLabel('Own choice, Knot')).not.toBeChecked();
	await alive(page);
	await page.getByLabel('A few from before, Knot').selectOption('0');
	await page.getByRole('button', { name: 'As it was' }).click();
	await expect(page.getByLabel('A few from before, Knot')).toHaveValue('7');
	await page.getByLabel('A few from before, Knot').selectOption('4');
	await page.getByLabel('Own choice, Knot').check();
	await page.getByLabel('Which facts, Knot').selectOption('usual');
	await page.getByRole('button', { name: 'Save for one class' }).click();
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByLabel('A few from before, Knot')).toHaveValue('7');
});

test('facts of a class are a table, of a student a grid that says each state in words', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/facts?scope=class:5`);
	await expect(page.getByRole('columnheader', { name: 'By heart' })).toBeVisible();
	await page.goto(`${address()}/practice/facts?scope=class:5&student=95`);
	const grid = page.getByRole('region', { name: /: times$/ });
	await expect(grid.getByRole('cell')).toHaveCount(101);
	const counts = await page.locator('.key').innerText();
	const sum = [...counts.matchAll(/\d+/g)].reduce((total, [number]) => total + Number(number), 0);
	expect(sum).toBe(100);
	await expectAccessible(page);
	await page.getByLabel('Facts of').selectOption('divide');
	await expect(page.getByRole('region', { name: /: dividing$/ })).toBeVisible();
});

test('what follows a set is chosen with it, said in words, and stands on its page', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/new?for=student:60&scope=school`);
	await alive(page);
	const after = page.getByRole('region', { name: 'After' });
	await after.getByLabel('below it').selectOption('notice');
	await after.getByLabel('at or above it').selectOption('nothing');
	await expect(after).toContainText('Under 80% who assigned it is told');
	await after.getByLabel('below it').selectOption('half');
	await after.getByLabel('Line').selectOption('70');
	await expect(after).toContainText('Under 70%, a worked example and half the questions follows by itself.');
	await page.getByLabel('Called').fill('With what follows');
	await page.getByRole('button', { name: 'Assign', exact: true }).click();
	await page.getByRole('link', { name: 'With what follows' }).first().click();
	await expect(page.getByText('Under 70%, a worked example and half the questions follows by itself.')).toBeVisible();
	// What one chose last is proposed for the next: as it was.
	await page.goto(`${address()}/practice/new?for=student:61&scope=school`);
	await alive(page);
	await expect(after.getByLabel('below it')).toHaveValue('half');
	await after.getByLabel('below it').selectOption('notice');
	await page.getByRole('button', { name: 'Assign', exact: true }).click();
	await expect(page.getByRole('heading', { name: /^Practice in/ })).toBeVisible();
});

test('the link of a set leads its student through sign-in to it; to others it says that it is not there', async ({
	page,
	browser
}) => {
	const skill = await assignPractice(browser, 62);
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice?scope=school`);
	await page.getByRole('table', { name: 'Practice sets' }).getByRole('link').first().click();
	await page.getByText('Link and QR code for its students').click();
	await expect(page.getByRole('img', { name: 'QR code of the link' })).toBeVisible();
	await expectAccessible(page);
	const link = (await page.locator('details.link code').innerText()).replace(/^https?:\/\/[^/]+/, '');
	for (const [student, says] of [
		[62, 'Your link led here'],
		[63, 'The set of your link is not on your page']
	] as const) {
		const device = await (await browser.newContext()).newPage();
		await device.goto(address() + link);
		await expect(device.getByLabel('Your class code')).toBeVisible();
		await signInStudent(device, student);
		await expect(device.getByText(says)).toBeVisible();
		if (student === 62) await expect(device.locator('li.first strong')).toHaveText(skill);
		// Told once.
		await device.goto(`${address()}/today`);
		await expect(device.getByText(says)).toHaveCount(0);
		await device.context().close();
	}
});
