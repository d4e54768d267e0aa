import type { ItemFamily } from '../../family';
import { units } from './units';
import { areaOfShapes } from './areaOfShapes';
import { lengthAndScales } from './lengthAndScales';
import { coinsAndMoney } from './coinsAndMoney';
import { perimeterAndArea } from './perimeterAndArea';
import { solids } from './solids';
import { time } from './time';

/** Families for measuring. */
export const measurementFamilies: ItemFamily[] = [
	...lengthAndScales,
	...units,
	...time,
	...coinsAndMoney,
	...perimeterAndArea,
	...areaOfShapes,
	...solids
];
