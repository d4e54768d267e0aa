import { createHmac, pbkdf2 } from 'node:crypto';
import { promisify } from 'node:util';
import { canonicalKeys, type Figure, type Item, type KeyProof, type ShownItem, saidToStudent } from '../../core/items';
import { oneLike } from '../../core/items/bank';
import { signingKey } from '../auth';
import type { Database } from '../database';
import { mathHtml, showItem, worked, type WorkedQuestion } from './presentItem';

const slowHash = promisify(pbkdf2);

/** Twenty milliseconds here, up to a second on a phone that has to do it in script. */
const ITERATIONS = 20_000;
const HASH_BYTES = 32;

/** The proofs of a whole district's open sets, some megabytes; then all are forgotten. */
const MOST_REMEMBERED = 20_000;
const proofs = new Map<string, Promise<KeyProof>>();

async function makeProof(database: Database, item: Item): Promise<KeyProof> {
	// The same for everyone who meets the item, so that a class costs what one student does.
	const salt = createHmac('sha256', await signingKey(database))
		.update(`proof of a key\n${item.edition} ${item.familyId} ${item.seed}`)
		.digest()
		.subarray(0, 16);
	const hashes = await Promise.all(
		canonicalKeys(item).map((text) => slowHash(text, salt, ITERATIONS, HASH_BYTES, 'sha256'))
	);
	return { salt: salt.toString('hex'), iterations: ITERATIONS, hashes: hashes.map((hash) => hash.toString('hex')) };
}

/** A question of practice as a device has it: with what tells right from wrong, but not the key. */
interface PracticeItem extends ShownItem {
	practice: true;
	hintHtml: string;
	proof: KeyProof;
}

/** A question as a student practices it, also while the server is away. */
export async function practiceItem(database: Database, item: Item): Promise<PracticeItem> {
	const name = `${item.edition} ${item.familyId} ${item.seed} ${JSON.stringify(item.alsoRight ?? [])}`;
	let proof = proofs.get(name);
	if (!proof) {
		if (proofs.size >= MOST_REMEMBERED) proofs.clear();
		proofs.set(name, (proof = makeProof(database, item)));
		proof.catch(() => proofs.delete(name));
	}
	return { ...showItem(item), practice: true, hintHtml: mathHtml(item.hint), proof: await proof };
}

/** How a question is done, for a student who has tried. */
export interface Solution {
	position: number;
	solutionHtml: string[];
	solutionFigure?: Figure;
}

/** The solutions of questions that have been answered right, or tried twice. */
export function solutionsOf(tried: { position: number; item: Item }[]): Solution[] {
	return tried.map(({ position, item: { solution, solutionFigure } }) => ({
		position,
		solutionHtml: solution.map(mathHtml),
		solutionFigure
	}));
}

/** What may help with a second try. */
export interface SecondHelp {
	position: number;
	/** By the idea that the first try shows; empty where it shows none. */
	says: string;
	/** Another question of the kind, with how it is done; null where there is none with another answer. */
	like: WorkedQuestion | null;
}

/** What may help with questions that were answered wrongly at first. */
export const helpsOf = (missed: { position: number; item: Item; misconception: string | null }[]): SecondHelp[] =>
	missed.map(({ position, item, misconception }) => {
		const like = oneLike(item);
		return {
			position,
			says: misconception === null ? '' : saidToStudent(misconception),
			like: like && worked(like)
		};
	});
