import { expect, test } from './test';
import { ONE_OF_EACH } from './answering';
import { address, signInStaff, signInStudent } from './people';

test('a skill is found while typing, in spite of slips, and its page says where it stands', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/library?scope=class:5`);
	await page.waitForLoadState('networkidle');
	await page.getByLabel(/Find a skill by any word/).pressSequentially('fraktions diferent bottoms');
	await page.getByRole('link', { name: 'Add unlike fractions' }).first().click();
	await expect(page).toHaveURL(/\/library\/F52\?scope=class:5/);
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Add unlike fractions');
	await expect(page.locator('main')).toContainText('F52 · Fractions, decimals, and percent · 5·2');
	const progression = page.locator('.drawing');
	await expect(progression.getByRole('link', { name: /Add like fractions.*leads to it/ })).toBeVisible();
	await progression.getByRole('link', { name: /Add like fractions/ }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Add like fractions');
	await expect(progression.getByRole('link', { name: /Add unlike fractions.*opens from it/ })).toBeVisible();
});

test('a standard and a wrong idea lead to the skills they are about', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/library?q=EC.5.6`);
	const hit = page.getByRole('listitem').filter({ hasText: 'EC.5.6' });
	await expect(hit).toContainText('Estuary County mathematics · grade 5');
	await expect(hit.getByRole('link')).toHaveText(['Elapsed time', 'Elapsed time, noon']);
	await page.goto(`${address()}/library?q=larger+denominator`);
	const idea = page.getByRole('listitem').filter({ hasText: 'a wrong idea' }).first();
	await expect(idea.getByRole('link').first()).toBeVisible();
	// How it shows: a question, the answer that the idea gives to it, and what to try.
	await expect(idea).toContainText(/For example, “.+” answered .+\. Try: Cut two equal strips/);
	await page.goto(`${address()}/library?q=weather+diary`);
	await expect(page.getByRole('listitem').filter({ hasText: 'EC.7.8' })).toContainText('no skill is linked to it yet');
	await page.goto(`${address()}/library?q=xqzw`);
	await expect(page.getByText('Nothing here is called “xqzw”')).toBeVisible();
});

test('the grid counts every skill, and a cell lists its own', async ({ page }) => {
	await signInStaff(page, 'avocet');
	await page.goto(`${address()}/library`);
	const cells = page.locator('.grid tbody td a');
	const counts = (await cells.allInnerTexts()).map(Number);
	const listed = page.getByRole('table', { name: 'Skills' }).locator('tbody tr');
	expect(counts.reduce((a, b) => a + b)).toBe(await listed.count());
	await cells.first().click();
	await expect(listed).toHaveCount(counts[0]);
	await page.getByRole('link', { name: 'Show all' }).click();
	await expect(listed).toHaveCount(counts.reduce((a, b) => a + b));
});

test('every student in scope stands on the skill page, and those who lack it can be given practice', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/library/W43?scope=class:7`);
	await expect(page.locator('tr[data-student]')).toHaveCount(22);
	const button = page.getByRole('link', { name: /^Assign to the \d+ who lack it/ });
	const lacking = /\d+/.exec(await button.innerText())![0];
	await button.click();
	await expect(page.getByRole('region', { name: 'Who' }).getByText(`${lacking} students`)).toBeVisible();
	await expect(page.getByText('Divide with a remainder and say what the remainder means')).toBeVisible();
});

test('own material is kept with the skill, taken away and brought back; a link that is none is refused', async ({
	page
}) => {
	await signInStaff(page, 'interventionist2');
	await page.goto(`${address()}/library/S41`);
	const add = async (title: string, link: string, note: string) => {
		await page.getByText('Add your own material or a link').click();
		const form = page.locator('form.add');
		await form.evaluate((node: HTMLFormElement) => (node.noValidate = true));
		await form.getByLabel('Name').fill(title);
		await form.getByLabel('Link, if it is on the web').fill(link);
		await form.getByLabel('Note').fill(note);
		await form.getByRole('button', { name: 'Keep it with the skill' }).click();
	};
	await add('Harm', 'javascript:alert(1)', '');
	await expect(page.getByRole('status')).toContainText('The link is no web address');
	await page.reload();
	await add('Straw angles', 'https://angles.example/straws', 'Two straws and a pin.');
	const material = page.getByRole('listitem').filter({ hasText: 'Two straws and a pin.' });
	await expect(material.getByRole('link', { name: 'Straw angles' })).toHaveAttribute(
		'href',
		'https://angles.example/straws'
	);
	await material.getByRole('button', { name: 'Take Straw angles away' }).click();
	await expect(material).toHaveCount(0);
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(material).toBeVisible();
});

test('a shelf is one’s own until it is shared', async ({ page, browser }) => {
	await signInStaff(page, 'knot');
	await page.goto(`${address()}/library/P31`);
	await page.getByRole('button', { name: 'Put on my shelf' }).click();
	await expect(page.getByRole('status')).toContainText('Number patterns is on your shelf.');
	const colleague = await (await browser.newContext()).newPage();
	await signInStaff(colleague, 'plover');
	await colleague.goto(`${address()}/library`);
	const shared = colleague.getByRole('list').filter({ hasText: 'Multiplication facts' }).last();
	await expect(shared).not.toContainText('Number patterns');
	await page.getByRole('button', { name: 'Share with colleagues' }).click();
	await expect(page.getByRole('button', { name: 'Stop sharing' })).toBeVisible();
	await colleague.reload();
	await expect(shared).toContainText('Number patterns');
	await page.getByRole('button', { name: 'Take off my shelf' }).click();
	await expect(page.getByRole('button', { name: 'Put on my shelf' })).toBeVisible();
});

test('a question fills the screen to be modeled step by step, and samples are printed with or without key', async ({
	page
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/library/F52`);
	await page.waitForLoadState('networkidle');
	await page.getByRole('button', { name: 'Fill the screen' }).click();
	const dialog = page.getByRole('dialog', { name: 'Model it together' });
	await expect(dialog.locator('.model > p')).toHaveCount(1);
	await dialog.getByRole('button', { name: /Show the first step/ }).click();
	await expect(dialog.locator('.model > p')).toHaveCount(2);
	await page.keyboard.press('Escape');
	await expect(dialog).toHaveCount(0);
	await page.getByRole('link', { name: 'without key' }).click();
	await expect(page.locator('ol > li')).toHaveCount(6);
	await expect(page.getByText(/^Key:/)).toHaveCount(0);
	await page.goBack();
	await page.getByRole('link', { name: 'with key and solutions' }).click();
	await expect(page.getByText(/^Key:/)).toHaveCount(6);
});

