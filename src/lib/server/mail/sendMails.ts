import type { RootDatabase } from '../database';
import { type Mailer, openMailer } from './mailer';
import { claimMail, clearMails, markSent, markUnsent } from './store/outbox';

/** What a mail server said when it did not take a letter. */
interface Refusal {
	message?: string;
	/** Of SMTP (RFC 5321): 4xx for now, 5xx for good. */
	responseCode?: number;
}

/**
 * Sends the letters that wait. One that a server did not take for now is tried again later, at longer and longer
 * intervals; one that it took is not sent again, but where this process dies between the two: then with the same
 * Message-ID, by which a mailbox knows it.
 */
export async function* sendMails(
	database: RootDatabase,
	now: () => Date,
	mailer: Mailer | null = openMailer()
): AsyncGenerator<{ progress: unknown; checkpoint: unknown }, { sent: number; unsent: number }> {
	const counts = { sent: 0, unsent: 0 };
	if (!mailer) return counts;
	try {
		for (;;) {
			const mail = await claimMail(database, now());
			if (!mail) break;
			try {
				await mailer.send({ to: mail.to, subject: mail.subject, text: mail.text, messageId: mail.messageId });
			} catch (refusal) {
				const { message = 'It did not answer', responseCode = 0 } = refusal as Refusal;
				await markUnsent(database, mail, { problem: message, isLasting: responseCode >= 500 });
				counts.unsent++;
				yield { progress: counts, checkpoint: null };
				continue;
			}
			await markSent(database, mail.id, now());
			counts.sent++;
			yield { progress: counts, checkpoint: null };
		}
		await clearMails(database, now());
		return counts;
	} finally {
		mailer.close();
	}
}
