/** Setup: what a school still needs before it can work, and how students come into it. */
export { newPin } from './pins';
export { packSchool } from './packSchool';
export { isEmptySchool } from './isEmptySchool';
export { type Step, whatIsMissing } from './whatIsMissing';
