import * as assigning from '../../../src/lib/server/practice/store/assigning';
import * as calendar from '../../../src/lib/server/practice/store/calendar';
import * as changing from '../../../src/lib/server/practice/store/changing';
import * as changingQuestions from '../../../src/lib/server/practice/store/changingQuestions';
import * as closing from '../../../src/lib/server/practice/store/closing';
import * as followOns from '../../../src/lib/server/practice/store/followOns';
import * as habits from '../../../src/lib/server/practice/store/habits';
import * as history from '../../../src/lib/server/practice/store/history';
import * as oneSet from '../../../src/lib/server/practice/store/oneSet';
import * as ownWork from '../../../src/lib/server/practice/store/ownWork';
import * as outcomes from '../../../src/lib/server/practice/store/outcomes';
import * as practice from '../../../src/lib/server/practice/store/practice';
import * as setContent from '../../../src/lib/server/practice/store/setContent';
import * as furtherRuns from '../../../src/lib/server/practice/store/furtherRuns';
import * as inSet from '../../../src/lib/server/practice/store/inSet';
import * as setStudents from '../../../src/lib/server/practice/store/setStudents';
import * as usualChoices from '../../../src/lib/server/practice/store/usualChoices';
import * as waiting from '../../../src/lib/server/practice/store/waiting';
import { USUAL_HABITS, USUAL_HOW } from '../../../src/lib/core/practice';
import { addDays } from '../../../src/lib/core/calendar';
import { oneSkillSet } from '../../oneSkillSet';
import { NOW, seen, seenOne, TODAY } from '../../smallSchool';
import { all, type Asking, type Call, checks, given } from './asking';

const dates = { opensOn: TODAY, opensMinute: null, dueOn: TODAY, dueMinute: null, closes: false };
const newSet = ({ of, ownSkillId }: Asking) =>
	oneSkillSet({
		skillId: ownSkillId,
		groupId: of.groups.a,
		itemCount: 5,
		opensOn: TODAY,
		dueOn: addDays(TODAY, 4),
		studentIds: of.students
	});

const days = { from: TODAY, until: addDays(TODAY, 30) };
const anySet = { skillId: null, authorId: null };
const run = { isWithOthers: true, dueOn: null };

