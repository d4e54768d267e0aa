import { readFile } from 'node:fs/promises';
import { expect, test } from './test';
import { openDatabase } from '../../src/lib/server/database/pool';
import { address, signInStaff } from './people';

/** A group of the demo that meets on the demo's today, a Monday. */
async function groupToday(): Promise<{ id: number; staffId: number }> {
	const database = openDatabase(process.env.DEMO_DATABASE!, 1);
	const [group] = await database.rows<{ id: number; staffId: number }>(
		`SELECT small_group.id, slot.staff_id AS staffId FROM small_group JOIN slot ON slot.id = small_group.slot_id
		WHERE slot.days & 1 AND small_group.starts_on < '2026-11-23' AND small_group.ends_on > '2026-11-23' AND slot.staff_id = 3
		ORDER BY small_group.id LIMIT 1`
	);
	await database.close();
	return group;
}

test('an interventionist sees their sessions today and takes attendance in two taps, and can put it back', async ({
	page
}) => {
	await signInStaff(page, 'interventionist1');
	await page.goto(`${address()}/groups/today?scope=school`);
	await expect(page.getByRole('heading', { name: /^My sessions today/ })).toBeVisible();
	const session = page.locator('main section[aria-label]').first();
	const students = session.locator('.who');
	const count = await students.count();
	await students.first().click();
	await session.getByRole('button', { name: `Save: ${count - 1} of ${count} here` }).click();
	await expect(page.getByRole('status')).toContainText(`${count - 1} of ${count} here`);
	await page.reload();
	await expect(session.getByRole('button', { name: `Saved: ${count - 1} of ${count} here` })).toBeDisabled();
	await expect(students.first()).toHaveAttribute('aria-pressed', 'false');
	await session
		.getByRole('button', { name: /^Exit ticket of/ })
		.first()
		.click();
	await session.getByRole('button', { name: /^Save:/ }).click();
	await expect(page.getByRole('status')).toContainText('here');
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(session.getByRole('button', { name: /^Exit ticket of .+: not noted/ })).toHaveCount(count - 1);
	await expect(session.getByText('Questions to model')).toBeVisible();
});

test('a group changes: somebody joins with a reason, leaves, it pauses, and each is undone and in its history', async ({
	page
}) => {
	const { id } = await groupToday();
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/groups/${id}`);
	const members = page.locator('tbody tr[data-student]');
	const before = await members.count();
	const status = page.getByRole('status');
	await page.getByLabel('What changes').selectOption('join');
	await page.getByLabel('From').fill('2026-11-23');
	await page.getByRole('button', { name: 'Somebody joins' }).click();
	await expect(status).toContainText('Choose who joins');
	// By a limit that it breaks: a class that cannot release, another group, or more than fit.
	const joins = page.getByLabel('Who joins');
	await joins.fill('a');
	await page.getByRole('listbox', { name: 'Students found' }).getByRole('option', { disabled: false }).first().click();
	await expect(joins).toHaveValue(/.{5}/);
	await page.getByRole('button', { name: 'Somebody joins' }).click();
	await expect(status).toContainText(/joins on Mon, Nov 23|breaks a limit/);
	if ((await status.innerText()).includes('breaks a limit')) {
		await page.getByLabel('Reason').fill('agreed with the class teacher');
		await page.getByRole('button', { name: 'Somebody joins' }).click();
		await expect(status).toContainText('joins on Mon, Nov 23');
	}
	await expect(members).toHaveCount(before + 1);
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(members).toHaveCount(before);
	await page.getByLabel('What changes').selectOption('leave');
	await page.getByLabel('Who leaves').selectOption({ index: 1 });
	await expect(page.getByText(/review of this group is taken off/)).toBeVisible();
	await page.getByRole('button', { name: 'Somebody leaves' }).click();
	await expect(members).toHaveCount(before - 1);
	await expect(status).toContainText('review of this group is taken off');
	await expect(page.getByText(/Nov 23: .+ left/)).toBeVisible();
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(members).toHaveCount(before);
	await page.getByLabel('What changes').selectOption('move');
	await page.getByLabel('Who moves').selectOption({ index: 1 });
	await page.getByLabel('To which group').selectOption({ index: 1 });
	await page.getByLabel('From').fill('2026-11-23');
	await page.getByLabel('Reason').fill('the pace fits better');
	await page.getByRole('button', { name: 'Somebody moves to another group' }).click();
	await expect(status).toContainText(/moves to “.+” on .+; first review there/);
	await expect(members).toHaveCount(before - 1);
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(members).toHaveCount(before);
	await page.getByLabel('What changes').selectOption('pause');
	await page.getByLabel('From').fill('2026-11-23');
	await page.getByRole('button', { name: 'Pause' }).click();
	await expect(page.getByText('Paused until it is resumed.')).toBeVisible();
	await status.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('Paused until it is resumed.')).toHaveCount(0);
});

test('groups are read as they were on an earlier day', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/groups?on=2026-10-20&scope=school`);
	await expect(page.getByText('No group of this scope met on Tue, Oct 20.')).toBeVisible();
	await page.goto(`${address()}/groups?on=2026-11-02&scope=school`);
	await expect(page.getByRole('heading', { name: 'Groups in the whole school on Mon, Nov 2' })).toBeVisible();
	expect(await page.locator('section').count()).toBeGreaterThan(5);
});

