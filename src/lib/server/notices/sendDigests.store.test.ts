import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { serveMail, type RunningMailServer } from '../../../../standins/mailServer/server';
import { NOW, smallSchool, staffAs, type SmallSchool } from '../../../../tests/smallSchool';
import { sendMails } from '../mail';
import { keepNotices } from './store/notices';
import { sendDigests } from './sendDigests';
import { chooseDigest, digestChoice } from './store/digests';

let small: SmallSchool;
let server: RunningMailServer;
const specialist = staffAs('specialist');
/** A Monday at ten in the school's time zone, and days after it. */
const day = (days: number) => new Date(NOW.getTime() + days * 86_400_000);

async function ended<Result>(steps: AsyncGenerator<unknown, Result>): Promise<Result> {
	for (;;) {
		const step = await steps.next();
		if (step.done) return step.value;
	}
}
const write = async (at: Date) => (await ended(sendDigests(small.database, at))).written;
const notice = (says: string) => ({
	...{ rule: 'goalsUnlikely', about: '', audience: 'decide' as const, place: '/decide', degree: 1, says },
	...{ because: 'It is so.', action: { says: 'See', path: '/track' } }
});

beforeAll(async () => {
	small = await smallSchool('digests');
	await small.database.run("UPDATE account SET email = CONCAT('user', id, '@school.example') WHERE id <> 10");
});
afterAll(() => small.database.close());
beforeEach(async () => {
	server = await serveMail();
	process.env.ORDERLY_MAIL = server.smtp;
	process.env.ORDERLY_STANDINS = 'yes';
});
afterEach(async () => {
	delete process.env.ORDERLY_MAIL;
	delete process.env.ORDERLY_STANDINS;
	await server.stop();
});

describe('the letter on Mondays', () => {
	it('is for who asks for it and has an address', async () => {
		expect(await digestChoice(small.database, specialist)).toEqual({ wanted: false, hasAddress: true });
		expect(await digestChoice(small.database, staffAs('teacher'))).toEqual({ wanted: false, hasAddress: false });
		expect(await chooseDigest(small.database, specialist, true, NOW)).toBe(true);
		expect(await chooseDigest(small.database, specialist, true, NOW)).toBe(false);
		expect((await digestChoice(small.database, specialist)).wanted).toBe(true);
	});

	it('is written once a week, however many processes try, and not while nothing needs them', async () => {
		expect(await write(NOW)).toBe(0);
		await keepNotices(small.database, 1, [notice('The goals of 2 students are unlikely.')], NOW);
		// That Monday's is done with: there was nothing to say.
		expect(await write(NOW)).toBe(0);
		const early = new Date('2026-11-30T10:30:00Z');
		expect(await write(early)).toBe(0);
		const tries = await Promise.all([write(day(7)), write(day(7)), write(day(7))]);
		expect(tries.reduce((sum, one) => sum + one, 0)).toBe(1);
		expect(await write(day(8))).toBe(0);
		await ended(sendMails(small.database, () => day(8)));
		expect(server.letters.map(({ to }) => to).flat()).toEqual(['user2@school.example']);
		expect(JSON.stringify(server.letters)).toContain('The goals of 2 students are unlikely.');
	});

	it('comes on a later day where the server was away, and never after it was stopped', async () => {
		expect(await write(day(16))).toBe(1);
		await ended(sendMails(small.database, () => day(16)));
		await chooseDigest(small.database, specialist, false, NOW);
		expect(await write(day(21))).toBe(0);
	});
});
