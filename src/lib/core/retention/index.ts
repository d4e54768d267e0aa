export * from './card';
export * from './queue';
export * from './timeToForget';
