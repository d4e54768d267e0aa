import { choiceItem, family, numberItem, type ItemFamily } from '../../family';
import type { Figure } from '../../figure';
import { counted } from '../../text';

/** A shape with so many equal sides, turned a little. */
function regular(sides: number, turn: number): Figure {
	const corners = Array.from({ length: sides }, (_, i): [number, number] => {
		const angle = ((360 * i) / sides + turn - 90) * (Math.PI / 180);
		return [10 + 9 * Math.cos(angle), 10 + 9 * Math.sin(angle)];
	});
	return { kind: 'shape', corners, words: `A closed shape with ${sides} straight sides of the same length.` };
}

function quadrilateral(corners: [number, number][], words: string): Figure {
	return { kind: 'shape', corners, words };
}

export const linesAndSymmetry: ItemFamily[] = [
	family('S42', 'kind-of-lines', ({ random, turning }) => {
		const cases: [string, number][] = [
			['The two rails of a straight railroad', 0],
			['The two edges at the corner of a sheet of paper', 1],
			['The hands of a clock at 3 o’clock', 1],
			['Opposite edges of a door', 0],
			['The hands of a clock at 2 o’clock', 2],
			['A flagpole and the level ground', 1],
			['The two long sides of a ruler', 0],
			['The blades of half-open scissors', 2],
			['The lines of a sheet of writing paper', 0],
			['A ladder leaning on a wall, and the wall', 2]
		];
		const [text, kind] = cases[turning(0, 9)];
		const names = ['parallel', 'perpendicular', 'crossing, but not at a right angle'];
		return choiceItem(random, {
			stem: `${text} are part of straight lines. What are these lines?`,
			right: names[kind],
			wrong: names.filter((_, i) => i !== kind).map((name) => [name, 'parallelPerpendicular']),
			hint: 'Do they ever meet? If so, do they make a square corner?',
			solution: [
				[
					'They never meet and stay equally far apart: parallel.',
					'They meet at a right angle: perpendicular.',
					'They meet, but not at a right angle.'
				][kind]
			]
		});
	}),
	family('S42', 'count-parallel-pairs', ({ turning }) => {
		const cases: [string, number, Figure][] = [
			[
				'rectangle',
				2,
				quadrilateral(
					[
						[0, 0],
						[18, 0],
						[18, 9],
						[0, 9]
					],
					'A rectangle.'
				)
			],
			[
				'trapezoid',
				1,
				quadrilateral(
					[
						[4, 0],
						[13, 0],
						[18, 9],
						[0, 9]
					],
					'A trapezoid.'
				)
			],
			[
				'kite',
				0,
				quadrilateral(
					[
						[8, 0],
						[15, 6],
						[8, 18],
						[1, 6]
					],
					'A kite.'
				)
			],
			[
				'parallelogram',
				2,
				quadrilateral(
					[
						[5, 0],
						[20, 0],
						[15, 9],
						[0, 9]
					],
					'A parallelogram.'
				)
			],
			['hexagon with equal sides', 3, regular(6, 0)]
		];
		const [name, key, figure] = cases[turning(0, 9) % 5];
		const word = [
			'drawn',
			'cut out',
			'painted',
			'folded',
			'printed',
			'sewn',
			'carved',
			'laid with rope',
			'built',
			'chalked'
		][turning(0, 9)];
		return numberItem({
			stem: `How many pairs of parallel sides does the ${word} ${name} have?`,
			figure,
			key,
			wrong: [
				[2 * key, 'pairsAsSides'],
				[key + 1, 'parallelPerpendicular'],
				[key - 1, 'parallelPerpendicular']
			],
			hint: 'Parallel sides never meet, however far they go on.',
			solution: [`A ${name} has ${counted(key, 'pair')} of parallel sides.`]
		});
	}),
	family('S43', 'lines-of-symmetry', ({ turning }) => {
		const cases: [string, number, Figure][] = [
			[
				'square',
				4,
				quadrilateral(
					[
						[0, 0],
						[12, 0],
						[12, 12],
						[0, 12]
					],
					'A square.'
				)
			],
			[
				'rectangle',
				2,
				quadrilateral(
					[
						[0, 0],
						[18, 0],
						[18, 9],
						[0, 9]
					],
					'A rectangle that is longer than wide.'
				)
			],
			['triangle with three equal sides', 3, regular(3, 0)],
			['hexagon with equal sides', 6, regular(6, 0)],
			['pentagon with equal sides', 5, regular(5, 0)],
			[
				'parallelogram',
				0,
				quadrilateral(
					[
						[5, 0],
						[20, 0],
						[15, 9],
						[0, 9]
					],
					'A slanted parallelogram.'
				)
			]
		];
		const [name, key, figure] = cases[turning(0, 11) % 6];
		const thing = [
			'paper',
			'felt',
			'foil',
			'card',
			'cloth',
			'leather',
			'plastic',
			'cork',
			'tin',
			'wood',
			'wool',
			'silk'
		][turning(0, 11)];
		return numberItem({
			stem: `A ${name} is cut from ${thing}. How many lines of symmetry does it have?`,
			figure,
			key,
			wrong: [
				[key === 2 ? 4 : 1, key === 2 ? 'diagonalAsSymmetry' : 'oneSymmetryOnly'],
				[key === 0 ? 2 : key * 2, 'halvesAsSymmetry']
			],
			hint: 'Along which lines could you fold it so that both halves fit?',
			solution: [
				key
					? `It can be folded onto itself along ${counted(key, 'line')}.`
					: 'However it is folded, the halves do not fit: 0 lines.'
			]
		});
	})
];
