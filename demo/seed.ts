import { mean } from 'simple-statistics';
import { addDays, daysBetween, schoolDateOf } from '../src/lib/core/calendar';
import { fixedForm } from '../src/lib/core/screening';
import type { RootDatabase } from '../src/lib/server/database/pool';
import { fill, unscoredDiagnostics, unscoredLevelChecks } from '../src/lib/server/database/seeding';
import { shipFramework } from '../src/lib/server/library/store/frameworks';
import { finishDiagnostic } from '../src/lib/server/screen/store/diagnostics';
import { scoreLevelCheck } from '../src/lib/server/screen/store/levelScores';
import { formSeed } from '../src/lib/core/items';
import { windowScores, type Score } from '../src/lib/server/screen/store/scores';
import { skillGraph, skillList, type Skill } from '../src/lib/server/library/store/skills';
import { bringFieldsUpToDate } from '../src/lib/server/standing/keepFresh';
import { makeFollowOns } from '../src/lib/server/practice/followOns';
import { noteFinishedRuns } from '../src/lib/server/practice/store/followOns';
import { markStale } from '../src/lib/server/standing/store/studentFields';
import { refreshSummaries } from '../src/lib/server/standing/summaries';
import { shippedFramework } from '../framework/shipped';
import { adaptiveQuestions } from './adaptive';
import { AnswerLog, atHour } from './answerLog';
import { formGroups, liveCycle } from './interventionCycle';
import { giveThings } from './givenThings';
import { fillLibrary } from './library';
import { classNames } from './names';
import {
	CLASSWIDE,
	drawStudents,
	gradeOfClass,
	SCHOOL_ID,
	SCHOOL_NAME,
	STUDENTS_A_CLASS,
	teacherOf,
	TIME_ZONE,
	writePeople,
	type DemoStudent
} from './people';
import { reviewAndChoose, runFacts } from './ownWork';
import { PracticeLog } from './practiceLog';
import { writeMeasureSeries } from './measureSeries';
import { writeReadingAloud } from './readingAloud';
import { tellShare, type SkillLevel } from './simulatedStudent';
import { layOutYear, writeTimetable, type DemoWindow } from './timetable';

/**
 * Fills an empty database with Saltmarsh Bridge School, in week 5 of cycle 2: simulated students with hidden levels
 * answer diagnostics, practice sets and probes; groups are formed by the product's own solver from the autumn window.
 * The same instant gives the same school.
 *
 * @param now the demo's now; nothing in it lies later
 * @param say told what is being made
 */
export async function seedDemoSchool(database: RootDatabase, now: Date, say: (line: string) => void): Promise<void> {
	const today = schoolDateOf(now, TIME_ZONE);
	const year = layOutYear(today);
	await shipFramework(database, shippedFramework());
	await fill(database, 'school', [{ id: SCHOOL_ID, name: SCHOOL_NAME, time_zone: TIME_ZONE }]);
	const skills = await skillList(database, SCHOOL_ID);
	const levels = await levelsOf(database, skills);
	const skillIds = new Map(skills.map(({ id, code }) => [code, id]));

	say('people and timetable');
	const students = drawStudents(levels);
	await writePeople(database, students, year.startsOn);
	await writeTimetable(database, year);
	await fillLibrary(database, skills, atHour(year.startsOn, 10));

	const log = new AnswerLog(skillIds, year.startsOn, now);
	const practice = new PracticeLog(log, skillIds, today);
	const settle = async () => {
		await practice.write(database);
		await log.write(database);
		for (const id of await unscoredDiagnostics(database)) {
			await finishDiagnostic(database, id, skills, { timeZone: TIME_ZONE });
		}
		for (const id of await unscoredLevelChecks(database))
			await scoreLevelCheck(database, id, skills, { timeZone: TIME_ZONE });
		await markStale(
			database,
			students.map(({ id }) => id),
			{ reachesBack: true }
		);
		await refreshSummaries(
			database,
			students.map(({ id }) => id)
		);
	};

	say('class practice and autumn screening');
	lackTogether(students);
	assignClassPractice(practice, students, levels, year.startsOn);
	for (const student of students) {
		sitForm(log, student, year.autumn, skills, addDays(year.autumn.opensOn, student.classId % 5));
	}
	await settle();

	say('tiers and groups');
	const groups = await formGroups(database, students, skills, year);

	say('sessions, practice and probes of the cycle');
	await liveCycle(database, groups, { students, skills }, year, today, log, practice);

	await writeOutcomes(database, students, levels, { yearStart: year.startsOn, takenOn: addDays(today, -6) });
	await writeReadingAloud(database, students, year.reading, now);
	await writeMeasureSeries(database, students, year, now);

	say('winter screening');
	const autumnScores = await windowScores(
		database,
		year.autumn.id,
		students.map(({ id }) => id)
	);
	const sitAdaptively = adaptiveSitting(log, year.winter, skills, autumnScores);
	students.forEach((student, i) => {
		const absent = i % 41 === 7;
		if (absent) return;
		student.hidden.rushing = i % 37 === 5;
		const upTo = i % 29 === 3 ? student.draw.integer(6, 19) : undefined;
		sitAdaptively(student, addDays(year.winter.opensOn, student.classId % 5), upTo);
		student.hidden.rushing = false;
	});
	await settle();

	say('a few from before, own choice and facts');
	await reviewAndChoose(database, log, students, skills, today);
	await settle();
	await runFacts(database, students, today);
	await noteLastRuns(database, now);
	await bringFieldsUpToDate(database, () => {});
	await makeFollowOns(database, now);
	await giveThings(database, { today, timeZone: TIME_ZONE });
	await bringFieldsUpToDate(database, () => {});
}

