import { describe, expect, it } from 'vitest';
import { check, type ResponseSpec } from '.';

type Typed = 'right' | 'wrong' | 'none';
/** What is typed in answer to a response with its key, and how it is judged; `none` is asked for again. */
const tables: { response: ResponseSpec; key: string; answers: Record<Typed, string[]> }[] = [
	{
		response: { kind: 'number' },
		key: '1.5',
		answers: {
			right: [
				...['1.5', '1.50', '01.5', ' 1.5 ', '+1.5', '1,5', '3/2', '6/4', '1 1/2', '1 2/4', '1½', '1 ½', '1 and 1/2'],
				...['1 & 1/2', '1 and ½', '1 1⁄2', '１.５', '1\u00a01/2', '1\u20091/2']
			],
			wrong: ['15', '-1.5', '−1½', '1/2', '1.05', '2/3', '11/2', '½', '1,500', '0,15'],
			none: ['', ' ', 'one', '1.5.1', '1/0', '1 1 1/2', '1-1/2', '1 and', 'and 1/2', '1 5/', '1,5,0', '1²', '½½', '.']
		}
	},
	{
		response: { kind: 'number' },
		key: '12500',
		answers: {
			right: ['12500', '12,500', '12 500', '12\u2009500', '12\u202f500', '12,500.0', '12500.', '25000/2'],
			wrong: ['125', '12,501', '12.5', '12,50'],
			none: ['12,5000,0', '1,25,00', '12 50', '12_500', '12.500.0']
		}
	},
	{
		response: { kind: 'number' },
		key: '-7',
		answers: {
			right: ['-7', '\u22127', '\u20137', '\u20147', '\u20107', '\uff0d7', '- 7', '-7.0', '-14/2', '-7,0'],
			wrong: ['7', '-0.7', '+7'],
			none: ['--7', '7-', '-']
		}
	},
	{
		response: { kind: 'number' },
		key: '0.125',
		answers: {
			right: ['0.125', '.125', '0,125', '1/8', '⅛', '2/16', '0.1250'],
			wrong: ['125', '1/25', '0.0125', '0,0125'],
			none: [',125', '1/8/1', 'x']
		}
	},
	{
		response: { kind: 'number' },
		key: '4.5',
		answers: {
			right: ['4.5', '$4.50', '4.50$', '4.5 $', '$ 4.50', '$4½', '+$4.50'],
			wrong: ['$45', '-$4.50', '$-4.50', '$0.45'],
			none: ['$', '4.5 $$', '$$4.5', 'US$4.5']
		}
	},
	{
		response: { kind: 'number', unit: 'cents' },
		key: '75',
		answers: {
			right: ['75', '75 cents', '75¢', '75 ¢', '75 c', '75 cent', '75 Cents.', '$0.75', '0.75$', '$.75'],
			wrong: ['0.75', '$75', '75.5', '57 cents', '$7.50'],
			none: ['75 dollars', '75 euro', 'cents', '75 cm', '¢75']
		}
	},
	{
		response: { kind: 'number', unit: 'm' },
		key: '3',
		answers: {
			right: ['3', '3m', '3 m', '3 meters', '3 meter', '3 metres', '3 M', '3.0 m', '3 m.', '6/2 m'],
			wrong: ['30 m', '-3 m', '3.5 meters'],
			none: ['3 cm', '3 mm', '3 km', '3 mm m', '3 miles', 'm', '3 m m']
		}
	},
	{
		response: { kind: 'number', unit: 'liters' },
		key: '2',
		answers: {
			right: ['2', '2 l', '2 L', '2 liter', '2 liters', '2 litres', '2 Liters'],
			wrong: ['20 l', '1/2 liter'],
			none: ['2 ml', '2 milliliters', '2 litters']
		}
	},
	{
		response: { kind: 'number', unit: '°' },
		key: '50',
		answers: {
			right: ['50', '50°', '50 °', '50 degrees', '50 degree', '50 deg', '50.0°'],
			wrong: ['130°', '5°'],
			none: ['50 c', '50 %°x', '°']
		}
	},
	{
		response: { kind: 'number', unit: '%' },
		key: '12.5',
		answers: {
			right: ['12.5', '12.5%', '12.5 %', '12½', '12½%', '12,5 %', '25/2%', '12.5 percent'],
			wrong: ['0.125', '1.25%', '125%'],
			none: ['%', 'percent', '12.5 per']
		}
	},
	{
		response: { kind: 'number', unit: 'minutes' },
		key: '45',
		answers: {
			right: ['45', '45 min', '45 mins', '45 minutes', '45 minute', '45min.'],
			wrong: ['54 min', '0.75'],
			none: ['45 hours', '45 h', '45 m', '0:45']
		}
	},
	{
		response: { kind: 'fraction', mixed: true },
		key: '9/4',
		answers: {
			right: ['9/4', '2 1/4', '2¼', '2 and 1/4', '2.25', '2,25', '18/8', '2 2/8', '2 \u00bc', '9 / 4', '9⁄4'],
			wrong: ['4/9', '21/4', '1/4', '-9/4', '-2 1/4', '2 1/2'],
			none: ['9/', '/4', '9/0', '2 1/4 1/4', '9//4', '2 and 1', 'x/4']
		}
	},
	{
		response: { kind: 'fraction', unit: 'kg' },
		key: '5/8',
		answers: {
			right: ['5/8', '⅝', '⅝ kg', '5/8 kg', '0.625', '0.625 kilograms', '10/16 kg', '5/8 kilo'],
			wrong: ['8/5', '5/80', '0.65 kg'],
			none: ['5/8 g', '5/8 k', 'kg']
		}
	},
	{
		response: { kind: 'expression', letters: ['h'] },
		key: '220-7h',
		answers: {
			right: [
				...['220-7h', '220 − 7h', '220–7h', '220-(7h)', '220 - ( 7h )', '-7h+220', '220-7*h', '220-7·h', '220-h*7'],
				...['220-7H', '220-((7h))', '(220)-7h', '220+(-7)h', '440/2-7h', '220—7h']
			],
			wrong: ['220+7h', '7h-220', '220-h', '213h', '220-7', '220-(7+h)', '220-70h'],
			none: ['220-', '220-7k', 'h=220-7h', '220-7h)', '', '220 7h x', '22 0-7h']
		}
	},
	{
		response: { kind: 'expression', letters: ['x'] },
		key: '11x+9',
		answers: {
			right: ['11x+9', '(11x)+9', '9+(11x)', '9 + 11x', '11 × x + 9', '(11x)+(9)', '+11x+9', '11x + 9.0'],
			wrong: ['11x-9', '20x', '9x+11', '5x+6x+9', '11(x)+9+0', '11x+3+6', '1(11x+9)'],
			none: ['11x+', '11y+9', '1 1x+9', '11x9+', '11x == 9']
		}
	},
	{
		response: { kind: 'expression', letters: ['x'] },
		key: 'x^6',
		answers: {
			right: ['x^6', 'x⁶', 'x^(6)', 'X⁶', 'x ^ 6'],
			wrong: ['x^5', '6x', 'x⁵', 'x^3', 'x^7', 'x^2*x^4', '(x^3)^2', 'x⁶+0x^2+1'],
			none: ['x^', 'x^(6', 'x^6)', 'x^31', 'x^x', 'x^-6', '^6']
		}
	},
	{
		response: { kind: 'expression', letters: ['x'], before: 'y =' },
		key: 'x-4',
		answers: {
			right: ['x-4', 'x − 4', 'y = x − 4', 'y=x-4', 'Y = x-4', ' y  =  -4 + x', '-4+x', 'y=(x)-4'],
			wrong: ['x+4', 'y=4-x', 'y = 4x', '-x-4'],
			none: ['y', 'y=', 'y==x-4', 'z = x-4', 'x-4=y', 'y=y=x-4']
		}
	},
	{
		response: { kind: 'expression', letters: ['n'] },
		key: '1/2n+3',
		answers: {
			right: ['1/2n+3', '½n+3', '½ n + 3', '0.5n+3', 'n/2+3', '3+n/2', '3 + ½n', '1/2 n + 3'],
			wrong: ['2n+3', '1/2+3n', '1/3n+3'],
			none: ['1/n+3', '½½n+3', '1/2n+']
		}
	},
	{
		response: { kind: 'expression', letters: ['n'] },
		key: '3.5n',
		answers: {
			right: ['3.5n', '3½n', '3 1/2 n', '7/2n', '7n/2', '3½ n', '3.50n'],
			wrong: ['31/2n', '3n', '35n', '3n+1/2n', '3½½n'],
			none: ['3 5n', '3.5.n']
		}
	},
	{
		response: { kind: 'number', form: 'worked out' },
		key: '4',
		answers: {
			right: ['4', '4.0', '+4', '4,0', '400%'],
			wrong: ['9/2', '4½', '-4', '0.04', '4%', '40', '1/4'],
			none: ['36/9', '4/1', '8/2', '-4/1', '3 2/2', '4 0/3', 'four']
		}
	},
	{
		response: { kind: 'number', form: 'worked out' },
		key: '0.9',
		answers: {
			right: ['0.9', '.9', '0,9', '9/10', '90%', '0.90'],
			wrong: ['0.9%', '9%', '9', '0.09', '1/9'],
			none: ['9/9', '%']
		}
	},
	{
		response: { kind: 'number', form: 'decimal' },
		key: '0.2',
		answers: {
			right: ['0.2', '.2', '0.20', '0,2', '+0.2'],
			wrong: ['2', '2.0', '0.02', '-0.2', '20'],
			none: ['2/10', '1/5', '⅕', '20%', '20 %', '0 1/5', '0.2 m']
		}
	},
	{
		response: { kind: 'number', form: 'decimal' },
		key: '0.04',
		answers: {
			right: ['0.04', '.04', '0,04', '0.040'],
			wrong: ['0.4', '4', '0.004'],
			none: ['4%', '4/100', '1/25', '0.04%']
		}
	},
	{
		response: { kind: 'fraction', form: 'lowest terms' },
		key: '3/4',
		answers: {
			right: ['3/4', '¾', '3 / 4', '3⁄4'],
			wrong: ['4/3', '1/4', '3', '-3/4', '1 3/4', '7/4'],
			none: ['6/8', '9/12', '0.75', '75%', '4/4', '3/1', '1 4/3', '0,75']
		}
	},
	{
		response: { kind: 'fraction', mixed: true, form: 'lowest terms' },
		key: '5/2',
		answers: {
			right: ['5/2', '2 1/2', '2½', '2 and 1/2'],
			wrong: ['2/5', '2 1/3', '2'],
			none: ['10/4', '2 2/4', '2.5', '1 3/2']
		}
	},
	{
		response: { kind: 'fraction', mixed: true, form: 'mixed number' },
		key: '5/2',
		answers: {
			right: ['2 1/2', '2½', '2 and ½'],
			wrong: ['1/2', '3 1/2', '2', '-2 1/2'],
			none: ['5/2', '10/4', '2 2/4', '2.5', '1 3/2', '250%']
		}
	},
	{
		response: { kind: 'fraction' },
		key: '5/8',
		answers: {
			right: ['5/8', '⅝', '0.625', '62.5%', '62½%', '10/16', '0,625', '.625', '62.5 %'],
			wrong: ['0.625%', '62.5', '5/8%', '8/5'],
			none: ['5/8 %%', '%5/8']
		}
	}
];

const cases = tables.flatMap(({ response, key, answers }) =>
	(Object.keys(answers) as Typed[]).flatMap((verdict) =>
		answers[verdict].map((typed) => ({ response, key, typed, verdict }))
	)
);

describe('what is typed', () => {
	it('is judged as a teacher would judge it', () => {
		const judged = cases.map(({ response, key, typed, verdict }) => {
			const { correct, readable } = check({ response, key, expectedErrors: [] }, typed);
			return { of: `${typed} for ${key}`, is: correct ? 'right' : readable ? 'wrong' : 'none', verdict };
		});
		expect(judged.filter(({ is, verdict }) => is !== verdict)).toEqual([]);
		expect(cases.length).toBeGreaterThan(400);
	});
});
