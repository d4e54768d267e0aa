import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

export const address = () => process.env.DEMO_ADDRESS!;

export async function signInStaff(page: Page, userName: string, at = address()) {
	await page.goto(`${at}/sign-in`);
	await page.getByLabel('User name').fill(userName);
	await page.getByLabel('Password').fill('tide-table-7');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page.getByRole('navigation', { name: 'Legs of the cycle' })).toBeVisible();
}

/** Signs a student in by class code, name and PIN. */
export async function signInStudent(page: Page, classCode: string, name: string | number, at = address()) {
	await page.goto(`${at}/sign-in?as=student`);
	await page.getByLabel('Your class code').fill(classCode);
	await page.getByRole('button', { name: 'Next' }).click();
	await page.getByLabel('Your name').selectOption(typeof name === 'number' ? { index: name } : { label: name });
	await page.getByLabel('Your PIN').fill('2468');
	await page.getByRole('button', { name: 'Start' }).click();
	await expect(page.getByRole('heading', { name: 'Hello' })).toBeVisible();
}

/** Gives some answer to the question on the page, whatever its kind. */
export async function answerSomehow(page: Page) {
	const form = page.locator('form').filter({ has: page.locator('.stem') });
	if (await form.getByRole('radio').count()) await form.getByRole('radio').first().check();
	else if (await form.getByRole('checkbox').count()) await form.getByRole('checkbox').first().check();
	else if (await form.getByLabel('Top number').count()) {
		await form.getByLabel('Top number').fill('1');
		await form.getByLabel('Bottom number').fill('2');
	} else if (await form.getByRole('slider').count()) {
		await form.getByRole('slider').focus();
		await page.keyboard.press('ArrowRight');
	} else if (await form.getByRole('textbox').count()) await form.getByRole('textbox').fill('7');
	else await form.getByRole('button', { name: /Move number 1 down/ }).click();
}

/** Works a sitting to its end, in practice through both tries of each question. */
export async function workThrough(page: Page) {
	const done = page.getByRole('heading', { name: 'All done' });
	for (let step = 0; step < 120; step++) {
		if (await done.isVisible()) return;
		const before = await page.locator('main').innerText();
		const next = page.getByRole('button', { name: 'Next', exact: true });
		const check = page.getByRole('button', { name: /^(Check|Try again)$/ });
		if (await check.isVisible()) {
			await answerSomehow(page);
			await check.click();
		} else {
			if (await next.isDisabled()) await answerSomehow(page);
			await next.click();
		}
		await expect(page.locator('main')).not.toHaveText(before, { useInnerText: true });
	}
	throw new Error('the sitting does not end');
}

/** Finds no accessibility problem by axe's WCAG 2.2 A and AA rules. */
export async function expectAccessible(page: Page) {
	const { violations } = await new AxeBuilder({ page })
		.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
		.analyze();
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
