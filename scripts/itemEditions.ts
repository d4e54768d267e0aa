/** npm run items:editions: raises the edition of each family whose questions are others than those that were recorded. */
import { readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Edition } from '../src/lib/core/items/editions';
import { itemFamilies } from '../src/lib/core/items/bank';
import { nextEditions } from '../src/lib/core/items/recordEditions';

const file = fileURLToPath(new URL('../src/lib/core/items/editions.json', import.meta.url));
const before = JSON.parse(readFileSync(file, 'utf8')) as Record<string, Edition>;
const after = nextEditions(itemFamilies, before);
writeFileSync(file, `${JSON.stringify(after, null, '\t')}\n`);
const raised = Object.keys(after).filter((id) => before[id]?.edition !== after[id].edition);
console.log(raised.length === 0 ? 'No family has changed.' : `Raised: ${raised.join(', ')}`);
