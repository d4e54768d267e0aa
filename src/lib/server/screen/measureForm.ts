import Type from 'typebox';
import {
	type FluencyMeasure,
	LEAST_SECONDS,
	type MarkedSheet,
	MEASURES,
	scoreSheet,
	SECONDS_GIVEN
} from '../../core/fluency';
import { visibleAmong } from '../people';
import { formCheck, oneOf } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { measuredStudent, setMeasureAside } from './store/givenMeasures';

/** What a form says of a sheet that was marked. */
export const MARKED_FIELDS = {
	seconds: Type.Number({ minimum: LEAST_SECONDS, maximum: SECONDS_GIVEN }),
	reached: Type.Integer({ minimum: 0, maximum: 1000 }),
	missed: Type.String({ pattern: '^([0-9]{1,3}(,[0-9]{1,3}){0,999})?$', default: '' })
};

/** A marked sheet as its form says it; what was missed behind the last reached does not count. */
export function markedFrom({
	seconds,
	reached,
	missed
}: {
	seconds: number;
	reached: number;
	missed: string;
}): MarkedSheet {
	const places = missed ? missed.split(',').map(Number) : [];
	return { reached, seconds, missed: [...new Set(places)].filter((place) => place < reached) };
}

/** What is said once a giving is stored, and how it is undone. @param measureId by which it is set aside */
export function sayGiven(measure: FluencyMeasure, marked: MarkedSheet, measureId: string) {
	const { correctPerMinute, accuracy } = scoreSheet(marked);
	const accurate = accuracy === null ? '' : `, ${Math.round(100 * accuracy)}% accurate`;
	return {
		done: `Saved: ${Math.round(correctPerMinute)} correct ${MEASURES[measure].units} a minute${accurate}.`,
		undo: { action: '?/aside', fields: { id: measureId, aside: 'yes' } }
	};
}

const asideForm = formCheck(Type.Object({ id: Type.String({ format: 'uuid' }), aside: oneOf(['yes', 'no']) }));

/** The form action that sets a giving aside, or takes it back in. */
export const asideAction = staffAction('give measures', asideForm, async ({ staff, school, database, at, form }) => {
	const isAside = form.aside === 'yes';
	const student = await measuredStudent(database, staff, form.id);
	if (student === null || !(await visibleAmong(database, staff, [student], school.today)).length)
		return refuse('There is no such measure for you');
	if (!(await setMeasureAside(database, staff, form.id, isAside, at)))
		return refuse('This was done already, or was not given by you');
	return isAside
		? {
				done: 'Set aside: it feeds nothing. The one before counts again, if there was one.',
				undo: { action: '?/aside', fields: { id: form.id, aside: 'no' } }
			}
		: { done: 'Taken back in: it counts again.' };
});
