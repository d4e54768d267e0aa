import { describe, expect, it } from 'vitest';
import { standingNow } from '../../../../tests/standingNow';
import { adviseFrom, readSeries } from '../growth';
import { type EvidenceFacts, evidenceSheet } from './evidenceSheet';
import { type MeetingLine, meetingSheet } from './meetingSheet';
import { type PlanFacts, planSheet } from './planSheet';
import { textOf } from './sheet';

const reading = readSeries(
	[3, 4, 6, 7].map((right, week) => ({
		week,
		answers: Array.from({ length: 16 }, (_, i) => ({
			item: { discrimination: 1, difficulty: 0 },
			correct: i < right
		}))
	})),
	{ week: 9, right: 14, of: 16 },
	0
);
const sessions = { planned: 8, held: 7, attended: 6, emptyWeeks: [] };
const facts = (change: Partial<EvidenceFacts> = {}): EvidenceFacts => ({
	student: { fullName: 'Levan Sato', givenName: 'Levan', className: 'Oystercatcher', grade: 4, tier: 2 },
	...{ school: 'Saltmarsh Bridge School', on: '2026-11-23' },
	tiers: [{ tier: 2, fromOn: '2026-10-26', untilOn: null }],
	groups: [{ name: 'Mornings', focus: 'Add like fractions', fromOn: '2026-10-26', untilOn: '2026-12-19', sessions }],
	series: {
		...{ skill: 'Add like fractions', reading, questions: 16, ofFocus: 10, aWeek: 1, practiced: 31 },
		...{ goal: { right: 14, week: 9 }, goalOn: '2026-12-18' },
		phases: [{ is: 'verdict', on: '2026-11-09', verdict: 'adjust', change: 'smaller steps' }]
	},
	measures: [],
	sessions,
	focus: {
		name: 'Add like fractions',
		now: standingNow('gap', 0.02, { answers: 9, lastOn: '2026-11-18' }),
		lacking: ['Fractions of a whole'],
		builtOn: [{ name: 'Add unlike fractions', isReady: false, now: null }]
	},
	levels: [
		{
			...{ domain: 'Fractions', points: 478, error: 9, cut: 483 },
			...{ window: 'Winter screening', takenOn: '2026-11-20' }
		}
	],
	recommendation: adviseFrom(reading.look, {
		sessions: { planned: 8, attended: 6 },
		adjustmentsTried: 1,
		levelChecks: []
	}),
	decisions: [
		{
			...{ effectiveOn: '2026-11-09', verdict: 'adjust', newTier: 2, advice: 'continue' },
			...{ against: 'Seen in class.', change: 'smaller steps', note: 'Said aloud.' }
		}
	],
	notes: [{ on: '2026-11-16', by: 'Ilse Waweru', text: 'Counts on fingers.' }],
	skillName: (id) => `skill ${id}`,
	...change
});
const linesOf = (sheet: ReturnType<typeof evidenceSheet>, part: string) =>
	sheet.parts.find(({ key }) => key === part)!.lines;

