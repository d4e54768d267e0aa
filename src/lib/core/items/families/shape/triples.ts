/** Whole sides of right triangles, the longest last: 3² + 4² = 5². */
export const TRIPLES: [number, number, number][] = [
	[3, 4, 5],
	[6, 8, 10],
	[5, 12, 13],
	[9, 12, 15],
	[8, 15, 17],
	[12, 16, 20],
	[7, 24, 25],
	[15, 20, 25],
	[10, 24, 26],
	[20, 21, 29]
];
