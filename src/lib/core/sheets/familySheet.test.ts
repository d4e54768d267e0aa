import { describe, expect, it } from 'vitest';
import { shippedFramework } from '../../../../framework/shipped';
import { FAMILY_LANGUAGES, type FamilyLanguage } from './familyWords';
import { type FamilyFacts, familySheet } from './familySheet';
import { fernandezHuerta, fleschKincaidGrade } from './readability';
import { textOf, withOwnWords, withParts } from './sheet';

const { skills } = shippedFramework();
const facts = (change: Partial<FamilyFacts> = {}): FamilyFacts => ({
	...{ givenName: 'Paloma', fullName: 'Paloma Danso', className: 'Oystercatcher', school: 'Saltmarsh Bridge School' },
	...{ on: '2026-11-23', well: [], check: { first: 5, last: 13, of: 16 }, lessons: { attended: 8, planned: 8 } },
	...{ next: [], said: '' },
	...change
});
const named = ({ code, shortName }: (typeof skills)[number]) => ({ code, name: shortName });
const languages = Object.keys(FAMILY_LANGUAGES) as FamilyLanguage[];
/** What is read: names and dates aside. */
const read = (sheet: ReturnType<typeof familySheet>) =>
	sheet.parts.flatMap(({ heading, lines }) => [`${heading}.`, ...lines]).join(' ');

describe('the sheet for a family', () => {
	it('has words for every skill that ships, in each language', () => {
		for (const language of languages)
			expect(Object.keys(FAMILY_LANGUAGES[language].skills).sort()).toEqual(skills.map(({ code }) => code).sort());
		expect(Object.keys(FAMILY_LANGUAGES.es.messages)).toEqual(Object.keys(FAMILY_LANGUAGES.en.messages));
	});

	it('reads easily whatever it is about: grade 6 at most in English, 70 at least in Spanish', () => {
		skills.forEach((skill, i) => {
			const of = facts({ well: [named(skills[(i + 7) % skills.length])], next: [named(skill)] });
			const [english, spanish] = [read(familySheet(of, 'en')), read(familySheet(of, 'es'))];
			expect(fleschKincaidGrade(english), `${skill.code}: ${english}`).toBeLessThanOrEqual(6);
			expect(fernandezHuerta(spanish), `${skill.code}: ${spanish}`).toBeGreaterThanOrEqual(70);
		});
	});

	it('in Spanish holds no English, and nothing of norms in either', () => {
		for (const skill of skills) {
			const sheet = familySheet(facts({ next: [named(skill)], well: [named(skill)] }), 'es');
			const words = textOf(sheet)
				.toLowerCase()
				.match(/\p{L}+/gu)!;
			for (const english of ['the', 'and', 'with', 'number', 'learning', 'week', 'school’s', 'how', 'one', 'can'])
				expect(words, `${skill.code}: ${english}`).not.toContain(english);
			for (const language of languages) {
				const said = textOf(familySheet(facts({ next: [named(skill)] }), language)).toLowerCase();
				for (const jargon of ['percentile', 'percentil', 'tier', 'norm', 'benchmark', 'probe', 'standard'])
					expect(said, `${skill.code}: ${jargon}`).not.toContain(jargon);
			}
		}
	});

	it('says what went well only where it did, and always says something', () => {
		const lines = (change: Partial<FamilyFacts>, part: string) =>
			familySheet(facts(change), 'en').parts.find(({ key }) => key === part)!.lines;
		expect(lines({}, 'well')).toEqual([
			'Paloma takes a short check each week. In the first one, 5 of 16 answers were right. In the last one, 13 of 16 were right.',
			'Paloma came to 8 of 8 small group lessons.'
		]);
		expect(lines({ check: { first: 9, last: 4, of: 16 }, lessons: null }, 'well')).toEqual([
			'Paloma is working hard. It takes time, and we go on.'
		]);
		// Lessons that were mostly missed are nothing that went well.
		expect(lines({ check: null, lessons: { attended: 3, planned: 12 } }, 'well')).toEqual([
			'Paloma is working hard. It takes time, and we go on.'
		]);
		expect(lines({ next: [{ code: 'W41', name: 'Rounding' }] }, 'next')).toEqual([
			'Paloma is learning to round a number to a ten or a hundred.'
		]);
		expect(lines({}, 'next')).toEqual(['Paloma goes on with the work of the class.']);
		// A school's own skill has no words for families yet.
		expect(lines({ next: [{ code: 'X1', name: 'Knots' }] }, 'next')).toEqual([
			'Paloma is learning to work on “Knots”.'
		]);
		expect(lines({ next: [{ code: 'X1', name: 'Knots' }] }, 'home')).toEqual([
			'Ask Paloma to show you what the class did today.'
		]);
	});

	it('has what staff wrote only in their language, and takes their own words for a part', () => {
		const told = facts({ said: 'We try smaller steps.' });
		expect(textOf(familySheet(told, 'en'))).toContain('We try smaller steps.');
		expect(textOf(familySheet(told, 'es'))).not.toContain('We try');
		const own = withOwnWords(familySheet(told, 'es'), new Map([['said', 'Vamos paso a paso.\nGracias.']]));
		expect(own.parts[3].lines).toEqual(['Vamos paso a paso.', 'Gracias.']);
		expect(withParts(own, ['home', 'well']).parts.map(({ key }) => key)).toEqual(['well', 'home']);
		expect(withParts(own, []).parts).toHaveLength(4);
	});
});
