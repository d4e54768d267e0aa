import type { ItemFamily } from '../../family';
import { equations } from './equations';
import { expressions } from './expressions';
import { linesAndFunctions } from './linesAndFunctions';
import { numberPatterns } from './numberPatterns';
import { unknowns } from './unknowns';

/** Families for patterns, expressions, equations, and functions. */
export const patternsFamilies: ItemFamily[] = [
	...numberPatterns,
	...unknowns,
	...expressions,
	...equations,
	...linesAndFunctions
];
