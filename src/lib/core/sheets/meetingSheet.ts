import { sayDate, sayDay, type SchoolDate } from '../calendar';
import type { Advice, SeriesReading, Verdict } from '../growth';
import type { Sessions } from '../timetable';
import { number, sayChance } from '../words';
import type { Sheet } from './sheet';

/** A student on the agenda. */
export interface MeetingLine {
	fullName: string;
	className: string;
	tier: number;
	group: string | null;
	focus: string | null;
	reading: SeriesReading | null;
	goalOn: SchoolDate | null;
	sessions: Sessions | null;
	advice: Advice;
	/** Null while nothing is decided. */
	verdict: { verdict: Verdict; newTier: number; effectiveOn: SchoolDate; change: string } | null;
}

/** The sheet of a review meeting: one row a student, with room for what is decided. */
export function meetingSheet(
	meeting: { on: SchoolDate; note: string; there: string[] },
	lines: MeetingLine[],
	school: string
): Sheet<'agenda'> {
	const level = ({ reading, goalOn }: MeetingLine) => {
		if (!reading) return 'no probes';
		const now = reading.levels[reading.levels.length - 1];
		const of = reading.probes[reading.probes.length - 1].of;
		return `${number(now.value)} of ${of} (${number(now.lower)} to ${number(now.upper)}); goal ${sayChance(reading.chanceOfGoal)} likely${goalOn ? ` by ${sayDay(goalOn)}` : ''}`;
	};
	return {
		title: `Review meeting, ${sayDate(meeting.on)}`,
		about: [meeting.note, school].filter(Boolean).join(' · '),
		printed: meeting.there.join(', '),
		language: 'en-US',
		parts: [
			{
				key: 'agenda',
				heading: 'Students',
				lines: lines.length ? [] : ['Nobody is on the agenda.'],
				...(lines.length
					? {
							table: {
								columns: ['Student', 'Tier', 'Group', 'Level now', 'Sessions', 'Advice', 'Decided'],
								rows: lines.map((line) => [
									`${line.fullName}, ${line.className}`,
									String(line.tier),
									[line.group, line.focus].filter(Boolean).join(': ') || 'none',
									level(line),
									line.sessions ? `${line.sessions.attended} of ${line.sessions.planned}` : 'none planned',
									line.advice,
									line.verdict
										? `${line.verdict.verdict}, tier ${line.verdict.newTier} from ${sayDay(line.verdict.effectiveOn)}${line.verdict.change ? `, ${line.verdict.change}` : ''}`
										: ''
								])
							}
						}
					: {})
			}
		],
		foot: 'Levels with their 80% band, in questions right of the last probe.'
	};
}