test('the search at the top of every leg finds students and skills, by keyboard', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/track?scope=class:5`);
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('/');
	await page.keyboard.type('elapsd');
	const search = page.getByRole('search');
	await expect(search).toContainText('Nobody is called that');
	await expect(search.getByRole('option', { name: /^Elapsed time M33/ })).toBeVisible();
	await page.keyboard.press('Enter');
	await expect(page).toHaveURL(/\/library\/M(33|51)\?scope=class:5/);
	await expect(page.getByRole('heading', { level: 1, name: 'Elapsed time' })).toBeVisible();
	await page.waitForLoadState('networkidle');
	const row = page.locator('tr[data-student] a').first();
	const name = (await row.textContent())!;
	await page.getByLabel('Find a student or a skill').fill(name);
	await page.keyboard.press('Enter');
	await expect(page.getByRole('complementary', { name: 'Selected student' })).toContainText(name);
	// The box is empty again, whatever was chosen, by key or pointer.
	const box = page.getByLabel('Find a student or a skill');
	await expect(box).toHaveValue('');
	await box.fill('zebra');
	await expect(search.getByRole('option').first()).toContainText('Newcomers come with the class list');
	await search.getByRole('option', { name: /browse the library/ }).click();
	await expect(page).toHaveURL(/\/library\?/);
	await expect(box).toHaveValue('');
});

test('a group is picked on a skill’s page, by keyboard, and it is said who that is', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/library/W43?scope=class:7`);
	const menu = page.locator('details.menu');
	const choices = menu.getByRole('link');
	await expect(choices.first()).toBeHidden();
	await menu.getByText('Assign to a group').press('Enter');
	await expect(choices.first()).toBeVisible();
	const group = await choices.first().innerText();
	await choices.first().press('Enter');
	await expect(page).toHaveURL(/\/practice\/new\?.*scope=group/);
	await expect(page.getByRole('region', { name: 'Who' }).getByText(/^\d+ students$/)).toBeVisible();
	await expect(page.getByText('Divide with a remainder and say what the remainder means')).toBeVisible();
	await expect(page.getByRole('banner').getByRole('button', { name: group })).toBeVisible();
});

test('every kind of question has a place to answer on paper, inside the page', async ({ page }) => {
	test.setTimeout(120_000);
	await signInStaff(page, 'specialist');
	await page.setViewportSize({ width: 760, height: 1000 });
	await page.emulateMedia({ media: 'print' });
	for (const code of new Set(ONE_OF_EACH.map(({ skillCode }) => skillCode))) {
		await page.goto(`${address()}/library/${code}/print?key=no`);
		const questions = page.locator('main ol > li');
		await expect(questions, code).toHaveCount(6);
		for (const question of await questions.all())
			await expect(question.locator('.box, .blank, .match, .fraction, svg').first(), code).toBeVisible();
		expect(await page.evaluate(() => document.documentElement.scrollWidth), code).toBeLessThanOrEqual(760);
	}
});

test('several students are chosen on a skill’s page and given just this skill', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/library/W43?scope=class:7`);
	await page.waitForLoadState('networkidle');
	const boxes = page
		.getByRole('table', { name: 'Students on this skill' })
		.getByRole('checkbox', { name: /^Select [^0-9]+$/ });
	await boxes.nth(0).check();
	await boxes.nth(1).check();
	const bar = page.getByRole('region', { name: 'Actions for the selection' });
	await expect(bar).toContainText('2 students chosen');
	await bar.getByRole('link', { name: 'Assign Remainders' }).click();
	await expect(page.getByRole('region', { name: 'Who' }).getByText('2 students', { exact: true })).toBeVisible();
	await expect(page.getByText('Divide with a remainder and say what the remainder means')).toBeVisible();
});

test('the library is for staff', async ({ page }) => {
	await signInStudent(page, 30);
	await page.goto(`${address()}/library`);
	await expect(page).toHaveURL(/\/today/);
	expect((await page.request.get(`${address()}/library/find?q=time`)).url()).toMatch(/\/today/);
	await page.context().clearCookies();
	expect((await page.request.get(`${address()}/library/find?q=time`)).url()).toMatch(/\/sign-in/);
});

test('a search that is too long, or for a skill that is not there, gets words', async ({ page }) => {
	await signInStaff(page, 'specialist');
	const reply = await page.request.get(`${address()}/library/find?q=${'x'.repeat(500)}`);
	expect(reply.status()).toBe(400);
	expect((await reply.json()).message).toContain('at most 120 characters');
	expect((await page.goto(`${address()}/library/NOPE`))?.status()).toBe(404);
	await expect(page.locator('body')).toContainText('There is no skill of this code');
});
