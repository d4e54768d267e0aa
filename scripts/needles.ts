/** node --import tsx scripts/needles.ts: draws static/needles.svg from the needle's shape and the colors of app.css. */
import { readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { needleSprite } from '../src/lib/ui/glyphs/needleShape';

const at = (path: string) => fileURLToPath(new URL(`../${path}`, import.meta.url));
const css = readFileSync(at('src/app.css'), 'utf8');
writeFileSync(
	at('static/needles.svg'),
	needleSprite((token) => new RegExp(`--${token}: (#[0-9a-f]{6});`).exec(css)![1])
);
