import { expect, test } from './test';
import { freePort } from '../../scripts/mariadb.mjs';
import { serveApp } from '../../scripts/serve.mjs';
import { DEMO_CLOCK } from '../../scripts/demoServer.mjs';
import { serveOn } from './ownServer';
import {
	address,
	answerSomehow,
	assignPractice,
	expectAccessible,
	signInStaff,
	signInStudent,
	workThrough
} from './people';

test.use({ viewport: { width: 360, height: 740 }, hasTouch: true });

/** A student who has not started the winter diagnostic: every 41st from the eighth is absent in the demo. */
const ABSENT = 8;

test('an adaptive diagnostic goes on at the same question on another device, and gives a score at its end', async ({
	page,
	browser
}) => {
	test.setTimeout(120_000);
	const student = ABSENT + 5 * 41;
	await signInStudent(page, student);
	await page.getByRole('button', { name: 'Start Winter screening' }).click();
	// Practice questions first, with feedback; they count for nothing.
	await expect(page.getByText('Practice question: it does not count')).toBeVisible();
	await answerSomehow(page);
	await page.getByRole('button', { name: 'Check' }).click();
	await expect(page.locator('.feedback')).toContainText(/Right|Not yet/);
	await page.getByRole('button', { name: 'Skip the practice questions' }).click();
	await expect(page.getByText('Question 1 of at most 40')).toBeVisible();
	for (let i = 0; i < 3; i++) {
		const saved = page.waitForResponse((reply) => reply.url().endsWith('/answers?next') && reply.ok());
		await answerSomehow(page);
		await page.getByRole('button', { name: 'Next' }).click();
		await saved;
	}
	await expect(page.getByText('Question 4 of')).toBeVisible();
	const said = page.waitForResponse((reply) => reply.url().endsWith('/answers?next') && reply.ok());
	await page.getByRole('button', { name: 'I don’t know yet' }).click();
	await said;
	await expect(page.getByText('Question 5 of')).toBeVisible();
	const stem = await page.locator('.stem').innerText();
	await page.getByRole('link', { name: 'Stop for now' }).click();
	await expect(page.getByText('4 done')).toBeVisible();
	await page.close();

	const again = await (await browser.newContext({ viewport: { width: 360, height: 740 } })).newPage();
	await signInStudent(again, student);
	await again.getByRole('button', { name: 'Go on with Winter screening' }).click();
	await expect(again.getByText('Question 5 of')).toBeVisible();
	expect(await again.locator('.stem').innerText()).toBe(stem);
	// Nothing of the key reaches the page, nor whether an answer was right.
	expect(await again.content()).not.toMatch(/"?(solutionHtml|expectedErrors|hintHtml)"?:/);
	await expect(again.locator('.feedback')).toBeEmpty();
	await expect(again.getByText(/^(Right|Wrong|Not yet)/)).toHaveCount(0);
	await expectAccessible(again);
	await workThrough(again);

	const staff = await (await browser.newContext()).newPage();
	await signInStaff(staff, 'specialist');
	await staff.goto(`${address()}/screen?scope=list:${student}`);
	const row = staff.locator(`tr[data-student="${student}"]`);
	await expect(row).toContainText(/finished|needs another look/);
	await staff.goto(`${address()}/screen/score?of=${student}&scope=school`);
	const fourth = staff.getByRole('table', { name: 'Answer by answer' }).locator('tbody tr').nth(3);
	await expect(fourth).toContainText('“I don’t know yet”');
	await expect(fourth).not.toContainText(/Right:|Wrong:/);
});

