import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { simpleParser } from 'mailparser';
import { SMTPServer } from 'smtp-server';
import { escape } from '../escape';

/** A letter as it came in. */
export interface ReceivedLetter {
	to: string;
	from: string;
	subject: string;
	text: string;
	messageId: string;
}

/** A mail server as it runs. */
export interface RunningMailServer {
	/** Where letters are taken, as smtp://127.0.0.1:port. */
	smtp: string;
	/** Where they are read. */
	address: string;
	letters: ReceivedLetter[];
	/** What it says to the next letters: that it takes them, not for now (4xx), or never (5xx). */
	setAnswer(answer: 'takes' | 'not now' | 'never'): void;
	stop(): Promise<void>;
}

/** Addresses in a letter, to be opened. */
const linked = (text: string) =>
	escape(text).replace(/https?:\/\/[^\s<]+/g, (address) => `<a href="${address}">${address}</a>`);

const pageOf = (letters: ReceivedLetter[]) => `<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>Mail server (stand-in)</title>
<style>body { max-width: 44rem; margin: 2rem auto; padding: 0 1rem; font: 16px/1.5 sans-serif; }
article { border-top: 1px solid #999; } pre { font: inherit; white-space: pre-wrap; }</style>
<h1>Mail that came in</h1>
<p>A stand-in: nothing goes anywhere. ${letters.length ? 'The newest first.' : 'None so far.'}</p>
${letters
	.toReversed()
	.map(
		({ to, subject, text }) =>
			`<article><h2>${escape(subject)}</h2><p>To ${escape(to)}</p><pre>${linked(text)}</pre></article>`
	)
	.join('\n')}
</html>`;

/** Takes mail on loopback (SMTP), and shows it on a page. */
export async function serveMail(smtpPort = 0, port = 0): Promise<RunningMailServer> {
	const letters: ReceivedLetter[] = [];
	let answer: Parameters<RunningMailServer['setAnswer']>[0] = 'takes';
	const smtp = new SMTPServer({
		disabledCommands: ['AUTH', 'STARTTLS'],
		onData(stream, _session, done) {
			simpleParser(stream).then((letter) => {
				if (answer !== 'takes') {
					const refusal = new Error(answer === 'not now' ? 'Mailbox is busy' : 'No such mailbox');
					return done(Object.assign(refusal, { responseCode: answer === 'not now' ? 451 : 550 }));
				}
				const to = [letter.to ?? []].flat().map(({ text }) => text);
				letters.push({
					to: to.join(', '),
					from: letter.from?.text ?? '',
					subject: letter.subject ?? '',
					text: letter.text ?? '',
					messageId: letter.messageId ?? ''
				});
				done();
			}, done);
		}
	});
	await new Promise<void>((resolve) => smtp.listen(smtpPort, '127.0.0.1', resolve));
	const web = createServer((_, response) =>
		response.writeHead(200, { 'Content-Type': 'text/html; charset=utf-8' }).end(pageOf(letters))
	);
	await new Promise<void>((resolve) => web.listen(port, '127.0.0.1', resolve));
	return {
		smtp: `smtp://127.0.0.1:${(smtp.server.address() as AddressInfo).port}`,
		address: `http://127.0.0.1:${(web.address() as AddressInfo).port}`,
		letters,
		setAnswer(next) {
			answer = next;
		},
		stop: async () => {
			web.closeAllConnections();
			await Promise.all([
				new Promise<void>((resolve) => smtp.close(() => resolve())),
				new Promise<void>((resolve) => web.close(() => resolve()))
			]);
		}
	};
}