describe('the evidence sheet', () => {
	it('tells support, growth, standing, scores, advice, decisions and notes', () => {
		const sheet = evidenceSheet(facts());
		expect(linesOf(sheet, 'support')).toEqual([
			'Tier 2: Oct 26 to now.',
			'Mornings, on Add like fractions: Oct 26 to Dec 18. 6 of 8 planned sessions attended, 7 took place.'
		]);
		expect(linesOf(sheet, 'growth')).toContain('31 minutes of practice since they began.');
		expect(linesOf(sheet, 'growth')).toContain('Changed: smaller steps, Nov 9.');
		expect(sheet.parts[1].series).toMatchObject({ questions: 16, goal: 14, weeks: 9 });
		expect(linesOf(sheet, 'standing')).toContain('Lacking underneath: Fractions of a whole.');
		expect(linesOf(sheet, 'standing')).toContain('Builds on it: Add unlike fractions (unseen).');
		expect(sheet.parts[3].table!.rows).toEqual([
			['Fractions', '478, give or take 9', '483', 'Winter screening, Nov 20']
		]);
		expect(sheet.parts[4].heading).toMatch(/^The rules advise: /);
		expect(linesOf(sheet, 'decisions')).toEqual([
			'Nov 9: adjust, tier 2, smaller steps. Advised was continue; but: Seen in class. Said aloud.'
		]);
		expect(linesOf(sheet, 'notes')).toEqual(['Nov 16, Ilse Waweru: Counts on fingers.']);
	});

	it('says of each part that there is nothing yet', () => {
		const none = evidenceSheet(
			facts({ tiers: [], groups: [], series: null, sessions: null, focus: null, levels: [], decisions: [], notes: [] })
		);
		for (const part of none.parts) expect(part.lines.length, part.key).toBeGreaterThan(0);
		expect(textOf(none)).toContain('No weekly probes run, so growth cannot be told.');
	});

	it('tells the measures that an adult gives, beside probes and without any', () => {
		const measures = [
			['Reading aloud, correct words a minute: 52, 55.', '2 givings so far: from 6 on a rise is told.']
		];
		expect(linesOf(evidenceSheet(facts({ measures })), 'growth')).toEqual(expect.arrayContaining(measures[0]));
		expect(linesOf(evidenceSheet(facts({ measures, series: null, sessions: null })), 'growth')).toEqual([
			'No weekly probes run.',
			...measures[0],
			'No sessions were planned.'
		]);
	});
});

describe('the education plan', () => {
	const plan = (change: Partial<PlanFacts> = {}) =>
		planSheet({
			...facts(),
			group: { name: 'Mornings', adult: 'Ilse Waweru', when: 'Tue Thu 13:15', minutes: 30, aWeek: 2 },
			accommodations: ['read aloud'],
			nextReviewOn: '2026-12-17',
			...change
		});

	it('has a goal that can be measured, with where it starts from', () => {
		const [goal] = linesOf(plan() as never, 'goals');
		expect(goal).toMatch(
			/^By Fri, Dec 18, Levan answers at least 14 of 16 questions right at first try in two weekly probes in a row: 10 questions on Add like fractions and 6 on what comes before it\. Now it is about \d+, between \d+ and \d+ \(80%\)\.$/
		);
		const text = textOf(plan());
		expect(text).toContain('Tue Thu 13:15, 30 minutes, 2 times a week');
		expect(text).toContain('The team looks at it on Thu, Dec 17.');
		expect(text).toContain('Not yet there underneath Add like fractions: Fractions of a whole.');
		expect(text).toContain('read aloud');
	});

	it('says so where nothing is measured or given', () => {
		const text = textOf(plan({ series: null, group: null, accommodations: [] }));
		expect(text).toContain('no goal can be drawn from them: write one here');
		expect(text).toContain('No small group now.');
		expect(text).toContain('None.');
	});
});

describe('the sheet of a meeting', () => {
	it('has one row a student, with room for what is decided', () => {
		const line: MeetingLine = {
			...{ fullName: 'Levan Sato', className: 'Oystercatcher', tier: 2, group: 'Mornings' },
			...{ focus: 'Add like fractions', reading, goalOn: '2026-12-18', sessions, advice: 'adjust', verdict: null }
		};
		const decided: MeetingLine = {
			...line,
			...{ fullName: 'Ada Marsh', reading: null, sessions: null, group: null, focus: null },
			verdict: { verdict: 'continue', newTier: 2, effectiveOn: '2026-11-24', change: 'smaller steps' }
		};
		const sheet = meetingSheet({ on: '2026-11-23', note: 'library', there: ['A', 'B'] }, [line, decided], 'School');
		const [first, second] = sheet.parts[0].table!.rows;
		expect(first[3]).toMatch(/^\d+ of 16 \(\d+ to \d+\); goal .* likely by Dec 18$/);
		expect([first[4], first[6]]).toEqual(['6 of 8', '']);
		expect(second.slice(2)).toEqual([
			...['none', 'no probes', 'none planned', 'adjust'],
			'continue, tier 2 from Nov 24, smaller steps'
		]);
		expect(meetingSheet({ on: '2026-11-23', note: '', there: [] }, [], 'School').parts[0].lines).toEqual([
			'Nobody is on the agenda.'
		]);
	});
});
