import { describe, expect, it } from 'vitest';
import { readClassList } from './classList';

describe('classes as they are typed', () => {
	it('are a name with its grade after it, however they are set apart', () => {
		expect(readClassList('Avocet 4\n\nRoom 12, grade K\r\nRed Knot; 12\nTern - 3rd\n')).toEqual({
			classes: [
				{ name: 'Avocet', grade: 4 },
				{ name: 'Room 12', grade: 0 },
				{ name: 'Red Knot', grade: 12 },
				{ name: 'Tern', grade: 3 }
			]
		});
	});

	it('says which line it cannot read', () => {
		expect(readClassList('Avocet 4\nCurlew')).toEqual({
			problem: '“Curlew” is no name with a grade from K to 12 after it, as “Avocet 4”'
		});
		expect(readClassList('4')).toHaveProperty('problem');
		expect(readClassList('Avocet 13')).toHaveProperty('problem');
		expect(readClassList(' \n')).toEqual({ problem: 'Type a class a line: its name, then its grade' });
		expect(readClassList('Avocet 4\navocet 5')).toEqual({ problem: '“avocet” stands there twice' });
		expect(readClassList(`${'A'.repeat(61)} 4`)).toHaveProperty('problem');
	});
});
