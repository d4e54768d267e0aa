import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { CLIENT, type RunningRosterService, serveRoster } from '../../../../../standins/rosterService/server';
import { thingsOf } from '../../../../../standins/rosterService/things';
import { failingAt, smallSchool, staffAs, type SmallSchool, TODAY } from '../../../../../tests/smallSchool';
import { writeOneRoster } from '../../../core/interchange/oneRoster/writeOneRoster';
import { addClasses } from '../../people/store/classes';
import { addStudents } from '../../people/store/enrollment';
import { rosterStudents } from '../../people/store/roster';
import { setRosterRules, rosterRules, rosterRuns } from '../../people/rosters/store/rosterRuns';
import { schoolNow } from '../../people/rosters/store/schoolNow';
import { applyRoster, figuresOf, planRun, takeBackRoster } from '../applyRoster';
import { keepRoster } from '../keepRoster';
import { dropRosterSource, keepRosterSource, rosterService, rosterSource } from '../store/rosterSources';
import { isSafeAddress, readService, schoolsOfService, type RosterService, UnreadableService } from './readService';
import { syncRosters } from './syncRosters';

/** Four in the morning at the school. */
const AT = new Date('2026-11-23T09:00:00Z');
const when = { today: TODAY, at: AT };
const coordinator = staffAs('coordinator');
let small: SmallSchool;
let running: RunningRosterService;
let service: RosterService;
let count = 0;

beforeAll(() => vi.stubEnv('ORDERLY_STANDINS', 'yes'));
afterAll(() => vi.unstubAllEnvs());
beforeEach(async () => {
	small = await smallSchool(`roster_service_${count++}`);
	const made = await addClasses(small.database, coordinator, [{ name: 'Dunlin', grade: 4 }], AT);
	if (!('ids' in made)) throw new Error('no class');
	const record = { familyName: 'Large', preferredName: null, grade: 4, birthDate: null };
	// More than a page of them.
	await addStudents(
		small.database,
		coordinator,
		Array.from({ length: 600 }, (_, i) => ({ ...record, givenName: `G${i}`, number: `L${i}`, classId: made.ids[0] })),
		{ from: '2026-08-20', at: AT }
	);
	const now = await schoolNow(small.database, 1, TODAY);
	const year = { startsOn: '2026-08-20', endsOn: '2027-06-11' };
	running = await serveRoster(
		thingsOf(
			writeOneRoster({ ...now, key: 'harbor' }, { sourcedId: 'org-1', name: 'School 1', homeClasses: 'homeroom', year })
		)
	);
	service = {
		address: running.address,
		tokenAddress: running.tokenAddress,
		clientId: CLIENT.id,
		clientSecret: CLIENT.secret
	};
});
afterEach(async () => {
	await running.stop();
	await small.database.close();
});

/** Fetches and keeps the roster; the run. */
async function fetched(): Promise<number> {
	const { records, problems, manifest } = await readService(service, 'org-1');
	expect(problems.told).toEqual([]);
	const brought = { sourcedId: 'org-1', records, isDelta: false, systemName: manifest.source, fileName: 'fetched' };
	const kept = await keepRoster(small.database, coordinator, small.school, brought, AT);
	if (!('run' in kept)) throw new Error(JSON.stringify(kept));
	return kept.run;
}
const plan = async (run: number) => (await planRun(small.database, 1, run, TODAY))!;
async function applied(run: number) {
	const { key } = await plan(run);
	expect(await applyRoster(small.database, coordinator, run, { key, isSure: true }, when)).not.toHaveProperty('not');
}
const names = async (today = TODAY) =>
	(await rosterStudents(small.database, { staff: coordinator, today })).map(
		({ id, givenName, familyName, className }) => `${id} ${givenName} ${familyName} ${className}`
	);

