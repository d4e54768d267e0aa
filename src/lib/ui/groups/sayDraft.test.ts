import { describe, expect, it } from 'vitest';
import { sayDraft } from './sayDraft';

const more = [
	{ slotId: 'tue', focusId: 'f', tier: 2 as const, studentIds: ['a', 'b'], worth: 0.7 },
	{ slotId: 'thu', focusId: 'f', tier: 2 as const, studentIds: ['a'], worth: 0.3 }
];
const drafted = {
	students: 13,
	placed: 11,
	groups: 3,
	more,
	sayTime: (id: string) => `at ${id}`,
	worth: { now: 4, suggested: 4 }
};

describe('a suggestion in words', () => {
	it('says whom it places, and what the best further meeting time would do', () => {
		expect(sayDraft(drafted)).toBe(
			'Places 11 of 13 students in 3 groups. One more meeting time, at tue, would place 2 of the others.'
		);
		expect(sayDraft({ ...drafted, more: [] })).toMatch(/One more meeting time would place nobody else\.$/);
		expect(sayDraft({ ...drafted, placed: 13 })).toBe('Places all 13 students in 3 groups.');
		expect(sayDraft({ ...drafted, students: 1, placed: 1, groups: 1 })).toBe('Places all 1 student in 1 group.');
	});

	it('tells what changes by hand did, where it is worth a word', () => {
		expect(sayDraft({ ...drafted, placed: 13, worth: { now: 3.6, suggested: 4 } })).toMatch(
			/10% less .* than it did\.$/
		);
		expect(sayDraft({ ...drafted, placed: 13, worth: { now: 4.2, suggested: 4 } })).toMatch(/5% more /);
		expect(sayDraft({ ...drafted, placed: 13, worth: { now: 3.99, suggested: 4 } })).toMatch(/groups\.$/);
		expect(sayDraft({ ...drafted, placed: 0, worth: { now: 0, suggested: 0 } })).toMatch(/^Places 0 of 13/);
	});
});
