import type { CasePackage } from './caseFramework';
import { foldCode } from './framework';

/** A standard of another framework, with codes of our skills that it asks for. */
interface ReadStandard {
	code: string;
	statement: string;
	grade: number | null;
	skills: string[];
}

const LONGEST = { code: 60, statement: 1_000 };

/** Standards and what keeps them from being taken, each with its place. */
export interface ReadStandards {
	standards: ReadStandard[];
	problems: string[];
}

function judge(standards: (ReadStandard & { place: string })[], skillCodes: Set<string>): ReadStandards {
	const problems: string[] = [];
	const seen = new Map<string, string>();
	for (const { code, statement, grade, skills, place } of standards) {
		if (!code) problems.push(`${place}: no code`);
		else if (seen.has(foldCode(code))) problems.push(`${place}: ${code} stands at ${seen.get(foldCode(code))}, too`);
		else seen.set(foldCode(code), place);
		if (!statement) problems.push(`${place}: no statement`);
		if (code.length > LONGEST.code || statement.length > LONGEST.statement)
			problems.push(
				`${place}: a code has at most ${LONGEST.code} characters, a statement at most ${LONGEST.statement.toLocaleString('en-US')}`
			);
		if (grade !== null && !(Number.isInteger(grade) && grade >= 0 && grade <= 12))
			problems.push(`${place}: the grade is none from 0 to 12`);
		for (const skill of skills) if (!skillCodes.has(skill)) problems.push(`${place}: we have no skill ${skill}`);
	}
	return { standards: standards.map(({ place: _, ...standard }) => standard), problems };
}

/** Reads a table with the columns code and statement, and if they are there grade and skills (codes with spaces between). */
export function readStandardTable([header = [], ...records]: string[][], skillCodes: Set<string>): ReadStandards {
	const place = new Map(header.map((heading, i) => [heading.trim().toLowerCase(), i]));
	const missing = ['code', 'statement'].filter((name) => !place.has(name));
	if (missing.length) return { standards: [], problems: [`line 1: no column is called ${missing.join(' or ')}`] };
	const rows = records.flatMap((cells, i) => {
		if (cells.every((text) => !text.trim())) return [];
		const cell = (name: string) => (cells[place.get(name) ?? -1] ?? '').trim();
		const grade = cell('grade');
		return [
			{
				place: `line ${i + 2}`,
				code: cell('code'),
				statement: cell('statement'),
				grade: grade === '' ? null : /^k/i.test(grade) ? 0 : Number(grade),
				skills: cell('skills')
					.split(/[\s,;]+/)
					.filter(Boolean)
			}
		];
	});
	if (rows.length === 0) return { standards: [], problems: ['line 2: there are no standards below the heading'] };
	return judge(rows, skillCodes);
}

/** Kinds of association that say that an item asks for the same as one of our skills, or for something near it. */
const ALIKE = new Set(['exactMatchOf', 'isRelatedTo', 'isPeerOf']);

/**
 * Standards of a CASE package: its items with a code and nothing below them. Associations to our skills, by their
 * identifiers, make the crosswalk.
 *
 * @param skillByIdentifier codes of our skills by their CASE identifiers
 */
export function standardsFromCase(
	{ CFItems: items, CFAssociations: associations }: CasePackage,
	skillByIdentifier: Map<string, string>
): ReadStandards {
	const parents = new Set(
		associations
			.filter(({ associationType }) => associationType === 'isChildOf')
			.map(({ destinationNodeURI }) => destinationNodeURI.identifier)
	);
	const skillsOf = new Map<string, Set<string>>();
	for (const { associationType, originNodeURI, destinationNodeURI } of associations) {
		if (!ALIKE.has(associationType)) continue;
		const ends = [originNodeURI.identifier, destinationNodeURI.identifier];
		for (const [item, other] of [ends, [...ends].reverse()]) {
			const skill = skillByIdentifier.get(other);
			if (skill) skillsOf.set(item, (skillsOf.get(item) ?? new Set()).add(skill));
		}
	}
	const rows = items.flatMap((item, i) => {
		if (parents.has(item.identifier) || !item.humanCodingScheme) return [];
		const level = item.educationLevel?.[0];
		return [
			{
				place: `item ${i + 1}`,
				code: item.humanCodingScheme,
				statement: item.fullStatement,
				grade: level === undefined ? null : /^k/i.test(level) ? 0 : Number(level),
				skills: [...(skillsOf.get(item.identifier) ?? [])]
			}
		];
	});
	if (rows.length === 0) return { standards: [], problems: ['the file has no items with a code'] };
	return judge(rows, new Set(skillByIdentifier.values()));
}
