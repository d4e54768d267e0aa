import { sayLevel } from '../../core/words';
import { setImmediate as nextTurn } from 'node:timers/promises';
import { find, makeFindIndex, type FindIndex, type Hit } from '../../core/finding';
import {
	describeAnswer,
	misconceptions,
	type Answer,
	type Item,
	type MisconceptionId,
	SAMPLE_SEED
} from '../../core/items';
import { itemFamilies, itemFrom } from '../../core/items/bank';
import type { Database } from '../database';
import { mathHtml } from '../sitting';
import { libraryRevision, standardList, type Standard } from './store/library';
import { domainList, skillList } from './store/skills';

interface Library {
	revision: string;
	index: FindIndex;
	hits: Map<string, Hit>;
}

/** One library a school in this process, made anew when its revision has changed. */
const libraries = new Map<number, Promise<Library>>();

/** Where a wrong idea shows itself: the skills, and a question with the answer that it gives. */
interface Showing {
	codes: Set<string>;
	item: Item;
	answer: Answer;
}

/** Seeds of each family that are looked through; every wrong idea of a family comes up in a few. */
const SEEDS = 6;

let showings: Promise<Map<MisconceptionId, Showing>> | null = null;

/** Where each wrong idea shows itself, found out once a process, in steps so that others work in between. */
function whereShown(): Promise<Map<MisconceptionId, Showing>> {
	return (showings ??= lookThrough());
}

async function lookThrough(): Promise<Map<MisconceptionId, Showing>> {
	const showing = new Map<MisconceptionId, Showing>();
	for (const { id, skillCode } of itemFamilies) {
		for (let i = 0; i < SEEDS; i++) {
			const item = itemFrom(id, SAMPLE_SEED + i);
			for (const { misconception, answer } of item.expectedErrors) {
				const before = showing.get(misconception);
				// A question that needs no figure can be told in a line.
				const isBetter = !before || (before.item.figure && !item.figure);
				showing.set(misconception, {
					codes: (before?.codes ?? new Set()).add(skillCode),
					...(isBetter ? { item, answer } : { item: before.item, answer: before.answer })
				});
			}
		}
		await nextTurn();
	}
	return showing;
}

async function build(database: Database, schoolId: number, revision: string): Promise<Library> {
	const [domains, skills, standards] = await Promise.all([
		domainList(database, schoolId),
		skillList(database, schoolId),
		standardList(database, schoolId)
	]);
	const index = makeFindIndex();
	const hits = new Map<string, Hit>();
	const domainName = new Map(domains.map(({ id, name }) => [id, name]));
	const nameOf = new Map(skills.map(({ code, shortName }) => [code, shortName]));
	const codeOf = new Map(skills.map(({ id, code }) => [id, code]));
	const linked = (codes: Iterable<string>) => [...codes].map((code) => ({ code, name: nameOf.get(code)! }));
	index.addAll(
		skills.map(({ code, shortName, statement, also, domainId, grade, term }) => {
			const id = `skill ${code}`;
			const sits = `${domainName.get(domainId)} · ${sayLevel({ grade, term })}`;
			hits.set(id, { kind: 'skill', code, title: shortName, sits, skills: linked([code]) });
			return { id, code, name: shortName, statement, also };
		})
	);
	const showing = await whereShown();
	index.addAll(
		Object.entries(misconceptions).flatMap(([key, { shows }]) => {
			const shown = showing.get(key as MisconceptionId);
			if (!shown) return [];
			const codes = [...shown.codes].filter((code) => nameOf.has(code));
			if (codes.length === 0) return [];
			const id = `misconception ${key}`;
			hits.set(id, { kind: 'misconception', code: '', title: shows, sits: 'a wrong idea', skills: linked(codes) });
			return [{ id, code: '', name: '', statement: shows, also: '' }];
		})
	);
	// Tens of thousands may have been brought in: others work in between.
	await index.addAllAsync(
		standards.map((standard) => {
			const id = `standard ${standard.id}`;
			hits.set(id, standardHit(standard, linked(standard.skillIds.map((skillId) => codeOf.get(skillId)!))));
			return { id, code: standard.code, name: '', statement: standard.statement, also: '' };
		}),
		{ chunkSize: 100 }
	);
	return { revision, index, hits };
}

const standardHit = ({ code, statement, framework, grade }: Standard, skills: Hit['skills']): Hit => ({
	kind: 'standard',
	code,
	title: statement,
	sits: grade === null ? framework : `${framework} · grade ${grade}`,
	skills
});

async function libraryFor(database: Database, schoolId: number): Promise<Library> {
	const revision = String(await libraryRevision(database, schoolId));
	const current = libraries.get(schoolId);
	if (current) {
		const library = await current;
		if (library.revision === revision) return library;
	}
	const made = build(database, schoolId, revision);
	libraries.set(schoolId, made);
	made.catch(() => libraries.delete(schoolId));
	return made;
}

/** What lies nearest to some typed words: skills, standards, and wrong ideas with the skills they show themselves in. */
export async function findInLibrary(database: Database, schoolId: number, typed: string, most: number): Promise<Hit[]> {
	const { index, hits } = await libraryFor(database, schoolId);
	const showing = await whereShown();
	return find(index, typed, most).map(({ id }) => {
		const hit = hits.get(id)!;
		if (hit.kind !== 'misconception') return hit;
		const key = id.slice('misconception '.length) as MisconceptionId;
		const { item, answer } = showing.get(key)!;
		const idea = {
			attempt: misconceptions[key].attempt,
			questionHtml: mathHtml(item.stem),
			answerHtml: mathHtml(describeAnswer(item, answer))
		};
		return { ...hit, idea };
	});
}