test('a student who needs it has questions read aloud, larger type, and fewer a day', async ({ page, browser }) => {
	const student = ABSENT + 2 * 41;
	const staff = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
	await signInStaff(staff, 'specialist');
	await staff.goto(`${address()}/screen/sittings?scope=list:${student}`);
	await staff.locator(`tr[data-student="${student}"]`).getByRole('checkbox').check();
	await staff.getByRole('button', { name: 'Accommodations …' }).click();
	const dialog = staff.getByRole('dialog', { name: 'Accommodations' });
	await dialog.getByLabel('Read questions aloud on request').check();
	await dialog.getByLabel('Larger type').check();
	await dialog.getByLabel('Most questions a day').selectOption('5');
	await dialog.getByRole('button', { name: 'Set for 1 student' }).click();
	await expect(staff.locator(`tr[data-student="${student}"]`)).toContainText('read aloud, larger type, 5 a day');

	await page.addInitScript(() => {
		const said: string[] = [];
		const voice = { speak: (one: SpeechSynthesisUtterance) => said.push(one.text), cancel: () => {} };
		Object.defineProperty(window, 'speechSynthesis', { value: voice });
		Object.defineProperty(window, 'said', { value: said });
	});
	await signInStudent(page, student);
	await page.getByRole('button', { name: 'Start Winter screening' }).click();
	await page.getByRole('button', { name: 'Skip the practice questions' }).click();
	// Each question is read as it comes, the practice question before it too.
	await expect(page.getByRole('button', { name: 'Read aloud' })).toHaveAttribute('aria-pressed', 'true');
	const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said);
	const before = (await said()).length;
	// A word, since numbers and formulas are read otherwise than they are written.
	const firstWord = (await page.locator('.stem').innerText()).match(/\p{L}{4,}/u)![0];
	expect((await said())[before - 1]).toContain(firstWord);
	await page.getByRole('button', { name: 'Stop' }).click();
	await page.getByRole('button', { name: 'Again' }).click();
	expect(await said()).toHaveLength(before + 1);
	expect(await page.locator('.stem').evaluate((stem) => parseFloat(getComputedStyle(stem).fontSize))).toBeGreaterThan(
		25
	);
	expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
	for (let i = 1; i <= 5; i++) {
		await expect(page.getByText(`Question ${i} of`)).toBeVisible();
		await answerSomehow(page);
		await page.getByRole('button', { name: 'Next' }).click();
	}
	await expect(page.getByRole('heading', { name: 'Enough for today' })).toBeVisible();
	await page.getByRole('link', { name: 'Back to my page' }).click();
	await expect(page.getByText('Enough for today. It goes on tomorrow.')).toBeVisible();
	await expect(page.getByRole('button', { name: /Winter screening/ })).toHaveCount(0);
});

test('a student sits one domain of a flagged sitting again, and then the sitting counts', async ({ page, browser }) => {
	const staff = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
	await signInStaff(staff, 'specialist');
	await staff.goto(`${address()}/screen/sittings?status=needs+another+look&scope=school`);
	const row = staff.locator('tr[data-student]').nth(8);
	const student = Number(await row.getAttribute('data-student'));
	const name = await row.getByRole('rowheader').innerText();
	const sitting = staff.locator('details li').filter({ hasText: name });
	await sitting.getByRole('link', { name: `Answers of ${name}` }).click();
	await expect(staff.getByText('needs another look before it counts')).toBeVisible();
	await expect(staff.getByRole('img', { name: /^The score after each of \d+ answers/ })).toBeVisible();
	await staff.goBack();
	await sitting.getByLabel('Domain to sit again').selectOption({ label: 'Shape and space' });
	await sitting.getByRole('button', { name: 'Sit this domain again' }).click();
	await expect(staff.getByRole('status')).toContainText('The domain is to be sat again.');

	await signInStudent(page, student);
	await expect(page.getByText('A few questions again')).toBeVisible();
	await page.getByRole('button', { name: 'Start Winter screening' }).click();
	const skip = page.getByRole('button', { name: 'Skip the practice questions' });
	await expect(page.locator('.stem')).toBeVisible();
	if (await skip.isVisible()) await skip.click();
	await workThrough(page);
	await page.getByRole('link', { name: 'Back to my page' }).click();
	await expect(page.getByRole('button', { name: /Winter screening/ })).toHaveCount(0);

	await staff.goto(`${address()}/screen/score?of=${student}&scope=school`);
	const shape = staff.getByRole('row', { name: /^Shape and space/ });
	await expect(shape.locator('td').first()).toHaveText('8');
	await staff.goto(`${address()}/screen/sittings?scope=list:${student}`);
	await expect(staff.locator(`tr[data-student="${student}"]`)).toContainText(/finished|needs another look/);
});

