import { schoolsOf, splitBySchool } from '../../core/interchange/oneRoster/rosterOfSchool';
import type { ReadRoster } from '../../core/interchange/oneRoster/rosterReader';
import type { RootDatabase } from '../database';
import { type RosterFigures, rosterRules, schoolsWithCoordinator, setRosterAside } from '../people';
import type { Staff } from '../request';
import { findSchool } from '../school';
import { applyRoster, figuresOf, leavesMany, planRun } from './applyRoster';
import { type BroughtRoster, keepRoster } from './keepRoster';

/** What came of a roster for one school. */
export interface SchoolOutcome {
	school: string;
	/** What the plan says, or what was done. */
	figures: RosterFigures;
	/** What a person has to settle. */
	doubts: number;
	became: 'not kept' | 'waits' | 'nothing to change' | 'applied';
	/** Why it waits or was not kept; empty where that needs no reason. */
	says: string;
}

/**
 * Brings a roster to every school of the installation that it knows, one after another: each is a run of its own, in the
 * name of the school's first coordinator. What stopped half way is gone on with by doing it again: a school for which it
 * was applied has nothing more to change.
 *
 * @param apply whether it is applied at once where no more leave than is usual; else it waits to be looked at
 */
export async function* rostersOfAll(
	database: RootDatabase,
	{ manifest, records }: ReadRoster,
	{ fileName, apply, at }: { fileName: string; apply: boolean; at: Date }
): AsyncGenerator<SchoolOutcome, void> {
	const known = schoolsOf(records);
	const schools = (await schoolsWithCoordinator(database)).flatMap(({ staff, sourcedId, name }) => {
		const there =
			known.find((one) => one.sourcedId === sourcedId) ??
			(sourcedId === null ? known.find((one) => one.name.toLowerCase() === name.toLowerCase()) : undefined);
		const id = there?.sourcedId ?? (manifest.isDelta ? sourcedId : null);
		return id === null ? [] : [{ staff, name, sourcedId: id }];
	});
	const parts = manifest.isDelta
		? null
		: splitBySchool(
				records,
				schools.map(({ sourcedId }) => sourcedId)
			);
	for (const { staff, name, sourcedId } of schools) {
		const brought = {
			sourcedId,
			records: parts?.get(sourcedId) ?? records,
			isDelta: manifest.isDelta,
			systemName: manifest.source,
			fileName
		};
		yield await bringOne(database, staff, { name, brought, apply, at });
	}
}

/**
 * Brings a roster to one school.
 *
 * @param apply whether it is applied at once where no more leave than is usual; else it waits to be looked at
 */
export async function bringOne(
	database: RootDatabase,
	staff: Staff,
	{ name, brought, apply, at }: { name: string; brought: BroughtRoster; apply: boolean; at: Date }
): Promise<SchoolOutcome> {
	const school = await findSchool(database, staff.schoolId, at);
	const kept = await keepRoster(database, staff, school, brought, at);
	if (!('run' in kept))
		return {
			school: name,
			figures: {},
			doubts: 0,
			became: 'not kept',
			says: 'problem' in kept ? kept.problem : `${kept.problems.count} things in it are wrong`
		};
	const { run } = kept;
	const plan = (await planRun(database, staff.schoolId, run, school.today))!;
	const found = { school: name, figures: figuresOf(plan.changes), doubts: plan.doubts.length };
	const waits = (says = ''): SchoolOutcome => ({ ...found, became: 'waits', says });
	const { mostLeaving } = await rosterRules(database, staff.schoolId);
	if (!apply) return waits();
	if (leavesMany(plan, mostLeaving)) return waits(`${plan.leaving.count} of ${plan.leaving.of} students would leave`);
	if (plan.changes.length === 0 && plan.doubts.length === 0) {
		await setRosterAside(database, staff, run, at);
		return { ...found, became: 'nothing to change', says: '' };
	}
	const given = { key: plan.key, isSure: false };
	const done = await applyRoster(database, staff, run, given, { today: school.today, at });
	return 'not' in done ? waits('the school changed meanwhile') : { ...found, became: 'applied', says: '' };
}
