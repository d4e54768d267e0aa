import * as rosterChanges from '../../../src/lib/server/people/rosters/store/rosterChanges';
import * as rosterSources from '../../../src/lib/server/setup/store/rosterSources';
import * as rosterRuns from '../../../src/lib/server/people/rosters/store/rosterRuns';
import * as now from '../../../src/lib/server/people/rosters/store/schoolNow';
import { NOW, TODAY } from '../../smallSchool';
import { all, checks, given, type Asking, type Call } from './asking';

const record = {
	givenName: 'New',
	familyName: 'Student',
	preferredName: null,
	number: null,
	grade: 4,
	birthDate: null
};
const service = { address: 'https://roster.invalid', tokenAddress: 'https://roster.invalid/token', clientId: 'c' };
const named = { name: 'Dunlin', grade: 4 };
const done = {
	classes: { added: [], renewed: [], ended: [] },
	students: { added: [], renewed: [], ways: [], gradesFrom: TODAY },
	adults: { added: [], renewed: [], ofClasses: [] }
};
const applied = { done, figures: { join: 1 }, sourcedId: 'org-1' };
/** Lets the run that waits be applied. */
const apply = ({ database, of }: Asking) =>
	rosterRuns.markApplied(database, of.staff.coordinator, of.rosterRun, applied, NOW);
/** A class, and an account, that a roster brought and of which nothing has come. */
const bringUnused = async ({ database, of }: Asking) => {
	const { coordinator } = of.staff;
	await rosterChanges.addRosteredClasses(
		database,
		coordinator,
		[{ sourcedId: `unused-${of.base}`, isSection: false, after: named }],
		NOW
	);
	const adult = { displayName: 'Unused', email: null };
	await rosterChanges.addRosteredAdults(
		database,
		coordinator,
		[{ sourcedId: `unused-${of.base}`, userName: `unused-${of.base}`, after: adult }],
		NOW
	);
};
const unused = async ({ database, of }: Asking, table: 'class' | 'account') =>
	(await database.rows<{ id: number }>(`SELECT id FROM ${table} WHERE sourced_id = ?`, [`unused-${of.base}`])).map(
		({ id }) => id
	);

/** Of rosters from elsewhere. */
export const rosterCalls: [object, Record<string, Call>][] = [
	[
		rosterSources,
		{
			rosterSource: given(({ database, me }) => rosterSources.rosterSource(database, me.base)),
			rosterService: given(({ database, me }) => rosterSources.rosterService(database, me.base)),
			keepRosterSource: given(({ database, me }) =>
				rosterSources.keepRosterSource(database, me.staff.coordinator, { ...service, clientSecret: null }, true, NOW)
			),
			dropRosterSource: given(({ database, me }) =>
				rosterSources.dropRosterSource(database, me.staff.coordinator, NOW)
			),
			// For the job that asks for the rosters of all schools.
			nightlySchools: all,
			noteSync: given(({ database, me }) =>
				rosterSources.noteSync(database, me.base, { on: TODAY, isWell: true, says: 'Nothing had changed.' })
			)
		}
	],
	[
		now,
		{
			schoolNow: given(({ database, me }) => now.schoolNow(database, me.base, TODAY)),
			// For the operator's command, about every school.
			schoolsWithCoordinator: all
		}
	],
	[
		rosterRuns,
		{
			rosterRules: given(({ database, me }) => rosterRuns.rosterRules(database, me.base)),
			setRosterRules: given(({ database, me }) =>
				rosterRuns.setRosterRules(
					database,
					me.staff.coordinator,
					{ homeClasses: 'scheduled', sections: [], ours: ['grade'], takesBirthDates: false, mostLeaving: 20 },
					NOW
				)
			),
			rosterRuns: given(({ database, me }) => rosterRuns.rosterRuns(database, me.base, 20)),
			holdRoster: given(({ database, me }) => rosterRuns.holdRoster(database, me.staff.coordinator)),
			addRosterRun: given(async ({ database, me }) =>
				rosterRuns.addRosterRun(
					database,
					me.staff.coordinator,
					{
						fileName: 'roster.zip',
						systemName: '',
						isDelta: false,
						records: (await rosterRuns.waitingRecords(database, me.base, me.rosterRun))!
					},
					NOW
				)
			),
			waitingRecords: checks(({ database, me, of }) => rosterRuns.waitingRecords(database, me.base, of.rosterRun)),
			recordsInForce: given(({ database, me }) => rosterRuns.recordsInForce(database, me.base)),
			setRosterAside: checks(({ database, me, of }) =>
				rosterRuns.setRosterAside(database, me.staff.coordinator, of.rosterRun, NOW)
			),
			markApplied: checks(({ database, me, of }) =>
				rosterRuns.markApplied(database, me.staff.coordinator, of.rosterRun, applied, NOW)
			),
			takeableBack: checks(
				({ database, me, of }) => rosterRuns.takeableBack(database, me.staff.coordinator, of.rosterRun, NOW),
				apply
			),
			markUndone: given(({ database, me }) => rosterRuns.markUndone(database, me.staff.coordinator, me.rosterRun, NOW))
		}
	],
	[
		rosterChanges,
		{
			addRosteredClasses: given(({ database, me }) =>
				rosterChanges.addRosteredClasses(
					database,
					me.staff.coordinator,
					[{ sourcedId: 'c', isSection: false, after: named }],
					NOW
				)
			),
			addRosteredStudents: given(({ database, me }) =>
				rosterChanges.addRosteredStudents(
					database,
					me.staff.coordinator,
					[{ sourcedId: 's', after: record, classId: me.classes.a }],
					{ from: TODAY, at: NOW }
				)
			),
			addRosteredAdults: given(({ database, me }) =>
				rosterChanges.addRosteredAdults(
					database,
					me.staff.coordinator,
					[{ sourcedId: 'a', userName: 'new.teacher', after: { displayName: 'New Teacher', email: null } }],
					NOW
				)
			),
			renewRows: checks(({ database, me, of }) =>
				rosterChanges.renewRows(
					database,
					me.staff.coordinator,
					'student',
					[{ id: of.students[0], sourcedId: 's-1', before: record, after: { ...record, givenName: 'Other' } }],
					NOW
				)
			),
			putBackRows: checks(
				({ database, me, of }) =>
					rosterChanges.putBackRows(
						database,
						me.staff.coordinator,
						'class',
						[{ id: of.classes.a, sourcedId: null, before: named, after: { name: 'Renamed', grade: 4 } }],
						NOW
					),
				({ database, of }) => database.run(`UPDATE class SET name = 'Renamed' WHERE id = ?`, [of.classes.a])
			),
			removeUnusedAdults: checks(
				async (asking) =>
					rosterChanges.removeUnusedAdults(
						asking.database,
						asking.me.staff.coordinator,
						await unused(asking, 'account'),
						NOW
					),
				bringUnused
			),
			removeUnusedClasses: checks(
				async (asking) =>
					rosterChanges.removeUnusedClasses(
						asking.database,
						asking.me.staff.coordinator,
						await unused(asking, 'class'),
						NOW
					),
				bringUnused
			)
		}
	]
];
