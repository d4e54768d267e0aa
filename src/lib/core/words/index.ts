/** Words and counts as every page says them. */
export * from './countBy';
export * from './names';
export * from './numbers';
