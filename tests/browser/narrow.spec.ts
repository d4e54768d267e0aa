import { expect, test } from './test';
import { address, expectAccessible, signInStaff } from './people';

/** Of each leg, with a panel beside and without. */
const PATHS = [
	...['/screen?scope=class:1', '/screen?scope=class:1&student=3', '/screen?view=classes', '/screen/sittings'],
	...['/screen/windows', '/screen/cuts', '/screen/import', '/screen/report?scope=list:30', '/screen/score?of=30'],
	...['/gaps?scope=class:1', '/gaps/class?scope=class:4', '/gaps/progression', '/gaps/then?scope=class:1'],
	'/gaps/assumptions',
	...['/groups', '/groups/1', '/groups/today?whose=all', '/groups/timetable'],
	...[
		'/practice',
		'/practice/queues',
		'/practice/facts?student=95',
		'/practice/own',
		'/practice/calendar',
		'/practice/log',
		'/practice/given?for=group:2',
		'/practice/try?skill=20,30&questions=5',
		'/practice/new?for=group:2',
		'/practice/new?for=group:2&own=yes',
		'/practice/1',
		'/practice/results',
		'/practice/1/results',
		'/students/140/answers',
		'/practice/1/print?versions=2&key=on',
		...[
			'/track',
			'/track/charts?student=140',
			'/track/probes',
			'/track/paper?group=1',
			'/track/measures',
			'/track/commendations',
			'/track/sessions?group=1'
		],
		...['/decide', '/decide/reviews/30', '/decide/meetings', '/decide/meetings/3', '/decide/meetings/3?step=2'],
		...[
			'/decide/decisions',
			'/decide/tiers?by=language',
			'/decide/meetings/3/sheet',
			'/decide/rules?farBelow=10&sure=60',
			'/students/140/sheet?for=family'
		],
		'/library/F41'
	],
	...['/students/101', '/account'],
	...[
		'/setup',
		'/setup/school',
		'/setup/classes',
		'/setup/classes/3',
		'/setup/add',
		'/setup/roster',
		'/setup/cards',
		'/setup/people',
		'/setup/people/hand-over?staff=3',
		'/setup/interventions',
		'/setup/year',
		'/setup/data',
		'/notices',
		'/setup/log',
		'/setup/caseload'
	]
];

test('every page scrolls one way only, at 200% and on a phone, and what is sought is still found', async ({ page }) => {
	test.setTimeout(180_000);
	await signInStaff(page, 'coordinator');
	for (const path of PATHS) {
		await page.setViewportSize({ width: 640, height: 400 });
		await page.goto(`${address()}${path}`);
		for (const width of [640, 360]) {
			await page.setViewportSize({ width, height: 400 });
			const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
			expect(wide, `${path} at ${width} px`).toBeLessThanOrEqual(0);
		}
	}
	// The bars are a part of the page then, and all of them can be reached.
	await expect(page.locator('header').getByRole('button', { name: 'Sign out', exact: true })).toBeInViewport();
});

test('names stay in view where a table is scrolled in its own place', async ({ page }) => {
	await page.setViewportSize({ width: 360, height: 740 });
	await signInStaff(page, 'specialist');
	for (const path of ['/screen?scope=class:1', '/gaps?scope=class:1']) {
		await page.goto(`${address()}${path}`);
		const name = page.locator('tbody tr[data-student] th').first();
		await name.scrollIntoViewIfNeeded();
		const scroller = page.locator('.wide-table, .scroller').filter({ has: name });
		await scroller.evaluate((element) => (element.scrollLeft = 300));
		expect(await scroller.evaluate((element) => element.scrollLeft)).toBe(300);
		await expect(name).toBeInViewport({ ratio: 0.5 });
	}
});

test('headings are in order, landmarks told apart, and every head of a column says something', async ({ page }) => {
	await page.setViewportSize({ width: 1280, height: 800 });
	await signInStaff(page, 'coordinator');
	for (const path of [
		'/screen/windows',
		'/gaps/class?scope=class:4',
		'/gaps/progression',
		'/groups/timetable',
		'/library'
	]) {
		await page.goto(`${address()}${path}`);
		await test.step(path, () => expectAccessible(page));
	}
});
