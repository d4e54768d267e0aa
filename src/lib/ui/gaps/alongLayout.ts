/** A skill as a box along the graph, tall enough for the students who stand at it. */
export interface PlacedBox {
	id: number;
	x: number;
	y: number;
	height: number;
}

/** Sizes in pixels: a box's width and head, a student's line, the space between columns and between boxes. */
export const ALONG = { width: 196, head: 48, line: 26, foot: 8, across: 44, down: 14 };

/**
 * Places columns of skills from left to right; a box with students is as tall as they need. Within a column the order is
 * kept, each column begins at the top.
 *
 * @param countOf students who stand at a skill
 */
export function layOutAlong(
	columns: number[][],
	edges: { prerequisite: number; skill: number }[],
	countOf: (skill: number) => number
): { boxes: PlacedBox[]; paths: { key: string; path: string }[]; width: number; height: number } {
	const boxes = columns.flatMap((ids, column) => {
		let y = 0;
		return ids.map((id): PlacedBox => {
			const count = countOf(id);
			const height = ALONG.head + (count ? count * ALONG.line + ALONG.foot : 0);
			const box = { id, x: column * (ALONG.width + ALONG.across), y, height };
			y += height + ALONG.down;
			return box;
		});
	});
	const byId = new Map(boxes.map((box) => [box.id, box]));
	const paths = edges.flatMap(({ prerequisite, skill }) => {
		const [from, to] = [byId.get(prerequisite), byId.get(skill)];
		if (!from || !to) return [];
		// Lines leave and arrive at the heads, whatever stands below them.
		const [x1, y1] = [from.x + ALONG.width, from.y + ALONG.head / 2];
		const [x2, y2] = [to.x, to.y + ALONG.head / 2];
		const bend = ALONG.across / 2;
		return [
			{ key: `${prerequisite} ${skill}`, path: `M${x1} ${y1}C${x1 + bend} ${y1} ${x2 - bend} ${y2} ${x2} ${y2}` }
		];
	});
	return {
		boxes,
		paths,
		width: Math.max(0, columns.length * (ALONG.width + ALONG.across) - ALONG.across),
		height: Math.max(0, ...boxes.map(({ y, height }) => y + height))
	};
}
