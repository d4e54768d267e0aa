import { data } from './data';
import { fractions } from './fractions';
import { measurement } from './measurement';
import { patterns } from './patterns';
import { powersAndSigns } from './powersAndSigns';
import { shape } from './shape';
import { wholeNumbers } from './wholeNumbers';

/**
 * What a student is told whose wrong answer came of a wrong idea: a sentence or two that a child can read alone, that says where to
 * look and not what the answer is, and that is true of every family in which the idea is met.
 */
export const forStudents = {
	...wholeNumbers,
	...powersAndSigns,
	...fractions,
	...patterns,
	...measurement,
	...shape,
	...data
} as const;
