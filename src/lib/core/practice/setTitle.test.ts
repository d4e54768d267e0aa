import { expect, it } from 'vitest';
import { setTitle } from './setTitle';

it.each([
	[{ name: 'Thirds before Friday' }, ['A', 'B'], 'Thirds before Friday'],
	[{ name: null }, ['A'], 'A'],
	[{ name: null }, ['A', 'B'], 'A and B'],
	[{ name: null }, ['A', 'B', 'C'], 'A and 2 more skills'],
	[{ name: null, isOwnStep: true }, ['A', 'B'], 'Each their own next step'],
	[{ name: null, isOwnStep: true }, ['A'], 'A']
])('%j of %j is called %s', (set, skills, title) => {
	const skillIds = skills.map((_, i) => i + 1);
	expect(setTitle({ ...set, skillIds }, (id) => skills[id - 1])).toBe(title);
});
