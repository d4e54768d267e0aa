import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';

/**
 * A seeded source of chance. Equal seeds give equal sequences on every machine.
 *
 * @example
 * const random = seededRandom(7);
 * random.integer(1, 6); // always the same throw
 */
export interface Random {
	/** A whole number from `low` to `high`, both included. */
	integer(low: number, high: number): number;
	/** A number in [0, 1). */
	unit(): number;
	/** True with the given probability. */
	chance(probability: number): boolean;
	/** A standard normal draw (Box & Muller 1958). */
	normal(): number;
	/** One element of a non-empty list. */
	pick<T>(list: readonly T[]): T;
	/** A new list in random order (Fisher–Yates). */
	shuffle<T>(list: readonly T[]): T[];
}

/** The generator's first draws still show the structure of its seed; these are thrown away. */
const WARM_UP = 16;

/** Spreads neighboring seeds over all 32 bits (the finalizer of MurmurHash3). */
function scatter(seed: number): number {
	let bits = seed;
	bits = Math.imul(bits ^ (bits >>> 16), 0x85ebca6b);
	bits = Math.imul(bits ^ (bits >>> 13), 0xc2b2ae35);
	return bits ^ (bits >>> 16);
}

/** @param seed any whole number */
export function seededRandom(seed: number): Random {
	const generator = xoroshiro128plus(scatter(seed | 0));
	for (let i = 0; i < WARM_UP; i++) uniformInt(generator, 0, 1);
	const integer = (low: number, high: number) => uniformInt(generator, low, high);
	const unit = () => integer(0, 0x3fffffff) / 0x40000000;
	return {
		integer,
		unit,
		chance: (probability) => unit() < probability,
		normal: () => Math.sqrt(-2 * Math.log(1 - unit())) * Math.cos(2 * Math.PI * unit()),
		pick: (list) => list[integer(0, list.length - 1)],
		shuffle(list) {
			const order = [...list];
			for (let i = order.length - 1; i > 0; i--) {
				const j = integer(0, i);
				[order[i], order[j]] = [order[j], order[i]];
			}
			return order;
		}
	};
}

/** A 32-bit seed made from any words, so that parts of a whole draw independently (FNV-1a). */
export function seedFrom(...words: (string | number)[]): number {
	let hash = 0x811c9dc5;
	for (const character of words.join('\u0000')) {
		hash = Math.imul(hash ^ character.codePointAt(0)!, 0x01000193);
	}
	return hash | 0;
}
