import { expect, test } from '@playwright/test';
import { freePort } from '../../scripts/mariadb.mjs';
import { serveApp } from '../../scripts/serve.mjs';
import { DEMO_CLOCK } from '../../scripts/demoServer.mjs';
import { address, answerSomehow, assignPractice, signInStaff, signInStudent, workThrough } from './people';

test.use({ viewport: { width: 360, height: 740 }, hasTouch: true });

/** A student who has not started the winter diagnostic: every 41st from the eighth is absent in the demo. */
const ABSENT = 8;

test('a diagnostic goes on at the same question after the tab is closed, and gives a score at its end', async ({
	page,
	browser
}) => {
	await signInStudent(page, ABSENT);
	await page.getByRole('button', { name: 'Start Winter screening' }).click();
	await expect(page.getByText('Question 1 of 24')).toBeVisible();
	for (let i = 0; i < 3; i++) {
		const saved = page.waitForResponse((reply) => reply.url().endsWith('/answers') && reply.ok());
		await answerSomehow(page);
		await page.getByRole('button', { name: 'Next' }).click();
		await saved;
	}
	await expect(page.getByText('Question 4 of 24')).toBeVisible();
	const stem = await page.locator('.stem').innerText();
	// Nothing of the key reaches the page.
	expect(await page.content()).not.toMatch(/"?(solutionHtml|expectedErrors|hintHtml)"?:/);
	await page.close();

	const again = await (await browser.newContext({ viewport: { width: 360, height: 740 } })).newPage();
	await signInStudent(again, ABSENT);
	await again.getByRole('button', { name: 'Go on with Winter screening' }).click();
	await expect(again.getByText('Question 4 of 24')).toBeVisible();
	expect(await again.locator('.stem').innerText()).toBe(stem);
	await expect(again.getByText(/right|wrong/i)).toHaveCount(0);
	await workThrough(again);

	const staff = await (await browser.newContext()).newPage();
	await signInStaff(staff, 'specialist');
	await staff.goto(`${address()}/screen?scope=class:1`);
	const row = staff.locator(`tr[data-student="${ABSENT}"]`);
	await expect(row).toContainText(/finished|needs another look/);
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
	await page.reload();
	await expect(page.locator('.where')).not.toHaveText(where);
});

test('with the server gone in mid-set the answers are kept, and sent once when it is back', async ({
	page,
	browser
}) => {
	const skill = await assignPractice(browser, 114);
	const port = await freePort();
	const serve = () =>
		serveApp({
			databaseUrl: process.env.DEMO_DATABASE!,
			port,
			environment: { ORDERLY_CLOCK: DEMO_CLOCK },
			quiet: true
		});
	let app = await serve();
	try {
		await signInStudent(page, 114, app.address);
		await page
			.getByRole('button', { name: `Start ${skill}` })
			.last()
			.click();
		await expect(page.locator('.stem')).toBeVisible();
		const sitting = Number(/work\/(\d+)/.exec(page.url())![1]);
		await app.stop();
		const answerOne = async () => {
			await answerSomehow(page);
			await page.getByRole('button', { name: /^(Check|Next)$/ }).click();
			const next = page.getByRole('button', { name: 'Next', exact: true });
			const again = page.getByRole('button', { name: 'Try again' });
			if (await again.isVisible()) {
				await answerSomehow(page);
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
		await expect(page.getByText('Your answers are kept on this device')).toHaveCount(0, { timeout: 30_000 });
		await expect
			.poll(() => page.evaluate((id) => localStorage.getItem(`answers of sitting ${id}`), sitting), { timeout: 20_000 })
			.toBeNull();
		// Sent again on purpose: the ids are known, so nothing is stored twice.
		const twice = await page.request.post(`${app.address}/api/sittings/${sitting}/answers`, {
			data: { answers: kept }
		});
		const { results } = await twice.json();
		expect(results.map(({ status }: { status: string }) => status)).toEqual(kept.map(() => 'already stored'));
		await page.reload();
		await expect(page.locator('main')).toContainText(/Question [3-9]|All done/);
	} finally {
		await app.stop();
	}
});
