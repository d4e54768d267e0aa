import type { ItemFamily } from '../../family';
import { averages } from './averages';
import { chance } from './chance';
import { graphs } from './graphs';
import { scatter } from './scatter';
import { tables } from './tables';

/** Families for data and chance. */
export const dataFamilies: ItemFamily[] = [...graphs, ...tables, ...averages, ...chance, ...scatter];
