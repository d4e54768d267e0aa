import { expect, test } from './test';
import { address, assignPractice, expectAccessible, signInStaff, signInStudent } from './people';

for (const path of [
	'/screen?scope=class:7&student=140',
	'/screen?scope=grade:5&on=4',
	'/screen/sittings?scope=grade:5&status=needs+another+look',
	'/screen/windows',
	'/screen?scope=class:3&window=4',
	'/screen/give?window=4&to=219',
	'/screen/give?window=4&to=220',
	'/screen/score?of=138',
	'/screen/reminders',
	'/screen/import',
	'/gaps?scope=class:1&student=8&cell=12',
	'/groups',
	'/groups/suggest?students=140,141,142',
	'/groups/1',
	'/groups/today?whose=all',
	'/groups/timetable',
	'/groups/drafts',
	'/groups/emphasis',
	'/gaps/progression?scope=class:7&domain=2',
	'/gaps/then?scope=class:7',
	'/gaps/class?scope=class:9',
	'/gaps/check?scope=class:7',
	'/gaps/assumptions',
	'/students/140?scope=class:7',
	'/students/140/answers?scope=class:7',
	'/practice?scope=class:7',
	'/practice/queues?scope=class:7',
	'/practice/facts?scope=class:5&student=95',
	'/practice/own',
	'/practice/calendar?scope=class:7',
	'/practice/calendar?scope=class:7&by=student&view=week',
	'/practice/log?scope=class:7',
	'/practice/given?for=group:2',
	'/practice/try?skill=20,30&questions=5',
	'/practice/new?for=group:2&own=yes',
	'/practice/new?for=group:2',
	'/practice/1',
	'/practice/results?scope=class:7',
	'/practice/results?scope=class:7&by=date',
	'/practice/1/results',
	'/practice/1/results?question=0',
	'/practice/1/print?versions=2&key=on',
	'/track?scope=class:7',
	'/track/charts?scope=class:7&student=140',
	'/track/probes?scope=class:7',
	'/track/measures',
	'/track/commendations',
	'/track/paper?group=1',
	'/track/paper/print?group=1',
	'/track/sessions?scope=school&group=1',
	'/decide',
	'/decide/meetings',
	'/decide/meetings/3',
	'/decide/meetings/3?step=3',
	'/decide/decisions',
	'/decide/tiers?scope=school',
	'/decide/rules?scope=school',
	'/decide/rules?scope=school&farBelow=10&sure=60&gaps=2&word=yes&leastWeeks=4&mostWeeks=8',
	'/decide/meetings/3/sheet',
	'/students/140/sheet',
	'/students/140/sheet?for=plan',
	'/students/140/sheet?for=family&language=es',
	'/library?q=fractions&scope=class:7',
	'/library/F42?scope=class:7',
	'/library/F42/print?key=on',
	'/library/import'
]) {
	test(`axe finds nothing on ${path}`, async ({ page }) => {
		await signInStaff(page, 'specialist');
		await page.goto(address() + path);
		await expectAccessible(page);
	});
}

test('axe finds nothing on the sign-in and student pages', async ({ page, browser }) => {
	await assignPractice(browser, 243);
	await page.setViewportSize({ width: 360, height: 740 });
	await page.goto(`${address()}/sign-in`);
	await expectAccessible(page);
	await signInStudent(page, 243);
	await expectAccessible(page);
	await page
		.getByRole('button', { name: /^(Start|Go on)/ })
		.first()
		.click();
	await expect(page.locator('.stem')).toBeVisible();
	await expectAccessible(page);
});

test('what axe does find fails the test', async ({ page }) => {
	await page.setContent('<html lang="en"><title>A page</title><main><img src="data:,"></main></html>');
	await expect(expectAccessible(page)).rejects.toThrow('image-alt');
});
