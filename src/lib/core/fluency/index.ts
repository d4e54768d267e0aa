export * from './benchmarks';
export * from './facts';
export * from './passages';
export * from './readability';
export * from './score';
export * from './sheet';
