import { expect, test } from './test';
import { address, expectAccessible, signInStaff } from './people';
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
		await page.getByLabel(/^Add classes/).fill('Avocet 4\nCurlew 4\nDunlin 5\nSandpiper K\nTern 3');
		await page.getByRole('button', { name: 'Add classes' }).click();
		await expect(page.getByRole('row')).toHaveCount(6);
		await expect(page.getByRole('row', { name: /Sandpiper/ })).toContainText('not screened: no skills');
		await expectAccessible(page);
		// A class that is not needed after all is ended.
		await page.getByRole('button', { name: 'End Tern' }).click();
		await expect(page.getByText('The class ends on Mon, Nov 23')).toBeVisible();

		// Three lists, each in another way.
		const names = drawNames(60);
		const lists = [
			names.slice(0, 20).map(([given, family]) => `${family}, ${given}`),
			names.slice(20, 40).map(([given, family], i) => `${i + 1}. ${given} ${family}`),
			[
				'First name\tLast name\tStudent ID\tHome language',
				...names.slice(40).map(([given, family], i) => `${given}\t${family}\tE${100 + i}\t${i < 5 ? 'Igbo' : ''}`)
			]
		];
		await page.getByRole('link', { name: 'Add students', exact: true }).click();
		// The first class with nobody in it is proposed.
		await expect(page.getByLabel('Into').locator('option:checked')).toContainText('Sandpiper');
		for (const [i, name] of ['Avocet', 'Curlew', 'Dunlin'].entries()) {
			await page.getByLabel('Into').selectOption(name);
			await page.getByLabel('Students, one a line').fill(lists[i].join('\n'));
			await page.getByRole('button', { name: 'Look at it' }).click();
			const table = page.getByRole('table', { name: 'The list as it was understood' });
			await expect(table.getByRole('row')).toHaveCount(21);
			await expect(table.getByRole('row').nth(1)).toContainText(names[20 * i][1]);
			if (i === 0) await expectAccessible(page);
			await page.getByRole('button', { name: `Add 20 students to ${name} from today` }).click();
			await expect(page.locator('.attention')).toContainText('20 students added');
			if (i === 2) await expect(page.locator('.attention')).toContainText('home language of 5 noted');
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

		// From then on only before dawn.
		await page.goto(`${school.address}/setup/classes`);
		await page.getByRole('link', { name: 'Dunlin', exact: true }).click();
		await page.getByLabel('Students sign in on school days from').fill('04:00');
		await page.getByLabel('to', { exact: true }).fill('05:30');
		await page
			.locator('form', { hasText: 'Students sign in on school days from' })
			.getByRole('button', { name: 'Keep' })
			.click();
		await expect(page.getByText('sign in on school days from 04:00 to 05:30')).toBeVisible();
		await expectAccessible(page);
		const late = await (await page.context().browser()!.newContext()).newPage();
		await late.goto(`${school.address}/sign-in?as=student&class=${code}`);
		await late.getByLabel('Your name').selectOption({ label: `${given} ${family}` });
		await late.getByLabel('Your PIN').fill(pins.get(`${given} ${family}`)!);
		await late.getByRole('button', { name: 'Start' }).click();
		await expect(late.getByRole('alert')).toHaveText('Your class signs in on school days from 04:00 to 05:30.');
		await late.context().close();
	} finally {
		await school.stop();
	}
});

