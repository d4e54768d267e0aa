import { pbkdf2Sync } from 'node:crypto';
import { afterEach, describe, expect, it, vi } from 'vitest';

const salt = '00ff5a17';
const proof = {
	salt,
	iterations: 100,
	hashes: ['1/2', '7/1'].map((text) => pbkdf2Sync(text, Buffer.from(salt, 'hex'), 100, 32, 'sha256').toString('hex'))
};
const item = { response: { kind: 'number' as const }, proof };

afterEach(() => {
	vi.unstubAllGlobals();
	vi.resetModules();
});

describe('an answer is judged by the proof of its question', () => {
	it.each([
		['by the browser', true],
		['in script, where the browser offers nothing', false]
	])('%s', async (_, hasSubtle) => {
		if (!hasSubtle) vi.stubGlobal('crypto', {});
		const { isRight } = await import('./isRight');
		for (const right of ['0.5', '1/2', '2/4', '7', '7.0']) expect(await isRight(item, right), right).toBe(true);
		for (const wrong of ['2', '0.05', '-7']) expect(await isRight(item, wrong), wrong).toBe(false);
	});
});
