/** Words and counts as every page says them. */
export * from './countBy';
export * from './detailLines';
export * from './names';
export * from './numbers';
