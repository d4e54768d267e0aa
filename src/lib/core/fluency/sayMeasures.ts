import { number, plural } from '../words';
import { type FluencyMeasure, MEASURES } from './benchmarks';
import { LEAST_FOR_RISE, type MeasureReading } from './measureSeries';
import { PASSAGES_A_GRADE } from './passages';

/** What a series of a measure says, in sentences. @param goalOn the goal's day, said */
export function sayMeasureReading(reading: MeasureReading, goalOn: string): string[] {
	const { points, aim, aboveAim, line, atGoal } = reading;
	const says: string[] = [];
	if (aim)
		says.push(
			`To reach ${number(aim.to.y)} by ${goalOn} asks for ${number(aim.slope, 1)} a minute more each week, from ${number(aim.from.y)} (the middle one of the first three).`
		);
	if (aboveAim)
		says.push(
			`Of the ${aboveAim.of} newest, ${aboveAim.count === 1 ? '1 is' : `${aboveAim.count} are`} on the line to the goal or above.`
		);
	if (line)
		says.push(
			`So far about ${number(line.rise, 1)} a minute more each week${line.interval ? `, likely between ${number(line.interval[0], 1)} and ${number(line.interval[1], 1)} (95%)` : ''}.`
		);
	else
		says.push(
			`${points.length ? `${plural(points.length, 'giving')} so far` : 'Nothing was given yet'}: from ${LEAST_FOR_RISE} on a rise is told.`
		);
	if (atGoal)
		says.push(
			`If it goes on in a straight line, one giving on ${goalOn} lies between ${number(atGoal.lower)} and ${number(atGoal.upper)} in 80 of 100 cases.`
		);
	return says;
}

/** A measure's givings with what they say, where a student's growth is told. @param goalOn the goal's day, said */
export function sayMeasureSeries(measure: FluencyMeasure, reading: MeasureReading, goalOn: string): string[] {
	const given = reading.points.map(({ correctPerMinute }) => number(correctPerMinute)).join(', ');
	const name = measure[0].toUpperCase() + measure.slice(1);
	const says = sayMeasureReading(reading, goalOn);
	return given ? [`${name}, correct ${MEASURES[measure].units} a minute: ${given}.`, ...says] : [`${name}.`, ...says];
}

/** How far givings of a measure can be held against each other. */
export const sayEquivalence = (measure: FluencyMeasure): string =>
	measure === 'reading aloud'
		? `${PASSAGES_A_GRADE} passages a grade, about as hard as each other; after ${PASSAGES_A_GRADE} weeks they come again. How many words are read of two such passages in a minute can differ by a tenth, so one giving says little.`
		: `Other ${MEASURES[measure].units} each week, of the same kinds in each row, so that one sheet is as hard as another.`;
