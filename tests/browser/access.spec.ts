import { expect, test } from './test';
import { openDatabase } from '../../src/lib/server/database/pool';
import { address, signInStaff, signInStudent } from './people';

test('pages are closed to those who are not signed in', async ({ page }) => {
	await page.goto(`${address()}/gaps?scope=school`);
	await expect(page).toHaveURL(/\/sign-in/);
	await page.goto(`${address()}/today`);
	await expect(page).toHaveURL(/\/sign-in\?as=student/);
});

test('a wrong password is refused without saying which part is wrong, and tries are limited', async ({ page }) => {
	for (let attempt = 0; attempt < 5; attempt++) {
		await page.goto(`${address()}/sign-in`);
		await page.getByLabel('User name').fill('whimbrel');
		await page.getByLabel('Password').fill(`wrong ${attempt}`);
		await page.getByRole('button', { name: 'Sign in' }).click();
		await expect(page.getByRole('alert')).toHaveText('User name or password is wrong.');
	}
	const tryOnce = async (password: string) => {
		await page.getByLabel('User name').fill('whimbrel');
		await page.getByLabel('Password').fill(password);
		const answered = page.waitForResponse((response) => response.request().method() === 'POST');
		await page.getByRole('button', { name: 'Sign in' }).click();
		await answered;
		// So long that the right password comes within it, also on a busy machine.
		await expect(page.getByRole('alert')).toHaveText(/^Too many tries. Wait ([89]|\d\d) seconds/, { timeout: 1_000 });
	};
	// The wait doubles with each that is looked at.
	await expect(() => tryOnce('wrong again')).toPass();
	await tryOnce('tide-table-7');
});

/** A group that no student of a class belongs to. */
async function groupWithout(classId: number): Promise<number> {
	const database = openDatabase(process.env.DEMO_DATABASE!, 1);
	try {
		const [{ id }] = await database.rows<{ id: number }>(
			`SELECT id FROM small_group WHERE id NOT IN
				(SELECT group_id FROM group_membership JOIN class_membership USING (student_id) WHERE class_id = ?)
			ORDER BY id LIMIT 1`,
			[classId]
		);
		return id;
	} finally {
		await database.close();
	}
}

test('a class teacher sees the own class only, and 404 for another class by address', async ({ page }) => {
	await signInStaff(page, 'avocet');
	await page.goto(`${address()}/screen?scope=school`);
	await expect(page.locator('tbody tr[data-student]')).toHaveCount(22);
	for (const path of [
		'/screen?scope=class:2',
		'/gaps?scope=grade:5',
		'/track?scope=list:30',
		'/practice/new?for=student:30',
		`/practice/new?for=group:${await groupWithout(1)}`,
		`/groups/${await groupWithout(1)}`,
		`/groups/timetable/calendar.ics?group=${await groupWithout(1)}`,
		'/students/30',
		'/gaps/then?scope=class:2',
		'/gaps/progression?scope=list:30'
	]) {
		const reply = await page.goto(address() + path);
		expect(reply?.status(), path).toBe(404);
	}
	const own = await page.goto(`${address()}/gaps?scope=class:1&student=30`);
	expect(own?.status()).toBe(200);
	await expect(page.getByRole('complementary', { name: 'Selected student' })).toHaveCount(0);
});

