export * from './item';
export * from './figure';
export * from './check';
export * from './keyProof';
export * from './misconceptions';
export * from './seeds';
export { formatNumber, inWords } from './text';
