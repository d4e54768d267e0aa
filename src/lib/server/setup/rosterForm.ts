import Type from 'typebox';
import { RULED_FIELDS } from '../../core/interchange/roster/schoolRoster';
import { fullName, plural } from '../../core/words';
import { enrolledByIds, schoolNow, setRosterAside, setRosterRules } from '../people';
import { fail } from '@sveltejs/kit';
import { fileForm, formCheck, id, oneOf, readFile } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { applyRoster, takeBackRoster } from './applyRoster';
import { keepRoster } from './keepRoster';
import { isSafeAddress, readService, schoolsOfService, UnreadableService } from './rosterService/readService';
import { dropRosterSource, keepRosterSource, rosterService } from './store/rosterSources';

/** Bytes of a package; of 50,000 students it has a fifth. */
const LARGEST = 30_000_000;
/** A package of a whole district takes a while; others are served meanwhile. */
const PATIENCE_MS = 90_000;

const sourcedId = Type.String({ maxLength: 255, default: '' });
const bringForm = formCheck(Type.Object({ school: sourcedId }), fileForm(LARGEST));
const runForm = formCheck(Type.Object({ run: id }));
const applyForm = formCheck(
	Type.Object({
		run: id,
		key: Type.String({ pattern: '^[0-9a-f]{64}$' }),
		sure: Type.Optional(oneOf(['yes']))
	})
);
const rulesForm = formCheck(
	Type.Object({
		homeClasses: oneOf(['', 'homeroom', 'scheduled']),
		sections: Type.String({ maxLength: 300, default: '' }),
		ours: Type.Array(oneOf(RULED_FIELDS), { maxItems: RULED_FIELDS.length, uniqueItems: true, default: [] }),
		birthDates: Type.Optional(oneOf(['yes'])),
		mostLeaving: Type.Integer({ minimum: 0, maximum: 100 })
	})
);

/** Words with commas between them, in small letters. */
const wordsIn = (text: string) => [
	...new Set(
		text
			.toLowerCase()
			.split(',')
			.map((word) => word.trim())
			.filter(Boolean)
	)
];

const address = Type.String({ minLength: 8, maxLength: 300 });
const serviceForm = formCheck(
	Type.Object({
		address,
		tokenAddress: address,
		clientId: Type.String({ minLength: 1, maxLength: 200 }),
		clientSecret: Type.String({ maxLength: 200, default: '' }),
		nightly: Type.Optional(oneOf(['yes']))
	})
);
const fetchForm = formCheck(Type.Object({ school: sourcedId }));
const nothingForm = formCheck(Type.Object({}));

const WHY_NOT = {
	gone: 'This roster does not wait any more',
	changed: 'The school has changed since this plan was shown; look through it again',
	'many leave': 'More would leave than is usual: look through them, and say that they do'
};