test('a colleague is invited and sees the own class only; students move, leave and come back', async ({ page }) => {
	const school = await startDemoServer(['--empty']);
	try {
		const password = /with the password (\S+)/.exec(school.said)![1];
		await signInStaff(page, 'coordinator', school.address, password);
		await page.getByRole('link', { name: 'Classes', exact: true }).first().click();
		await page.getByLabel(/^Add classes/).fill('Avocet 4\nCurlew 5');
		await page.getByRole('button', { name: 'Add classes' }).click();
		await expect(page.getByRole('row')).toHaveCount(3);
		const list = async (name: string, lines: string[]) => {
			await page.goto(`${school.address}/setup/add?into=${name}`);
			await page.getByLabel('Students, one a line').fill(lines.join('\n'));
			await page.getByRole('button', { name: 'Look at it' }).click();
		};
		await list('Avocet', ['Ilse Rahimi', 'Tomo', 'Maia Diaz']);
		// What cannot be taken as it stands is open for correction.
		await page.getByLabel('Family name, line 2').fill('Okafor');
		await page.getByRole('button', { name: 'Add 3 students to Avocet from today' }).click();
		await expect(page.locator('.attention')).toContainText('3 students added');
		await list('Curlew', ['Ada Carver', 'Tomo Okafor']);
		await expect(page.getByRole('row', { name: /Okafor/ })).toContainText('moves here from another class');
		await page.getByRole('button', { name: 'Leave out line 2' }).click();
		await page.getByRole('button', { name: 'Add 1 student to Curlew from today' }).click();
		await expect(page.locator('.attention')).toContainText('1 student added');

		await page.goto(`${school.address}/setup/people`);
		await page.getByRole('button', { name: 'Add a colleague' }).click();
		await page.getByLabel('Name', { exact: true }).fill('Bo Lindqvist');
		await page.getByLabel('User name').fill('bo l');
		await page.getByRole('button', { name: 'Add and make an invitation' }).click();
		await expect(page.getByRole('alert')).toContainText('3 to 60 letters');
		await page.getByLabel('User name').fill('bo.l');
		await page.getByRole('button', { name: 'Add and make an invitation' }).click();
		const link = await page.locator('code').innerText();
		await expectAccessible(page);

		await page.goto(`${school.address}/setup/classes`);
		await page.getByRole('link', { name: 'Avocet', exact: true }).click();
		await page.getByLabel('Bo Lindqvist teacher').check();
		await page
			.getByRole('group', { name: /^Adults/ })
			.getByRole('button', { name: 'Keep' })
			.click();
		await expect(page.getByText('1 adult from today on')).toBeVisible();
		await expectAccessible(page);

		const context = await page.context().browser()!.newContext();
		const theirs = await context.newPage();
		await theirs.goto(link);
		await expectAccessible(theirs);
		await theirs.getByLabel('Password', { exact: true }).fill('estuary lantern');
		await theirs.getByLabel('Password again').fill('estuary lantern');
		await theirs.getByRole('button', { name: 'Keep it, and sign in' }).click();
		await theirs.getByLabel('User name').fill('bo.l');
		await theirs.getByLabel('Password').fill('estuary lantern');
		await theirs.getByRole('button', { name: 'Sign in' }).click();
		await expect(theirs.getByRole('button', { name: /^My class/ })).toContainText('3');
		await theirs.goto(`${school.address}/setup/cards`);
		await expect(theirs.getByRole('group', { name: 'Cards for 3 students of Avocet' })).toBeVisible();
		await theirs.goto(`${school.address}/setup`);
		await expect(theirs.locator('body')).toContainText('Your account cannot set up the school');
		await theirs.goto(link);
		await expect(theirs.getByText('This invitation was used already')).toBeVisible();

		// One is known by another name, one moves, one leaves, and is back after Undo.
		await page.getByRole('button', { name: 'Change Ilse Rahimi' }).click();
		await page.getByLabel('Known as').fill('Ilka');
		await page.getByRole('dialog').getByRole('button', { name: 'Keep' }).click();
		await expect(page.getByText('Ilka Rahimi: kept.')).toBeVisible();
		await page.getByLabel('Select Tomo Okafor').check();
		await page.getByLabel('Where to').selectOption({ label: 'Curlew' });
		await page.getByRole('button', { name: 'Move 1 student' }).click();
		await expect(page.getByRole('row', { name: /Okafor/ })).toHaveCount(0);
		await page.getByLabel('Select Maia Diaz').check();
		await page.getByRole('button', { name: 'Leaves the school' }).click();
		await expect(page.getByRole('row', { name: /Diaz/ })).toHaveCount(0);
		await theirs.goto(`${school.address}/gaps?scope=school`);
		await expect(theirs.getByRole('button', { name: /^My class/ })).toContainText('1');
		await page.getByRole('button', { name: 'Undo' }).click();
		await expect(page.getByRole('row', { name: /Diaz/ })).toHaveCount(1);

		// The two who are left are merged into the other class, which is taken back as a whole.
		await page.getByRole('combobox', { name: /^Merge into/ }).selectOption({ label: 'Curlew' });
		await page.getByRole('button', { name: 'Move all 2 students today and end Avocet' }).click();
		await expect(page.getByText('2 students move today, with all there is of them')).toBeVisible();
		await expect(page.getByText('This class has ended.')).toBeVisible();
		await page.getByRole('button', { name: 'Undo' }).click();
		await expect(page.getByText('The class goes on, with 2 students back in it.')).toBeVisible();
		await expect(page.getByRole('row', { name: /Diaz|Rahimi/ })).toHaveCount(2);

		await page.goto(`${school.address}/setup/people`);
		await page.getByRole('button', { name: 'Shut Bo Lindqvist out' }).click();
		await expect(page.getByText('cannot sign in since')).toBeVisible();
		await expect(async () => {
			await theirs.goto(`${school.address}/gaps`);
			await expect(theirs.getByLabel('User name')).toBeVisible({ timeout: 1_000 });
		}).toPass();
		await context.close();

		// What he was the adult of is not forgotten, and is handed over.
		await expect(page.getByText('Still theirs, to be handed over: 1 class.')).toBeVisible();
		await page.getByRole('link', { name: /notices?$/i }).click();
		const left = page.getByRole('listitem').filter({ hasText: 'Bo Lindqvist cannot sign in any more' });
		await expect(left).toContainText('still has 1 class');
		await expectAccessible(page);
		await left.getByRole('button', { name: /^In a week/ }).click();
		await expect(page.getByText('You are told again on Mon, Nov 30.')).toBeVisible();
		await page.getByRole('button', { name: 'Undo' }).click();
		await expect(page.getByText('You are told again on Mon, Nov 30.')).toHaveCount(0);
		await left.getByRole('link', { name: 'Hand over' }).click();
		await expect(page.getByLabel('Avocet')).toBeChecked();
		await expectAccessible(page);
		await page.getByLabel('To').selectOption({ index: 1 });
		await page.getByRole('button', { name: 'Hand over from today on' }).click();
		await expect(page.getByText('has 1 class from today on.')).toBeVisible();
		await page.goto(`${school.address}/notices`);
		await expect(left).toHaveCount(0);

		// A year passes: one class goes on, the other ends; and it is taken back as a whole.
		await page.goto(`${school.address}/setup/year`);
		await page.getByLabel('First day').fill('2026-11-23');
		await page.getByLabel('Last day').fill('2027-10-01');
		await page.getByLabel('Grade of Curlew in the new year').selectOption({ label: 'no more' });
		await page.getByLabel('New name of Avocet').fill('Avocet 5');
		await expectAccessible(page);
		await page.getByRole('button', { name: 'Begin the new year' }).click();
		await expect(page.getByText('1 class goes on, 1 class has ended.')).toBeVisible();
		await page.goto(`${school.address}/setup/classes`);
		await expect(page.getByRole('row', { name: /^Avocet 5/ })).toContainText('2');
		await page.goto(`${school.address}/setup/year`);
		await page.getByRole('button', { name: 'Take that year back' }).click();
		await expect(page.getByText('Everything is as it was before the new year.')).toBeVisible();
		await page.goto(`${school.address}/setup/classes`);
		await expect(page.getByRole('row', { name: /^Curlew/ })).not.toContainText('ended');
		await expect(page.getByRole('row', { name: /^Avocet 5/ })).toHaveCount(0);

		// One leaves and is erased: nothing says their name any more.
		await page.getByRole('link', { name: 'Avocet', exact: true }).click();
		await page.getByLabel('Select Ilka Rahimi').check();
		await page.getByRole('button', { name: 'Leaves the school' }).click();
		await expect(page.getByRole('row', { name: /Rahimi/ })).toHaveCount(0);
		await page.getByRole('link', { name: 'Data', exact: true }).click();
		await expectAccessible(page);
		const file = page.getByRole('link', { name: 'File of Ilka Rahimi' });
		const fetched = await page.request.get(`${school.address}${await file.getAttribute('href')}`);
		expect([fetched.status(), (await fetched.body()).subarray(0, 2).toString()]).toEqual([200, 'PK']);
		const archive = await page.request.get(`${school.address}/setup/data/archive.zip`);
		expect([archive.status(), (await archive.body()).subarray(0, 2).toString()]).toEqual([200, 'PK']);
		await page.getByLabel('Select Ilka Rahimi').check();
		await page.getByRole('button', { name: 'See what erasing takes' }).click();
		await expect(page.getByRole('dialog')).toContainText('nothing but the name');
		await expectAccessible(page);
		await page.getByLabel('This cannot be taken back').check();
		await page.getByRole('button', { name: 'Erase 1 student' }).click();
		await expect(page.getByText('1 student is erased for good.')).toBeVisible();
		await expect(page.getByRole('table', { name: 'Students who were erased' }).getByRole('row')).toHaveCount(2);
		await page.getByRole('link', { name: 'Who did what' }).click();
		await expect(page.locator('main')).toContainText('erase student');
		await expect(page.locator('main')).not.toContainText('Rahimi');
	} finally {
		await school.stop();
	}
});

