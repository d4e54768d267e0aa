import type { ItemFamily } from '../../family';
import { decimalCalculation } from './decimalCalculation';
import { decimals } from './decimals';
import { fractionCalculation } from './fractionCalculation';
import { fractionSize } from './fractionSize';
import { parts } from './parts';
import { percent } from './percent';
import { rates } from './rates';

/** Families for fractions, decimals, ratios, and percent. */
export const fractionsFamilies: ItemFamily[] = [
	...parts,
	...fractionSize,
	...fractionCalculation,
	...decimals,
	...decimalCalculation,
	...rates,
	...percent
];
