/** Students and staff: who may be seen by whom, what is noted of a student, and what helps them. */
export {
	acceptInvitation,
	addAccount,
	changeAccount,
	INVITATION_DAYS,
	invite,
	invitedBy,
	setActive,
	type StaffInSetup,
	staffInSetup
} from './store/accounts';
export { seesAll } from './seesAll';
export { visibleStudent } from './visibleStudent';
export { type Accommodation, accommodations, NO_ACCOMMODATION, setAccommodations } from './store/accommodations';
export { attributeChoices, type SaidOf, saidOf, sayOf, studentsWith } from './store/attributes';
export {
	addClasses,
	changeClass,
	type ClassInSetup,
	type ClassKind,
	classesInSetup,
	type ClassNamed,
	endClass,
	setClassAdults,
	setSignInHours
} from './store/classes';
export {
	addStudents,
	changeStudent,
	type Enrolled,
	enrolledByIds,
	enrolledIn,
	enrolledInSection,
	enrolledLike,
	type Joining,
	takeBackStudents
} from './store/enrollment';
export {
	asOfGrade,
	dropFormerGrades,
	gradeOnSql,
	gradesByDay,
	noteFormerGrades,
	putGradesBack,
	setGradesFrom
} from './store/grades';
export { moveToClass, takeBackMoves, type Way } from './store/moves';
export { joinByInvitation, type OtherSchool, otherSchools } from './store/otherSchools';
export { notesOn } from './store/notes';
export {
	accountByUserName,
	adultsWhoSee,
	allStudentIds,
	classByCode,
	classCodes,
	classList,
	lockStudents,
	schoolTimeZones,
	staffList,
	studentPin,
	studentsByNumber
} from './store/people';
export {
	inClasses,
	inSection,
	ownClassesOnly,
	ownStudentsOnly,
	placeInRoster,
	type Roster,
	rosterSize,
	rosterSql,
	type RosterStudent,
	rosterStudents,
	seenAmong,
	seenBy,
	studentIn,
	studentsNamed,
	tieredIn,
	visibleAmong
} from './store/roster';
export {
	joinSection,
	leaveSection,
	type SectionChange,
	sectionMembers,
	type SectionOf,
	sectionsOf,
	takeBackSection
} from './store/sections';
export { countRoster, idsCounted, type RosterCount, SUMMARY } from './store/rosterCounts';
export { plannedAfter, type Promoted, promoteClasses, type Promotion, type WhyNotPromoted } from './store/promotion';
export { countWithoutPin, setPins } from './store/pins';
export { heldStudents, ownOrNobodys, responsibleFor, setResponsible } from './store/responsibility';
export type { RosterDone } from './rosters/rosterDone';
export {
	addRosteredAdults,
	addRosteredClasses,
	addRosteredStudents,
	putBackRows,
	removeUnusedAdults,
	removeUnusedClasses,
	renewRows
} from './rosters/store/rosterChanges';
export {
	addRosterRun,
	holdRoster,
	markApplied,
	markUndone,
	recordsInForce,
	waitingRecords,
	rosterRules,
	type RosterFigures,
	type RosterRun,
	rosterRuns,
	type SchoolRosterRules,
	setRosterAside,
	setRosterRules,
	takeableBack,
	UNDO_DAYS
} from './rosters/store/rosterRuns';
export { type SchoolInRoster, schoolNow, schoolsWithCoordinator } from './rosters/store/schoolNow';
