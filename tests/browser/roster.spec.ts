import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { startDemoServer } from '../../scripts/demoServer.mjs';
import { CLIENT, serveRoster } from '../../standins/rosterService/server';
import { thingsOf } from '../../standins/rosterService/things';
import { filesIn, packageOf, rowOf, setCell, type RosterFiles } from '../rosterPackage';
import { address, expectAccessible, signInStaff } from './people';
import { expect, test } from './test';

const CLASSES = ['Avocet', 'Curlew', 'Dunlin'];

/** A roster of 60 students in three classes, each with a teacher, and of another school beside them. */
function harborRoster(): RosterFiles {
	const files: RosterFiles = {
		manifest: [
			['propertyName', 'value'],
			['manifest.version', '1.0'],
			['oneroster.version', '1.2'],
			...['orgs', 'academicSessions', 'courses', 'classes', 'users', 'roles', 'enrollments', 'demographics'].map(
				(file) => [`file.${file}`, 'bulk']
			),
			['source.systemName', 'Harbor Office']
		],
		orgs: [
			['sourcedId', 'name', 'type', 'parentSourcedId'],
			['d', 'Harbor District', 'district', ''],
			['o1', 'Harbor School', 'school', 'd'],
			['o2', 'Hill School', 'school', 'd']
		],
		academicSessions: [
			['sourcedId', 'startDate', 'endDate'],
			['y', '2026-01-01', '2036-01-01']
		],
		courses: [
			['sourcedId', 'title'],
			['h', 'Homeroom']
		],
		classes: [
			['sourcedId', 'title', 'grades', 'courseSourcedId', 'classType', 'schoolSourcedId', 'termSourcedIds'],
			...CLASSES.map((name, i) => [`c${i}`, name, `0${i + 3}`, 'h', 'homeroom', 'o1', 'y'])
		],
		users: [['sourcedId', 'enabledUser', 'username', 'givenName', 'familyName', 'identifier', 'grades', 'email']],
		roles: [['sourcedId', 'userSourcedId', 'role', 'orgSourcedId']],
		enrollments: [['sourcedId', 'classSourcedId', 'userSourcedId', 'role']],
		demographics: [['sourcedId', 'birthDate']]
	};
	for (let i = 0; i < 60; i++) join(files, `s${i}`, i % 3, { givenName: `Given${i}`, familyName: `Family${i}` });
	for (const [i, name] of ['Vale', 'Reed', 'Brook'].entries()) {
		files.users.push(
			rowOf(files.users, {
				sourcedId: `t${i}`,
				enabledUser: 'true',
				username: `teacher.${name.toLowerCase()}`,
				givenName: 'Tess',
				familyName: name
			})
		);
		files.roles.push([`rt${i}`, `t${i}`, 'teacher', 'o1']);
		files.enrollments.push([`et${i}`, `c${i}`, `t${i}`, 'teacher']);
	}
	return files;
}

function join(files: RosterFiles, sourcedId: string, place: number, name: { givenName: string; familyName: string }) {
	const grades = `0${place + 3}`;
	const cells = { sourcedId, enabledUser: 'true', ...name, identifier: `H-${sourcedId}`, grades };
	files.users.push(rowOf(files.users, cells));
	files.roles.push([`r${sourcedId}`, sourcedId, 'student', 'o1']);
	files.enrollments.push([`e${sourcedId}`, `c${place}`, sourcedId, 'student']);
}

/** Brings files as a package. */
async function bring(page: Page, files: Record<string, string[][]>) {
	await page
		.getByLabel(/^A OneRoster 1.2 package/)
		.setInputFiles({ name: 'roster.zip', mimeType: 'application/zip', buffer: Buffer.from(packageOf(files)) });
	await page.getByRole('button', { name: 'Look at it' }).click();
}

