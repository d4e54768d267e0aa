import { randomUUID } from 'node:crypto';
import { addDays } from '../../../src/lib/core/calendar';
import { FIELD_CONSTANTS } from '../../../src/lib/core/mastery';
import * as askedItems from '../../../src/lib/server/library/store/askedItems';
import * as answers from '../../../src/lib/server/sitting/store/answers';
import * as closings from '../../../src/lib/server/sitting/store/closings';
import * as frameworks from '../../../src/lib/server/library/store/frameworks';
import * as lateAnswers from '../../../src/lib/server/sitting/store/lateAnswers';
import * as emphasis from '../../../src/lib/server/library/store/emphasis';
import * as library from '../../../src/lib/server/library/store/library';
import * as studentSummaries from '../../../src/lib/server/standing/store/studentSummaries';
import * as practiceSittings from '../../../src/lib/server/sitting/store/practiceSittings';
import * as factRuns from '../../../src/lib/server/sitting/store/factRuns';
import * as ownSittings from '../../../src/lib/server/sitting/store/ownSittings';
import * as sittings from '../../../src/lib/server/sitting/store/sittings';
import * as tried from '../../../src/lib/server/sitting/store/tried';
import * as skillChecks from '../../../src/lib/server/gaps/store/skillChecks';
import * as skillStore from '../../../src/lib/server/library/store/skills';
import { schoolField } from '../../../src/lib/server/standing/schoolField';
import * as evidence from '../../../src/lib/server/standing/store/evidence';
import * as earlierCells from '../../../src/lib/server/standing/store/earlierCells';
import * as fieldState from '../../../src/lib/server/standing/store/fieldState';
import * as fieldVersions from '../../../src/lib/server/standing/store/fieldVersions';
import * as studentFields from '../../../src/lib/server/standing/store/studentFields';
import { NOW, seen, seenOne, TODAY } from '../../smallSchool';
import { all, checks, given, type Asking, type Call } from './asking';

const SOON = addDays(TODAY, 3);

const answer = ({ of, me }: Asking) => ({
	id: randomUUID(),
	position: 8,
	attempt: 1,
	response: 0,
	milliseconds: 900,
	answeredAt: NOW.toISOString(),
	studentId: me.students[0],
	sittingId: of.sittings.a,
	timeZone: me.school.timeZone,
	receivedAt: NOW
});

