import { fileURLToPath } from 'node:url';

export const migrations = fileURLToPath(new URL('../database', import.meta.url));

/** The database that migrated ones are made like: to run all migrations takes three times as long. */
export const SHAPE = 'orderly_compass_shape';