export const practiceCalls: [object, Record<string, Call>][] = [
	[
		assigning,
		{
			givenTo: all,
			assignWithin: checks((asking) =>
				assigning.assignWithin(asking.database, asking.me.staff.specialist, newSet(asking), NOW)
			),
			assignSet: checks((asking) =>
				assigning.assignSet(asking.database, asking.me.staff.specialist, newSet(asking), NOW)
			),
			assignSets: checks((asking) =>
				assigning.assignSets(asking.database, asking.me.staff.specialist, [newSet(asking), newSet(asking)], NOW)
			),
			nextSeeds: given(({ database, ownSkillId }) => assigning.nextSeeds(database, [ownSkillId])),
			insertGiven: given(({ database, me }) => assigning.insertGiven(database, me.sets.all, [], 0))
		}
	],
	[
		calendar,
		{
			classSets: given(({ database, me }) =>
				calendar.classSets(database, { staff: me.staff.specialist, today: TODAY }, days, anySet)
			),
			studentSets: given(({ database, me }) => calendar.studentSets(database, seen(...me.students), days, anySet)),
			setAuthors: given(({ database, me }) => calendar.setAuthors(database, me.staff.specialist))
		}
	],
	[closing, { closeSets: all }],
	[
		followOns,
		{
			noteFinishedRuns: given(({ database, me }) => followOns.noteFinishedRuns(database, [me.sittings.a], NOW)),
			waitingRuns: all,
			askFollowOnAgain: given(({ database, me }) => followOns.askFollowOnAgain(database, [me.sittings.a], NOW)),
			hasFollowOnWaiting: given(({ database, me }) => followOns.hasFollowOnWaiting(database, seenOne(me.students[0]))),
			letFollow: given(({ database, me }) =>
				followOns.letFollow(
					database,
					{ sittingId: me.sittings.a } as never,
					{ kind: 'notice', why: 'below' },
					{ set: null, dueOn: null },
					NOW
				)
			),
			lineNotices: given(({ database, me }) => followOns.lineNotices(database, me.staff.specialist, new Date(0))),
			seeNotices: checks(({ database, me, of }) =>
				followOns.seeNotices(database, me.staff.specialist, [of.noticed], true, NOW)
			),
			followOnsOf: given(({ database, me }) => followOns.followOnsOf(database, me.sets.all))
		}
	],
	[
		habits,
		{
			habitsOf: given(({ database, me }) => habits.habitsOf(database, seenOne(me.students[0]), TODAY)),
			classHabits: all,
			ownWorkByClass: given(({ database, me }) => habits.ownWorkByClass(database, me.staff.specialist, TODAY, TODAY)),
			changeHabits: checks(({ database, me, of }) =>
				habits.changeHabits(
					database,
					{ staff: me.staff.specialist, today: TODAY },
					[{ classId: of.classes.a, ...USUAL_HABITS, reviewMinutes: 9 }],
					NOW
				)
			)
		}
	],
	[
		outcomes,
		{
			setOutcomes: given(({ database, me }) => outcomes.setOutcomes(database, seen(...me.students), TODAY)),
			setTimes: given(({ database, me }) => outcomes.setTimes(database, me.sets.all)),
			rushedIn: given(({ database, me }) => outcomes.rushedIn(database, me.sets.all)),
			absentOn: given(({ database, me }) => outcomes.absentOn(database, seen(...me.students), TODAY))
		}
	],
	[
		setContent,
		{
			variationOf: all,
			howFrom: all,
			skillsOfSets: given(({ database, me }) => setContent.skillsOfSets(database, [me.sets.all])),
			openTasks: given(({ database, me }) =>
				setContent.openTasks(database, seenOne(me.students[0]), { day: TODAY, minute: 600 })
			),
			setForStudent: given(({ database, me }) => setContent.setForStudent(database, me.sets.all, me.students[0]))
		}
	],
	[
		setStudents,
		{
			addToSet: checks(({ database, me, of }) =>
				setStudents.addToSet(database, me.staff.specialist, of.sets.b, assigning.givenTo([of.students[0]]), NOW)
			),
			takeFromSet: checks(({ database, me, of }) =>
				setStudents.takeFromSet(database, me.staff.specialist, of.sets.all, [of.students[2]], NOW)
			),
			turnIn: checks(({ database, me, of }) =>
				setStudents.turnIn(database, me.staff.specialist, of.sets.all, [of.students[0]], true, NOW)
			),
			markSetTask: checks(
				({ database, me, of }) =>
					setStudents.markSetTask(database, me.staff.specialist, of.sets.all, [of.students[0]], true, NOW),
				({ database, of }) => database.run("UPDATE practice_set SET task = 'Strips' WHERE id = ?", [of.sets.all])
			),
			letGoOn: checks(
				({ database, me, of }) =>
					setStudents.letGoOn(database, me.staff.specialist, of.sets.all, [of.students[0]], false, NOW),
				({ database, of }) =>
					database.run('UPDATE practice_set_student SET goes_on_at = ? WHERE set_id = ?', [NOW, of.sets.all])
			)
		}
	],
	[inSet, { inSet: all }],
	[
		furtherRuns,
		{
			giveAgain: checks(
				({ database, me, of }) =>
					furtherRuns.giveAgain(database, me.staff.specialist, of.sets.all, [of.students[0]], run, NOW),
				({ database, of }) => database.run('UPDATE sitting SET finished_at = ? WHERE set_id = ?', [NOW, of.sets.all])
			),
			takeRunBack: checks(
				({ database, me, of }) =>
					furtherRuns.takeRunBack(database, me.staff.specialist, of.sets.all, [of.students[0]], NOW),
				({ database, of }) =>
					database.run('UPDATE practice_set_student SET attempt = 2 WHERE set_id = ?', [of.sets.all])
			),
			letBeginAnew: checks(({ database, me, of }) =>
				furtherRuns.letBeginAnew(database, me.staff.specialist, of.sets.all, [of.students[0]], run, NOW)
			),
			takeAnewBack: checks(
				({ database, me, of }) =>
					furtherRuns.takeAnewBack(database, me.staff.specialist, of.sets.all, [of.students[0]], NOW),
				async ({ database, of }) => {
					await database.run('UPDATE practice_set_student SET attempt = 2 WHERE set_id = ?', [of.sets.all]);
					await database.run('UPDATE sitting SET set_aside_at = ? WHERE set_id = ?', [NOW, of.sets.all]);
				}
			),
			beginAgain: given(({ database, me }) => furtherRuns.beginAgain(database, me.sets.all, [me.students[0]], run))
		}
	],
	[
		changingQuestions,
		{
			contentOf: all,
			changeQuestions: checks(({ database, me, of, ownSkillId }) =>
				changingQuestions.changeQuestions(
					database,
					me.staff.specialist,
					of.sets.all,
					{
						skills: [{ skillId: ownSkillId, practice: 4, checks: 0, hasExample: false }],
						...{ older: 0, untilRight: null, ownQuestions: false }
					},
					NOW
				)
			)
		}
	],
	[
		usualChoices,
		{ usualChoices: given(({ database, me }) => usualChoices.usualChoices(database, me.staff.specialist)) }
	],
	[waiting, { withWork: all, withLate: all }],
	[
		ownWork,
		{
			finishedSince: given(({ database, me }) => ownWork.finishedSince(database, seenOne(me.students[0]), NOW)),
			practiceTimes: given(({ database, me }) => ownWork.practiceTimes(database, seen(...me.students), NOW)),
			lastWorked: given(({ database, me }) => ownWork.lastWorked(database, seen(...me.students)))
		}
	],
	[
		oneSet,
		{
			findSet: checks(({ database, me, of }) => oneSet.findSet(database, me.staff.specialist, of.sets.all)),
			studentsOfSet: given(({ database, me }) =>
				oneSet.studentsOfSet(database, { staff: me.staff.specialist, today: TODAY }, me.sets.all)
			)
		}
	],
	[
		changing,
		{
			changeDates: checks(({ database, me, of }) =>
				changing.changeDates(database, me.staff.specialist, of.sets.all, dates, NOW)
			),
			changeRules: checks(({ database, me, of }) =>
				changing.changeRules(
					database,
					me.staff.specialist,
					of.sets.all,
					{ ...USUAL_HOW, name: 'Mine', task: null },
					NOW
				)
			),
			rulesOf: all,
			changeForSome: checks(({ database, me, of }) =>
				changing.changeForSome(
					database,
					me.staff.specialist,
					of.sets.all,
					[{ student: of.students[0], dueOn: TODAY }],
					NOW
				)
			),
			changeNeed: checks(({ database, me, of }) =>
				changing.changeNeed(database, me.staff.specialist, of.sets.all, [of.students[0]], 'excused', NOW)
			)
		}
	],
	[
		history,
		{
			noteChange: given(({ database, me }) =>
				history.noteChange(database, me.staff.specialist, NOW, me.sets.all, { kind: 'given back' })
			),
			changesOf: given(({ database, me }) => history.changesOf(database, me.staff.specialist, me.sets.all))
		}
	],
	[
		practice,
		{
			practiceSets: given(({ database, me }) =>
				practice.practiceSets(database, { staff: me.staff.specialist, today: TODAY }, { from: 0, most: 40 })
			),
			restoreSets: checks(
				({ database, me, of }) => practice.restoreSets(database, me.staff.specialist, [of.sets.all], NOW),
				({ database, of }) => database.run('UPDATE practice_set SET withdrawn_at = ? WHERE id = ?', [NOW, of.sets.all])
			),
			withdrawSets: checks(({ database, me, of }) =>
				practice.withdrawSets(database, me.staff.specialist, [of.sets.all], NOW)
			),
			idsIn: all,
			queuedSets: given(({ database, me }) => practice.queuedSets(database, seen(...me.students), TODAY)),
			recentResults: given(({ database, me }) => practice.recentResults(database, seenOne(me.students[0]), 9))
		}
	]
];
