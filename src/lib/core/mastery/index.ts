export * from './trace';
export * from './standing';
export * from './skillGraph';
