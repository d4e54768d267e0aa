import type { SchoolDate } from '$lib/core/calendar';

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

/** How a letter was given, in which language, by whom, and whether it asks for consent. */
export const sayLetter = ({ way, language, by, asksConsent }: ShownLetter, nameOf: (code: string) => string): string =>
	`${WAYS[way]}, in ${nameOf(language)}, by ${by}${asksConsent ? '; asks the family to agree' : ''}`;