test('roles that may not form groups or decide are told so, and nothing is changed', async ({ page }) => {
	await signInStaff(page, 'interventionist1');
	const post = (path: string, form: Record<string, string>) =>
		page.request.post(address() + path, { form, headers: { origin: address(), accept: 'application/json' } });
	for (const [path, form] of [
		['/groups/suggest?/adopt', { groups: '[]', startsOn: '2026-11-24', endsOn: '2026-12-20', reviewOn: '2026-12-17' }],
		['/groups/suggest?/keep', { groups: '[]', name: 'x', bound: '1', students: '1' }],
		['/groups/1?/change', { kind: 'end', on: '2026-11-24' }],
		['/groups/timetable?/endSlot', { slot: '3' }],
		['/groups/timetable?/addAbsence', { staff: '3', fromOn: '2026-11-24', lastOn: '2026-11-24' }],
		['/groups/drafts?/discard', { draft: '1' }],
		[
			'/decide/reviews/30?/verdict',
			{ review: '1', verdict: 'exit', effectiveOn: '2026-11-23', newTier: '1', note: '' }
		],
		['/screen/windows?/plan', { name: 'x', term: '1', opensOn: '2026-11-24', closesOn: '2026-11-25' }],
		['/screen/sittings?/trust', { sitting: '1', decision: 'kept' }],
		['/screen/sittings?/accommodate', { students: '1', timeFactor: '1' }]
	] as const) {
		expect(JSON.stringify(await (await post(path, form)).json()), path).toContain('Your account cannot');
	}
	await page.goto(`${address()}/screen/windows`);
	await expect(page.getByRole('heading', { name: 'Winter screening' })).toBeVisible();
	await expect(page.getByRole('button', { name: 'Plan a window' })).toHaveCount(0);
	await page.goto(`${address()}/groups?scope=school`);
	const views = page.getByRole('navigation', { name: 'Pages on groups' }).getByRole('link');
	await expect(views).toHaveText(['Groups', 'Sessions today', 'Timetable']);
	// Who is absent they may note, but nothing that lets a window pass a student by.
	const excuse = { window: '2', students: '1', kind: 'excused', reason: 'x' };
	expect(JSON.stringify(await (await post('/screen/sittings?/note', excuse)).json())).toContain('Only a specialist');
});

test('a student reaches own work only', async ({ page, browser }) => {
	await signInStudent(page, 24);
	expect((await page.goto(`${address()}/work/1`))?.status()).toBe(404);
	await page.goto(`${address()}/screen?scope=school`);
	await expect(page).toHaveURL(/\/today/);
	const answer = {
		id: '3f1c8a52-0d5e-4f43-9f0b-2f8f5a1f2f11',
		position: 0,
		attempt: 1,
		response: '1',
		milliseconds: 5,
		answeredAt: '2026-11-23T15:00:00Z'
	};
	const reply = await page.request.post(`${address()}/api/sittings/1/answers`, {
		data: { answers: [answer] },
		headers: { origin: address() }
	});
	expect(reply.status()).toBe(404);
	const stranger = await browser.newContext();
	const refused = await stranger.request.post(`${address()}/api/sittings/1/answers`, {
		data: { answers: [answer] },
		headers: { origin: address() }
	});
	expect(refused.status()).toBe(401);
	await stranger.close();
});

test('malformed and oversized requests get a clear message', async ({ page }) => {
	await signInStudent(page, 25);
	const send = (body: string) =>
		page.request.post(`${address()}/api/sittings/1/answers`, {
			data: body,
			headers: { 'Content-Type': 'application/json', origin: address() }
		});
	for (const body of ['', '{', '[]', '{"answers":[]}', '{"answers":[{"id":"x"}]}', '{"answers":"no"}', 'null']) {
		const reply = await send(body);
		expect(reply.status(), body).toBe(400);
		expect((await reply.json()).message, body).toContain('Nothing was changed');
	}
	const large = await send(JSON.stringify({ answers: ['x'.repeat(5_000_000)] }));
	expect([400, 413]).toContain(large.status());
	await page.goto(`${address()}/sign-in`);
});

test('signing out ends the sign-in on the server', async ({ page, context }) => {
	await signInStaff(page, 'plover');
	await page.goto(`${address()}/screen?scope=school`);
	const cookies = await context.cookies();
	await page.getByRole('button', { name: 'Sign out' }).click();
	await expect(page).toHaveURL(/\/sign-in/);
	await context.addCookies(cookies);
	await page.goto(`${address()}/screen?scope=school`);
	await expect(page).toHaveURL(/\/sign-in/);
});

test('answers come with a strict content security policy, and the cookie of a sign-in is out of reach of scripts', async ({
	page,
	context
}) => {
	const reply = await page.goto(`${address()}/sign-in`);
	const policy = reply!.headers()['content-security-policy'];
	expect(policy).toContain("default-src 'self'");
	expect(policy).toContain("object-src 'none'");
	expect(policy).not.toMatch(/script-src[^;]*'unsafe-(inline|eval)'/);
	await signInStaff(page, 'knot');
	const [held] = (await context.cookies()).filter(({ name }) => name === 'compass_sign_in');
	expect(held).toMatchObject({ httpOnly: true, sameSite: 'Strict' });
});
