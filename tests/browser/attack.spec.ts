import { expect, test } from './test';
import { files, headers, stall, storm } from '../../scripts/attack/cases';
import { address } from './people';

// The whole of it is npm run attack. Here the machine has other things to do, and what stalls does so for much longer.
const PATIENCE = 25;

test('a few routes answer the largest and the most numerous input', async () => {
	const some = (path: string) => /^\/(sign-in|decide|library\/import|api)/.test(path);
	expect(await stall(address(), PATIENCE, some)).toContain('inputs to');
});

test('a storm of sign-ins lets nobody in and leaves others served', async () => {
	expect(await storm(address(), PATIENCE)).toContain('PINs looked at');
});

test('files made to take time or memory are refused while pages are served', async () => {
	expect(await files(address(), PATIENCE)).toContain('none a fault');
});

test('answers say how they are to be kept, and other sites can post nothing', async () => {
	expect(await headers(address())).toContain('are refused');
});
