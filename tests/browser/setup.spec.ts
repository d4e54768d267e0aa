import { expect, test } from './test';
import { expectAccessible, signInStaff } from './people';
import { startDemoServer } from '../../scripts/demoServer.mjs';
import { drawNames } from '../../demo/people';

test('from an empty school to a screening window with 60 students of 3 classes, by pasted lists only', async ({
	page
}) => {
	const school = await startDemoServer(['--empty']);
	try {
		const password = /with the password (\S+)/.exec(school.said)![1];
		await signInStaff(page, 'coordinator', school.address, password);
		await expect(page.getByRole('heading', { level: 1 })).toHaveText('What is missing before students can be screened');
		await expectAccessible(page);
		const steps = page.getByRole('listitem');
		const isDone = (says: string) =>
			steps.filter({ has: page.getByRole('link', { name: says, exact: true }) }).getByLabel('done');
		await expect(isDone('Name and time zone')).toHaveCount(0);

		await page.getByRole('link', { name: 'Name and time zone' }).click();
		await page.getByRole('textbox', { name: 'Name' }).first().fill('Estuary School');
		await page.getByRole('button', { name: 'Keep' }).first().click();
		await expect(page.getByText('Estuary School: kept.')).toBeVisible();
		await page.getByLabel('First day').fill('2026-08-24');
		await page.getByLabel('Last day').fill('2027-06-11');
		await page.getByRole('button', { name: 'Plan the year' }).click();
		await expect(page.getByText('The year runs from Mon, Aug 24 to Fri, Jun 11.')).toBeVisible();
		await expectAccessible(page);

		await page.getByRole('link', { name: 'Classes' }).click();
		await page.getByLabel(/^Add classes/).fill('Avocet 4\nCurlew 4\nDunlin 5\nSandpiper K');
		await page.getByRole('button', { name: 'Add classes' }).click();
		await expect(page.getByRole('row')).toHaveCount(5);
		await expect(page.getByRole('row', { name: /Sandpiper/ })).toContainText('not screened: no skills');
		await expectAccessible(page);

		// A class that is not needed after all is ended.
		await page.getByRole('button', { name: 'End Sandpiper' }).click();
		await expect(page.getByText('The class ends on Mon, Nov 23')).toBeVisible();

		// Three lists, each in another way.
		const names = drawNames(60);
		const lists = [
			names.slice(0, 20).map(([given, family]) => `${family}, ${given}`),
			names.slice(20, 40).map(([given, family], i) => `${i + 1}. ${given} ${family}`),
			[
				'First name\tLast name\tStudent ID',
				...names.slice(40).map(([given, family], i) => `${given}\t${family}\tE${100 + i}`)
			]
		];
		await page.getByRole('link', { name: 'Add students', exact: true }).click();
		for (const [i, name] of ['Avocet', 'Curlew', 'Dunlin'].entries()) {
			// The next class with nobody in it is proposed.
			await expect(page.getByLabel('Into').locator('option:checked')).toContainText(name);
			await page.getByLabel('Students, one a line').fill(lists[i].join('\n'));
			await page.getByRole('button', { name: 'Look at it' }).click();
			const table = page.getByRole('table', { name: 'The list as it was understood' });
			await expect(table.getByRole('row')).toHaveCount(21);
			await expect(table.getByRole('row').nth(1)).toContainText(names[20 * i][1]);
			if (i === 0) await expectAccessible(page);
			await page.getByRole('button', { name: `Add 20 students to ${name} from today` }).click();
			await expect(page.locator('.attention')).toContainText('20 students added');
		}

		await page.getByRole('link', { name: 'Sign-in cards' }).click();
		const pins = new Map<string, string>();
		for (const name of ['Avocet', 'Curlew', 'Dunlin']) {
			await page
				.locator('main')
				.getByRole('combobox', { name: /^Class/ })
				.selectOption({ label: `${name}, 20 without PIN` });
			await expect(page.getByRole('group', { name: `Cards for 20 students of ${name}` })).toBeVisible();
			await page.getByRole('button', { name: 'Make 20 new PINs and cards' }).click();
			await expect(page.getByRole('heading', { name: `20 cards for ${name}` })).toBeVisible();
			for (const card of await page.locator('li').filter({ hasText: 'PIN' }).all())
				pins.set(await card.locator('strong').innerText(), await card.locator('dd').nth(1).innerText());
		}
		expect(pins.size).toBe(60);
		await expectAccessible(page);
		const code = await page.locator('dd').first().innerText();

		await page.getByRole('link', { name: 'What is missing' }).click();
		for (const says of ['Name and time zone', 'School year', 'Classes', 'Students', 'PINs'])
			await expect(isDone(says)).toBeVisible();
		await page.getByRole('link', { name: 'First screening window' }).click();
		await page.getByRole('button', { name: 'Plan a window' }).click();
		await page.getByLabel('Name').fill('Autumn');
		await page.getByRole('button', { name: 'Plan the window for 3 classes' }).click();
		await expect(page.getByRole('row', { name: /Autumn/ })).toContainText('60');

		await page.goto(`${school.address}/screen/sittings`);
		await expect(page.locator('main')).toContainText('60');

		// And one of them begins.
		const [given, family] = names[59];
		const student = await page.context().browser()!.newContext();
		const tablet = await student.newPage();
		await tablet.goto(`${school.address}/sign-in?as=student&class=${code}`);
		await tablet.getByLabel('Your name').selectOption({ label: `${given} ${family}` });
		await tablet.getByLabel('Your PIN').fill(pins.get(`${given} ${family}`)!);
		await tablet.getByRole('button', { name: 'Start' }).click();
		await expect(tablet.getByRole('heading', { name: 'Hello' })).toBeVisible();
		await expect(tablet.locator('main')).toContainText('Autumn');
		await student.close();
	} finally {
		await school.stop();
	}
});
