export * from './problem';
export { calibrate, type CalibratedItem, type Calibration } from './calibrate';
export { calibrateTwoParameter } from './twoParameter';
