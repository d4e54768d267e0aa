import { describe, expect, it } from 'vitest';
import { LEFT_AFTER_MINUTES, wasLeft } from './pausing';

const begun = new Date('2026-11-30T09:00:00Z');
const after = (minutes: number, ms = 0) => new Date(begun.getTime() + minutes * 60_000 + ms);

describe('a set that is done in one go', () => {
	it('is left once nothing was answered for so many minutes', () => {
		const open = { lastAnswerAt: begun, goesOnAt: null };
		expect(wasLeft(open, after(0))).toBe(false);
		expect(wasLeft(open, after(LEFT_AFTER_MINUTES))).toBe(false);
		expect(wasLeft(open, after(LEFT_AFTER_MINUTES, 1))).toBe(true);
	});

	it('is not left before anything was answered', () => {
		expect(wasLeft({ lastAnswerAt: null, goesOnAt: null }, after(600))).toBe(false);
	});

	it('goes on once a person says so, however late, until the next answer', () => {
		expect(wasLeft({ lastAnswerAt: begun, goesOnAt: after(30) }, after(3_000))).toBe(false);
		expect(wasLeft({ lastAnswerAt: after(3_001), goesOnAt: after(30) }, after(3_005))).toBe(false);
		expect(wasLeft({ lastAnswerAt: after(3_001), goesOnAt: after(30) }, after(3_012))).toBe(true);
	});

	it('goes on by itself where answers given meanwhile come in from a device that was away', () => {
		expect(wasLeft({ lastAnswerAt: begun, goesOnAt: null }, after(25))).toBe(true);
		expect(wasLeft({ lastAnswerAt: after(20), goesOnAt: null }, after(25))).toBe(false);
	});
});
