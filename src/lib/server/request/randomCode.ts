import { randomInt } from 'node:crypto';

/** Letters and digits that are not taken for one another. */
const SIGNS = 'ABCDEFGHJKMNPQRTUVWXYZ2346789';

/** A code that people read and type, of so many signs: nearly five bits each. */
export const randomCode = (length: number): string =>
	Array.from({ length }, () => SIGNS[randomInt(SIGNS.length)]).join('');
