import { chromium, type Page } from '@playwright/test';
import { chromiumLaunch } from '../chromium.mjs';
import { OVER_MS, signedInPage, WATCH } from './watch';

const ROUNDS = 9;
const CHARTS = '/track/charts?scope=school';
/** What any page of this app takes, to compare with. */
const PLAIN = '/library';

const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1];

/** Milliseconds to a page's first byte. */
async function firstByte(page: Page, url: string): Promise<number> {
	const times = [];
	for (let round = 0; round <= ROUNDS; round++) {
		const began = performance.now();
		await (await page.request.get(url, { maxRedirects: 0 })).body();
		if (round) times.push(performance.now() - began);
	}
	return median(times);
}

/** A page of small charts: what the server takes, and how long the browser is kept from anything else while they are drawn. */
export async function benchCharts(address: string): Promise<void> {
	const browser = await chromium.launch(chromiumLaunch);
	const page = await signedInPage(browser, address);
	const [plain, charts] = [await firstByte(page, address + PLAIN), await firstByte(page, address + CHARTS)];
	await page.addInitScript(WATCH);
	// The first time warms up what is kept of scripts.
	for (let round = 0; round < 2; round++) await page.goto(address + CHARTS, { waitUntil: 'networkidle' });
	const height = await page.evaluate(() => document.documentElement.scrollHeight);
	await page.mouse.move(640, 500);
	for (let y = 0; y < height; y += 100) {
		await page.mouse.wheel(0, 100);
		await page.evaluate(() => new Promise(requestAnimationFrame));
	}
	await page.waitForFunction(
		() => document.querySelectorAll('.many svg').length === document.querySelectorAll('.many > li').length
	);
	const { tasks, drawn } = await page.evaluate(() => ({
		tasks: (window as unknown as { seen: { tasks: number[] } }).seen.tasks,
		drawn: document.querySelectorAll('.many svg').length
	}));
	await browser.close();
	const long = tasks.filter((ms) => Math.round(ms) > OVER_MS);
	console.log(
		`charts    ${drawn} small charts on one page: ${charts.toFixed(0)} ms to the last byte, ${(charts / plain).toFixed(1)} times a page of the library (at most 300 ms); in the browser, opened and scrolled down, ${long.length} tasks over ${OVER_MS} ms${long.length ? ` (longest ${Math.max(...long).toFixed(0)} ms)` : ''}`
	);
}
