import type { Browser, Page } from '@playwright/test';
import { DEMO_PASSWORD } from '../../demo/people';

/** Milliseconds from which a task or frame keeps a person waiting. */
export const OVER_MS = 50;

/** Notes in the page how long frames and tasks take. As text, since what the compiler adds to functions is not there. */
export const WATCH = `
	window.seen = { frames: [], last: performance.now(), tasks: [] };
	requestAnimationFrame(function tick(at) {
		window.seen.frames.push(at - window.seen.last);
		window.seen.last = at;
		requestAnimationFrame(tick);
	});
	new PerformanceObserver((list) => window.seen.tasks.push(...list.getEntries().map(({ duration }) => duration)))
		.observe({ entryTypes: ['longtask'] });`;

/** A page of the specialist, as wide as a laptop's. */
export async function signedInPage(browser: Browser, address: string): Promise<Page> {
	const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
	await page.goto(`${address}/sign-in`);
	await page.getByLabel('User name').fill('specialist');
	await page.getByLabel('Password').fill(DEMO_PASSWORD);
	await page.getByRole('button', { name: 'Sign in' }).click();
	await page.waitForURL(/screen/);
	return page;
}
