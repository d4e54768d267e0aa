import { randomUUID } from 'node:crypto';
import * as adaptiveSittings from '../../../src/lib/server/sitting/store/adaptiveSittings';
import * as cutScores from '../../../src/lib/server/screen/store/cutScores';
import * as levelScores from '../../../src/lib/server/screen/store/levelScores';
import * as diagnostics from '../../../src/lib/server/screen/store/diagnostics';
import * as diagnosticScores from '../../../src/lib/server/screen/store/diagnosticScores';
import * as givenMeasures from '../../../src/lib/server/screen/store/givenMeasures';
import * as outcomes from '../../../src/lib/server/screen/store/outcomes';
import * as parameters from '../../../src/lib/server/screen/store/parameters';
import * as places from '../../../src/lib/server/screen/store/places';
import * as scores from '../../../src/lib/server/screen/store/scores';
import * as windows from '../../../src/lib/server/screen/store/windows';
import { domainList } from '../../../src/lib/server/library/store/skills';
import { NOW, seen, seenOne, TODAY } from '../../smallSchool';
import { all, checks, given, type Asking, type Call } from './asking';

const marked = ({ of }: Asking) => ({
	id: randomUUID(),
	givenFor: { windowId: of.windows.measure },
	studentId: of.students[2],
	sheetGrade: 4,
	sheetLength: 120,
	seconds: 60,
	reached: 90,
	missed: [3]
});

const score = (studentId: number) => ({ studentId, domainId: 0, theta: 0, standardError: 0.3, takenOn: TODAY });

async function scored({ database, me, skills }: Asking) {
	return diagnosticScores.scoreDiagnostic(await diagnosticScores.diagnosticAnswers(database, me.sittings.a), {
		grade: 4,
		term: 2,
		adaptive: false,
		skills,
		domains: await domainList(database, me.base),
		parameters: await parameters.parameterSet(database, null),
		timeZone: me.school.timeZone
	});
}

