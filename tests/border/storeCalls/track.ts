import { schoolField } from '../../../src/lib/server/standing/schoolField';
import * as paperProbes from '../../../src/lib/server/sitting/store/paperProbes';
import { paperForm } from '../../../src/lib/core/items/probeQuestions';
import * as probeSittings from '../../../src/lib/server/sitting/store/probeSittings';
import * as watches from '../../../src/lib/server/groups/store/watches';
import * as exits from '../../../src/lib/server/track/store/exits';
import * as growthMoves from '../../../src/lib/server/track/store/growthMoves';
import * as goals from '../../../src/lib/server/track/store/goals';
import * as levelChecks from '../../../src/lib/server/track/store/levelChecks';
import * as measureSeries from '../../../src/lib/server/track/store/measureSeries';
import * as phases from '../../../src/lib/server/track/store/phases';
import * as probes from '../../../src/lib/server/track/store/probes';
import * as readings from '../../../src/lib/server/track/store/readings';
import * as watch from '../../../src/lib/server/track/store/watch';
import * as seriesAnswers from '../../../src/lib/server/track/store/seriesAnswers';
import { GROWTH_PRIOR } from '../../../src/lib/core/growth';
import { newProbes, NOW, seen, TODAY } from '../../smallSchool';
import { all, checks, given, type Asking, type Call } from './asking';

const SOON = '2026-12-18';

const newPlan = ({ of, ownSkillId }: Asking) =>
	newProbes({ studentIds: of.students, skillId: ownSkillId, groupId: of.groups.a, startsOn: TODAY, goalOn: SOON });

const roster = ({ me }: Asking) => ({ staff: me.staff.specialist, today: TODAY });

