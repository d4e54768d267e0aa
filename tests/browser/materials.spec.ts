import { address, expectAccessible, signInStaff, signInStudent, workThrough } from './people';
import { expect, test } from './test';

/** The smallest picture that is one. */
const PICTURE = {
	name: 'strip.png',
	mimeType: 'image/png',
	buffer: Buffer.from(
		'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8/5+hHgAHggJ/PchI7wAAAABJRU5ErkJggg==',
		'base64'
	)
};
/** A student of no group who has nothing else waiting. */
const STUDENT = 60;

test('a picture is given to a student, seen by them and by nobody else, and taken back', async ({ page, browser }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/given?scope=school&for=student:${STUDENT}`);
	await page.getByLabel('a file', { exact: true }).check();
	await page.getByLabel('Title').fill('A strip in thirds');
	await page.getByLabel('File', { exact: true }).setInputFiles(PICTURE);
	await page.getByLabel('What to do with it').fill('Color one third.');
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Give “A strip in thirds” to 1 student' }).click();
	await expect(page.getByRole('status')).toContainText('“A strip in thirds” given to 1 student.');
	const row = page
		.getByRole('table', { name: 'What students were given' })
		.getByRole('row', { name: /A strip in thirds/ });
	await row.getByRole('link', { name: 'A strip in thirds' }).click();
	await expect(page.getByRole('img', { name: 'A strip in thirds' })).toBeVisible();
	const file = new URL((await page.getByRole('img', { name: 'A strip in thirds' }).getAttribute('src'))!, address())
		.href;

	const child = await (await browser.newContext({ viewport: { width: 360, height: 740 } })).newPage();
	await signInStudent(child, STUDENT);
	const article = child.getByRole('article').filter({ hasText: 'A strip in thirds' });
	await expect(article).toContainText('Color one third.');
	const picture = article.getByRole('img');
	await expect.poll(() => picture.evaluate((image) => (image as HTMLImageElement).naturalWidth)).toBe(1);
	await expectAccessible(child);
	await article.getByRole('button', { name: 'I have looked at A strip in thirds' }).click();
	await expect(child.getByText('What you have looked at (1)')).toBeVisible();
	await child.context().close();

	const other = await (await browser.newContext()).newPage();
	await signInStudent(other, STUDENT + 1);
	expect((await other.request.get(file)).status()).toBe(404);
	await other.context().close();

	await page.reload();
	await expect(page.getByText('looked at by 1 of 1 student')).toBeVisible();
	await page.getByRole('checkbox').first().check();
	await page.getByRole('button', { name: 'Take it back from 1 student' }).click();
	await expect(page.getByText('Nobody has this any more.')).toBeVisible();
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('looked at by 1 of 1 student')).toBeVisible();
});

test('a set begins with a lesson, has only a check after it, and comes once more where it was under the line', async ({
	page,
	browser
}) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/new?for=student:${STUDENT}`);
	await page.getByLabel('Lesson before the questions').selectOption('new');
	await page.getByLabel('Title').fill('How to fold thirds');
	await page.getByLabel('What it says').fill('Fold the strip twice.');
	await page.getByRole('button', { name: 'Begin with this' }).click();
	await expect(page.getByText('Begins with “How to fold thirds”')).toBeVisible();
	await page.getByLabel('only a check of 5').check();
	await page.getByLabel('Task that you lead').fill('Fold with me');
	await page.getByLabel('below it').selectOption('again');
	await expect(page.getByText(/: a lesson, 5 questions, about \d+ min, a task with an adult, opens now/)).toBeVisible();
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Assign', exact: true }).click();
	await expect(page.getByRole('status')).toContainText('assigned to 1 student');
	// Also where the student is not among those who are looked at.
	await page.goto(`${address()}/practice?scope=school`);
	await page.getByRole('table', { name: 'Practice sets' }).getByRole('link').first().click();
	await expect(page.getByText('Task that an adult leads: Fold with me')).toBeVisible();
	await page
		.getByRole('checkbox', { name: /^Select / })
		.first()
		.check();
	await page.getByRole('button', { name: 'Task done with 1 student' }).click();
	await expect(page.getByText('done with 1 of 1')).toBeVisible();

	const child = await (await browser.newContext({ viewport: { width: 360, height: 740 } })).newPage();
	await signInStudent(child, STUDENT);
	await child
		.getByRole('button', { name: /^Start / })
		.first()
		.click();
	await expect(child.getByRole('heading', { name: 'How to fold thirds' })).toBeVisible();
	await expect(child.getByText('Fold the strip twice.')).toBeVisible();
	await expectAccessible(child);
	await child.getByRole('button', { name: 'Go on to the questions' }).click();
	await child.getByRole('button', { name: 'Look at “How to fold thirds” again' }).click();
	await expect(child.getByText('Fold the strip twice.')).toBeVisible();
	await child.getByRole('button', { name: 'Go on to the questions' }).click();
	await workThrough(child);
	await child.context().close();
});
