import { gzipSync } from 'node:zlib';
import { statSync, writeFileSync } from 'node:fs';
import { expect, test, type Page } from './test';
import { address, signInStaff } from './people';

async function check(page: Page, holds: 'skills' | 'standards', content: string, framework = 'Harbor standards') {
	await page.goto(`${address()}/library/import`);
	await page.waitForLoadState('networkidle');
	await page.getByLabel(holds === 'skills' ? /skills to teach/ : /standards of another/).check();
	if (holds === 'standards') await page.getByLabel('What the framework is called').fill(framework);
	await page.getByLabel('or paste it here').fill(content);
	await page.getByRole('button', { name: 'See what it would do' }).click();
}

/** Chooses a file on the import page, and waits until it has been read. */
async function choose(page: Page, path: string) {
	await page.goto(`${address()}/library/import`);
	await page.waitForLoadState('networkidle');
	await page.getByLabel(/skills to teach/).check();
	await page.getByLabel('A CASE package (JSON) or a table (CSV)').setInputFiles(path);
	const pasted = page.getByLabel('or paste it here');
	await expect(pasted.or(page.getByRole('alert')).first()).toBeVisible();
	if (statSync(path).size < 3_000_000) await expect(pasted).not.toHaveValue('');
}

test('standards are brought in with their crosswalk, and lead to our skills from then on', async ({ page }) => {
	await signInStaff(page, 'coordinator');
	await check(
		page,
		'standards',
		'code,statement,grade,skills\nHB.1,Judge how likely a lantern is to be lit,7,D71\nHB.2,Draw a harbor,2,'
	);
	await expect(page.locator('main')).toContainText('2 standards of Harbor standards; 1 linked to our skills.');
	await page.getByRole('button', { name: 'Take 2 standards' }).click();
	await expect(page.locator('main')).toContainText('2 standards of Harbor standards can be found now');
	await page.goto(`${address()}/library?q=lantern+likely`);
	const hit = page.getByRole('listitem').filter({ hasText: 'HB.1' });
	await hit.getByRole('link', { name: 'Probability' }).click();
	await expect(page.locator('main')).toContainText('HB.1 Judge how likely a lantern is to be lit');
});

test('a skill of one’s own is shown before it is taken, found from then on, and says that it has no questions yet', async ({
	page
}) => {
	await signInStaff(page, 'coordinator');
	const table = [
		'code,domain,name,statement,grade,term,also,prerequisites',
		'H01,D,Tide arithmetic,Work out the height of the tide from a table,6,2,sea level ebb flood,D41 W71'
	].join('\n');
	await check(page, 'skills', table);
	await expect(page.locator('main')).toContainText('1 skill added, 0 changed, 0 as before.');
	await expect(page.locator('main')).toContainText('2 prerequisites added');
	const firstOne = page.getByText('This gives it a copy of its own');
	await expect(firstOne).toBeVisible();
	await page.getByRole('button', { name: 'Take 1 new skill and 0 changes' }).click();
	await expect(page.getByRole('heading', { name: 'Done' })).toBeVisible();
	await check(page, 'skills', table);
	await expect(page.getByText('All of it is here already.')).toBeVisible();
	await expect(firstOne).toHaveCount(0);
	await page.goto(`${address()}/library?q=ebb+and+flood`);
	await page.getByRole('link', { name: 'Tide arithmetic' }).first().click();
	await expect(page.locator('main')).toContainText('No questions were made for this skill yet.');
	await expect(page.locator('.drawing').getByRole('link', { name: /Add signed numbers.*leads to it/ })).toBeVisible();
	await expect(page.getByRole('link', { name: /^Assign to/ })).toHaveCount(0);
});

