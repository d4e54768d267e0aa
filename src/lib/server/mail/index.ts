/** Mail that goes out: kept with the deed that it is about, and sent by a job, now or once that is possible. */
export { isMailPossible, mailFrom, openMailer, type Mailer } from './mailer';
export { sendMails } from './sendMails';
export { type Letter, mailProblems, newestMails, type NewestMail, queueMail } from './store/outbox';
