export * from './trace';
export * from './standing';
export * from './cell';
export * from './skillGraph';
export * from './rootCause';
export * from './placeIn';
export * from './change';