test('an empty school is filled from a OneRoster package, and its first window lists everybody', async ({ page }) => {
	const school = await startDemoServer(['--empty']);
	try {
		const password = /with the password (\S+)/.exec(school.said)![1];
		await signInStaff(page, 'coordinator', school.address, password);
		await page.getByRole('link', { name: 'Roster', exact: true }).click();
		const files = harborRoster();
		await bring(page, { ...files, enrollments: [...files.enrollments, ['e', 'c9', 's0', 'student']] });
		await expect(page.getByRole('row', { name: /enrollments.csv/ })).toContainText(
			'classSourcedId c9 is not in classes.csv'
		);
		await expectAccessible(page);
		await bring(page, files);
		await page.getByLabel('It holds 2 schools. Which is yours?').selectOption({ label: 'Harbor School' });
		await page.getByRole('button', { name: 'Look at it' }).click();
		await expect(page.getByRole('link', { name: '60 students join' })).toBeVisible();
		await expect(page.getByText('1 to 60 of 60')).toHaveCount(0);
		await expectAccessible(page);
		await page.getByRole('button', { name: 'Apply 69 changes from today' }).click();
		await expect(page.getByRole('status')).toContainText('The roster is applied');

		await page.getByRole('link', { name: 'Classes', exact: true }).first().click();
		await expect(page.getByRole('row', { name: /Avocet/ })).toContainText('Tess Vale');
		await page.goto(`${school.address}/screen/windows`);
		await page.getByRole('button', { name: 'Plan a window' }).click();
		await page.getByLabel('Name').fill('Autumn');
		await page.getByRole('button', { name: 'Plan the window for 3 classes' }).click();
		await expect(page.getByRole('row', { name: /Autumn/ })).toContainText('60');
		await page.goto(`${school.address}/screen/sittings`);
		await expect(page.locator('main')).toContainText('60');

		// A term later: two join, one marries, one moves, four leave (more than is usual), and one cannot be taken.
		await page.goto(`${school.address}/setup/roster`);
		for (const file of ['users', 'roles', 'enrollments'] as const)
			files[file] = files[file].filter((row) => !row.some((cell) => ['s50', 's51', 's52', 's53'].includes(cell)));
		join(files, 's60', 0, { givenName: 'Noor', familyName: 'Ahl' });
		join(files, 's61', 1, { givenName: 'Wren', familyName: 'Castellane' });
		join(files, 's62', 1, { givenName: 'Ida', familyName: 'Small' });
		setCell(files.users, 's62', 'grades', 'PK');
		setCell(files.users, 's3', 'familyName', 'Marsh-Vale');
		setCell(files.enrollments, 'es4', 'classSourcedId', 'c2');
		await bring(page, files);
		await expect(page.getByRole('row', { name: /Ida Small/ })).toContainText('Grade PK is none of K to 12');
		await page.getByRole('link', { name: '1 student moves' }).click();
		await expect(page.getByRole('row', { name: /Given4 Family4/ })).toContainText('Curlew');
		await page.getByRole('link', { name: '1 record changes' }).click();
		await expect(page.getByRole('row', { name: /Given3/ })).toContainText('Marsh-Vale');
		const apply = page.getByRole('button', { name: 'Apply 8 changes from today' });
		await expect(apply).toBeDisabled();
		await page.getByLabel('4 of 60 students (7%) leave: that is so').check();
		await apply.click();
		await expect(page.getByText('2 students join, 1 student moves, 4 students leave, 1 record changes')).toBeVisible();
		await expect(page.getByRole('button', { name: /^Whole school/ })).toContainText('58');
		await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
		await expect(page.getByRole('status')).toContainText('The roster is taken back.');
		await expect(page.getByRole('button', { name: /^Whole school/ })).toContainText('60');
		await bring(page, harborRoster());
		await expect(page.getByText('there is nothing to change')).toBeVisible();
		await page.getByRole('button', { name: 'Set it aside' }).click();
		await expect(page.getByRole('status')).toContainText('set aside');

		// The same from a service, where a term passes.
		const own = harborRoster();
		const ofSchool = (row: string[], i: number) => [...row, i === 0 ? 'schoolSourcedId' : 'o1'];
		const service = await serveRoster(thingsOf({ ...own, enrollments: own.enrollments.map(ofSchool) }));
		try {
			await page.getByText('A service that speaks OneRoster 1.2 (REST)').click();
			await page.getByLabel(/^Address, without/).fill(service.address);
			await page.getByLabel(/^Address for tokens/).fill(service.tokenAddress);
			await page.getByLabel('Client').fill(CLIENT.id);
			await page.getByLabel('Secret').fill('not this one');
			await page.locator('#service ~ details').getByRole('button', { name: 'Keep' }).click();
			await expect(page.getByRole('status')).toContainText('The service is kept.');
			await page.getByRole('button', { name: 'Fetch it and look at it' }).click();
			await expect(page.getByRole('alert')).toContainText('It refuses the client’s name or secret (401)');
			await page.getByText('Change where it is').click();
			await page.getByLabel(/^Secret/).fill(CLIENT.secret);
			await page.locator('#service ~ details').getByRole('button', { name: 'Keep' }).click();
			await expect(page.getByRole('status')).toContainText('The service is kept.');
			await expectAccessible(page);
			await page.getByRole('button', { name: 'Fetch it and look at it' }).click();
			await expect(page.getByText('there is nothing to change')).toBeVisible();
			await page.getByRole('button', { name: 'Set it aside' }).click();
			await expect(page.getByRole('status')).toContainText('set aside');

			await page.request.post(`${service.address}/pass-term`);
			await page.getByRole('button', { name: 'Fetch it and look at it' }).click();
			await expect(page.getByRole('link', { name: '4 students join' })).toBeVisible();
			await page.getByRole('link', { name: '3 students leave' }).click();
			await page.getByRole('link', { name: '2 records change' }).click();
			await expect(page.getByRole('row', { name: /Heathfield/ })).toHaveCount(1);
			await page.getByRole('button', { name: 'Apply 9 changes from today' }).click();
			await expect(page.getByRole('status')).toContainText('The roster is applied');
			await expect(page.getByRole('button', { name: /^Whole school/ })).toContainText('61');
			await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
			await expect(page.getByRole('button', { name: /^Whole school/ })).toContainText('60');
		} finally {
			await service.stop();
		}
	} finally {
		await school.stop();
	}
});

test('the school goes out as a OneRoster package that, brought back, changes nothing', async ({ page }) => {
	await signInStaff(page, 'coordinator');
	await page.goto(`${address()}/setup/roster`);
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'The school as OneRoster 1.2 (ZIP)' }).click();
	const packed = await readFile(await (await download).path());
	const { users } = filesIn(packed);
	expect(users.filter((row) => row[users[0].indexOf('grades')] !== '')).toHaveLength(265);
	await page
		.getByLabel(/^A OneRoster 1.2 package/)
		.setInputFiles({ name: 'same.zip', mimeType: 'application/zip', buffer: packed });
	await page.getByRole('button', { name: 'Look at it' }).click();
	await expect(page.getByText('there is nothing to change')).toBeVisible();
	await page.getByRole('button', { name: 'Set it aside' }).click();
	await expect(page.getByRole('status')).toContainText('set aside');
});

test('only a coordinator takes rosters, or takes the school out', async ({ page }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/setup/roster`);
	await expect(page.locator('body')).toContainText('Your account cannot set up the school');
	expect((await page.request.get(`${address()}/setup/roster/school.zip`)).status()).toBe(403);
});
