import { describe, expect, it } from 'vitest';
import { ALONG, layOutAlong } from './alongLayout';

const edges = [
	{ prerequisite: 1, skill: 3 },
	{ prerequisite: 2, skill: 3 },
	{ prerequisite: 9, skill: 3 }
];

describe('a domain along the graph', () => {
	const { boxes, paths, width, height } = layOutAlong([[1, 2], [3]], edges, (id) => (id === 1 ? 3 : 0));
	const box = (id: number) => boxes.find((one) => one.id === id)!;

	it('goes from left to right, and a box has room for those who stand at it', () => {
		expect(box(3).x).toBeGreaterThan(box(1).x + ALONG.width);
		expect(box(1).height).toBe(ALONG.head + 3 * ALONG.line + ALONG.foot);
		expect(box(2)).toMatchObject({ y: box(1).height + ALONG.down, height: ALONG.head });
	});

	it('draws an edge from head to head, and none to what is not shown', () => {
		expect(paths.map(({ key }) => key)).toEqual(['1 3', '2 3']);
		expect(paths[0].path.startsWith(`M${ALONG.width} ${ALONG.head / 2}`)).toBe(true);
	});

	it('is as large as its boxes', () => {
		expect(width).toBe(2 * ALONG.width + ALONG.across);
		expect(height).toBe(box(2).y + box(2).height);
		expect(layOutAlong([], [], () => 0)).toMatchObject({ width: 0, height: 0 });
	});
});
