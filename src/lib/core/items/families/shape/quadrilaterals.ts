import { choiceItem, family, severalItem, type ItemFamily } from '../../family';

export const quadrilaterals: ItemFamily[] = [
	family('S31', 'mark-right-angled', ({ random, turning }) => {
		const pick = turning(0, 9);
		const rules: [string, string[], string[]][] = [
			['four right angles', ['square', 'rectangle'], ['rhombus', 'trapezoid', 'kite']],
			['four equal sides', ['square', 'rhombus'], ['rectangle', 'trapezoid', 'kite']],
			['two pairs of parallel sides', ['square', 'rectangle', 'rhombus', 'parallelogram'], ['trapezoid', 'kite']]
		];
		const [what, yes, no] = rules[pick % 3];
		const right = random.shuffle(yes).slice(0, 2);
		const wrong = random.shuffle(no).slice(0, 2);
		const owner = ['Ana', 'Ben', 'Cleo', 'Dara', 'Emil', 'Fay', 'Gus', 'Hana', 'Ivo', 'Juno'][pick];
		return severalItem(random, {
			stem: `${owner} sorts shapes. Mark every kind that always has ${what}.`,
			options: [
				...right.map((name) => ({ text: `a ${name}`, right: true })),
				...wrong.map((name) => ({ text: `a ${name}`, right: false, misconception: 'shapeProperty' as const }))
			],
			hint: 'Draw one of each kind that looks as unusual as it can.',
			solution: [`Always ${what}: ${right.join(' and ')}.`, `Not always: ${wrong.join(' and ')}.`]
		});
	}),
	family('S31', 'name-from-clues', ({ random, turning }) => {
		const clues: [string, string, [string, 'shapeProperty'][]][] = [
			[
				'four equal sides and four right angles',
				'square',
				[
					['rhombus', 'shapeProperty'],
					['rectangle', 'shapeProperty'],
					['kite', 'shapeProperty']
				]
			],
			[
				'four equal sides and no right angle',
				'rhombus',
				[
					['square', 'shapeProperty'],
					['rectangle', 'shapeProperty'],
					['trapezoid', 'shapeProperty']
				]
			],
			[
				'four right angles, two long sides and two short sides',
				'rectangle',
				[
					['square', 'shapeProperty'],
					['rhombus', 'shapeProperty'],
					['trapezoid', 'shapeProperty']
				]
			],
			[
				'only one pair of parallel sides',
				'trapezoid',
				[
					['parallelogram', 'shapeProperty'],
					['rectangle', 'shapeProperty'],
					['rhombus', 'shapeProperty']
				]
			],
			[
				'two pairs of parallel sides, no right angle, two long and two short sides',
				'parallelogram',
				[
					['rectangle', 'shapeProperty'],
					['trapezoid', 'shapeProperty'],
					['square', 'shapeProperty']
				]
			]
		];
		const [clue, name, wrong] = clues[turning(0, 9) % 5];
		const thing = [
			'A tile',
			'A field',
			'A window',
			'A kite',
			'A table top',
			'A flag',
			'A mirror',
			'A stamp',
			'A garden bed',
			'A screen'
		][turning(0, 9)];
		return choiceItem(random, {
			stem: `${thing} has ${clue}. Which name fits best?`,
			right: `a ${name}`,
			wrong: wrong.map(([one, idea]) => [`a ${one}`, idea]),
			hint: 'Look at the angles first, then at the sides.',
			solution: [`A shape with ${clue} is a ${name}.`]
		});
	}),
	family('S52', 'always-true', ({ random, turning }) => {
		const rows: [string, boolean][] = [
			['Every square is a rectangle.', true],
			['Every square is a rhombus.', true],
			['Every rectangle is a parallelogram.', true],
			['Every rhombus is a parallelogram.', true],
			['Every rectangle is a quadrilateral.', true],
			['Every rectangle is a square.', false],
			['Every rhombus is a square.', false],
			['Every parallelogram is a rectangle.', false],
			['Every quadrilateral is a parallelogram.', false],
			['Every trapezoid is a square.', false]
		];
		const shift = turning(0, 9);
		const chosen = [
			rows[shift % 5],
			rows[(shift + 2) % 5],
			rows[5 + (shift % 5)],
			rows[5 + ((shift + (shift > 4 ? 2 : 1)) % 5)]
		];
		return severalItem(random, {
			stem: 'Mark every statement that is true.',
			options: chosen.map(([text, right]) => ({ text, right, misconception: 'familyReversed' as const })),
			hint: 'Does the first kind have everything that the second kind must have?',
			solution: chosen
				.filter(([, right]) => !right)
				.map(([text]) => `Not true: ${text[0].toLowerCase()}${text.slice(1)}`)
		});
	}),
	family('S52', 'fits-all-names', ({ random, turning }) => {
		const cases: [string, string, string[]][] = [
			['a rectangle and a rhombus', 'a square', ['a parallelogram', 'a trapezoid', 'a kite']],
			['a parallelogram with four right angles', 'a rectangle', ['a rhombus', 'a trapezoid', 'a kite']],
			['a parallelogram with four equal sides', 'a rhombus', ['a rectangle', 'a trapezoid', 'a hexagon']],
			['a quadrilateral with two pairs of parallel sides', 'a parallelogram', ['a trapezoid', 'a kite', 'a pentagon']],
			['a rectangle with four equal sides', 'a square', ['a trapezoid', 'a pentagon', 'a kite']]
		];
		const [text, right, wrong] = cases[turning(0, 9) % 5];
		const who = ['Ana', 'Ben', 'Cleo', 'Dara', 'Emil', 'Fay', 'Gus', 'Hana', 'Ivo', 'Juno'][turning(0, 9)];
		return choiceItem(random, {
			stem: `${who} draws a shape that is ${text}. What must it be?`,
			right,
			wrong: wrong.map((one) => [one, 'familyReversed']),
			hint: 'List what each name asks for.',
			solution: [`A shape that is ${text} is ${right}.`]
		});
	})
];
