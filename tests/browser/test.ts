import { test as base, type BrowserContext, type Page } from '@playwright/test';

export { expect, type Browser, type BrowserContext, type Locator, type Page } from '@playwright/test';

/**
 * Lets `goto` end only when the page is alive: what is clicked before then is lost, or does what it does without scripts.
 * A fault of the server is told at once.
 */
function waitForLife(page: Page): Page {
	const goto = page.goto.bind(page);
	page.goto = async (url, options) => {
		const reply = await goto(url, options);
		if (reply && reply.status() >= 500) throw new Error(`${url} answered ${reply.status()}; the log says why.`);
		// Files, and what endpoints say when they refuse, are no pages of the app.
		if (options?.waitUntil !== 'commit' && (await page.locator('#app').count()))
			await page.locator('html[data-alive]').waitFor({ state: 'attached' });
		return reply;
	};
	return page;
}

/** Playwright's test, with pages that wait for life, in every context that a test opens. */
export const test = base.extend<object, object>({
	browser: [
		async ({ browser }, use) => {
			const newContext = browser.newContext.bind(browser);
			browser.newContext = async (options): Promise<BrowserContext> => {
				const context = await newContext(options);
				const newPage = context.newPage.bind(context);
				context.newPage = async () => waitForLife(await newPage());
				return context;
			};
			await use(browser);
		},
		{ scope: 'worker' }
	]
});