export const workCalls: [object, Record<string, Call>][] = [
	[
		practiceSittings,
		{
			beginPractice: given(({ database, me, skills }) =>
				practiceSittings.beginPractice(database, seenOne(me.students[1]), { id: me.sets.all }, skills, NOW)
			)
		}
	],
	[answers, { storeAnswers: checks((asking) => answers.storeAnswers(asking.database, [answer(asking)])) }],
	[closings, { closings: given(({ database, me }) => closings.closings(database, Object.values(me.sittings), NOW)) }],
	[
		lateAnswers,
		{
			lateAnswers: given(({ database, me }) => lateAnswers.lateAnswers(database, seenOne(me.students[4]))),
			countLateAnswers: given(({ database, me }) => lateAnswers.countLateAnswers(database, seenOne(me.students[4])))
		}
	],
	[askedItems, { keepItems: all, itemsAsked: all, keepItemsOfBefore: all, countDigitsOfBefore: all }],
	[
		frameworks,
		{
			taughtFramework: given(({ database, me }) => frameworks.taughtFramework(database, me.base)),
			shipFramework: all,
			changeFramework: given(async ({ database, me }) => {
				const taught = await frameworks.taughtFramework(database, me.base);
				const skills = taught.skills.map((skill) => ({ ...skill, statement: `${skill.statement}!` }));
				return frameworks.changeFramework(database, me.staff.specialist, { ...taught, skills }, NOW);
			})
		}
	],
	[
		emphasis,
		{
			schoolEmphasis: given(({ database, me }) => emphasis.schoolEmphasis(database, me.base)),
			setEmphasis: checks(async ({ database, me, ownSkillId }) => {
				const { domainId } = (await database.row<{ domainId: number }>(
					'SELECT domain_id AS domainId FROM framework_skill WHERE skill_id = ?',
					[ownSkillId]
				))!;
				const change = { domainId, grade: 4, emphasis: 'none' as const };
				return emphasis.setEmphasis(database, me.staff.specialist, [change], NOW);
			})
		}
	],
	[
		library,
		{
			standardList: given(({ database, me }) => library.standardList(database, me.base)),
			standardsOfSkill: given(({ database, me, skills }) => library.standardsOfSkill(database, me.base, skills[0].id)),
			libraryRevision: given(({ database, me }) => library.libraryRevision(database, me.base)),
			bumpRevision: given(({ database, me }) => library.bumpRevision(database, me.base)),
			importStandards: checks(({ database, me, ownSkillId }) =>
				library.importStandards(
					database,
					me.staff.specialist,
					'tried',
					[{ code: 'T.1', statement: 'Tried', grade: 4, skillIds: [ownSkillId] }],
					NOW
				)
			),
			materialsFor: given(({ database, me, skills }) => library.materialsFor(database, me.base, skills[0].id)),
			addMaterial: checks(({ database, me, ownSkillId }) =>
				library.addMaterial(database, me.staff.specialist, ownSkillId, { title: 'x', link: null, note: 'x' }, NOW)
			),
			hideMaterial: checks(({ database, me, of }) =>
				library.hideMaterial(database, me.staff.specialist, of.material, true, NOW)
			),
			shelfOf: given(({ database, me }) => library.shelfOf(database, me.staff.specialist)),
			shelve: checks(({ database, me, ownSkillId }) =>
				library.shelve(database, me.staff.coordinator, ownSkillId, true, NOW)
			)
		}
	],
	[
		studentSummaries,
		{
			refreshStudents: given(({ database, me }) => studentSummaries.refreshStudents(database, me.students)),
			storedStudents: given(({ database, me }) => studentSummaries.storedStudents(database, me.students))
		}
	],
	[
		tried,
		{
			triedItems: given(({ database, me }) => tried.triedItems(database, me.sittings.a, [0, 1])),
			firstMisses: given(({ database, me }) => tried.firstMisses(database, me.sittings.a, [0, 1]))
		}
	],
	[
		sittings,
		{
			hasSittingSince: given(({ database, me }) => sittings.hasSittingSince(database, me.base, NOW)),
			findSitting: checks(({ database, me, of }) =>
				sittings.findSitting(database, seenOne(me.students[0]), of.sittings.a)
			),
			openSitting: given(({ database, me }) =>
				sittings.openSitting(database, {
					studentId: me.students[1],
					kind: 'practice',
					origin: { setId: me.sets.all, attempt: 1 },
					itemCount: 5,
					at: NOW
				})
			),
			writeItems: given(({ database, me }) => sittings.writeItems(database, me.sittings.a, 0, [])),
			beginFixed: given(({ database, me }) =>
				sittings.beginFixed(
					database,
					{ studentId: me.students[2], kind: 'practice', origin: { setId: me.sets.all, attempt: 1 }, at: NOW },
					[]
				)
			),
			withSkillIds: given(({ skills }) => sittings.withSkillIds([], skills)),
			sittingItems: given(({ database, me }) => sittings.sittingItems(database, me.sittings.a)),
			openItem: given(({ database, me }) => sittings.openItem(database, me.sittings.a)),
			windowSittings: given(({ database, me }) =>
				sittings.windowSittings(database, me.windows.diagnostic, seen(...me.students))
			),
			answersSince: given(({ database, me }) => sittings.answersSince(database, me.sittings.a, new Date(0))),
			lastAnswerAt: given(({ database, me }) => sittings.lastAnswerAt(database, me.sittings.a))
		}
	],
	[
		ownSittings,
		{
			ownSittings: given(({ database, me }) => ownSittings.ownSittings(database, seenOne(me.students[0]), TODAY)),
			beginReview: given(({ database, me, skills }) =>
				ownSittings.beginReview(
					database,
					{ studentId: seenOne(me.students[0]), day: TODAY, number: 1, at: NOW },
					skills.slice(0, 2)
				)
			),
			beginFree: given(({ database, me, skills }) =>
				ownSittings.beginFree(
					database,
					{ studentId: seenOne(me.students[0]), day: TODAY, number: 1, at: NOW },
					skills[0]
				)
			)
		}
	],
	[
		factRuns,
		{
			beginFactRun: given(({ database, me }) =>
				factRuns.beginFactRun(
					database,
					seenOne(me.students[0]),
					{ operation: 'add', minutes: 1, day: TODAY, number: 1 },
					NOW
				)
			),
			factRunsOn: given(({ database, me }) => factRuns.factRunsOn(database, seenOne(me.students[0]), TODAY)),
			findFactRun: checks(({ database, me, of }) =>
				factRuns.findFactRun(database, seenOne(me.students[0]), of.factRuns.a)
			),
			storeFacts: given(({ database, me }) =>
				factRuns.storeFacts(
					database,
					seenOne(me.students[0]),
					{ id: me.factRuns.a, operation: 'times', minutes: 1, day: TODAY, number: 1, isEnded: true },
					[],
					true,
					NOW
				)
			),
			factTries: given(({ database, me }) => factRuns.factTries(database, seenOne(me.students[0]), 'times')),
			factTriesOf: given(({ database, me }) => factRuns.factTriesOf(database, seen(...me.students), 'times'))
		}
	],
	[
		skillChecks,
		{
			openChecks: given(({ database, me }) => skillChecks.openChecks(database, seen(...me.students))),
			assignChecks: checks(({ database, me, of, ownSkillId }) =>
				skillChecks.assignChecks(
					database,
					me.staff.specialist,
					of.students.map((studentId) => ({ studentId, skillIds: [ownSkillId] })),
					SOON,
					NOW
				)
			),
			takeOffChecks: given(({ database, me }) => skillChecks.takeOffChecks(database, me.staff.coordinator, NOW)),
			giveChecksBack: given(({ database, me }) =>
				skillChecks.giveChecksBack(database, me.staff.coordinator, [me.checks.a])
			),
			withdrawChecks: checks(({ database, me, of }) =>
				skillChecks.withdrawChecks(database, me.staff.specialist, of.checks.a, NOW)
			),
			beginCheck: given(({ database, me, skills }) =>
				skillChecks.beginCheck(
					database,
					{ id: me.checks.a, studentId: seenOne(me.students[1]), skillIds: [skills[1].id] },
					skills,
					NOW
				)
			)
		}
	],
	[
		skillStore,
		{
			domainList: given(({ database, me }) => skillStore.domainList(database, me.base)),
			subjectList: given(({ database, me }) => skillStore.subjectList(database, me.base)),
			skillList: given(({ database, me }) => skillStore.skillList(database, me.base)),
			skillGraph: given(({ database, me, skills }) => skillStore.skillGraph(database, me.base, skills))
		}
	],
	[
		evidence,
		{
			answersOf: given(async ({ database, me }) =>
				evidence.answersOf(database, await schoolField(database, me.base), me.students)
			),
			outsideScores: given(({ database, me }) =>
				evidence.outsideScores(database, me.students, { gradeOn: () => 4, years: [] })
			),
			evidenceFor: given(({ database, me, skills }) =>
				evidence.evidenceFor(database, seenOne(me.students[0]), skills[0].id)
			),
			recallsOf: given(({ database, me, skills }) =>
				evidence.recallsOf(database, seenOne(me.students[0]), [skills[0].id], 'UTC')
			)
		}
	],
	[
		studentFields,
		{
			markStale: given(({ database, me }) => studentFields.markStale(database, me.students, { reachesBack: true })),
			studentFields: given(({ database, me }) => studentFields.studentFields(database, me.students)),
			studentCells: given(async ({ database, me }) =>
				studentFields.studentCells(database, await schoolField(database, me.base), me.students)
			),
			gapCounts: given(({ database, me }) => studentFields.gapCounts(database, me.students)),
			fieldInputs: given(({ database, me }) => studentFields.fieldInputs(database, me.students[0])),
			knownStudents: given(({ database, me }) => studentFields.knownStudents(database, me.students)),
			staleStudents: given(async ({ database, me }) =>
				studentFields.staleStudents(database, me.base, (await schoolField(database, me.base)).madeBy, 100)
			),
			remakeFields: given(({ database, me }) => studentFields.remakeFields(database, me.students)),
			fieldsOn: given(({ database, me }) => studentFields.fieldsOn(database, me.students, TODAY))
		}
	],
	[fieldState, { fieldState: given(({ database, me }) => fieldState.fieldState(database, me.base)) }],
	[
		fieldVersions,
		{
			fieldVersionInUse: given(({ database, me }) => fieldVersions.fieldVersionInUse(database, me.base)),
			applyConstants: checks(
				({ database, me, of }) =>
					fieldVersions.applyConstants(database, me.staff.coordinator, of.search, FIELD_CONSTANTS, NOW),
				({ database, of }) =>
					database.run('UPDATE field_version SET withdrawn_at = ? WHERE id = ?', [NOW, of.fieldVersion])
			),
			withdrawConstants: checks(({ database, me, of }) =>
				fieldVersions.withdrawConstants(database, me.staff.coordinator, of.fieldVersion, true, NOW)
			)
		}
	],
	[
		earlierCells,
		{
			earlierCells: given(({ database, me }) =>
				earlierCells.earlierCells(database, { id: me.base, today: TODAY }, me.students, '2026-11-10', 60_000)
			),
			forgetEarlierCells: all
		}
	]
];