test('who is responsible for whom is set for several at once and taken back, and the log has both', async ({
	page
}) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/setup/caseload?scope=school`);
	const rows = page.locator('tbody tr[data-student]');
	const all = Number(/\d+/.exec(await page.getByRole('link', { name: /^All \d+$/ }).innerText()));
	expect(all).toBeGreaterThan(20);
	await expect(rows).toHaveCount(Math.min(all, 60));
	await expect(page.getByRole('link', { name: 'Nobody’s: 3' })).toBeVisible();
	await expectAccessible(page);
	await page.getByRole('button', { name: `Select the ${Math.min(all, 60)} shown` }).click();
	await expect(page.getByText(`${Math.min(all, 60)} students selected`)).toBeVisible();
	await page.getByRole('button', { name: 'Select nobody' }).click();
	const names = [];
	for (const i of [0, 1]) {
		names.push(await rows.nth(i).getByRole('link').innerText());
		await rows.nth(i).getByRole('checkbox').check();
	}
	await page.getByLabel('Who is responsible').selectOption({ index: 0 });
	const adult = await page.getByLabel('Who is responsible').locator('option:checked').innerText();
	await page.getByRole('button', { name: 'Responsible for 2 students from today' }).click();
	await expect(page.getByText(`${adult} is responsible for 2 students from today on.`)).toBeVisible();
	await expect(page.getByRole('link', { name: 'Nobody’s: 1' })).toBeVisible();
	await page.getByRole('link', { name: `${adult}: ${all - 1}` }).click();
	await expect(rows).toHaveCount(Math.min(all - 1, 60));
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('link', { name: 'Nobody’s: 3' })).toBeVisible();

	await page.goto(`${address()}/setup/log`);
	const log = page.getByRole('table', { name: 'Who did what' }).getByRole('row');
	await expect(log.nth(1)).toContainText('set who is responsible');
	await page.getByRole('combobox', { name: /^Did/ }).selectOption('set who is responsible');
	await expect(page).toHaveURL(/action=set/);
	await expect(log.nth(2)).toContainText(names[0]);
	await expectAccessible(page);
	await page.getByLabel('About which student').fill(names[1]);
	await page.getByRole('listbox').getByRole('option').first().click();
	await expect(page).toHaveURL(/about=\d+/);
	await expect(log.nth(1)).toContainText(names[1]);
});
