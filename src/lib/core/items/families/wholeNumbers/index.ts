import type { ItemFamily } from '../../family';
import { addAndSubtract } from './addAndSubtract';
import { counting } from './counting';
import { divide } from './divide';
import { factors } from './factors';
import { multiply } from './multiply';
import { placeValue } from './placeValue';
import { powersAndRoots } from './powersAndRoots';
import { signedNumbers } from './signedNumbers';

/** Families for whole and signed numbers. */
export const wholeNumbersFamilies: ItemFamily[] = [
	...counting,
	...placeValue,
	...addAndSubtract,
	...multiply,
	...divide,
	...factors,
	...powersAndRoots,
	...signedNumbers
];