test('what was taken out can be brought in again and changes nothing', async ({ page }) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/library/import`);
	for (const name of ['As a CASE package', 'as a table']) {
		const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name }).click()]);
		await choose(page, await download.path());
		await page.getByRole('button', { name: 'See what it would do' }).click();
		await expect(page.locator('main'), name).toContainText(/0 skills added, 0 changed, \d+ as before/);
		await page.goto(`${address()}/library/import`);
	}
});

const bad: [what: string, content: string, says: RegExp][] = [
	['broken JSON', '{"CFDocument": {', /begins like JSON but is none/],
	['another JSON', '{"hello": 1}', /no CASE package of version 1.0 or 1.1/],
	['another encoding', 'code,domain\u0000', /not text in UTF-8/],
	['a table of something else', 'name,age\nx,3', /no column is called code, domain, statement, grade/],
	['a circle', 'code,domain,name,statement,grade,prerequisites\nQ1,W,a,b,3,Q2\nQ2,W,a,b,3,Q1', /circle: Q1 → Q2 → Q1/],
	['a circle with what is here', 'code,domain,name,statement,grade,prerequisites\nW21,W,a,b,2,W32', /circle/],
	[
		'a missing prerequisite',
		'code,domain,name,statement,grade,prerequisites\nQ1,W,a,b,3,Z9',
		/line 2: the prerequisite Z9/
	],
	['a code twice', 'code,domain,name,statement,grade\nQ1,W,a,b,3\nQ1,W,a,b,3', /line 3: Q1 stands in line 2, too/]
];
test('files that are none get a clear message, and nothing is half-loaded', async ({ page }) => {
	await signInStaff(page, 'coordinator');
	for (const [what, content, says] of bad) {
		await check(page, 'skills', content);
		await expect(page.getByRole('alert'), what).toContainText(says);
		await expect(page.locator('main'), what).toContainText('Nothing was changed');
		await expect(page.getByRole('button', { name: /^Take/ }), what).toHaveCount(0);
	}
	await page.goto(`${address()}/library?q=Q1`);
	await expect(page.locator('main li').filter({ hasText: 'Q1' })).toHaveCount(0);
	const large = await page.request.post(`${address()}/library/import`, {
		form: { holds: 'skills', step: 'take', content: 'x'.repeat(6_000_000) },
		headers: { origin: address(), accept: 'application/json' }
	});
	expect(await large.text()).toMatch(/longer than|larger than/);
});

test('only those who answer for the library can change it', async ({ page }) => {
	await signInStaff(page, 'curlew');
	await page.goto(`${address()}/library`);
	await expect(page.getByRole('link', { name: 'Bring in or take out' })).toHaveCount(0);
	expect((await page.goto(`${address()}/library/import`))?.status()).toBe(403);
});

test('files too large, packed, or in another encoding are refused as they are chosen, and change nothing', async ({
	page
}) => {
	await signInStaff(page, 'coordinator');
	const table = 'code,domain,name,statement,grade\nQ9,W,Café,Zähle die Boote,3';
	const files: [name: string, buffer: Buffer, says: RegExp][] = [
		['large.csv', Buffer.alloc(49_000_000, 'x'), /large.csv has 49.0 MB; at most .* MB can be brought in at once/],
		// Fifty million zeros in fifty thousand bytes: never unpacked, only seen not to be text.
		['packed.json', gzipSync(Buffer.alloc(50_000_000)), /not text in UTF-8/],
		['sixteen.csv', Buffer.from(table, 'utf16le'), /not text in UTF-8/],
		['latin.csv', Buffer.from(table, 'latin1'), /not text in UTF-8/]
	];
	for (const [name, buffer, says] of files) {
		// From the disk: a browser test would carry the bytes over far more slowly.
		const path = test.info().outputPath(name);
		writeFileSync(path, buffer);
		await choose(page, path);
		const see = page.getByRole('button', { name: 'See what it would do' });
		if (name !== 'large.csv') await see.click();
		await expect(page.getByRole('alert'), name).toContainText(says);
		await expect(page.locator('main'), name).toContainText('Nothing was changed');
	}
	await page.goto(`${address()}/library?q=Q9`);
	await expect(page.locator('main li').filter({ hasText: 'Q9' })).toHaveCount(0);
});
