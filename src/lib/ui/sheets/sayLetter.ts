import { type SchoolDate, sayDay } from '$lib/core/calendar';
import { FAMILY_LANGUAGES, type FamilyLanguage } from '$lib/core/sheets';

/** What a family was sent, as pages have it. */
export interface ShownLetter {
	id: number;
	language: string;
	way: 'paper' | 'mail' | 'talk';
	sentOn: SchoolDate;
	by: string;
	asksConsent: boolean;
	answeredOn: SchoolDate | null;
	answer: 'read' | 'agrees' | 'declines' | null;
}

const WAYS: Record<ShownLetter['way'], string> = { paper: 'on paper', mail: 'by mail', talk: 'in a talk' };

/** A language by its own name. */
export const sayLanguage = (code: string): string => FAMILY_LANGUAGES[code as FamilyLanguage]?.name ?? code;

/** How a letter was given, in which language, by whom, and whether it asks for consent. */
export const sayLetter = ({ way, language, by, asksConsent }: ShownLetter): string =>
	`${WAYS[way]}, in ${sayLanguage(language)}, by ${by}${asksConsent ? '; asks the family to agree' : ''}`;

/** How the family answered. */
export const sayAnswer = ({ answer, answeredOn }: ShownLetter): string =>
	answer
		? `${{ read: 'has read it', agrees: 'agrees', declines: 'does not agree' }[answer]}, ${sayDay(answeredOn!)}`
		: 'not answered yet';
