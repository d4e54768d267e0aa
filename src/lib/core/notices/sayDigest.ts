import { plural } from '../words';

/** What needs somebody at the beginning of a week. */
export interface DigestFacts {
	/** Who it is for. */
	name: string;
	school: string;
	/** Their notices, in sentences. */
	notices: string[];
	/** Tasks from reviews that are theirs to do. */
	tasks: number;
	/** Where the program is; null where it does not know. */
	address: string | null;
}

/** The letter with what needs somebody in a week, without the name of any student; null where nothing does. */
export function sayDigest({ name, school, notices, tasks, address }: DigestFacts) {
	if (notices.length === 0 && tasks === 0) return null;
	const own = tasks === 0 ? [] : [`You have ${plural(tasks, 'task')} from reviews.`];
	return {
		subject: `${school}: this week`,
		text: [
			`Dear ${name},`,
			[...own, ...notices].map((one) => `– ${one}`).join('\n'),
			`Names of students are not sent by mail.${address ? ` See who, and what can be done: ${address}` : ''}`,
			'You asked for this letter on your account’s page, and can stop it there.'
		].join('\n\n')
	};
}
