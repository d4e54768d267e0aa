import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { calibrateTwoParameter, probabilityCorrect } from '../src/lib/core/measurement';
import { seededRandom } from '../src/lib/core/random';

const script = fileURLToPath(new URL('calibrate.ts', import.meta.url));
let folder: string;
beforeAll(() => (folder = mkdtempSync(join(tmpdir(), 'compass-calibrate-'))));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function fileOf(text: string): string {
	const path = join(folder, 'responses.csv');
	writeFileSync(path, text);
	return path;
}
const run = (...given: string[]) =>
	spawnSync(process.execPath, ['--import', 'tsx', script, ...given], { encoding: 'utf8' });

describe('npm run calibrate', () => {
	it('prints a line for each item and the log-likelihood that the core finds', () => {
		const random = seededRandom(5);
		const difficulties = [-1, -0.4, 0, 0.5, 1.1];
		const matrix = Array.from({ length: 300 }, () => {
			const theta = random.normal();
			return difficulties.map((difficulty): 0 | 1 | null =>
				random.chance(0.1)
					? null
					: random.chance(probabilityCorrect(theta, { discrimination: 1.3, difficulty }))
						? 1
						: 0
			);
		});
		const rows = matrix.map((row) => row.map((value) => value ?? '').join(','));
		const path = fileOf(['one,two,three,four,five', ...rows].join('\r\n'));
		const said = execFileSync(process.execPath, ['--import', 'tsx', script, path], { encoding: 'utf8' });
		const { items, logLikelihood } = calibrateTwoParameter(matrix);
		expect(said).toContain(`log-likelihood ${logLikelihood.toFixed(4)}`);
		expect(said).toContain('persons 300, items 5');
		const lines = said.split('\n');
		for (const [i, name] of ['one', 'two', 'three', 'four', 'five'].entries()) {
			const cells = lines
				.find((line) => line.startsWith(name))!
				.trim()
				.split(/\s+/);
			expect(Number(cells[3])).toBeCloseTo(items[i].discrimination, 3);
			expect(Number(cells[5])).toBeCloseTo(items[i].difficulty, 3);
		}
	});

	it('says that an item answered by all alike has no estimate', () => {
		const rows = Array.from({ length: 30 }, (_, n) => `${n % 2},1,${n % 3 ? 1 : 0}`);
		const { stdout, status } = run(fileOf(['a,b,c', ...rows].join('\n')));
		expect(status).toBe(0);
		expect(stdout).toContain('1 without an estimate');
	});

	it.each([
		['no file', [], 'No file was named.'],
		['a file that is not there', ['/nowhere/at-all.csv'], 'cannot be read'],
		['no rows', ['a,b\n'], 'has no rows below its header'],
		['a row of another length', ['a,b\n1,0\n1'], 'Row 2 has 1 cells; the header has 2.'],
		['a cell that is no answer', ['a,b\n1,0\n1,2'], 'Row 2, b: “2” is neither 0, 1 nor blank.']
	])('refuses %s in words', (_, given, says) => {
		const { stderr, status } = run(...given.map((one) => (one.includes('\n') ? fileOf(one) : one)));
		expect(status).toBe(1);
		expect(stderr).toContain(says);
	});
});