test('of many groups a part is shown, with the way to those before, and all are counted', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/groups?scope=school`);
	const names = await page.locator('section h2').allInnerTexts();
	const said = await page.getByText(/^\d+ groups? with \d+ students\./).innerText();
	await page.goto(`${address()}/groups?groups=6&scope=school`);
	await expect(page.getByText(`7 to ${names.length} of ${names.length}`)).toBeVisible();
	expect(await page.locator('section h2').allInnerTexts()).toEqual(names.slice(6));
	await expect(page.getByText(said)).toBeVisible();
	await page.getByRole('link', { name: 'Those before' }).click();
	await expect(page.locator('section h2')).toHaveCount(names.length);
});

test('the timetable takes meeting times, what classes keep, absences, and a calendar file; each can be undone', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/groups/timetable?scope=school`);
	const status = page.getByRole('status');
	const undo = status.getByRole('button', { name: 'Undo' });
	const add = page.locator('form').filter({ has: page.getByRole('heading', { name: 'Add a meeting time' }) });
	await add.getByLabel('Tue').check();
	await add.getByLabel('at', { exact: true }).fill('14:10');
	await add.getByRole('button', { name: 'Add time' }).click();
	await expect(status).toContainText('can hold a group at Tue 14:10');
	await undo.click();
	await expect(status).toContainText('1 meeting time taken back');
	const away = page.locator('form').filter({ has: page.getByRole('heading', { name: 'Somebody is away' }) });
	await away.getByLabel('from').fill('2026-12-01');
	await away.getByLabel('to', { exact: true }).fill('2026-12-02');
	await away.getByRole('button', { name: 'Note absence' }).click();
	await expect(status).toContainText('away from Tue, Dec 1 to Wed, Dec 2');
	await undo.click();
	await expect(status).toContainText('is there again');
	const keeps = page.locator('form').filter({ has: page.getByRole('heading', { name: 'A class keeps its students' }) });
	await keeps.getByLabel('Classes').selectOption({ index: 0 });
	await keeps.getByLabel('Fri').check();
	await keeps.getByLabel('at', { exact: true }).fill('14:30');
	await keeps.getByRole('button', { name: 'Add' }).click();
	await expect(status).toContainText('1 class releases nobody at Fri 14:30');
	await undo.click();
	await expect(status).toContainText('Students can be released at Fri 14:30');
	const bring = page.locator('form').filter({ has: page.getByRole('heading', { name: 'Bring a calendar in' }) });
	await bring.getByLabel('iCalendar file').setInputFiles({
		name: 'week.ics',
		mimeType: 'text/calendar',
		buffer: Buffer.from(
			[
				'BEGIN:VCALENDAR',
				'VERSION:2.0',
				'PRODID:x',
				'BEGIN:VEVENT',
				'UID:1',
				'SUMMARY:Reading corner',
				'DTSTART;TZID=America/New_York:20261123T143000',
				'DURATION:PT25M',
				'RRULE:FREQ=WEEKLY;BYDAY=MO,TH',
				'END:VEVENT',
				'BEGIN:VEVENT',
				'UID:2',
				'SUMMARY:Once only',
				'DTSTART:20261123T143000',
				'DURATION:PT25M',
				'END:VEVENT',
				'END:VCALENDAR'
			].join('\r\n')
		)
	});
	await bring.getByRole('button', { name: 'Look at it' }).click();
	await expect(bring).toContainText('Mon Thu 14:30, 25 min (Reading corner)');
	await expect(bring).toContainText('Left out: “Once only” happens once');
	await bring.getByRole('button', { name: 'Take these' }).click();
	await expect(status).toContainText('1 meeting time, 0 absences');
	await undo.click();
	await expect(status).toContainText('Taken back: 1 meeting time');
});

test('meetings go out as an iCalendar file', async ({ page }) => {
	const { id } = await groupToday();
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/groups/${id}`);
	const [download] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'Meetings as iCalendar' }).click()
	]);
	const text = await readFile((await download.path())!, 'utf8');
	expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/);
	expect(text).toContain(`UID:group-${id}@orderly-compass`);
	expect(text).toMatch(/RRULE:FREQ=WEEKLY;.*BYDAY=/);
});
