import { expect, it } from 'vitest';
import { sayNext } from '.';

it('says with how many right the next probe would change the advice', () => {
	const next = [
		{ right: 0, advice: 'not enough yet' as const },
		{ right: 5, advice: 'continue' as const },
		{ right: 14, advice: 'fade' as const },
		{ right: 15, advice: 'exit' as const }
	];
	expect(sayNext(next, 'continue')).toBe(
		'After the next probe it would be not enough yet with 4 right or fewer, fade with 14 right, exit from 15 right on.'
	);
	expect(sayNext(next, 'fade')).toContain('continue with 5 to 13 right');
	expect(sayNext([{ right: 0, advice: 'adjust' }], 'continue')).toBe(
		'After the next probe it would be adjust whatever comes.'
	);
	expect(sayNext([{ right: 0, advice: 'adjust' }], 'adjust')).toBeNull();
	expect(sayNext([], 'adjust')).toBeNull();
});
