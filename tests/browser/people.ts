import AxeBuilder from '@axe-core/playwright';
import { expect, type Browser, type BrowserContext, type Page } from './test';
import { classCodeOf, DEMO_PASSWORD, DEMO_PIN, drawNames, STUDENTS_A_CLASS } from '../../demo/people';

export const address = () => process.env.DEMO_ADDRESS!;

/** Of as many students as the demo school has. */
const names = drawNames(12 * STUDENTS_A_CLASS);

/** Sign-ins of staff that a test has opened already, by address and user name. */
const signIns = new Map<string, Awaited<ReturnType<BrowserContext['cookies']>>>();

/** Signs staff in as they do it; who did so in an earlier test, and has not signed out, goes on with that sign-in. */
export async function signInStaff(page: Page, userName: string, at = address(), password = DEMO_PASSWORD) {
	const key = `${at} ${userName}`;
	const kept = signIns.get(key);
	if (kept) {
		await page.context().addCookies(kept);
		// Whoever is signed in is led on from there.
		const reply = await page.request.get(`${at}/sign-in`, { maxRedirects: 0 });
		if (reply.status() === 303) return;
		await page.context().clearCookies();
	}
	await page.goto(`${at}/sign-in`);
	await page.getByLabel('User name').fill(userName);
	await page.getByLabel('Password').fill(password);
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page.getByRole('navigation', { name: 'Legs of the cycle' })).toBeVisible();
	signIns.set(key, await page.context().cookies());
}

/** A demo student: by id, or by class and name. */
type DemoStudent = number | { classId: number; name: string };

/** Signs a student in by class code, name and PIN. */
export async function signInStudent(page: Page, student: DemoStudent, at = address()) {
	const classId = typeof student === 'number' ? Math.ceil(student / STUDENTS_A_CLASS) : student.classId;
	await page.goto(`${at}/sign-in?as=student`);
	await page.getByLabel('Your class code').fill(classCodeOf(classId));
	await page.getByRole('button', { name: 'Next' }).click();
	const label = typeof student === 'number' ? names[student - 1].join(' ') : student.name;
	await page.getByLabel('Your name').selectOption({ label });
	await page.getByLabel('Your PIN').fill(DEMO_PIN);
	await page.getByRole('button', { name: 'Start' }).click();
	await expect(page.getByRole('heading', { name: 'Hello' })).toBeVisible();
}

/** Lets the specialist assign five questions to one student; gives the name that the student sees it by. */
export async function assignPractice(browser: Browser, studentId: number): Promise<string> {
	const context = await browser.newContext();
	const page = await context.newPage();
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/new?for=student:${studentId}&scope=school`);
	// What was chosen for the last set is proposed for this one.
	await page.getByLabel(/^A worked example before/).uncheck();
	await page.getByLabel(/^A check of 2 at the end/).uncheck();
	await page.getByLabel('5 questions', { exact: true }).check();
	const skill = await page.getByRole('button', { pressed: true }).first().innerText();
	await expect(page.getByText(/^Assign .* to 1 student: 5 questions, about \d+ min, opens now/)).toBeVisible();
	await page.getByRole('button', { name: 'Assign', exact: true }).click();
	await expect(page.getByText(/assigned to 1 student/)).toBeVisible();
	await context.close();
	return skill;
}

/**
 * Gives some answer to the question on the page, whatever its kind; `again` another than before, also where that was
 * cleared away.
 */
export async function answerSomehow(page: Page, again = false) {
	const form = page.locator('form').filter({ has: page.locator('.stem') });
	// The next question may still be on its way onto the page, or the page not yet alive.
	await expect(form).toHaveAttribute('aria-busy', 'false');
	const has = (role: 'radio' | 'checkbox' | 'slider' | 'textbox') => form.getByRole(role).count();
	const rows = form.locator('fieldset');
	if (await has('radio')) {
		// One in a single list, or another one for each row of a match.
		for (let i = 0; i < (await rows.count()); i++) {
			const options = rows.nth(i).getByRole('radio');
			await options.nth(again ? (i + 1) % (await options.count()) : i).check();
		}
	} else if (await has('checkbox'))
		await form
			.getByRole('checkbox', { checked: false })
			.nth(again ? 1 : 0)
			.click();
	else if (await has('slider')) {
		await form.getByRole('slider').first().focus();
		for (let i = 0; i < (again ? 2 : 1); i++) await page.keyboard.press('ArrowRight');
	} else if (await has('textbox')) {
		// Another value the second time, also as a fraction.
		for (const [i, field] of (await form.getByRole('textbox').all()).entries())
			await field.fill(again ? String(8 + i) : '7');
		const word = form.getByLabel('Your answer, a word');
		if (await word.count()) await word.fill(again ? 'square' : 'circle');
	} else if (await form.getByRole('button', { name: /: more$/ }).count())
		await form
			.getByRole('button', { name: /: more$/ })
			.first()
			.click({ clickCount: again ? 2 : 1 });
	else await form.getByRole('button', { name: again ? 'Move number 2 down' : 'Move number 1 down' }).click();
}

/** Works a sitting to its end, in practice through both tries of each question. */
export async function workThrough(page: Page) {
	const done = page.getByRole('heading', { name: 'All done' });
	const question = page.locator('form[aria-busy=false]').filter({ has: page.locator('.stem') });
	for (let step = 0; step < 120; step++) {
		// A notice that the server is away can come between an answer and its judgment.
		await expect(question.or(done)).toBeVisible();
		if (await done.isVisible()) return;
		const before = await page.locator('main').innerText();
		const next = page.getByRole('button', { name: 'Next', exact: true });
		const check = page.getByRole('button', { name: /^(Check|Try again)$/ });
		if (await check.isVisible()) {
			await answerSomehow(page, await page.getByRole('button', { name: 'Try again' }).isVisible());
			await check.click();
		} else {
			if (await next.isDisabled()) await answerSomehow(page);
			await next.click();
		}
		await expect(page.locator('main')).not.toHaveText(before, { useInnerText: true });
		await expect(page.getByText('The next question is coming')).toHaveCount(0);
	}
	throw new Error('the sitting does not end');
}

const GOOD_PRACTICE = ['heading-order', 'landmark-unique', 'empty-table-header', 'page-has-heading-one', 'region'];

/** Finds no accessibility problem by axe's WCAG 2.2 A and AA rules. */
export async function expectAccessible(page: Page) {
	// So tall that nothing is scrolled: what lies half under the bar at the top would count as too small.
	const { width, height } = page.viewportSize()!;
	await page.setViewportSize({ width, height: 2_000 });
	const { violations } = await new AxeBuilder({ page })
		// No page has frames, and what passes need not be listed: half the time.
		// Rules of good practice besides: headings in order, landmarks told apart, heads of columns that say something.
		.options({
			resultTypes: ['violations'],
			rules: Object.fromEntries(GOOD_PRACTICE.map((rule) => [rule, { enabled: true }]))
		})
		.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
		.setLegacyMode()
		.analyze();
	await page.setViewportSize({ width, height });
	expect(
		violations.map(
			({ id, nodes }) =>
				`${id}: ${nodes
					.slice(0, 3)
					.map(({ html }) => html.slice(0, 160))
					.join(' | ')}`
		)
	).toEqual([]);
}
