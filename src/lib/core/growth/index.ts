export * from './regression';
export * from './forecast';
export * from './growthPosterior';
export * from './advise';
export * from './probe';
