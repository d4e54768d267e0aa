import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { expect, it } from 'vitest';
import { throwawayFolder } from './throwaway.mjs';

/** No process has an id as high as this. */
const NOBODY = 2 ** 30;

it('takes away what a run that is over has left, and leaves the folders of runs that go on', () => {
	const first = throwawayFolder();
	const left = join(dirname(first.folder), `orderly-run-${NOBODY}-left`);
	mkdirSync(left);
	const second = throwawayFolder();
	try {
		expect(second.folder).not.toBe(first.folder);
		expect([first.folder, left, second.folder].map((folder) => existsSync(folder))).toEqual([true, false, true]);
	} finally {
		first.remove();
		second.remove();
		rmSync(left, { recursive: true, force: true });
	}
	expect([first.folder, second.folder].some((folder) => existsSync(folder))).toBe(false);
});