test('a sitting left for an hour or two goes on, and ended by staff it is looked at for the pause in its domain', async ({
	page,
	browser
}) => {
	const student = ABSENT + 4 * 41;
	await signInStudent(page, student);
	await page.getByRole('button', { name: 'Start Winter screening' }).click();
	await page.getByRole('button', { name: 'Skip the practice questions' }).click();
	for (let i = 1; i <= 4; i++) {
		await expect(page.getByText(`Question ${i} of`)).toBeVisible();
		await answerSomehow(page);
		await page.getByRole('button', { name: 'Next' }).click();
	}
	await expect(page.getByText('Question 5 of')).toBeVisible();
	const later = await serveApp({
		databaseUrl: process.env.DEMO_DATABASE!,
		port: await freePort(),
		environment: { ORDERLY_CLOCK: new Date(Date.parse(DEMO_CLOCK) + 120 * 60_000).toISOString() },
		quiet: true
	});
	try {
		const again = await (await browser.newContext()).newPage();
		await signInStudent(again, student, later.address);
		await again.getByRole('button', { name: 'Go on with Winter screening' }).click();
		await expect(again.getByText('Question 5 of')).toBeVisible();
		await answerSomehow(again);
		await again.getByRole('button', { name: 'Next' }).click();
		await expect(again.getByText('Question 6 of')).toBeVisible();
	} finally {
		await later.stop();
	}
	const staff = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
	await signInStaff(staff, 'specialist');
	await staff.goto(`${address()}/screen/sittings?scope=list:${student}`);
	await expect(staff.locator(`tr[data-student="${student}"]`)).toContainText('5 answered');
	await staff.getByRole('button', { name: /^End the sitting of .+ and score it$/ }).click();
	await expect(staff.getByRole('status')).toContainText('scored with what was answered');
	await staff.goto(`${address()}/screen/sittings?scope=list:${student}`);
	await staff.locator('summary').click();
	const sitting = staff.locator('details li').first();
	await expect(sitting).toContainText(/A pause of \d+ minutes between two answers, in /);
	const domain = /between two answers, in (.+?)\./.exec(await sitting.innerText())![1];
	// The domain in which it was is the one offered to be sat again.
	expect(await sitting.getByLabel('Domain to sit again').locator('option:checked').innerText()).toBe(domain);
});

test('practice tells at once what is right, counts the first try, and resumes', async ({ page, browser }) => {
	const skill = await assignPractice(browser, 247);
	await signInStudent(page, 247);
	await page
		.getByRole('button', { name: `Start ${skill}` })
		.last()
		.click();
	const where = await page.locator('.where').innerText();
	await answerSomehow(page);
	await page.getByRole('button', { name: 'Check' }).click();
	await expect(page.locator('.feedback')).toContainText(/Right|Not yet/);
	// Left after "Not yet", it comes back to the second try.
	if (await page.getByText('Not yet.').isVisible()) {
		await page.reload();
		await expect(page.locator('.where')).toHaveText(where);
		await expect(page.locator('.feedback')).toContainText('Not yet.');
		await answerSomehow(page, true);
		await page.getByRole('button', { name: 'Try again' }).click();
		await expect(page.locator('.feedback')).toContainText(/Right|Here is how/);
	}
	await page.reload();
	await expect(page.locator('.where')).not.toHaveText(where);
});

test('with the server gone in mid-set the answers are kept, and sent once when it is back', async ({
	page,
	browser
}) => {
	const skill = await assignPractice(browser, 114);
	const port = await freePort();
	const serve = () => serveOn(port);
	let app = await serve();
	try {
		await signInStudent(page, 114, app.address);
		await page
			.getByRole('button', { name: `Start ${skill}` })
			.last()
			.click();
		await expect(page.locator('.stem')).toBeVisible();
		// All of the page is here, its scripts too, before the server goes.
		await page.locator('html[data-alive]').waitFor({ state: 'attached' });
		const sitting = Number(/work\/(\d+)/.exec(page.url())![1]);
		await app.stop();
		const answerOne = async () => {
			await answerSomehow(page);
			await page.getByRole('button', { name: /^(Check|Next)$/ }).click();
			const next = page.getByRole('button', { name: 'Next', exact: true });
			const again = page.getByRole('button', { name: 'Try again' });
			await expect(next.or(again)).toBeVisible();
			if (await again.isVisible()) {
				await answerSomehow(page, true);
				await again.click();
			}
			await next.click();
		};
		await answerOne();
		await expect(page.getByText('Your answers are kept on this device')).toBeVisible();
		await answerOne();
		const kept = await page.evaluate(
			(id) => JSON.parse(localStorage.getItem(`answers of sitting ${id}`) ?? '[]'),
			sitting
		);
		expect(kept.length).toBeGreaterThanOrEqual(2);
		app = await serve();
		await expect(page.getByText('Your answers are kept on this device')).toHaveCount(0);
		await expect
			.poll(() => page.evaluate((id) => localStorage.getItem(`answers of sitting ${id}`), sitting))
			.toBeNull();
		// Sent again on purpose: the ids are known, so nothing is stored twice.
		const twice = await page.request.post(`${app.address}/api/sittings/${sitting}/answers`, {
			data: { answers: kept },
			headers: { origin: app.address }
		});
		const { results } = await twice.json();
		expect(results.map(({ status }: { status: string }) => status)).toEqual(kept.map(() => 'already stored'));
		await page.reload();
		await expect(page.locator('main')).toContainText(/Question [3-9]|All done/);
	} finally {
		await app.stop();
	}
});
