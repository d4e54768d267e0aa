import { FIELD_CONSTANTS, type FieldAnswer, type FieldSkill } from '../src/lib/core/mastery';

/** A field in which nothing changes. */
export const STILL = { ...FIELD_CONSTANTS, change: { sameDay: 0, anotherDay: 0, afterLong: 0 } };

export const skill = (code: string, domain: string, difficulty: number, ...prerequisites: string[]): FieldSkill => ({
	code,
	domain,
	difficulty,
	prerequisites
});
/** Two domains, four skills; one has two prerequisites. */
export const four = [
	skill('A', 'X', -1),
	skill('B', 'X', 0, 'A'),
	skill('C', 'Y', 0.3),
	skill('D', 'Y', 0.6, 'B', 'C')
];
const item = { discrimination: 1.2, difficulty: 0, guessing: 0.25 };
export const answer = (code: string, correct: boolean, on = '2026-10-05', difficulty = 0): FieldAnswer => ({
	skill: code,
	item: { ...item, difficulty },
	correct,
	on
});
