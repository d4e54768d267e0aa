import Type from 'typebox';
import { addDays, isTimeZone, sayDate, saySpan } from '../../core/calendar';
import { HIGHEST_GRADE } from '../../core/interchange/studentList';
import { plural } from '../../core/words';
import { provider, setSingleSignOn, SINGLE_SIGN_ONS, type SingleSignOn } from '../auth';
import { fileForm, formCheck, id, idsOf, idText, jsonCheck, jsonIn, oneOf, readFile, schoolDate } from '../request';
import { addDaysOff, changeProfile, changeTierPlans, planCycle, planYear, removeCycle, removeDaysOff } from '../school';
import { refuse, staffAction } from '../shell/staffPage';

const grade = Type.Integer({ minimum: 0, maximum: HIGHEST_GRADE });
const profileForm = formCheck(
	Type.Object({
		name: Type.String({ minLength: 1, maxLength: 120 }),
		timeZone: Type.String({ minLength: 1, maxLength: 60 }),
		schoolDays: Type.Array(Type.Integer({ minimum: 1, maximum: 5 }), { minItems: 1, maxItems: 5, uniqueItems: true }),
		firstGrade: grade,
		lastGrade: grade,
		pinLength: Type.Integer({ minimum: 4, maximum: 8 })
	})
);
const someDay = Type.Union([schoolDate, Type.String({ maxLength: 0 })]);
const yearForm = formCheck(
	Type.Object({ was: someDay, startsOn: schoolDate, endsOn: schoolDate, winterOn: someDay, springOn: someDay })
);
const dayOffForm = formCheck(
	Type.Object({ fromOn: schoolDate, toOn: someDay, name: Type.String({ minLength: 1, maxLength: 80 }) })
);
const goneForm = formCheck(Type.Object({ days: idText }));
const restoreForm = formCheck(Type.Object({ days: Type.String({ maxLength: 60_000 }) }));
const daysCheck = jsonCheck(
	Type.Array(
		Type.Object({ fromOn: schoolDate, untilOn: schoolDate, name: Type.String({ minLength: 1, maxLength: 80 }) })
	)
);
/** A calendar of a year of days off is far smaller. */
const calendarForm = formCheck(Type.Object({}), fileForm(1_000_000));
const cycleForm = formCheck(
	Type.Object({
		cycle: Type.Union([id, Type.String({ maxLength: 0 })]),
		number: Type.Integer({ minimum: 1, maximum: 20 }),
		startsOn: schoolDate,
		weeks: Type.Integer({ minimum: 1, maximum: 20 })
	})
);
const removeCycleForm = formCheck(Type.Object({ cycle: id }));
const size = Type.Integer({ minimum: 1, maximum: 12 });
const minutes = Type.Integer({ minimum: 5, maximum: 600 });
const tiersForm = formCheck(
	Type.Object({ least2: size, most2: size, minutes2: minutes, least3: size, most3: size, minutes3: minutes })
);

/** What holds from now on. */
const SAYS_SIGN_ON: Record<SingleSignOn, string> = {
	off: 'Everybody signs in with a password or PIN.',
	beside: 'Whom the roster knows signs in there, or with a password or PIN.',
	instead: 'Whom the roster knows signs in there only; coordinators, and whom it does not know, with a password or PIN.'
};
const signOnForm = formCheck(Type.Object({ mode: oneOf(SINGLE_SIGN_ONS) }));

