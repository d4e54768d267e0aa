/** Setup: what a school still needs before it can work, and how students come into it. */
export { heldBy, runsNothing, sayHeld } from './handOver';
export { newPin } from './pins';
export { packSchool } from './packSchool';
export { isEmptySchool } from './isEmptySchool';
export { accountsLeftBehind } from './store/leftBehind';
export { newestYearBegun } from './store/yearsBegun';
export { type Step, whatIsMissing } from './whatIsMissing';
