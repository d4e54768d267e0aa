import { choiceItem, family, numberItem, type ItemFamily } from '../../family';
import type { Solid } from '../../figure';

/** What is true of a solid. */
const solids: Record<Solid, { faces: number; edges: number; corners: number; tells: string }> = {
	cube: { faces: 6, edges: 12, corners: 8, tells: '6 faces that are all squares' },
	box: { faces: 6, edges: 12, corners: 8, tells: '6 faces that are rectangles' },
	cylinder: { faces: 2, edges: 0, corners: 0, tells: 'two flat circles and a curved side' },
	cone: { faces: 1, edges: 0, corners: 1, tells: 'one flat circle and a point' },
	sphere: { faces: 0, edges: 0, corners: 0, tells: 'no flat face; it is round all over' },
	pyramid: { faces: 5, edges: 8, corners: 5, tells: 'a square at the bottom and four triangles' },
	'triangular prism': { faces: 5, edges: 9, corners: 6, tells: 'two triangles and three rectangles' }
};

/** Patterns of six squares, and whether they fold into a cube. */
const patterns: { rows: string[]; folds: boolean }[] = [
	{ rows: ['.#..', '####', '.#..'], folds: true },
	{ rows: ['#...', '####', '...#'], folds: true },
	{ rows: ['##..', '.##.', '..##'], folds: true },
	{ rows: ['###', '###'], folds: false },
	{ rows: ['####', '##..'], folds: false },
	{ rows: ['.#.', '###', '.#.', '.#.'], folds: true },
	{ rows: ['##', '##', '#.', '#.'], folds: false },
	{ rows: ['..#.', '####', '#...'], folds: true },
	{ rows: ['###..', '..###'], folds: true },
	{ rows: ['#...', '##..', '.###'], folds: false }
];

/** Places of the squares of a pattern, row by row. */
const squaresOf = (rows: string[]): [number, number][] =>
	rows.flatMap((row, y) => [...row].flatMap((mark, x): [number, number][] => (mark === '#' ? [[x, y]] : [])));

export const solidShapes: ItemFamily[] = [
	family('S21', 'name-solid', ({ random, turning }) => {
		const names = Object.keys(solids) as Solid[];
		const shape = names[turning(0, 9) % 7];
		const where = [
			'on a shelf',
			'in a tent',
			'on the beach',
			'in a box',
			'on a table',
			'in a shop',
			'in a toy chest',
			'on a boat',
			'in the kitchen',
			'in the garden'
		][turning(0, 9)];
		return choiceItem(random, {
			stem: `Something ${where} has ${solids[shape].tells}. Which solid is it?`,
			right: `a ${shape}`,
			wrong: random
				.shuffle(
					names.filter(
						(name) => name !== shape && !(shape === 'cube' && name === 'box') && !(shape === 'box' && name === 'cube')
					)
				)
				.map((name) => [`a ${name}`, 'solidNames']),
			hint: 'Look at the flat faces: what shapes are they?',
			solution: [`A ${shape} has ${solids[shape].tells}.`],
			solutionFigure: { kind: 'solid', shape, labels: [] }
		});
	}),
	family('S21', 'count-faces', ({ turning }) => {
		const shape = (['cube', 'box', 'pyramid', 'triangular prism'] as const)[turning(0, 9) % 4];
		const what = (['faces', 'edges', 'corners'] as const)[turning(0, 9) % 3];
		const size = ['small', 'large', 'red', 'wooden', 'glass', 'paper', 'blue', 'heavy', 'tall', 'old'][turning(0, 9)];
		const key = solids[shape][what];
		return numberItem({
			stem: `How many ${what} does a ${size} ${shape} have?`,
			figure: { kind: 'solid', shape, labels: [] },
			key,
			wrong: (['faces', 'edges', 'corners'] as const)
				.filter((one) => one !== what)
				.map((one) => [solids[shape][one], 'faceEdgeCorner']),
			hint: {
				faces: 'Faces are the flat sides. Count the hidden ones, too.',
				edges: 'Edges are the lines where two faces meet.',
				corners: 'Corners are the points where edges meet.'
			}[what],
			solution: [`A ${shape} has ${key} ${what}.`, 'Count the hidden ones as well.']
		});
	}),
	family('S63', 'net-of-solid', ({ random, turning }) => {
		const { rows, folds } = patterns[turning(0, 9)];
		return choiceItem(random, {
			stem: 'Can this flat pattern of squares be folded into a cube?',
			figure: { kind: 'net', cells: squaresOf(rows), triangles: false },
			right: folds ? 'Yes, it makes a cube' : 'No, two squares would cover each other',
			wrong: [
				[folds ? 'No, two squares would cover each other' : 'Yes, it makes a cube', 'netBySquareCount'],
				['No, a cube needs eight squares', 'faceEdgeCorner']
			],
			hint: 'Choose one square as the bottom. Fold up the squares around it in your mind.',
			solution: [
				folds
					? 'Each of the six squares comes to another side of the cube.'
					: 'Where four squares meet in a block or too many lie in a row, two come to the same side.'
			]
		});
	}),
	family('S63', 'faces-of-net', ({ random, turning }) => {
		const cases: [string, string, string[]][] = [
			['six equal squares', 'a cube', ['a pyramid', 'a cylinder', 'a triangular prism']],
			['one square and four triangles', 'a pyramid', ['a cube', 'a triangular prism', 'a cone']],
			['two triangles and three rectangles', 'a triangular prism', ['a pyramid', 'a box', 'a cone']],
			['two circles and one rectangle', 'a cylinder', ['a cone', 'a sphere', 'a box']],
			['three pairs of rectangles', 'a box', ['a cube', 'a pyramid', 'a triangular prism']]
		];
		const [text, right, wrong] = cases[turning(0, 9) % 5];
		const what = ['paper', 'card', 'foil', 'felt', 'tin', 'cloth', 'plastic', 'cork', 'wood', 'leather'][turning(0, 9)];
		return choiceItem(random, {
			stem: `A net of ${what} has ${text}. Which solid does it fold into?`,
			right,
			wrong: wrong.map((one) => [one, 'solidNames']),
			hint: 'Each part of the net becomes one face.',
			solution: [`${right[0].toUpperCase()}${right.slice(1)} has these faces: ${text}.`]
		});
	})
];
