export * from './trace';
export * from './standing';
export * from './cell';
export * from './skillGraph';