/** The form actions of the page about school and year. */
export const schoolActions = {
	profile: staffAction('set up the school', profileForm, async ({ staff, database, at, form }) => {
		if (!isTimeZone(form.timeZone)) return refuse(`“${form.timeZone}” is no time zone; choose one of the list`);
		if (form.firstGrade > form.lastGrade) return refuse('The last grade comes before the first');
		await changeProfile(database, staff, { ...form, name: form.name.trim() }, at);
		return { done: `${form.name.trim()}: kept.` };
	}),
	signOn: staffAction('set up the school', signOnForm, async ({ staff, database, at, form }) => {
		if (!provider()) return refuse('This installation knows no identity provider');
		const before = await setSingleSignOn(database, staff, form.mode, at);
		return { done: SAYS_SIGN_ON[form.mode], undo: { action: '?/signOn', fields: { mode: before } } };
	}),
	year: staffAction('set up the school', yearForm, async ({ staff, database, at, form }) => {
		const { was, startsOn, endsOn } = form;
		const [winterOn, springOn] = [form.winterOn || null, form.springOn || null];
		if (endsOn < addDays(startsOn, 60)) return refuse('A year ends two months or more after it begins');
		if (endsOn > addDays(startsOn, 400)) return refuse('A year is no longer than 400 days');
		const inOrder = [startsOn, winterOn, springOn, endsOn].filter((day) => day !== null);
		if (inOrder.some((day, i) => i > 0 && day <= inOrder[i - 1]))
			return refuse('Winter and spring begin within the year, winter first');
		const overlapped = await planYear(database, staff, was || null, { startsOn, endsOn, winterOn, springOn }, at);
		if (overlapped) return refuse(`The year from ${saySpan(overlapped)} lies across it`);
		return { done: `The year runs from ${sayDate(startsOn)} to ${sayDate(endsOn)}.` };
	}),
	dayOff: staffAction('set up the school', dayOffForm, async ({ staff, database, at, form }) => {
		const { fromOn, name } = form;
		const toOn = form.toOn || fromOn;
		if (toOn < fromOn) return refuse('The last day lies before the first');
		if (toOn > addDays(fromOn, 120)) return refuse('Days off are no more than 120 in a row');
		const ids = await addDaysOff(database, staff, [{ fromOn, untilOn: addDays(toOn, 1), name: name.trim() }], at);
		if (ids.length === 0) return refuse('These days are off already');
		return {
			done: `${name.trim()}: no school ${saySpan({ startsOn: fromOn, endsOn: toOn })}.`,
			undo: { action: '?/removeDaysOff', fields: { days: ids.join(',') } }
		};
	}),
	/** Whole days of a calendar file. */
	calendar: staffAction('set up the school', calendarForm, async ({ staff, school, database, at, file }) => {
		if (!file) return refuse('Choose a file first');
		const read = await readFile('calendar', { content: await file.bytes(), timeZone: school.timeZone });
		if ('problem' in read) return refuse(read.problem);
		const days = read.found.away
			.filter(({ untilOn }) => untilOn > school.today)
			.map(({ fromOn, untilOn, title }) => ({ fromOn, untilOn, name: title.slice(0, 80) }));
		const ids = await addDaysOff(database, staff, days, at);
		if (ids.length === 0) return refuse('The file holds no whole days ahead that are not off already');
		return {
			done: `${plural(ids.length, 'entry', 'entries')} taken as days off.`,
			undo: { action: '?/removeDaysOff', fields: { days: ids.join(',') } }
		};
	}),
	removeDaysOff: staffAction('set up the school', goneForm, async ({ staff, database, at, form }) => {
		const gone = await removeDaysOff(database, staff, idsOf(form.days), at);
		if (gone.length === 0) return refuse('These days are no days off any more');
		return {
			done: `There is school again: ${gone.map(({ name }) => name).join(', ')}.`,
			undo: {
				action: '?/restoreDaysOff',
				fields: {
					days: JSON.stringify(gone.map(({ fromOn, untilOn, name }) => ({ fromOn, untilOn, name })))
				}
			}
		};
	}),
	restoreDaysOff: staffAction('set up the school', restoreForm, async ({ staff, database, at, form }) => {
		const days = daysCheck(jsonIn(form.days));
		if ('problem' in days) return refuse('These days could not be read');
		const ids = await addDaysOff(database, staff, days.value, at);
		return { done: `${plural(ids.length, 'entry', 'entries')} off again.` };
	}),
	cycle: staffAction('set up the school', cycleForm, async ({ staff, database, at, form }) => {
		const { cycle, number, startsOn, weeks } = form;
		const overlapped = await planCycle(
			database,
			staff,
			typeof cycle === 'number' ? cycle : null,
			{ number, startsOn, weeks },
			at
		);
		if (overlapped) return refuse(`Cycle ${overlapped.number}, ${saySpan(overlapped)}, lies across it`);
		return { done: `Cycle ${number} runs for ${plural(weeks, 'week')} from ${sayDate(startsOn)}.` };
	}),
	removeCycle: staffAction('set up the school', removeCycleForm, async ({ staff, database, at, form }) => {
		const gone = await removeCycle(database, staff, form.cycle, at);
		if (!gone) return refuse('There is no such cycle');
		return {
			done: `Cycle ${gone.number} is taken away. Groups keep their dates.`,
			undo: {
				action: '?/cycle',
				fields: { cycle: '', number: String(gone.number), startsOn: gone.startsOn, weeks: String(gone.weeks) }
			}
		};
	}),
	tiers: staffAction('set up the school', tiersForm, async ({ staff, database, at, form }) => {
		const { least2, most2, minutes2, least3, most3, minutes3 } = form;
		if (least2 > most2 || least3 > most3) return refuse('The smallest group is larger than the largest');
		const plans = {
			2: { size: { minimum: least2, maximum: most2 }, minutesAWeek: minutes2 },
			3: { size: { minimum: least3, maximum: most3 }, minutesAWeek: minutes3 }
		};
		const before = await changeTierPlans(database, staff, plans, at);
		return {
			done: 'The next suggestion of groups goes by it; groups there are stay as they are.',
			undo: {
				action: '?/tiers',
				fields: Object.fromEntries(
					([2, 3] as const).flatMap((tier) => [
						[`least${tier}`, String(before[tier].size.minimum)],
						[`most${tier}`, String(before[tier].size.maximum)],
						[`minutes${tier}`, String(before[tier].minutesAWeek)]
					])
				)
			}
		};
	})
};
