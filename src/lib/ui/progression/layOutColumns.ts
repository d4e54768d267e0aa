/** A skill's box in a progression, in pixels. */
interface PlacedBox {
	id: number;
	/** 0 is the leftmost column. */
	column: number;
	x: number;
	y: number;
	height: number;
}

/** Sizes in pixels: a box's width, its head (all of it, where nothing stands below), the space between columns and between boxes. */
export const BOX = { width: 190, head: 48, across: 50, down: 12 };

/**
 * Places the skills of a progression in columns from left to right, each column in its order
 * and from the top. Edges go from head to head; one within a column, back, or to a skill that is not shown is not drawn.
 *
 * @param heightOf a box's height, at least `BOX.head`
 */
export function layOutColumns(
	columns: number[][],
	edges: { prerequisite: number; skill: number }[],
	heightOf: (skill: number) => number = () => BOX.head
) {
	const boxes = columns.flatMap((ids, column) => {
		let y = 0;
		return ids.map((id): PlacedBox => {
			const box = { id, column, x: column * (BOX.width + BOX.across), y, height: heightOf(id) };
			y += box.height + BOX.down;
			return box;
		});
	});
	const byId = new Map(boxes.map((box) => [box.id, box]));
	const paths = edges.flatMap(({ prerequisite, skill }) => {
		const [from, to] = [byId.get(prerequisite), byId.get(skill)];
		if (!from || !to || to.column <= from.column) return [];
		const [x1, y1] = [from.x + BOX.width, from.y + BOX.head / 2];
		const [x2, y2] = [to.x, to.y + BOX.head / 2];
		const bend = BOX.across / 2;
		return [{ prerequisite, skill, path: `M${x1} ${y1}C${x1 + bend} ${y1} ${x2 - bend} ${y2} ${x2} ${y2}` }];
	});
	return {
		boxes,
		paths,
		width: Math.max(0, columns.length * (BOX.width + BOX.across) - BOX.across),
		height: Math.max(0, ...boxes.map(({ y, height }) => y + height))
	};
}
