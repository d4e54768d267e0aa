/** How much a file may hold. A roster of a district, with all of its columns, is below. */
export const MOST_ROWS = 20_000;
export const MOST_COLUMNS = 100;
export const MOST_CHARACTERS = 4_000_000;

/** A file holds more than is read, or is not what it should be; its message says which, for people. */
export class UnreadableFile extends Error {}
