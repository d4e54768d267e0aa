/** npm run screenshots: one picture of each main view of the demo school, in docs/screenshots. */
import { fileURLToPath } from 'node:url';
import { chromium, type Page } from '@playwright/test';
import {
	classCodeOf,
	DEMO_PASSWORD,
	DEMO_PIN,
	drawNames,
	STUDENT_IDS,
	STUDENTS_A_CLASS,
	TIME_ZONE
} from '../demo/people';
import { openDatabase } from '../src/lib/server/database/pool';
import { queuedSets } from '../src/lib/server/practice/store/practice';
import { probeSeries } from '../src/lib/server/track/store/probes';
import { answerRightly, layOutSitting, ONE_OF_EACH } from '../tests/browser/answering';
import { itemFrom } from '../src/lib/core/items/bank';
import { chromiumLaunch } from './chromium.mjs';
import { DEMO_CLOCK } from './demoServer.mjs';

const base = process.env.DEMO_ADDRESS!;
const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));

const browser = await chromium.launch(chromiumLaunch);

/** @param until what is waited for: a page that goes on asking the server is never idle */
async function take(page: Page, name: string, path?: string, until: 'networkidle' | 'load' = 'networkidle') {
	if (path) await page.goto(base + path);
	await page.waitForLoadState(until);
	await page.evaluate(() => document.fonts.ready);
	await page.screenshot({ path: `${folder}${name}.png` });
	console.log(name);
}

const today = DEMO_CLOCK.slice(0, 10);
const database = openDatabase(process.env.DEMO_DATABASE!, 1);
const series = await probeSeries(database, STUDENT_IDS, { today, timeZone: TIME_ZONE });
const sets = await queuedSets(database, STUDENT_IDS, today);
await database.close();
/** Whose growth is in the pictures: from half of it to nearly all. */
const tracked = series.find(
	({ taken }) => taken.length > 5 && taken[0].right < 8 && taken.at(-1)!.right > 12
)!.studentId;

/** Whose plan was adjusted once and who grew all the same little. */
const adjusted = series.find(({ taken }) => taken.length > 5 && taken.every(({ right }) => right < 5))!.studentId;

/** A student with a probe to take and a set begun, so that the pictures show both. */
function busyStudent(): { id: number; name: string; classCode: string } {
	const { studentId } = sets.find(
		(set) => set.answered && series.some((plan) => plan.due && plan.studentId === set.studentId)
	)!;
	const classCode = classCodeOf(Math.ceil(studentId / STUDENTS_A_CLASS));
	return { id: studentId, name: drawNames(studentId)[studentId - 1].join(' '), classCode };
}

/** Pictures beside each other, so many in a row and so wide. */
async function sideBySide(name: string, pictures: string[], aRow: number, width: number): Promise<void> {
	const page = await (await browser.newContext({ viewport: { width: aRow * width, height: 600 } })).newPage();
	const images = pictures.map((picture) => `<img src="data:image/png;base64,${picture}">`).join('');
	await page.setContent(
		`<style>body{margin:0;display:grid;grid-template-columns:repeat(${aRow},1fr)}img{width:${width - 2}px;border:1px solid #d9d2c3}</style>${images}`
	);
	await page.screenshot({ path: `${folder}${name}.png`, fullPage: true });
	await page.close();
	console.log(name);
}