/** The stores of the Track leg. */
export const trackCalls: [object, Record<string, Call>][] = [
	[
		probes,
		{
			dueProbes: all,
			isBegunSql: all,
			runningPlans: given(({ database, me }) =>
				probes.runningPlans(database, { staff: me.staff.specialist, today: TODAY })
			),
			probeSeries: given(({ database, me }) => probes.probeSeries(database, seen(...me.students), me.school)),
			seriesOfPlans: given(({ database, me }) => probes.seriesOfPlans(database, me.school, Object.values(me.plans))),
			letMakeUp: checks(({ database, me, of }) => probes.letMakeUp(database, me.staff.specialist, of.plans.b, 1, NOW)),
			startProbes: checks((asking) =>
				probes.startProbes(asking.database, asking.me.staff.specialist, newPlan(asking), NOW)
			),
			undoStartProbes: checks(
				({ database, me, of }) => probes.undoStartProbes(database, me.staff.specialist, Object.values(of.plans), NOW),
				async ({ database, of }) => {
					const ids = Object.values(of.plans);
					const probed = 'SELECT id FROM sitting WHERE COALESCE(plan_id, level_plan_id) IN (?)';
					await database.run('DELETE FROM series_reading WHERE plan_id IN (?)', [ids]);
					await database.run(`DELETE FROM answer WHERE sitting_id IN (${probed})`, [ids]);
					await database.run(`DELETE FROM sitting_item WHERE sitting_id IN (${probed})`, [ids]);
					await database.run('DELETE FROM level_score');
					await database.run('DELETE FROM sitting WHERE COALESCE(plan_id, level_plan_id) IN (?)', [ids]);
				}
			)
		}
	],
	[
		measureSeries,
		{
			beginMeasureSeries: checks(({ database, me, of }) =>
				measureSeries.beginMeasureSeries(
					database,
					me.staff.specialist,
					{
						...{ measure: 'reading aloud', startsOn: TODAY, goalOn: SOON },
						students: [{ id: of.students[2], sheetGrade: 4, goal: 90 }]
					},
					NOW
				)
			),
			takeBackMeasureSeries: checks(
				({ database, me, of }) =>
					measureSeries.takeBackMeasureSeries(database, me.staff.specialist, [of.measureSeries.a], NOW),
				({ database, of }) => database.run('DELETE FROM given_measure WHERE series_id = ?', [of.measureSeries.a])
			),
			endMeasureSeries: checks(({ database, me, of }) => {
				const series = { id: of.measureSeries.a, studentId: of.students[0] };
				return measureSeries.endMeasureSeries(database, me.staff.specialist, series, TODAY, NOW);
			}),
			newestGivings: given(({ database, me }) =>
				measureSeries.newestGivings(database, seen(...me.students), 'number fluency', me.school)
			),
			measureSeriesOf: given(({ database, me }) =>
				measureSeries.measureSeriesOf(database, seen(...me.students), me.school)
			)
		}
	],
	[
		goals,
		{
			changeGoal: checks(({ database, me, of }) =>
				goals.changeGoal(database, me.staff.specialist, { planId: of.plans.b, goalCorrect: 5, goalOn: '2027-02-01' })
			)
		}
	],
	[
		probeSittings,
		{
			beginProbe: given(({ database, me, skills }) =>
				probeSittings.beginProbe(
					database,
					{
						...{ id: me.plans.a, studentId: me.students[0], skillId: skills[0].id, skillCode: skills[0].code },
						...{ questions: 16, ofFocus: 10 }
					},
					2,
					skills,
					NOW
				)
			),
			placesOf: given(({ database, me, skills }) =>
				probeSittings.placesOf(database, {
					...{ studentId: me.students[0], skillId: skills[0].id, skillCode: skills[0].code },
					...{ questions: 16, ofFocus: 10 }
				})
			),
			wordsMet: given(({ database, me }) => probeSittings.wordsMet(database, me.students[0], ['x']))
		}
	],
	[
		watches,
		{
			sessionWatches: checks(({ database, me, of }) =>
				watches.sessionWatches(database, me.staff.specialist, [of.groups.a], '2026-01-01')
			),
			watchSession: checks(({ database, me, of }) =>
				watches.watchSession(
					database,
					me.staff.specialist,
					{ groupId: of.groups.a, on: TODAY, points: [true, true, true, true, false], note: '' },
					NOW
				)
			),
			takeBackWatch: checks(({ database, me, of }) =>
				watches.takeBackWatch(database, me.staff.specialist, of.watch, NOW)
			)
		}
	],
	[
		watch,
		{
			beginWatch: given(({ database, me }) => watch.beginWatch(database, me.staff.specialist, [me.plans.a], TODAY)),
			endWatch: given(({ database }) => watch.endWatch(database, [], TODAY))
		}
	],
	[exits, { exitsSince: given((asking) => exits.exitsSince(asking.database, roster(asking), '2026-01-01')) }],
	[
		paperProbes,
		{
			storePaperProbes: checks(async ({ database, me, of, skills }) => {
				const plan = { skillId: skills[0].id, skillCode: skills[0].code, questions: 16, ofFocus: 10 };
				const places = await probeSittings.placesOf(database, { ...plan, studentId: of.students[1] });
				return paperProbes.storePaperProbes(
					database,
					me.staff.specialist,
					{ letter: 'B', questions: paperForm(places, 'B').questions },
					[{ planId: of.plans.a, studentId: of.students[0], number: 9, missed: [] }],
					skills,
					{ on: NOW, at: NOW }
				);
			}),
			takeBackPaperProbes: checks(({ database, me, of }) =>
				paperProbes.takeBackPaperProbes(database, me.staff.specialist, of.paper, NOW)
			),
			paperFormsOf: given(({ database, me }) => paperProbes.paperFormsOf(database, Object.values(me.plans)))
		}
	],
	[
		growthMoves,
		{
			growthMoves: given(({ database, me }) => growthMoves.growthMoves(database, me.base)),
			movesMadeOf: given(({ database, me }) => growthMoves.movesMadeOf(database, me.base)),
			keepMoves: given(({ database, me }) =>
				growthMoves.keepMoves(database, me.base, { ...GROWTH_PRIOR, series: 31 }, Buffer.alloc(16), NOW)
			),
			plansToPool: given(({ database, me }) => growthMoves.plansToPool(database, me.base, { probes: 1, most: 9 }))
		}
	],
	[
		levelChecks,
		{
			levelChecksToDo: given(async ({ database, me, skills }) =>
				levelChecks.levelChecksToDo(
					database,
					await probes.probeSeries(database, seen(...me.students), me.school),
					(id) => skills.find((skill) => skill.id === id)!.domainId,
					'2026-12-14'
				)
			),
			levelsOf: given(({ database, me }) => levelChecks.levelsOf(database, seen(...me.students)))
		}
	],
	[
		phases,
		{
			phasesOf: given(({ database, me }) =>
				phases.phasesOf(database, [
					{ id: me.plans.a, studentId: seen(me.students[0])[0], groupId: me.groups.a, startsOn: '2026-01-01' }
				])
			)
		}
	],
	[
		readings,
		{
			keptReadings: given(({ database, me }) =>
				readings.keptReadings(database, Object.values(me.plans), Buffer.alloc(16))
			),
			revisionsOf: given(({ database, me }) => readings.revisionsOf(database, Object.values(me.plans))),
			keepReadings: given(({ database, me }) =>
				readings.keepReadings(database, [{ planId: me.plans.a, revision: 0, reading: {} as never }], Buffer.alloc(16))
			),
			keptText: given(() => readings.keptText({} as never)),
			forgetReadingsOf: given(({ database, me }) => readings.forgetReadingsOf(database, me.students)),
			plansWithReadings: given(({ database, me }) => readings.plansWithReadings(database, me.base)),
			forgetReadings: given(({ database, me }) => readings.forgetReadings(database, [me.plans.a]))
		}
	],
	[
		seriesAnswers,
		{
			seriesAnswers: given(async ({ database, me }) =>
				seriesAnswers.seriesAnswers(database, await schoolField(database, me.base), [{ id: me.plans.a, aWeek: 1 }])
			)
		}
	]
];
