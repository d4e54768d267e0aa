import { expect, it } from 'vitest';
import { sayDigest } from '.';

const facts = { name: 'Dr Adams', school: 'Saltmarsh Bridge School', notices: [], tasks: 0, address: null };

it('a week’s letter says what needs somebody and how to stop it; where nothing does there is none', () => {
	expect(sayDigest(facts)).toBeNull();
	const letter = sayDigest({
		...facts,
		tasks: 1,
		notices: ['3 reviews are overdue.'],
		address: 'https://school.example'
	})!;
	expect(letter.subject).toBe('Saltmarsh Bridge School: this week');
	expect(letter.text.split('\n\n')).toEqual([
		'Dear Dr Adams,',
		'– You have 1 task from reviews.\n– 3 reviews are overdue.',
		'Names of students are not sent by mail. See who, and what can be done: https://school.example',
		'You asked for this letter on your account’s page, and can stop it there.'
	]);
	expect(sayDigest({ ...facts, tasks: 2 })!.text).not.toContain('See who');
});
