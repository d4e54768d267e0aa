import { chromium } from '@playwright/test';
import { SCHOOL_ID } from '../../demo/people';
import { openDatabase } from '../../src/lib/server/database/pool';
import { shipFramework, taughtFramework } from '../../src/lib/server/library/store/frameworks';
import { chromiumLaunch } from '../chromium.mjs';
import { OVER_MS, signedInPage, WATCH } from './watch';

/** Columns that the map is measured with. */
const SKILLS = 200;
/** Pixels that a notch of the wheel scrolls, one a frame, and how many notches each way. */
const STEP = 100;
const STEPS = 60;

/** Adds skills to the framework until there are enough for the measurement. */
async function fillUp(databaseUrl: string): Promise<number> {
	const database = openDatabase(databaseUrl, 1);
	const framework = await taughtFramework(database, SCHOOL_ID);
	await shipFramework(database, {
		...framework,
		domains: [],
		skills: [
			...framework.skills,
			...Array.from({ length: Math.max(0, SKILLS - framework.skills.length) }, (_, i) => ({
				code: `Z${i + 1}`,
				domain: framework.domains[0].code,
				statement: 'Made for a measurement',
				shortName: `Measured ${i + 1}`,
				also: '',
				grade: 8,
				term: 3
			}))
		]
	});
	const [{ students }] = await database.rows<{ students: number }>('SELECT COUNT(*) AS students FROM student');
	await database.close();
	return Number(students);
}

/** The whole school's map with all skills, first shown and scrolled down and across, in a browser. */
export async function benchNeedleMap(address: string, databaseUrl: string): Promise<void> {
	const students = await fillUp(databaseUrl);
	const browser = await chromium.launch(chromiumLaunch);
	const page = await signedInPage(browser, address);
	const shown = async (path: string) => {
		await page.goto(address + path, { waitUntil: 'load' });
		return page.evaluate(async () => {
			await new Promise(requestAnimationFrame);
			return performance.now();
		});
	};
	// What any page of this app takes, to compare with.
	await shown('/library');
	const [plain, map] = [await shown('/library'), await shown('/gaps?columns=all')];
	await page.waitForLoadState('networkidle');
	await page.evaluate(WATCH);
	await page.mouse.move(700, 500);
	for (const [x, y] of [
		[0, STEP],
		[STEP, 0],
		[0, -STEP],
		[-STEP, 0]
	]) {
		for (let i = 0; i < STEPS; i++) {
			await page.mouse.wheel(x, y);
			await page.evaluate(() => new Promise(requestAnimationFrame));
		}
	}
	const { frames, tasks, cells } = await page.evaluate(() => {
		const { seen } = window as unknown as { seen: { frames: number[]; tasks: number[] } };
		return { ...seen, cells: document.querySelectorAll('[role="gridcell"]').length };
	});
	await browser.close();
	// To whole milliseconds: three refreshes of the screen are 50.0, and so not over 50.
	const over = (all: number[]) => all.filter((ms) => Math.round(ms) > OVER_MS).length;
	const sorted = [...frames].sort((a, b) => a - b);
	const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))].toFixed(0);
	console.log(
		`map       in the browser, ${students} × ${SKILLS}: first shown after ${map.toFixed(0)} ms, ${(map / plain).toFixed(1)} times a page of the library; scrolled down and across, ${frames.length} frames: median ${at(0.5)} ms, 99th percentile ${at(0.99)} ms, longest ${at(1)} ms, ${over(frames)} over 50 ms; ${over(tasks)} tasks over 50 ms${tasks.length ? ` (longest ${Math.max(...tasks).toFixed(0)} ms)` : ''}; ${cells} cells drawn at a time`
	);
}
