/** The database: its pool and transactions, its migrations, the log of who did what, and what every store needs. */
export { audit } from './audit';
export { database } from './current';
export { NotOfTheSchool, requireOwn } from './ownRows';
export { type Database, inOne, openDatabase, type RootDatabase } from './pool';
export { NotDone, whole } from './whole';
export { newVersion, withdrawVersion } from './versions';
