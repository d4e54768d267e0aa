import { chromiumLaunch } from '../../scripts/chromium.mjs';
import { address, signInStaff, signInStudent } from './people';
import { expect, test } from './test';

/** A browser whose microphone hears a tone once a second, and that asks nobody. */
test.use({
	launchOptions: {
		...chromiumLaunch,
		args: [...chromiumLaunch.args, '--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream']
	}
});

/** A student of no group. */
const STUDENT = 61;

test('a message is recorded by a microphone, given, and heard by the student', async ({ page, browser }) => {
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/practice/given?scope=school&for=student:${STUDENT}`);
	await page.getByLabel('a recorded message', { exact: true }).check();
	await page.getByLabel('Title').fill('Well done');
	await page.getByRole('button', { name: 'Record', exact: true }).click();
	await expect(page.getByText('Recording …')).toBeVisible();
	// Long enough for a tone to be heard.
	await expect(page.getByText('2 s', { exact: true })).toBeVisible();
	await page.getByRole('button', { name: 'Stop' }).click();
	await expect(page.getByLabel('What was recorded')).toBeVisible();
	await page.getByRole('button', { name: 'Give “Well done” to 1 student' }).click();
	await expect(page.getByRole('status')).toContainText('“Well done” given to 1 student.');

	const child = await (await browser.newContext({ viewport: { width: 360, height: 740 } })).newPage();
	await signInStudent(child, STUDENT);
	const sound = child.getByRole('article').filter({ hasText: 'Well done' }).locator('audio');
	await expect(sound).toBeVisible();
	// It plays: some of it was decoded, and time goes on.
	const heard = await sound.evaluate(async (element) => {
		const audio = element as HTMLAudioElement;
		const content = await (await fetch(audio.src)).arrayBuffer();
		const decoded = await new OfflineAudioContext(1, 48_000, 48_000).decodeAudioData(content);
		const loudest = decoded.getChannelData(0).reduce((most, value) => Math.max(most, Math.abs(value)), 0);
		return { seconds: decoded.duration, loudest };
	});
	expect(heard.seconds).toBeGreaterThan(1);
	expect(heard.loudest).toBeGreaterThan(0.01);
	await child.context().close();
});