export const screeningCalls: [object, Record<string, Call>][] = [
	[
		adaptiveSittings,
		{
			beginDiagnostic: given(({ database, me, skills }) =>
				adaptiveSittings.beginDiagnostic(
					database,
					{ id: me.students[1], grade: 4 },
					{ window: { id: me.windows.diagnostic, subject: 'Mathematics', term: 2, mode: 'adaptive' }, attempt: 1 },
					skills,
					NOW
				)
			),
			beginLevelCheck: given(({ database, me, skills, ownSkillId }) =>
				adaptiveSittings.beginLevelCheck(
					database,
					me.students[0],
					{ planId: me.plans.a, domainId: skills.find(({ id }) => id !== ownSkillId)!.domainId, place: 'end' },
					skills,
					NOW
				)
			),
			goOn: given(({ database, me, skills }) => adaptiveSittings.goOn(database, [me.sittings.a], skills))
		}
	],
	[
		levelScores,
		{
			scoreLevelCheck: given(({ database, me, skills }) =>
				levelScores.scoreLevelCheck(database, me.sittings.a, skills, me.school)
			)
		}
	],
	[
		diagnostics,
		{
			finishDiagnostic: given(({ database, me, skills }) =>
				diagnostics.finishDiagnostic(database, me.sittings.a, skills, me.school)
			),
			rescoreDiagnostic: given(({ database, me, skills }) =>
				diagnostics.rescoreDiagnostic(database, me.sittings.a, skills, me.school)
			),
			decideTrust: checks(
				({ database, me, of, skills }) =>
					diagnostics.decideTrust(
						database,
						me.staff.specialist,
						{ sittingId: of.sittings.a, decision: 'kept' },
						skills,
						me.school,
						NOW
					),
				({ database, of }) =>
					database.run(`UPDATE sitting SET trust = 'flagged', finished_at = ?, item_count = answered WHERE id = ?`, [
						NOW,
						of.sittings.a
					])
			),
			endSitting: checks(({ database, me, of, skills }) =>
				diagnostics.endSitting(database, me.staff.specialist, of.sittings.a, skills, me.school, NOW)
			)
		}
	],
	[
		diagnosticScores,
		{
			notYetCounts: given(({ database, me }) =>
				diagnosticScores.notYetCounts(database, me.windows.diagnostic, seen(...me.students))
			),
			diagnosticAnswers: given(({ database, me }) => diagnosticScores.diagnosticAnswers(database, me.sittings.a)),
			domainsAsked: given(({ skills }) => diagnosticScores.domainsAsked(skills)),
			scoredAnswers: given(scored),
			scoreDiagnostic: given(scored)
		}
	],
	[
		givenMeasures,
		{
			saveMeasure: checks((asking) =>
				givenMeasures.saveMeasure(asking.database, asking.me.staff.specialist, marked(asking), NOW)
			),
			windowMeasures: given(({ database, me }) =>
				givenMeasures.windowMeasures(database, me.windows.measure, seen(...me.students))
			),
			measuredStudent: checks(({ database, me, of }) =>
				givenMeasures.measuredStudent(database, me.staff.specialist, of.measures.a)
			),
			setMeasureAside: checks(({ database, me, of }) =>
				givenMeasures.setMeasureAside(database, me.staff.specialist, of.measures.a, true, NOW)
			)
		}
	],
	[
		outcomes,
		{
			outcomeNames: given(({ database, me }) => outcomes.outcomeNames(database, me.base)),
			outcomes: checks(({ database, me, of }) => outcomes.outcomes(database, me.base, `goal of ${of.base}`)),
			saveOutcomes: checks(({ database, me, of }) =>
				outcomes.saveOutcomes(
					database,
					me.staff.specialist,
					'another goal',
					of.students.map((studentId) => ({ studentId, met: true })),
					TODAY,
					NOW
				)
			)
		}
	],
	[
		cutScores,
		{
			cutScores: given(({ database, me }) => cutScores.cutScores(database, me.base, { measure: null, term: 2 })),
			setCutScores: given(({ database, me }) =>
				cutScores.setCutScores(database, me.staff.coordinator, { measure: null, term: 1 }, new Map([[4, 480]]), NOW)
			)
		}
	],
	[
		parameters,
		{
			parameterSet: given(({ database }) => parameters.parameterSet(database, null)),
			versionFor: given(({ database, me }) => parameters.versionFor(database, me.students[0])),
			parameterVersions: given(({ database, me }) => parameters.parameterVersions(database, me.base)),
			applyParameters: checks(
				({ database, me, of }) => parameters.applyParameters(database, me.staff.coordinator, of.job, [], NOW),
				({ database, of }) =>
					database.run('UPDATE parameter_version SET withdrawn_at = ? WHERE id = ?', [NOW, of.version])
			),
			withdrawParameters: checks(({ database, me, of }) =>
				parameters.withdrawParameters(database, me.staff.coordinator, of.version, true, NOW)
			),
			countedAnswers: given(({ database, me }) => parameters.countedAnswers(database, me.base)),
			answersAfter: given(({ database, me }) => parameters.answersAfter(database, me.base, 0, 50))
		}
	],
	[
		places,
		{
			refreshPlaces: given(({ database, me }) => places.refreshPlaces(database, me.windows.diagnostic, me.students)),
			windowsWith: given(({ database, me }) => places.windowsWith(database, me.students)),
			storedPlaces: given(({ database, me }) => places.storedPlaces(database, me.students)),
			placesIn: given(({ database, me }) =>
				places.placesIn(database, me.windows.diagnostic, { staff: me.staff.specialist, today: TODAY })
			),
			uncountedWindows: given(({ database, me }) => places.uncountedWindows(database, seenOne(me.students[1]))),
			overallScores: given(({ database, me }) =>
				places.overallScores(database, me.windows.diagnostic, { staff: me.staff.specialist, today: TODAY })
			),
			toSitByClass: given(({ database, me }) =>
				places.toSitByClass(database, me.windows.diagnostic, { staff: me.staff.specialist, today: TODAY })
			),
			toFinish: all,
			belowTheLine: all
		}
	],
	[
		scores,
		{
			windowScores: given(({ database, me }) =>
				scores.windowScores(database, me.windows.diagnostic, seen(...me.students))
			),
			newestOverall: given(({ database, me }) =>
				scores.newestOverall(database, { staff: me.staff.specialist, today: TODAY })
			),
			overallAbilities: given(({ database, me }) => scores.overallAbilities(database, seen(...me.students))),
			scoreHistory: given(({ database, me }) => scores.scoreHistory(database, seenOne(me.students[1]))),
			gradeAbilities: checks(({ database, me, of }) =>
				scores.gradeAbilities(database, me.base, of.windows.diagnostic, 4)
			),
			existingImports: given(({ database, me }) =>
				scores.existingImports(database, me.windows.diagnostic, `outside ${me.base}`, me.students)
			),
			importScores: checks(({ database, me, of }) =>
				scores.importScores(
					database,
					me.staff.specialist,
					of.windows.diagnostic,
					'a file',
					[score(of.students[1])],
					NOW
				)
			),
			scoreSources: given(({ database, me }) => scores.scoreSources(database, me.base)),
			saveMatching: given(({ database, me }) =>
				scores.saveMatching(database, me.staff.specialist, 'a file', {} as never, NOW)
			)
		}
	],
	[
		windows,
		{
			screeningWindows: given(({ database, me }) => windows.screeningWindows(database, me.base)),
			windowClasses: given(({ database, me }) => windows.windowClasses(database, me.windows.diagnostic)),
			windowCounts: given(({ database, me }) => windows.windowCounts(database, me.base, TODAY)),
			addWindow: checks(({ database, me, of }) =>
				windows.addWindow(
					database,
					me.staff.specialist,
					{
						name: 'Spring',
						subject: 'Mathematics',
						mode: 'adaptive',
						measure: null,
						term: 3,
						opensOn: '2027-02-01',
						closesOn: '2027-02-20',
						classIds: Object.values(of.classes)
					},
					NOW
				)
			),
			moveWindow: checks(({ database, me, of }) =>
				windows.moveWindow(
					database,
					me.staff.specialist,
					of.windows.diagnostic,
					{ opensOn: TODAY, closesOn: TODAY },
					NOW
				)
			),
			withdrawWindow: checks(
				({ database, me, of }) => windows.withdrawWindow(database, me.staff.specialist, of.windows.measure, NOW),
				({ database, of }) => database.run('DELETE FROM given_measure WHERE window_id = ?', [of.windows.measure])
			),
			windowNotes: given(({ database, me }) =>
				windows.windowNotes(database, me.windows.diagnostic, seen(...me.students))
			),
			noteStudents: checks(({ database, me, of }) =>
				windows.noteStudents(
					database,
					me.staff.specialist,
					of.windows.diagnostic,
					new Map(seen(...of.students).map((id) => [id, { kind: 'absent', reason: '', makeUpUntil: null }])),
					NOW
				)
			),
			windowsToSit: given(({ database, me }) => windows.windowsToSit(database, seenOne(me.students[1]), TODAY))
		}
	]
];
