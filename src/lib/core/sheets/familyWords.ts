import { IntlMessageFormat } from 'intl-messageformat';
import english from './words/en.json' with { type: 'json' };
import spanish from './words/es.json' with { type: 'json' };

/** Words for families in one language. */
export interface FamilyWords {
	/** Of the language, in itself. */
	name: string;
	/** ICU messages. */
	messages: Record<keyof (typeof english)['messages'], string>;
	/** By the code of a skill: what who has it can do, and one thing to do at home. */
	skills: Record<string, { does: string; home: string }>;
}

/** Languages in which families are written to: a file of words each. */
export const FAMILY_LANGUAGES = { en: english, es: spanish } satisfies Record<string, FamilyWords>;
export type FamilyLanguage = keyof typeof FAMILY_LANGUAGES;

/** Says messages of a language. @returns a message with what belongs into it */
export function speaking(language: FamilyLanguage) {
	const { messages }: FamilyWords = FAMILY_LANGUAGES[language];
	return (key: keyof FamilyWords['messages'], values: Record<string, string | number> = {}): string =>
		String(new IntlMessageFormat(messages[key], language, undefined, { ignoreTag: true }).format(values));
}