describe('a roster service', () => {
	it('gives the school as it is: its own people are found, and then nothing is to change', async () => {
		expect(await schoolsOfService(service)).toEqual([{ sourcedId: 'org-1', name: 'School 1' }]);
		const first = await fetched();
		const { changes, doubts } = await plan(first);
		expect([figuresOf(changes).join, figuresOf(changes).leave, doubts]).toEqual([undefined, undefined, []]);
		expect(figuresOf(changes).find).toBe(608);
		await applied(first);
		expect((await plan(await fetched())).changes).toEqual([]);
	});

	it('lets a term pass: who joins, leaves, moves and marries is planned, applied, and taken back', async () => {
		await applied(await fetched());
		const before = await names();
		const happened = running.passTerm();
		const run = await fetched();
		const figures = figuresOf((await plan(run)).changes);
		expect(figures).toMatchObject({ join: happened.join, leave: happened.leave, move: happened.move });
		await applied(run);
		const after = await names();
		expect(after).toHaveLength(before.length + happened.join - happened.leave);
		expect(after.filter((one) => one.includes('Heathfield') || one.includes('Sandstrom'))).toHaveLength(happened.marry);
		expect((await plan(await fetched())).changes).toEqual([]);
		await takeBackRoster(small.database, coordinator, run, when);
		expect(await names()).toEqual(before);
	});

	it('says in words why it cannot be read', async () => {
		const why = (change: Partial<RosterService>, school = 'org-1') =>
			readService({ ...service, ...change }, school).catch((problem) => {
				if (!(problem instanceof UnreadableService)) throw problem;
				return problem.message;
			});
		expect(await why({ clientSecret: 'wrong' })).toContain('refuses the client’s name or secret (401)');
		expect(await why({ tokenAddress: `${running.address}/elsewhere` })).toContain('answers with 404');
		expect(await why({ address: 'http://127.0.0.1:1' })).toContain('127.0.0.1:1 cannot be reached');
		expect(await why({ address: 'http://roster.invalid' })).toBe('The address is not one of https');
		expect(await why({ address: `${running.address}/x` })).toContain('404');
		running.setBroken(true);
		expect(await why({})).toContain('answers with 503');
	});

	it('is asked over TLS, but on this machine where stand-ins are', () => {
		expect(isSafeAddress('https://roster.invalid/x')).toBe(true);
		for (const address of ['http://roster.invalid', 'ftp://x', 'https://a:b@roster.invalid', 'file:///etc/passwd', 'x'])
			expect(isSafeAddress(address), address).toBe(false);
		expect(isSafeAddress('http://127.0.0.1:9')).toBe(true);
		vi.stubEnv('ORDERLY_STANDINS', '');
		expect(isSafeAddress('http://127.0.0.1:9')).toBe(false);
		vi.stubEnv('ORDERLY_STANDINS', 'yes');
	});

	it('has its secret kept where it cannot be read', async () => {
		const { database } = small;
		await keepRosterSource(database, coordinator, service, true, AT);
		expect(await rosterService(database, 1)).toEqual(service);
		const stored = await database.row<{ sealed: Buffer }>('SELECT client_secret AS sealed FROM roster_source');
		expect(stored!.sealed.includes(CLIENT.secret)).toBe(false);
		await keepRosterSource(database, coordinator, { ...service, clientId: 'other', clientSecret: null }, false, AT);
		expect(await rosterService(database, 1)).toEqual({ ...service, clientId: 'other' });
		expect(JSON.stringify(await database.rows('SELECT detail FROM audit_entry'))).not.toContain(CLIENT.secret);
		await dropRosterSource(database, coordinator, AT);
		expect(await rosterSource(database, 1)).toBeNull();
	});
});

describe('a night', () => {
	const night = async (at = AT) => {
		const steps = syncRosters(small.database, at);
		for (;;) {
			const step = await steps.next();
			if (step.done) return step.value.schools;
		}
	};
	const said = async () => {
		const source = await rosterSource(small.database, 1);
		return [source!.syncedWell, source!.syncSays];
	};
	beforeEach(() => keepRosterSource(small.database, coordinator, service, true, AT));

	it('comes once a day, after three at the school, for schools that want it', async () => {
		expect(await night(new Date('2026-11-23T07:00:00Z'))).toBe(0);
		expect([await night(), await night()]).toEqual([1, 0]);
		expect(await night(new Date('2026-11-24T09:00:00Z'))).toBe(1);
		await keepRosterSource(small.database, coordinator, service, false, AT);
		expect(await night(new Date('2026-11-25T09:00:00Z'))).toBe(0);
	});

	it('begins once a person has applied the first', async () => {
		await night();
		expect(await said()).toEqual([false, expect.stringContaining('No roster of the service was applied by hand yet')]);
	});

	it('applies what nobody need look at, and leaves nothing waiting', async () => {
		await applied(await fetched());
		await night();
		expect(await said()).toEqual([true, 'Nothing had changed.']);
		const happened = running.passTerm();
		await night(new Date('2026-11-24T09:00:00Z'));
		expect(await said()).toEqual([true, expect.stringMatching(/^\d+ changes were applied\.$/)]);
		expect(await names('2026-11-24')).toHaveLength(608 + happened.join - happened.leave);
		expect((await rosterRuns(small.database, 1, 9)).map(({ state }) => state)).toEqual([
			'applied',
			'set aside',
			'applied'
		]);
	});

	it('is told as our fault where it is, done for the day, and the job fails loudly', async () => {
		await applied(await fetched());
		running.passTerm();
		const broken = failingAt(small.database, 'INSERT INTO roster_run');
		const steps = syncRosters(broken, AT);
		await steps.next();
		await expect(steps.next()).rejects.toThrow('the rosters of 1 schools could not be fetched');
		expect(await said()).toEqual([false, expect.stringContaining('Something went wrong on our side')]);
		expect(await night()).toBe(0);
	});

	it('is not well where the roster is of nobody: that is no news of nothing', async () => {
		await applied(await fetched());
		running.empty();
		await night();
		expect(await said()).toEqual([false, expect.stringContaining('Not applied: Nobody is a student of this school')]);
		expect(await names()).toHaveLength(608);
	});

	it('leaves to a person what is unusual, or cannot be read', async () => {
		await applied(await fetched());
		await setRosterRules(
			small.database,
			coordinator,
			{ ...(await rosterRules(small.database, 1)), mostLeaving: 0 },
			AT
		);
		running.passTerm();
		await night();
		expect(await said()).toEqual([false, expect.stringMatching(/^Not applied: \d+ of 608 students would leave\.$/)]);
		expect(await names()).toHaveLength(608);
		running.setBroken(true);
		await night(new Date('2026-11-24T09:00:00Z'));
		expect(await said()).toEqual([false, expect.stringContaining('answers with 503')]);
	});
});
