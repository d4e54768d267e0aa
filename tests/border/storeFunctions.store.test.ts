import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Database, RootDatabase } from '../../src/lib/server/database/pool';
import { refreshSummaries, storedSummaries } from '../../src/lib/server/standing/summaries';
import { skillList } from '../../src/lib/server/library/store/skills';
import type { Asking, Call } from './storeCalls/asking';
import { decideCalls } from './storeCalls/decide';
import { deedCalls, groupCalls } from './storeCalls/groups';
import { materialCalls } from './storeCalls/materials';
import { peopleCalls } from './storeCalls/people';
import { practiceCalls } from './storeCalls/practice';
import { correctionCalls } from './storeCalls/corrections';
import { resultsCalls } from './storeCalls/results';
import { rosterCalls } from './storeCalls/rosters';
import { screeningCalls } from './storeCalls/screening';
import { setupCalls } from './storeCalls/setup';
import { trackCalls } from './storeCalls/track';
import { workCalls } from './storeCalls/work';
import { idsIn, twoSchools } from './twoSchools';
import { followWays } from './ways';

/** Each store, with how its functions are tried. */
const tried = new Map([
	...peopleCalls,
	...screeningCalls,
	...setupCalls,
	...rosterCalls,
	...groupCalls,
	...materialCalls,
	...practiceCalls,
	...resultsCalls,
	...correctionCalls,
	...trackCalls,
	...decideCalls,
	...workCalls
]);
const stores = import.meta.glob<Record<string, unknown>>(['../../src/lib/server/**/store/*.ts', '!**/*.test.ts'], {
	eager: true
});

let schools: Awaited<ReturnType<typeof twoSchools>>;
let follow: Awaited<ReturnType<typeof followWays>>;
let ownSkills: Map<number, number>;
/** Tables with the SQL of what the other school has in them. */
let fingerprints: [string, string][];
/** What the other school has before anything is tried: each try is taken back. */
let untouched: Record<string, string>;

beforeAll(async () => {
	schools = await twoSchools('store_functions');
	const { database, one, other } = schools;
	follow = await followWays(database);
	ownSkills = new Map();
	for (const { base } of [one, other])
		ownSkills.set(base, (await skillList(database, base)).find(({ code }) => code === 'X11')!.id);
	const columns = await database.rows<{ of: string; name: string }>(
		`SELECT table_name AS \`of\`, column_name AS name FROM information_schema.columns WHERE table_schema = DATABASE()`
	);
	fingerprints = [...follow.ways]
		.filter(([table, way]) => way.length || table === 'school')
		.map(([table]) => {
			const all = columns.filter((column) => column.of === table).map(({ name }) => `COALESCE(t.\`${name}\`, 'null')`);
			return [
				table,
				`SELECT COUNT(*) AS n, COALESCE(SUM(CRC32(CONCAT_WS('|', ${all.join(', ')}))), 0) AS face
				FROM ${table} t WHERE ${follow.schoolOf(table, 't')} = ${other.base}`
			];
		});
	await refreshSummaries(database, one.students);
	untouched = await otherSchool(database);
});
afterAll(() => schools.database.close());

/** What the other school has, table by table. */
async function otherSchool(database: Database): Promise<Record<string, string>> {
	const faces: Record<string, string> = {};
	for (const [table, sql] of fingerprints) {
		const { n, face } = (await database.row<{ n: number; face: string }>(sql))!;
		faces[table] = `${n} rows, ${face}`;
	}
	return faces;
}

/** Rows that this connection has written so far. */
async function written(database: Database): Promise<number> {
	const rows = await database.rows<{ Value: string }>(
		`SHOW SESSION STATUS WHERE Variable_name IN ('Handler_write', 'Handler_update', 'Handler_delete')`
	);
	return rows.reduce((sum, { Value }) => sum + Number(Value), 0);
}

class TakeBack extends Error {}

/** Does something in one transaction, in which those within are savepoints, and takes all of it back. */
async function andTakeBack(work: (database: RootDatabase) => Promise<void>): Promise<void> {
	await schools.database
		.transaction(async (connection) => {
			let depth = 0;
			const root: RootDatabase = {
				...connection,
				async transaction(within) {
					const name = `within${++depth}`;
					await connection.run(`SAVEPOINT ${name}`);
					try {
						return await within(connection);
					} catch (error) {
						await connection.run(`ROLLBACK TO SAVEPOINT ${name}`);
						throw error;
					}
				},
				close: async () => {}
			};
			await work(root);
			throw new TakeBack();
		})
		.catch((error) => {
			if (!(error instanceof TakeBack)) throw error;
		});
}

