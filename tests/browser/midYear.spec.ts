import { expect, test } from './test';
import { expectAccessible, signInStaff } from './people';
import { startDemoServer } from '../../scripts/demoServer.mjs';

test('a school that begins in the middle of its year: sections, what is said of students, and interventions so far', async ({
	page
}) => {
	const school = await startDemoServer(['--empty']);
	try {
		const password = /with the password (\S+)/.exec(school.said)![1];
		await signInStaff(page, 'coordinator', school.address, password);
		const add = async (names: string) => {
			await page.goto(`${school.address}/setup/classes`);
			await page.getByLabel(/^Add classes/).fill(names);
		};
		await add('Avocet 4\nCurlew 4');
		await page.getByRole('button', { name: 'Add classes' }).click();
		await expect(page.getByRole('row')).toHaveCount(3);
		const students = ['Ilse Rahimi', 'Tomo Okafor', 'Maia Diaz', 'Ada Carver'];
		for (const [i, name] of ['Avocet', 'Curlew'].entries()) {
			await page.goto(`${school.address}/setup/add?into=${name}`);
			const lines = students.slice(2 * i, 2 * i + 2).map((student, j) => `${student}\tE${10 * i + j}`);
			await page.getByLabel('Students, one a line').fill(lines.join('\n'));
			await page.getByRole('button', { name: 'Look at it' }).click();
			await page.getByRole('button', { name: `Add 2 students to ${name} from today` }).click();
			await expect(page.locator('.attention')).toContainText('2 students added');
		}
		await page.goto(`${school.address}/setup/people`);
		await page.getByRole('button', { name: 'Add a colleague' }).click();
		await page.getByLabel('Name', { exact: true }).fill('Tess Marlow');
		await page.getByLabel('User name').fill('tess.m');
		await page.getByRole('combobox', { name: 'Role' }).selectOption('specialist');
		await page.getByRole('button', { name: 'Add and make an invitation' }).click();
		await expect(page.locator('code')).toBeVisible();

		// A section with everybody of one class and one student of the other, each still in their own.
		await add('Number lab 4');
		await page.getByRole('checkbox', { name: /These are sections/ }).check();
		await page.getByRole('button', { name: 'Add sections' }).click();
		await page.getByRole('link', { name: 'Number lab' }).click();
		await page.getByLabel('Add everybody of').selectOption({ label: 'Avocet, 2' });
		await page.getByRole('button', { name: 'Add them' }).click();
		await expect(page.getByText('2 students are in it from Mon, Nov 23, beside their class.')).toBeVisible();
		await expectAccessible(page);
		await page.goto(`${school.address}/setup/classes`);
		await page.getByRole('link', { name: 'Curlew', exact: true }).click();
		await page.getByLabel('Select Maia Diaz').check();
		await page.getByLabel('Where to').selectOption({ label: 'Number lab' });
		await page.getByRole('button', { name: 'Add 1 student' }).click();
		await expect(page.getByRole('row', { name: /Diaz/ })).toContainText('Number lab');
		await page.getByLabel('Select Maia Diaz').check();
		await page.getByLabel('Select Ada Carver').check();
		await page.getByRole('button', { name: 'Say of them' }).click();
		await page.getByLabel('What').fill('Home language');
		await page.getByLabel('Is', { exact: true }).fill('Wolof');
		await expectAccessible(page);
		await page.getByRole('button', { name: 'Keep for 2 students' }).click();
		await expect(page.getByRole('row', { name: /Carver/ })).toContainText('Home language: Wolof');
		await page.getByRole('button', { name: 'Undo' }).click();
		await expect(page.getByRole('row', { name: /Carver/ })).not.toContainText('Wolof');
		await page.goto(`${school.address}/gaps`);
		await page.getByRole('button', { name: /^Whole school/ }).click();
		await page.getByRole('option', { name: /Number lab/ }).click();
		await expect(page.getByRole('button', { name: /^Number lab/ })).toContainText('3');

		// Interventions so far.
		await page.goto(`${school.address}/setup/interventions`);
		await expectAccessible(page);
		const columns = 'Number\tTier\tFrom\tUntil\tGroup\tFocus\tAdult\tDays\tTime\tWhat was done';
		const lines = [
			columns,
			'E0\t2\t2026-09-14\t\tNumber walks\tEquivalent fractions\tTess Marlow\tMon Wed\t9:15',
			'E1\t2\t2026-10-05\t\tNumber walks',
			'E10\t3\t2025-10-06\t2025-12-18\t\t\t\t\t\tNumber talks',
			'E99\t2\t2026-10-05'
		];
		await page.getByLabel('Interventions', { exact: true }).fill(lines.join('\n'));
		await page.getByRole('button', { name: 'Look at it' }).click();
		await expect(page.getByRole('listitem').filter({ hasText: 'Line 5' })).toContainText(
			'No student in a class has the number E99'
		);
		const groups = page.getByRole('table', { name: 'Groups' });
		await expect(groups.getByRole('row', { name: /Number walks/ })).toContainText('Ilse Rahimi, Tomo Okafor');
		await expectAccessible(page);
		await page
			.getByRole('button', { name: 'Bring in 2 students in their tier, 1 group and 3 entries of what was before' })
			.click();
		await expect(page.getByRole('status')).toContainText('Brought in: 2 students in their tier');
		await page.goto(`${school.address}/groups`);
		await expect(page.locator('main')).toContainText('Number walks');
		await page.goto(`${school.address}/setup/interventions`);
		await page.getByLabel('Interventions', { exact: true }).fill([columns, 'E11\t3\t2026-10-05'].join('\n'));
		await page.getByRole('button', { name: 'Look at it' }).click();
		await page.getByRole('button', { name: 'Bring in 1 student in their tier' }).click();
		await page.getByRole('button', { name: 'Undo' }).click();
		await expect(page.getByText('Taken back: nothing of the list is here any more.')).toBeVisible();
	} finally {
		await school.stop();
	}
});
