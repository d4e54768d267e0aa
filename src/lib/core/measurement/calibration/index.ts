export * from './problem';
export { calibrate, calibrationSteps, type CalibratedItem, type Calibration } from './calibrate';
export { driftOf, type Drift } from './drift';
export { calibrateTwoParameter } from './twoParameter';