/** The form actions of the page about rosters from elsewhere. */
export const rosterActions = {
	bring: staffAction('set up the school', bringForm, async ({ staff, school, database, at, form, file }) => {
		if (!file) return refuse('Choose a file');
		const now = await schoolNow(database, school.id, school.today);
		const asked = { content: await file.bytes(), sourcedId: form.school || now.sourcedId, name: now.name };
		const read = await readFile('roster', asked, PATIENCE_MS);
		if ('problem' in read) return refuse(read.problem);
		const { own, problems, schools, isDelta, systemName } = read.found;
		if (problems.count) return fail(400, { problems });
		if (!own) return schools.length ? fail(400, { schools }) : refuse('There is no school in this roster');
		const kept = await keepRoster(
			database,
			staff,
			school,
			{ ...own, isDelta, systemName, fileName: file.name || 'roster.zip' },
			at
		);
		if ('problem' in kept) return refuse(kept.problem);
		if ('problems' in kept) return fail(400, { problems: kept.problems });
		return { done: 'The roster is read. Nothing is changed before you apply it.' };
	}),
	service: staffAction('set up the school', serviceForm, async ({ staff, database, at, form }) => {
		const service = {
			...form,
			address: form.address.trim().replace(/\/+$/, ''),
			tokenAddress: form.tokenAddress.trim()
		};
		if (![service.address, service.tokenAddress].every(isSafeAddress))
			return refuse('Give addresses that begin with https://, without a name or password in them');
		const clientSecret = form.clientSecret || null;
		const isKept = await keepRosterSource(database, staff, { ...service, clientSecret }, form.nightly === 'yes', at);
		return isKept
			? { done: 'The service is kept. Fetch the roster to see whether it answers.' }
			: refuse('Give the secret');
	}),
	dropService: staffAction('set up the school', nothingForm, async ({ staff, database, at }) => {
		await dropRosterSource(database, staff, at);
		return { done: 'The service is forgotten. Who came by it stays.' };
	}),
	/** Fetches the roster from the service, to be looked through. */
	fetch: staffAction('set up the school', fetchForm, async ({ staff, school, database, at, form }) => {
		const service = await rosterService(database, school.id);
		if (!service) return refuse('Say first where the service is');
		try {
			const { sourcedId: known, name } = await schoolNow(database, school.id, school.today);
			const schools = await schoolsOfService(service);
			const named = schools.filter((one) => one.name.toLowerCase() === name.toLowerCase());
			const asked = form.school || (known ?? (named.length === 1 ? named[0].sourcedId : ''));
			if (!schools.some((one) => one.sourcedId === asked))
				return schools.length ? fail(400, { schools, isFromService: true }) : refuse('The service has no school');
			const { manifest, records, problems } = await readService(service, asked);
			if (problems.count) return fail(400, { problems: { told: problems.told, count: problems.count } });
			const brought = { sourcedId: asked, records, isDelta: false, systemName: manifest.source, fileName: 'fetched' };
			const kept = await keepRoster(database, staff, school, brought, at);
			if ('problem' in kept) return refuse(kept.problem);
			if ('problems' in kept) return fail(400, { problems: kept.problems });
			return { done: 'The roster is fetched. Nothing is changed before you apply it.' };
		} catch (problem) {
			if (problem instanceof UnreadableService) return refuse(`${problem.message}. Nothing was changed.`);
			throw problem;
		}
	}),
	apply: staffAction('set up the school', applyForm, async ({ staff, school, database, at, form }) => {
		const { today } = school;
		const given = { key: form.key, isSure: form.sure === 'yes' };
		const applied = await applyRoster(database, staff, form.run, given, { today, at });
		if ('not' in applied) return refuse(WHY_NOT[applied.not]);
		const count = Object.values(applied.figures).reduce((sum, one) => sum + one, 0);
		return {
			done: `The roster is applied: ${plural(count, 'change')}, from today on.`,
			undo: { action: '?/undo', fields: { run: String(form.run) } }
		};
	}),
	undo: staffAction('set up the school', runForm, async ({ staff, school, database, at, form }) => {
		const { today } = school;
		const back = await takeBackRoster(database, staff, form.run, { today, at });
		if (!back) return refuse('Only the newest roster can be taken back, within 14 days');
		const { stay, ended } = back;
		const names = (await enrolledByIds(database, staff, stay, today)).map(fullName);
		const but = [
			...(stay.length
				? [
						`${plural(stay.length, 'student')} of whom something has come already: ${new Intl.ListFormat('en-US').format(names)}`
					]
				: []),
			...(ended.length ? [`${plural(ended.length, 'class', 'classes')} whose name another has by now`] : [])
		];
		return { done: `The roster is taken back${but.length ? `, but for ${but.join(', and ')}` : ''}.` };
	}),
	setAside: staffAction('set up the school', runForm, async ({ staff, database, at, form }) =>
		(await setRosterAside(database, staff, form.run, at))
			? { done: 'The roster is set aside. Nothing was changed.' }
			: refuse('It does not wait any more')
	),
	rules: staffAction('set up the school', rulesForm, async ({ staff, database, at, form }) => {
		const rules = {
			homeClasses: form.homeClasses || null,
			sections: wordsIn(form.sections),
			ours: form.ours,
			takesBirthDates: form.birthDates === 'yes',
			mostLeaving: form.mostLeaving
		};
		const before = await setRosterRules(database, staff, rules, at);
		return {
			done: 'From now on rosters are taken this way.',
			undo: {
				action: '?/rules',
				fields: {
					homeClasses: before.homeClasses ?? '',
					sections: before.sections.join(', '),
					ours: before.ours,
					mostLeaving: String(before.mostLeaving),
					...(before.takesBirthDates ? { birthDates: 'yes' } : {})
				}
			}
		};
	})
};
