import type { ItemFamily } from '../../family';
import { quadrilaterals } from './quadrilaterals';
import { angles } from './angles';
import { flatShapes } from './flatShapes';
import { grid } from './grid';
import { linesAndSymmetry } from './linesAndSymmetry';
import { scaleAndRightTriangles } from './scaleAndRightTriangles';
import { solidShapes } from './solidShapes';

/** Families for shapes, angles, and grids. */
export const shapeFamilies: ItemFamily[] = [
	...flatShapes,
	...quadrilaterals,
	...solidShapes,
	...linesAndSymmetry,
	...angles,
	...grid,
	...scaleAndRightTriangles
];
