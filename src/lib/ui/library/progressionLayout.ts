/** A skill drawn in a progression, and where. */
export interface PlacedSkill {
	id: number;
	/** 0 is the leftmost column. */
	column: number;
	x: number;
	y: number;
}

export interface PlacedEdge {
	from: PlacedSkill;
	to: PlacedSkill;
	/** As an SVG path from the right side of one to the left side of the other. */
	path: string;
}

export const BOX = { width: 176, height: 44, across: 64, down: 12 };

/**
 * Places a progression in columns: prerequisites to the left, the skill in the middle, what it opens to the right, each
 * column centered.
 */
export function layOut(
	skill: number,
	{ before, after, edges }: { before: number[][]; after: number[][]; edges: { prerequisite: number; skill: number }[] }
): { skills: PlacedSkill[]; edges: PlacedEdge[]; width: number; height: number } {
	const columns = [...[...before].reverse(), [skill], ...after];
	const columnHeight = (count: number) => count * BOX.height + (count - 1) * BOX.down;
	const height = Math.max(...columns.map(({ length }) => columnHeight(length)));
	const skills = columns.flatMap((ids, column) =>
		ids.map((id, row) => ({
			id,
			column,
			x: column * (BOX.width + BOX.across),
			y: (height - columnHeight(ids.length)) / 2 + row * (BOX.height + BOX.down)
		}))
	);
	const byId = new Map(skills.map((one) => [one.id, one]));
	const drawn = edges.flatMap(({ prerequisite, skill: later }) => {
		const [from, to] = [byId.get(prerequisite)!, byId.get(later)!];
		// An edge within a column, or back, would cross the boxes; its skills are there all the same.
		if (to.column <= from.column) return [];
		const [x1, y1] = [from.x + BOX.width, from.y + BOX.height / 2];
		const [x2, y2] = [to.x, to.y + BOX.height / 2];
		const bend = BOX.across / 2;
		return [{ from, to, path: `M${x1} ${y1}C${x1 + bend} ${y1} ${x2 - bend} ${y2} ${x2} ${y2}` }];
	});
	return { skills, edges: drawn, width: columns.length * (BOX.width + BOX.across) - BOX.across, height };
}