const asText = (answer: unknown) =>
	JSON.stringify(answer, (_, value) => (value instanceof Map || value instanceof Set ? [...value] : value)) ?? '';

/** What came of trying a function: its answer or refusal, and what it did. */
interface Outcome {
	said: string;
	/** Ids of the other school in the answer. */
	told: number[];
	/** Tables in which the other school's rows are different now, and references between the schools. */
	harmed: string[];
	hasWritten: boolean;
	/** Summaries of the asking school's students that are not what they come to when they are made anew. */
	stale: string[];
}

/** Tries a function with rows of a school, by staff of the first one. */
async function outcomeOf(call: Call, whose: 'own' | 'other'): Promise<Outcome> {
	const { one, other, skills } = schools;
	const of = whose === 'own' ? one : other;
	let outcome: Outcome;
	await andTakeBack(async (database) => {
		const asking: Asking = { database, me: one, of, skills, ownSkillId: ownSkills.get(of.base)! };
		let before = untouched;
		if (call.before) {
			await call.before(asking);
			await refreshSummaries(database, one.students);
			before = await otherSchool(database);
		}
		const writtenBefore = await written(database);
		let said: string;
		try {
			said = asText(await call.run(asking));
		} catch (error) {
			said = `refused: ${(error as Error).message}`;
		}
		const hasWritten = (await written(database)) > writtenBefore;
		const harmed: string[] = [];
		let stale: string[] = [];
		if (hasWritten) {
			const after = await otherSchool(database);
			for (const table of Object.keys(before)) if (before[table] !== after[table]) harmed.push(table);
			harmed.push(...(await follow.crossing(database)));
			const kept = await storedSummaries(database, one.students);
			await refreshSummaries(database, one.students);
			const anew = await storedSummaries(database, one.students);
			stale = [...new Set([...kept.keys(), ...anew.keys()])].filter((key) => kept.get(key) !== anew.get(key));
		}
		const told = said.startsWith('refused') ? [] : idsIn(said).filter((id) => id > other.base);
		outcome = { said, told, harmed, hasWritten, stale };
	});
	return outcome!;
}

/** What came of the functions with rows of the asking school. */
const own = new Map<Call, Promise<Outcome>>();
function ownOutcome(call: Call): Promise<Outcome> {
	const known = own.get(call) ?? outcomeOf(call, 'own');
	own.set(call, known);
	return known;
}

const functionsOf = (store: object) =>
	Object.entries(store)
		.filter(([, value]) => typeof value === 'function' && !/^class\b/.test(String(value)))
		.map(([name]) => name);

/** Every function that is tried, with its store's name. */
const cases = [
	...Object.entries(stores).flatMap(([path, store]) =>
		Object.entries(tried.get(store) ?? {}).map(
			([name, call]) => [`${path.split('/').at(-1)!.replace('.ts', '')}: ${name}`, call] as const
		)
	),
	...Object.entries(deedCalls).map(([name, call]) => [`groupChanges: ${name}`, call] as const)
];

describe('every function of the store', () => {
	it('is named here', () => {
		const missing = Object.entries(stores).flatMap(([path, store]) =>
			functionsOf(store)
				.filter((name) => !tried.get(store)?.[name])
				.map((name) => `${path}: ${name}`)
		);
		expect(missing).toEqual([]);
	});

	it.each(cases.filter(([, { kind }]) => kind !== 'all'))(
		'%s keeps to its own school when it is asked for what is its own, and keeps the summaries right',
		async (_, call) => {
			const { told, harmed, said, stale } = await ownOutcome(call);
			expect(said).not.toMatch(/^refused/);
			expect({ told, harmed, stale }).toEqual({ told: [], harmed: [], stale: [] });
		}
	);

	it.each(cases.filter(([, { kind }]) => kind === 'checks'))(
		'%s neither tells nor changes what is another school’s, nor refers to it',
		async (_, call) => {
			const { told, harmed, said, hasWritten } = await outcomeOf(call, 'other');
			expect({ told, harmed }).toEqual({ told: [], harmed: [] });
			// With own rows it does something, else this would prove nothing.
			const asked = await ownOutcome(call);
			expect({ said: asked.said, hasWritten: asked.hasWritten }).not.toEqual({ said, hasWritten });
		}
	);
});
