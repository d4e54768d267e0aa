import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { serveMail, type RunningMailServer } from '../../../../standins/mailServer/server';
import { NOW, smallSchool, staffAs, type SmallSchool } from '../../../../tests/smallSchool';
import { addAccount, setActive } from '../people/store/accounts';
import { inviteAll, mailLink, makeLink, type Inviting } from '../setup/invitations';
import { sendMails } from './sendMails';
import { openMailer } from './mailer';
import { claimMail, mailProblems, newestMails } from './store/outbox';

let small: SmallSchool;
let server: RunningMailServer;
let inviting: Inviting;
const coordinator = staffAs('coordinator');
/** Minutes after now. */
const later = (minutes: number) => new Date(NOW.getTime() + minutes * 60_000);

async function send(at = NOW) {
	const steps = sendMails(small.database, () => at);
	for (;;) {
		const step = await steps.next();
		if (step.done) return step.value;
	}
}
const colleague = async (userName: string, email: string | null) =>
	(await addAccount(
		small.database,
		coordinator,
		{ userName, displayName: `Dr ${userName}`, role: 'teacher', email },
		NOW
	))!;
const rows = () => small.database.rows<{ sealed: Buffer | null }>('SELECT sealed FROM outgoing_mail ORDER BY id');

beforeAll(async () => {
	small = await smallSchool('mail');
	inviting = {
		database: small.database,
		staff: coordinator,
		school: small.school,
		at: NOW,
		origin: 'https://school.example'
	};
});
afterAll(() => small.database.close());
beforeEach(async () => {
	server = await serveMail();
	process.env.ORDERLY_MAIL = server.smtp;
	process.env.ORDERLY_STANDINS = 'yes';
	await small.database.run('DELETE FROM outgoing_mail');
});
afterEach(async () => {
	delete process.env.ORDERLY_MAIL;
	delete process.env.ORDERLY_STANDINS;
	await server.stop();
});

describe('an invitation by mail', () => {
	it('is sent once, says the link, and leaves nothing of it behind', async () => {
		const id = await colleague('ada', 'ada@school.example');
		const link = (await makeLink(inviting, id))!;
		expect(await mailLink(inviting, id, link.token)).toBe('ada@school.example');
		// While it waits, the link stands nowhere in the database.
		expect((await rows())[0].sealed!.includes(Buffer.from(link.token))).toBe(false);
		expect(await send()).toEqual({ sent: 1, unsent: 0 });
		expect(server.letters).toMatchObject([
			{ to: 'ada@school.example', subject: `Your account for ${small.school.name}` }
		]);
		expect(server.letters[0].text).toContain(link.address);
		expect(server.letters[0].text).toContain('Your user name is ada.');
		expect(await rows()).toEqual([{ sealed: null }]);
		expect((await newestMails(small.database, 1)).get(id)).toMatchObject({ sentAt: NOW, isGivenUp: false });
		expect(await send(later(10))).toEqual({ sent: 0, unsent: 0 });
		expect(server.letters).toHaveLength(1);
	});

	it('goes to nobody but whom the link is for', async () => {
		const [one, other] = [await colleague('bo', 'bo@school.example'), await colleague('cem', null)];
		const link = (await makeLink(inviting, one))!;
		const otherLink = (await makeLink(inviting, other))!;
		expect(await mailLink(inviting, other, otherLink.token)).toBeNull();
		expect(await mailLink(inviting, one, otherLink.token)).toBeNull();
		expect(await mailLink(inviting, one, 'guessed')).toBeNull();
		await setActive(small.database, coordinator, one, false, NOW);
		expect(await mailLink(inviting, one, link.token)).toBeNull();
		expect(await rows()).toEqual([]);
	});

	it('that cannot be sent now is sent later, once', async () => {
		const id = await colleague('di', 'di@school.example');
		expect(await inviteAll(inviting)).toBe(1);
		// Who is invited is not invited again.
		expect(await inviteAll(inviting)).toBe(0);
		server.setAnswer('not now');
		expect(await send()).toEqual({ sent: 0, unsent: 1 });
		expect((await newestMails(small.database, 1)).get(id)).toMatchObject({
			sentAt: null,
			isGivenUp: false,
			problem: expect.stringContaining('Mailbox is busy')
		});
		expect(await mailProblems(small.database, 1)).toMatchObject([{ id, address: 'di@school.example' }]);
		server.setAnswer('takes');
		expect(await send(later(1))).toEqual({ sent: 0, unsent: 0 });
		expect(await send(later(2))).toEqual({ sent: 1, unsent: 0 });
		expect(await send(later(60))).toEqual({ sent: 0, unsent: 0 });
		expect(server.letters).toHaveLength(1);
		expect(await mailProblems(small.database, 1)).toEqual([]);
	});

	it('is sent by one of several processes only, and with the same name after one has died', async () => {
		for (const name of ['e1', 'e2', 'e3']) await colleague(name, `${name}@school.example`);
		expect(await inviteAll(inviting)).toBe(3);
		const counts = await Promise.all([send(), send(), send()]);
		expect(counts.reduce((sum, { sent }) => sum + sent, 0)).toBe(3);
		expect(new Set(server.letters.map(({ to }) => to)).size).toBe(3);
		// One process dies after the server has taken a letter and before that is noted.
		await colleague('f', 'f@school.example');
		await inviteAll(inviting);
		const { id: _, tries: __, ...letter } = (await claimMail(small.database, NOW))!;
		await openMailer()!.send(letter);
		expect(server.letters).toHaveLength(4);
		expect(await send(later(1))).toEqual({ sent: 0, unsent: 0 });
		await send(later(2));
		const [first, second] = server.letters.filter(({ to }) => to === 'f@school.example');
		expect(second.messageId).toBe(first.messageId);
	});

	it('is given up where a server will never take it, or after many tries, and then says nothing any more', async () => {
		const id = await colleague('gus', 'gus@school.example');
		await inviteAll(inviting);
		server.setAnswer('never');
		expect(await send()).toEqual({ sent: 0, unsent: 1 });
		expect((await newestMails(small.database, 1)).get(id)).toMatchObject({ isGivenUp: true });
		expect(await rows()).toEqual([{ sealed: null }]);
		server.setAnswer('not now');
		await small.database.run('DELETE FROM invitation');
		await inviteAll(inviting);
		let tries = 0;
		for (let minutes = 0; minutes < 8_000; minutes += 60) tries += (await send(later(minutes))).unsent;
		expect(tries).toBeGreaterThan(6);
		expect(await send(later(20_000))).toEqual({ sent: 0, unsent: 0 });
		expect((await newestMails(small.database, 1)).get(id)).toMatchObject({ isGivenUp: true });
	});

	it('does not reach who was shut out before it went', async () => {
		const id = await colleague('ira', 'ira@school.example');
		await inviteAll(inviting);
		await setActive(small.database, coordinator, id, false, NOW);
		expect(await send()).toEqual({ sent: 0, unsent: 0 });
		expect(server.letters).toEqual([]);
	});

	it('waits where no mail server is known', async () => {
		await colleague('hal', 'hal@school.example');
		await inviteAll(inviting);
		delete process.env.ORDERLY_MAIL;
		expect(await send()).toEqual({ sent: 0, unsent: 0 });
		expect((await rows())[0].sealed).not.toBeNull();
	});
});