const staff = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
await staff.goto(`${base}/sign-in`);
await staff.getByLabel('User name').fill('specialist');
await staff.getByLabel('Password').fill(DEMO_PASSWORD);
await staff.getByRole('button', { name: 'Sign in' }).click();
await staff.waitForURL(/screen/);
await take(staff, 'screen', '/screen?scope=school');
await take(staff, 'gaps', '/gaps?scope=grade:4');
await take(staff, 'progression', '/gaps/progression?scope=grade:5&domain=2');
await take(staff, 'student', `/students/${tracked}`);
await take(staff, 'group', '/groups/3');
await staff.goto(`${base}/screen?scope=grade:5`);
await staff.getByRole('button', { name: /shown below the line/ }).click();
await staff.getByRole('link', { name: 'Suggest groups' }).click();
await staff.getByRole('button', { name: 'Suggest groups' }).click();
await staff.getByRole('button', { name: 'Suggest again' }).waitFor({ timeout: 30_000 });
/** Keeps what is on the board under a name. */
async function keepDraft(name: string) {
	await staff.getByLabel('Name of the draft').fill(name);
	await staff.getByRole('button', { name: 'Keep draft' }).click();
	await staff.getByText(`Kept as “${name}”`).waitFor();
	await staff.getByRole('button', { name: 'Close' }).click();
}
await keepDraft('As many as can be');
// With what each place would cost the first student.
await staff.locator('.menu select').first().focus();
await take(staff, 'groups-suggested');
await staff.getByLabel('Most groups').fill('2');
await staff.getByRole('button', { name: 'Suggest again' }).click();
await staff.getByRole('button', { name: 'Suggest again' }).waitFor({ timeout: 30_000 });
await keepDraft('Two groups');
await staff.goto(`${base}/practice/log?scope=class:6&days=90`);
const finished = staff.getByRole('row').filter({ has: staff.getByRole('cell', { name: 'finished', exact: true }) });
await finished.first().waitFor();
const set = await finished.locator('a[href^="/practice/"]').evaluateAll((links) => {
	const ids = links.map((link) => /^\/practice\/(\d+)/.exec(link.getAttribute('href')!)![1]);
	// The set that most of the class have finished.
	return ids.sort((one, other) => ids.filter((id) => id === other).length - ids.filter((id) => id === one).length)[0];
});
await take(staff, 'results', `/practice/${set}/results?scope=class:6`);
await take(staff, 'practice-calendar', '/practice/calendar');
await take(staff, 'assign', '/practice/new?for=group:6');
await take(staff, 'track', '/track');
await take(staff, 'growth', `/track/charts?student=${adjusted}`);
await take(staff, 'sessions', '/track/sessions?group=3');
/** The step of today's meeting that is about whoever needs more. */
await staff.goto(`${base}/decide/meetings/3`);
const agenda = await staff.getByRole('table', { name: 'Agenda' }).locator('tbody th').allInnerTexts();
const adjustedName = drawNames(adjusted)[adjusted - 1].join(' ');
await take(staff, 'meeting', `/decide/meetings/3?step=${agenda.findIndex((row) => row.includes(adjustedName)) + 1}`);
await take(staff, 'decisions', '/decide/decisions');
await sheets();
await take(staff, 'library', '/library?q=fractions+with+diferent+bottoms');

const coordinator = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
await coordinator.goto(`${base}/sign-in`);
await coordinator.getByLabel('User name').fill('coordinator');
await coordinator.getByLabel('Password').fill(DEMO_PASSWORD);
await coordinator.getByRole('button', { name: 'Sign in' }).click();
await coordinator.waitForURL(/screen/);
await take(coordinator, 'notices', '/notices', 'load');

const student = busyStudent();
const phone = await (await browser.newContext({ viewport: { width: 360, height: 740 }, hasTouch: true })).newPage();
await phone.goto(`${base}/sign-in?as=student&class=${student.classCode}`);
await phone.getByLabel('Your name').selectOption({ label: student.name });
await phone.getByLabel('Your PIN').fill(DEMO_PIN);
await phone.getByRole('button', { name: 'Start' }).click();
await phone.waitForURL(/today/);
await take(phone, 'student-today');

/** The meeting's sheet, and three of one student, on paper. */
async function sheets(): Promise<void> {
	const student = `/students/${tracked}/sheet?for=`;
	const paths = ['/decide/meetings/3/sheet', `${student}evidence`, `${student}plan`, `${student}family&language=es`];
	const pictures: string[] = [];
	await staff.emulateMedia({ media: 'print' });
	// About as wide as a page.
	await staff.setViewportSize({ width: 780, height: 1060 });
	for (const path of paths) {
		await staff.goto(base + path);
		await staff.evaluate(() => document.fonts.ready);
		pictures.push((await staff.screenshot()).toString('base64'));
	}
	await staff.setViewportSize({ width: 1280, height: 800 });
	await staff.emulateMedia({ media: 'screen' });
	await sideBySide('sheets', pictures, 4, 480);
}

/** A question of every response kind, answered, side by side as they are on a phone. */
async function responseKinds(): Promise<void> {
	const kinds = new Set<string>();
	const items = ONE_OF_EACH.filter(({ familyId, seed }) => {
		const { kind } = itemFrom(familyId, seed).response;
		return !kinds.has(kind) && kinds.add(kind);
	});
	await phone.goto(base + (await layOutSitting(student.id, items)));
	const pictures: string[] = [];
	for (const item of items) {
		await answerRightly(phone, item, 'touch');
		// Let what a tap leaves for a moment fade.
		await phone.mouse.move(1, 1);
		await phone.waitForTimeout(400);
		pictures.push((await phone.screenshot()).toString('base64'));
		await phone.getByRole('button', { name: 'Check' }).click();
		await phone.getByRole('button', { name: 'Next', exact: true }).click();
	}
	await sideBySide('response-kinds', pictures, 7, 260);
}
await responseKinds();
await browser.close();
