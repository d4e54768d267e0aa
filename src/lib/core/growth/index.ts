export * from './regression';
export * from './forecast';
export * from './advise';
export * from './probe';
