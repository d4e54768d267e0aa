/**
 * The time. `ORDERLY_CLOCK` (an ISO instant) makes the process believe it started then, so that a demo, a screenshot
 * or a test can stand on a chosen day; time passes from there as usual.
 */
const started = Date.now();
const pretended = process.env.ORDERLY_CLOCK ? Date.parse(process.env.ORDERLY_CLOCK) : NaN;

export function now(): Date {
	return Number.isNaN(pretended) ? new Date() : new Date(pretended + Date.now() - started);
}
