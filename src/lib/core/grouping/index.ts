export * from './problem';
export * from './limits';
export { solveGrouping, type SolveOptions } from './solve';
export * from './fromStandings';
