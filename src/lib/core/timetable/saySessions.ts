import { sayDay } from '../calendar';
import type { Sessions } from './sessions';

/** A student's sessions so far as a sentence, with the weeks in which none took place. */
export function saySessions({ planned, held, attended, emptyWeeks }: Sessions): string {
	const counts = `${attended} of ${planned} planned sessions attended`;
	const missing = held < planned ? `, ${held} took place` : '';
	if (emptyWeeks.length === 0) return `${counts}${missing}.`;
	return `${counts}${missing}; none in the ${emptyWeeks.length === 1 ? 'week' : 'weeks'} of ${emptyWeeks.map(sayDay).join(', ')}.`;
}
