import { FIELD_CONSTANTS, type ConstantsReport } from '../../src/lib/core/mastery';
import { openDatabase } from '../../src/lib/server/database/pool';
import { expect, test } from './test';
import { address, expectAccessible, signInStaff } from './people';

/** What a search could come to that has an end: the real one takes a minute or two, and has its tests in the store. */
const report: ConstantsReport = {
	students: 264,
	answers: 12_345,
	found: {
		constants: { ...FIELD_CONSTANTS, above: 0.2, skill: 0.81 },
		standardErrors: { above: 0.05, general: 0.1, domain: 0.1, skill: 0.1, coupling: 0.4 },
		iterations: 4,
		converged: true
	},
	heldOut: { students: 132, gain: 20, standardError: 6 },
	standings: { all: 5_000, others: [{ from: 'forming', to: 'secure', count: 77 }] }
};

/** Lets the school's newest search have ended with the report. */
async function endSearch(): Promise<void> {
	const database = openDatabase(process.env.DEMO_DATABASE!, 1);
	await database.run(
		`UPDATE job SET state = 'done', result = ?, ended_at = asked_at WHERE kind = 'field constants'
		ORDER BY id DESC LIMIT 1`,
		[JSON.stringify(report)]
	);
	await database.close();
}

test('a coordinator lets assumptions be found, sees what they would change, uses them, and takes them back', async ({
	page
}) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/gaps/assumptions`);
	await expect(page.getByText('In use: what is shipped.')).toBeVisible();
	await page.getByRole('button', { name: 'Find them from this school’s answers' }).click();
	await expect(page.getByRole('status').filter({ hasText: 'It has begun.' })).toBeVisible();
	await page.getByRole('button', { name: 'Cancel' }).click();
	await expect(page.getByText('The last search was canceled.')).toBeVisible();

	await endSearch();
	await page.reload();
	const table = page.getByRole('table', { name: 'Assumptions' });
	await expect(table.getByRole('row').filter({ hasText: 'above the expected median' })).toContainText(
		/0\.0 points.*\+5\.0 points.*\+2\.6 points to \+7\.5 points/
	);
	await expect(table.getByRole('row').filter({ hasText: 'in one skill' })).toContainText(/17\.5 points.*22\.5 points/);
	await expect(page.getByText('It fits better.')).toBeVisible();
	await expect(page.getByText('With them 77 of 5,000 standings of these students would be others:')).toBeVisible();
	await expect(page.getByText('Forming → Secure: 77')).toBeVisible();
	await expectAccessible(page);

	await page.getByRole('button', { name: 'Use them, as a new version' }).click();
	await expect(
		page.getByText('Version 1 is in use: all standings of the school are worked out anew by it.')
	).toBeVisible();
	await expect(table.getByRole('columnheader', { name: 'Version 1, in use' })).toBeVisible();
	await expect(page.getByText('They are in use.')).toBeVisible();
	await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('In use: what is shipped.')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Use them, as a new version' })).toBeVisible();
});

test('a specialist sees assumptions and changes nothing, a teacher does not see them', async ({ page, browser }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/gaps`);
	await page.getByRole('link', { name: 'Assumptions' }).click();
	await expect(page.getByRole('heading', { name: 'Assumptions' })).toBeVisible();
	await expect(page.getByRole('button', { name: /^(Find|Use) them/ })).toHaveCount(0);
	const refused = await page.request.post(`${address()}/gaps/assumptions?/start`, {
		headers: { origin: address(), accept: 'application/json' },
		form: {}
	});
	expect(await refused.text()).toContain('cannot calibrate');
	const context = await browser.newContext();
	const other = await context.newPage();
	await signInStaff(other, 'avocet');
	await other.goto(`${address()}/gaps`);
	await expect(other.getByRole('link', { name: 'Assumptions' })).toHaveCount(0);
	expect((await other.goto(`${address()}/gaps/assumptions`))!.status()).toBe(403);
	await context.close();
});
