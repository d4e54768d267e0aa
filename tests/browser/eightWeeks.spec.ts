import { randomUUID } from 'node:crypto';
import { extractText, getDocumentProxy } from 'unpdf';
import { addDays, weekday } from '../../src/lib/core/calendar';
import { itemFrom } from '../../src/lib/core/items/bank';
import { beginSignIn } from '../../src/lib/server/auth/store/signIns';
import { newToken, SIGN_IN_COOKIE, tokenHash } from '../../src/lib/server/auth/signIn';
import { openDatabase, type RootDatabase } from '../../src/lib/server/database/pool';
import { startDemoServer } from '../../scripts/demoServer.mjs';
import { freePort } from '../../scripts/mariadb.mjs';
import { serveApp } from '../../scripts/serve.mjs';
import { countActions } from './countActions';
import { signInStaff } from './people';
import { expect, test } from './test';

const TODAY = '2026-11-23';
/** Of the plans' first week. */
const FIRST_PROBE = '2026-11-24';
const MEETING_ON = '2027-01-19';
const ENDS_ON = '2027-02-12';
/** Class 9 learns in grade 4. */
const CLASS = 9;

/** Questions right of sixteen, week by week: one who is ready to exit, some on their way, and one who does not grow. */
const STORIES = [
	[5, 9, 14, 16, 16, 16, 16, 16],
	[4, 6, 7, 8, 9, 10, 11, 12],
	[5, 6, 8, 8, 10, 11, 11, 13],
	[3, 5, 6, 8, 8, 9, 11, 12],
	[6, 7, 8, 9, 10, 11, 12, 12],
	[3, 3, 2, 3, 3, 2, 3, 3]
];
const [READY, STUCK] = [0, STORIES.length - 1];

interface Plan {
	id: number;
	studentId: number;
	groupId: number;
	questions: number;
	name: string;
}

/** The app on the same database at another hour. */
async function at<Result>(
	databaseUrl: string,
	clock: string,
	work: (address: string) => Promise<Result>
): Promise<Result> {
	const app = await serveApp({
		...{ databaseUrl, port: await freePort(), quiet: true },
		environment: { ORDERLY_CLOCK: clock }
	});
	try {
		return await work(app.address);
	} finally {
		await app.stop();
	}
}

/** Lets a student take the probe of the week over the endpoints that their browser asks, so many of its questions right. */
async function takeProbe(database: RootDatabase, address: string, now: Date, plan: Plan, right: number) {
	const token = newToken();
	const hashes = { tokenHash: tokenHash(token), heldHash: null };
	await beginSignIn(
		database,
		{ studentId: plan.studentId },
		hashes,
		{ address: '127.0.0.1', browser: 'simulated' },
		now
	);
	const send = (path: string, body: string | URLSearchParams) =>
		fetch(address + path, {
			method: 'POST',
			headers: {
				cookie: `${SIGN_IN_COOKIE}=${token}`,
				origin: address,
				accept: 'application/json',
				...(typeof body === 'string' && { 'content-type': 'application/json' })
			},
			body
		});
	const started = await send('/today?/start', new URLSearchParams({ kind: 'probe', id: String(plan.id) }));
	const { location } = (await started.json()) as { location: string };
	const sitting = Number(/^\/work\/(\d+)$/.exec(location)![1]);
	const items = await database.rows<{ position: number; familyId: string; seed: number }>(
		'SELECT position, family_id AS familyId, seed FROM sitting_item WHERE sitting_id = ? ORDER BY position',
		[sitting]
	);
	expect(items).toHaveLength(plan.questions);
	const answers = items.map(({ position, familyId, seed }) => ({
		...{ id: randomUUID(), position, attempt: 1, milliseconds: 9_000, answeredAt: now.toISOString() },
		// The first of them right, in whatever order they come; of the others the student says that they do not know yet.
		response: position < right ? itemFrom(familyId, seed).key : null
	}));
	const reply = await send(`/api/sittings/${sitting}/answers`, JSON.stringify({ answers }));
	const { results } = (await reply.json()) as { results: { status: string }[] };
	expect(results.every(({ status }) => status === 'stored')).toBe(true);
}

