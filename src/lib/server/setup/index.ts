/** Setup: what a school still needs before it can work, and how students come into it. */
export { heldBy, runsNothing, sayHeld } from './handOver';
export { newPin } from './pins';
export { packArchive } from './packArchive';
export { packSchool } from './packSchool';
export { packStudent } from './packStudent';
export { isEmptySchool } from './isEmptySchool';
export { erasedStudents, keptMonths, leftStudents } from './store/erasing';
export { syncRosters } from './rosterService/syncRosters';
export { rosterSource } from './store/rosterSources';
export { accountsLeftBehind } from './store/leftBehind';
export { newestYearBegun } from './store/yearsBegun';
export { type Step, whatIsMissing } from './whatIsMissing';
