import type { SchoolDate } from '../calendar';
import { DELIVERED } from '../growth';
import { FAMILY_LANGUAGES, type FamilyLanguage, type FamilyWords, speaking } from './familyWords';
import type { Sheet } from './sheet';

/** A skill by its code, with its name where no words for families are there. */
interface NamedSkill {
	code: string;
	name: string;
}

/** What a family is told. */
export interface FamilyFacts {
	/** The student's given name, and how they are named in full. */
	givenName: string;
	fullName: string;
	className: string;
	school: string;
	on: SchoolDate;
	/** Skills that became secure lately. */
	well: NamedSkill[];
	/** The first and the last weekly probe; null under two. */
	check: { first: number; last: number; of: number } | null;
	/** Sessions of the small group; null without any. */
	lessons: { attended: number; planned: number } | null;
	/** Skills that are learned next, the first at once. */
	next: NamedSkill[];
	/** What the last verdict says the family is told; empty for nothing. */
	said: string;
}

export const FAMILY_PARTS = ['well', 'next', 'home', 'said'] as const;
export type FamilyPart = (typeof FAMILY_PARTS)[number];

/** Skills that are named as gone well, and as next. */
const MOST = { well: 3, next: 2 };

/**
 * The sheet for a family, in plain words: what went well, what comes next, one thing to do at home. Nothing of norms, and nothing
 * of others. A fall, or lessons that were missed, are not told as something that went well.
 */
export function familySheet(facts: FamilyFacts, language: FamilyLanguage): Sheet<FamilyPart> {
	const { givenName: name, check, lessons } = facts;
	const words: FamilyWords = FAMILY_LANGUAGES[language];
	const say = speaking(language);
	const does = ({ code, name: skill }: NamedSkill) => words.skills[code]?.does ?? say('skill.named', { skill });
	const well = facts.well.slice(0, MOST.well).map((skill) => say('well.skill', { name, does: does(skill) }));
	if (check && check.last > check.first) well.push(say('well.check', { name, ...check }));
	if (lessons && lessons.planned > 0 && lessons.attended >= DELIVERED.tried * lessons.planned)
		well.push(say('well.lessons', { name, ...lessons }));
	const next = facts.next.slice(0, MOST.next);
	const homes = next.flatMap(({ code }) => words.skills[code]?.home ?? []);
	const day = new Intl.DateTimeFormat(language === 'en' ? 'en-US' : `${language}-US`, {
		dateStyle: 'long',
		timeZone: 'UTC'
	}).format(new Date(`${facts.on}T12:00:00Z`));
	const orElse = (lines: string[], none: string) => (lines.length ? lines : [none]);
	return {
		title: say('title', { name }),
		about: `${facts.fullName} · ${facts.className}`,
		printed: day,
		language,
		parts: [
			{ key: 'well', heading: say('well'), lines: orElse(well, say('well.none', { name })), editable: true },
			{
				key: 'next',
				heading: say('next'),
				lines: orElse(
					next.map((skill) => say('next.skill', { name, does: does(skill) })),
					say('next.none', { name })
				),
				editable: true
			},
			{
				key: 'home',
				heading: say('home'),
				lines: orElse(
					homes.map((home) => say('home.skill', { home })),
					say('home.none', { name })
				),
				editable: true
			},
			// What an adult wrote is in the language they wrote it in.
			{
				key: 'said',
				heading: say('said'),
				lines: [...(facts.said && language === 'en' ? [facts.said] : []), say('ask')],
				editable: true
			}
		],
		foot: say('foot', { school: facts.school, date: day })
	};
}
