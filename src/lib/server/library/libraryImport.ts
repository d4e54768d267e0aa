import Type from 'typebox';
import Papa from 'papaparse';
import { examineCase, type CasePackage } from '../../core/interchange/caseFramework';
import { frameworkProblems, planFramework, type Framework, type FrameworkPlan } from '../../core/interchange/framework';
import { readSkillTable } from '../../core/interchange/skillTable';
import { readStandardTable, standardsFromCase, type ReadStandards } from '../../core/interchange/standards';
import { jsonCheck, UnreadableFile } from '../request';

const node = Type.Object({ identifier: Type.String({ minLength: 1, maxLength: 200 }) });
const text = (maxLength: number) => Type.String({ maxLength });
const checkCase = jsonCheck(
	Type.Object({
		CFDocument: Type.Object({
			identifier: text(200),
			title: Type.String({ minLength: 1, maxLength: 300 }),
			subject: Type.Optional(Type.Array(text(200)))
		}),
		CFItems: Type.Array(
			Type.Object({
				identifier: Type.String({ minLength: 1, maxLength: 200 }),
				fullStatement: text(5_000),
				abbreviatedStatement: Type.Optional(text(500)),
				humanCodingScheme: Type.Optional(text(200)),
				conceptKeywords: Type.Optional(Type.Array(text(500), { maxItems: 100 })),
				educationLevel: Type.Optional(Type.Array(text(20), { maxItems: 30 })),
				extensions: Type.Optional(Type.Object({ term: Type.Optional(Type.Integer()) }))
			}),
			{ maxItems: 30_000 }
		),
		CFAssociations: Type.Array(
			Type.Object({
				associationType: text(60),
				originNodeURI: node,
				destinationNodeURI: node,
				sequenceNumber: Type.Optional(Type.Integer())
			}),
			{ maxItems: 100_000 }
		)
	})
);

/** What a file holds once it is read as far as it goes. */
type ReadFile = { kind: 'case'; source: CasePackage } | { kind: 'table'; records: string[][] };

/** A CASE package or a CSV table from a file's text. @throws UnreadableFile when it is neither */
export function readLibraryFile(content: string): ReadFile {
	if (content.includes('\u0000') || content.includes('\ufffd'))
		throw new UnreadableFile('The file is not text in UTF-8; save it as UTF-8 and try again');
	const trimmed = content.replace(/^\ufeff/, '').trim();
	if (!trimmed) throw new UnreadableFile('The file is empty');
	if (!/^[{[]/.test(trimmed)) {
		const { data } = Papa.parse<string[]>(trimmed, { skipEmptyLines: false });
		return { kind: 'table', records: data };
	}
	let json: unknown;
	try {
		json = JSON.parse(trimmed);
	} catch (error) {
		throw new UnreadableFile(`The file begins like JSON but is none: ${(error as Error).message}`);
	}
	const checked = checkCase(json);
	if ('problem' in checked)
		throw new UnreadableFile(`The file is no CASE package of version 1.0 or 1.1: ${checked.problem}`);
	return { kind: 'case', source: checked.value };
}

/** What skills from a file would do here; with problems nothing can be taken. */
export function planSkills(
	file: ReadFile,
	current: Framework
): { incoming: Framework; plan: FrameworkPlan; problems: string[] } {
	const { framework: incoming, problems } =
		file.kind === 'case'
			? examineCase(file.source)
			: readSkillTable(file.records, {
					title: current.title,
					subject: current.subject,
					known: current.skills.map(({ code }) => code)
				});
	const plan = planFramework(current, incoming);
	return { incoming, plan, problems: problems.length ? problems : frameworkProblems(plan.merged) };
}

/** Standards in a file, with their crosswalk to the skills that are here. */
export function planStandards(file: ReadFile, current: Framework): ReadStandards {
	return file.kind === 'case'
		? standardsFromCase(file.source, new Map(current.skills.map(({ identifier, code }) => [identifier!, code])))
		: readStandardTable(file.records, new Set(current.skills.map(({ code }) => code)));
}

/** A file for the library, what it is said to hold, and the skills that are here. */
export interface LibraryFile {
	content: string;
	holds: 'skills' | 'standards';
	current: Framework;
}
export type LibraryPlan =
	({ holds: 'skills' } & ReturnType<typeof planSkills>) | ({ holds: 'standards' } & ReadStandards);

/** What a file would do to the library. @throws UnreadableFile */
export function planLibraryFile({ content, holds, current }: LibraryFile): LibraryPlan {
	const file = readLibraryFile(content);
	return holds === 'skills' ? { holds, ...planSkills(file, current) } : { holds, ...planStandards(file, current) };
}