/** Days in which what was finished is looked at for what follows. */
const FOLLOWED_DAYS = 7;

/** Notes sets that were finished lately, so that what follows from them comes as it does while the app runs. */
async function noteLastRuns(database: RootDatabase, now: Date): Promise<void> {
	const rows = await database.rows<{ id: number }>(
		"SELECT id FROM sitting WHERE kind = 'practice' AND finished_at >= ? ORDER BY finished_at, id",
		[new Date(now.getTime() - FOLLOWED_DAYS * 86_400_000)]
	);
	await noteFinishedRuns(
		database,
		rows.map(({ id }) => id),
		now
	);
}

async function levelsOf(database: RootDatabase, skills: Skill[]): Promise<SkillLevel[]> {
	const graph = await skillGraph(database, SCHOOL_ID, skills);
	const codeOf = new Map(skills.map(({ id, code }) => [id, code]));
	return skills.map((skill) => ({
		...skill,
		prerequisites: graph.prerequisites.get(skill.id)!.map((id) => codeOf.get(id)!)
	}));
}

/** The autumn form: the same for everybody of a grade. */
function sitForm(log: AnswerLog, student: DemoStudent, window: DemoWindow, skills: Skill[], day: string): void {
	const items = fixedForm(skills, { grade: student.grade, term: window.term }, formSeed(window.id, 1));
	log.sit(student, { kind: 'diagnostic', origin: { window_id: window.id }, items, from: schoolHour(student, day) });
}

/** Lets students sit the winter's adaptive diagnostic, as the server chooses its questions. */
function adaptiveSitting(log: AnswerLog, window: DemoWindow, skills: Skill[], previous: Map<number, Score[]>) {
	const ask = adaptiveQuestions(skills, null);
	return (student: DemoStudent, day: string, upTo?: number) =>
		log.sit(student, {
			kind: 'diagnostic',
			origin: { window_id: window.id },
			items: ask({
				as: 'diagnostic',
				level: { grade: student.grade, term: window.term },
				previous: previous.get(student.id)?.find(({ domainId }) => domainId === 0)
			}),
			from: schoolHour(student, day),
			upTo
		});
}

const schoolHour = ({ classId }: DemoStudent, day: string) => atHour(day, 9 + (classId % 4));

/** Class teachers have given five questions a week on what their grade is at; of the last set some are still to come. */
function assignClassPractice(
	practice: PracticeLog,
	students: DemoStudent[],
	levels: SkillLevel[],
	yearStart: string
): void {
	const WEEKS = 10;
	for (let week = 0; week < WEEKS; week++) {
		classNames.forEach((className, c) => {
			const classId = c + 1;
			const grade = gradeOfClass(classId);
			const taught = levels.filter(
				(skill) =>
					(skill.grade === grade - 1 || (skill.grade === grade && (skill.term < 3 || grade === 2))) &&
					!(className === CLASSWIDE.className && skill.code === CLASSWIDE.skillCode)
			);
			const opensOn = addDays(yearStart, 7 * (week + 1));
			practice.assign({
				// What the class lacks shows when it is practiced.
				skillCode:
					className === CLASSWIDE.className && week % 4 === 3
						? CLASSWIDE.skillCode
						: taught[(week * 5 + c * 3) % taught.length].code,
				itemCount: 5,
				opensOn,
				dueOn: addDays(opensOn, 4),
				createdBy: teacherOf(classId),
				groupId: null,
				students: students.filter((student) => student.classId === classId),
				finishes: (_student, i) => (week === WEEKS - 1 && i % 11 === 3 ? 'not' : 'done')
			});
		});
	}
}

/** A check by the district after the autumn screening: met by those who know most of what their grade has begun with. */
async function writeOutcomes(
	database: RootDatabase,
	students: DemoStudent[],
	levels: SkillLevel[],
	{ yearStart, takenOn }: { yearStart: string; takenOn: string }
): Promise<void> {
	await fill(
		database,
		'outcome',
		students.map(({ id, grade, hidden, draw }) => {
			const due = levels.filter((level) => level.grade === grade - 1 || (level.grade === grade && level.term === 1));
			const shares = due.map(({ code }) => hidden.learner.share(code, daysBetween(yearStart, takenOn)));
			const met = mean(shares) + 0.08 * draw.normal() > 0.5;
			return { school_id: SCHOOL_ID, name: 'District check, November', student_id: id, met, taken_on: takenOn };
		})
	);
}

/** One class is not taught a skill: all but one there lack it. */
function lackTogether(students: DemoStudent[]): void {
	for (const { className, hidden, id } of students) {
		if (className === CLASSWIDE.className && id % STUDENTS_A_CLASS !== 0) tellShare(hidden, CLASSWIDE.skillCode, 0.08);
	}
}
