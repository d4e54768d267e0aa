import { addDays, daysBetween, type SchoolDate } from '../calendar';

/** The first day that can be kept as a number. */
const FIRST_DAY: SchoolDate = '2000-01-01';
/** Stands for no day; what is kept are two bytes. */
export const NO_DAY = 0xffff;

/** A day as a number of two bytes: days since 2000, and 65,535 for none. */
export const dayNumber = (day: SchoolDate | null): number => (day === null ? NO_DAY : daysBetween(FIRST_DAY, day));

export const dayOfNumber = (number: number): SchoolDate | null =>
	number === NO_DAY ? null : addDays(FIRST_DAY, number);
