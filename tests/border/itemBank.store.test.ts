import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { itemFamilies } from '../../src/lib/core/items/bank';

it('nothing that a browser gets holds a family of the item bank', async () => {
	const client = join(process.cwd(), 'build/client/_app/immutable');
	const scripts = (await readdir(client, { recursive: true })).filter((name) => name.endsWith('.js'));
	expect(scripts.length).toBeGreaterThan(50);
	// One word may stand for something else.
	const ids = itemFamilies.map(({ id }) => id).filter((id) => id.includes('-'));
	expect(ids.length).toBeGreaterThan(200);
	const found: string[] = [];
	for (const name of scripts) {
		const script = await readFile(join(client, name), 'utf8');
		found.push(...ids.filter((id) => script.includes(`\`${id}\``)).map((id) => `${id} in ${name}`));
	}
	expect(found).toEqual([]);
});