/** Records that everybody was at every planned session up to a day. */
async function attend(database: RootDatabase, plans: Plan[], until: string) {
	const groups = [...new Set(plans.map(({ groupId }) => groupId))];
	const slots = await database.rows<{ groupId: number; days: number }>(
		`SELECT small_group.id AS groupId, slot.days FROM small_group JOIN slot ON slot.id = small_group.slot_id
		WHERE small_group.id IN (?)`,
		[groups]
	);
	const off = await database.rows<{ fromOn: string; untilOn: string }>(
		'SELECT from_on AS fromOn, until_on AS untilOn FROM day_off WHERE school_id = 1'
	);
	const rows: unknown[][] = [];
	for (const { studentId, groupId } of plans) {
		const { days } = slots.find((slot) => slot.groupId === groupId)!;
		for (let day = TODAY; day < until; day = addDays(day, 1))
			if (days & (1 << (weekday(day) - 1)) && !off.some(({ fromOn, untilOn }) => fromOn <= day && day < untilOn))
				rows.push([groupId, studentId, day, true]);
	}
	await database.insertMany('INSERT INTO attendance (group_id, student_id, on_date, present) VALUES ?', rows);
}

test('a whole cycle: groups and probes begin, eight weeks are answered, a meeting decides, sheets say it, undo takes it back', async ({
	page
}) => {
	test.setTimeout(900_000);
	const demo = await startDemoServer();
	const database = openDatabase(demo.databaseUrl, 3);
	try {
		// Groups are adopted, and weekly probes begin with them.
		const free = await database.rows<{ id: number }>(
			`SELECT student_id AS id FROM class_membership WHERE class_id = ? AND until_on IS NULL
				AND student_id NOT IN (SELECT student_id FROM group_membership)`,
			[CLASS]
		);
		const ids = free.map(({ id }) => id);
		await signInStaff(page, 'specialist', demo.address);
		await page.goto(`${demo.address}/groups/suggest?scope=class:${CLASS}&students=${ids.join(',')}`);
		await page.getByRole('button', { name: 'Suggest groups' }).click();
		await expect(page.getByRole('button', { name: 'Suggest again' })).toBeVisible();
		await page.getByLabel('From').fill(TODAY);
		await page.getByLabel('to', { exact: true }).fill(ENDS_ON);
		await page.getByLabel('first review').fill(MEETING_ON);
		await page.getByRole('button', { name: /^Adopt \d+ groups? with \d+ students/ }).click();
		await expect(page.getByRole('status')).toContainText('adopted');
		const plans = (
			await database.rows<Plan>(
				`SELECT plan.id, plan.student_id AS studentId, plan.group_id AS groupId, plan.questions,
					CONCAT(student.given_name, ' ', student.family_name) AS name
				FROM probe_plan AS plan JOIN student ON student.id = plan.student_id
				WHERE plan.student_id IN (?) AND plan.starts_on = ? ORDER BY plan.id`,
				[ids, TODAY]
			)
		).slice(0, STORIES.length);
		expect(plans).toHaveLength(STORIES.length);

		// The one who will be ready is in tier 2 from the beginning.
		await database.run('DELETE FROM tier_interval WHERE student_id = ?', [plans[READY].studentId]);
		await database.run('INSERT INTO tier_interval (student_id, tier, from_on) VALUES (?, 2, ?)', [
			plans[READY].studentId,
			TODAY
		]);

		// Eight weeks are lived.
		for (let week = 0; week < STORIES[0].length; week++) {
			const now = new Date(`${addDays(FIRST_PROBE, 7 * week)}T15:00:00Z`);
			await at(demo.databaseUrl, now.toISOString(), async (address) => {
				for (const [i, plan] of plans.entries()) await takeProbe(database, address, now, plan, STORIES[i][week]);
			});
		}
		await attend(database, plans, MEETING_ON);

		await at(demo.databaseUrl, `${MEETING_ON}T15:00:00Z`, async (address) => {
			// Who does not grow comes first of the six.
			const list = `list:${plans.map(({ studentId }) => studentId).join(',')}`;
			await page.context().clearCookies();
			await signInStaff(page, 'specialist', address);
			await page.goto(`${address}/track?scope=${list}`);
			const rows = page.locator('tbody tr[data-student]');
			await expect(rows).toHaveCount(STORIES.length);
			await expect(rows.first()).toHaveAttribute('data-student', String(plans[STUCK].studentId));
			await expect(rows.first()).toContainText('The goal is unlikely (under 5%), though sessions took place.');

			// Practice that is due after whoever exits has left.
			await page.goto(`${address}/practice/new?for=group:${plans[READY].groupId}&scope=school`);
			await page.getByLabel('due', { exact: true }).fill(ENDS_ON);
			await page.getByRole('button', { name: 'Assign', exact: true }).click();
			await expect(page.getByRole('status')).toContainText('assigned to');
			await page.goto(`${address}/track?scope=${list}`);

			// The meeting.
			await page.getByRole('checkbox', { name: /^Select all/ }).check();
			await page.getByRole('link', { name: 'Talk about them at a meeting' }).click();
			await page.getByLabel('Day').fill(MEETING_ON);
			await page.getByRole('checkbox', { name: 'Ilse Waweru' }).check();
			await page.getByRole('button', { name: 'Plan the meeting' }).click();
			await expect(page.getByRole('status')).toContainText(`${STORIES.length} students on its agenda`);
			await page
				.getByRole('table', { name: 'Meetings to come' })
				.getByRole('link', { name: 'Tue, Jan 19' })
				.first()
				.click();
			await page.waitForURL(/meetings\/\d+/);
			const meeting = /meetings\/(\d+)/.exec(page.url())![1];
			await page.getByRole('link', { name: /^Begin with / }).click();
			const bar = page.locator('main .bar').first();
			const { act, within } = countActions();
			const decideAll = async () => {
				for (let n = 1; n <= STORIES.length; n++) {
					await expect(bar).toContainText(`${n} of ${STORIES.length}`);
					const panel = page.getByRole('form', { name: 'Decision' });
					// Where the plan is to be adjusted, what is done otherwise is the team's to say.
					const change = panel.getByLabel('What is done in another way');
					if (await change.isVisible()) await act(change.fill('smaller steps'));
					await act(panel.getByRole('button', { name: /^Record/ }).click());
					await expect(bar).toContainText(`${n} of ${STORIES.length} decided`);
					within(4, 'a student at the meeting');
				}
			};
			await test.step('six students are decided', decideAll, { timeout: 5 * 60_000 });

			// What was advised has its effects, on its date.
			const verdictOf = async (plan: Plan) =>
				(await database.row<{ id: number; verdict: string; advice: string; effectiveOn: string; newTier: number }>(
					`SELECT id, verdict, advice, effective_on AS effectiveOn, new_tier AS newTier FROM review
					WHERE student_id = ? AND meeting_id = ?`,
					[plan.studentId, Number(meeting)]
				))!;
			const ready = await verdictOf(plans[READY]);
			expect(ready).toMatchObject({ verdict: 'exit', advice: 'exit', newTier: 1 });
			const stuck = await verdictOf(plans[STUCK]);
			expect(stuck.verdict).toBe('adjust');
			expect(stuck.advice).toBe('adjust');
			const effects = async () => ({
				until: (await database.row<{ untilOn: string }>(
					'SELECT until_on AS untilOn FROM group_membership WHERE student_id = ? AND group_id = ?',
					[plans[READY].studentId, plans[READY].groupId]
				))!.untilOn,
				ended: (await database.row<{ endedOn: string | null }>(
					'SELECT ended_on AS endedOn FROM probe_plan WHERE id = ?',
					[plans[READY].id]
				))!.endedOn,
				practice: (
					await database.rows<{ dueOn: string }>(
						`SELECT practice_set.due_on AS dueOn FROM practice_set_student
						JOIN practice_set ON practice_set.id = practice_set_student.set_id
						WHERE student_id = ? AND practice_set.group_id = ? AND practice_set.due_on = ?`,
						[plans[READY].studentId, plans[READY].groupId, ENDS_ON]
					)
				).length,
				tiers: (
					await database.rows<{ tier: number }>(
						'SELECT tier FROM tier_interval WHERE student_id = ? AND from_on >= ?',
						[plans[READY].studentId, MEETING_ON]
					)
				).map(({ tier }) => tier),
				watches: await database.rows<{ startsOn: string }>(
					'SELECT starts_on AS startsOn FROM probe_plan WHERE student_id = ? AND after_exit',
					[plans[READY].studentId]
				)
			});
			expect(await effects()).toEqual({
				until: ready.effectiveOn,
				ended: ready.effectiveOn,
				practice: 0,
				tiers: [1],
				watches: [{ startsOn: ready.effectiveOn }]
			});

			// The meeting's sheet says who and what, read back by another program.
			const reply = await page.request.get(`${address}/decide/meetings/${meeting}/sheet.pdf`);
			const pdf = await getDocumentProxy(new Uint8Array(await reply.body()));
			const { text } = await extractText(pdf, { mergePages: true });
			for (const { name } of plans) expect(text).toContain(name);

			// All of it is taken back.
			for (let n = 1; n <= STORIES.length; n++) {
				await page.goto(`${address}/decide/meetings/${meeting}?step=${n}`);
				await page.getByRole('button', { name: /^Undo .* for / }).click();
				await expect(bar).toContainText(`${STORIES.length - n} of ${STORIES.length} decided`);
			}
			expect(await effects()).toEqual({ until: addDays(ENDS_ON, 1), ended: null, practice: 1, tiers: [], watches: [] });
		});
	} finally {
		await database.close();
		await demo.stop();
	}
});
