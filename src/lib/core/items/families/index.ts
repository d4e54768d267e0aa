import type { ItemFamily } from '../family';
import { dataFamilies } from './data';
import { fractionsFamilies } from './fractions';
import { measurementFamilies } from './measurement';
import { patternsFamilies } from './patterns';
import { shapeFamilies } from './shape';
import { wholeNumbersFamilies } from './wholeNumbers';

/** All item families that ship with the product. */
export const itemFamilies: ItemFamily[] = [
	...wholeNumbersFamilies,
	...fractionsFamilies,
	...patternsFamilies,
	...measurementFamilies,
	...shapeFamilies,
	...dataFamilies
];
