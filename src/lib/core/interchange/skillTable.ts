import { frameworkProblems, type Framework } from './framework';

/** Columns of a table of skills, one row a skill, in teaching order. */
export const SKILL_COLUMNS = [
	'code',
	'domain',
	'domain name',
	'name',
	'statement',
	'grade',
	'term',
	'also',
	'prerequisites'
] as const;
type Column = (typeof SKILL_COLUMNS)[number];

/** A framework as a table; prerequisites are codes with spaces between. */
export function writeSkillTable({ domains, skills, edges }: Framework): string[][] {
	const nameOf = new Map(domains.map(({ code, name }) => [code, name]));
	return [
		[...SKILL_COLUMNS],
		...skills.map(({ code, domain, shortName, statement, grade, term, also }) => [
			code,
			domain,
			nameOf.get(domain) ?? '',
			shortName,
			statement,
			String(grade),
			String(term),
			also,
			edges
				.filter((edge) => edge.skill === code)
				.map(({ prerequisite }) => prerequisite)
				.join(' ')
		])
	];
}

/**
 * Reads a table of skills. Columns may come in any order; `also`, `domain name`, `term` and `prerequisites` may be
 * missing.
 *
 * @param known codes of skills that are there already and may be named as prerequisites
 * @returns the framework, and every problem with its line (the heading is line 1)
 */
export function readSkillTable(
	[header = [], ...records]: string[][],
	{ title, subject, known = [] }: { title: string; subject: string; known?: string[] }
): { framework: Framework; problems: string[] } {
	const place = new Map(header.map((heading, i) => [heading.trim().toLowerCase(), i]));
	const missing = (['code', 'domain', 'name', 'statement', 'grade'] as Column[]).filter((name) => !place.has(name));
	const empty = { title, subject, domains: [], skills: [], edges: [] };
	if (missing.length) return { framework: empty, problems: [`line 1: no column is called ${missing.join(', ')}`] };
	const problems: string[] = [];
	const domains = new Map<string, string>();
	const lineOf = new Map<string, number>();
	const skills: Framework['skills'] = [];
	const edges: Framework['edges'] = [];
	records.forEach((cells, i) => {
		const line = i + 2;
		if (cells.every((text) => !text.trim())) return;
		const cell = (name: Column) => (cells[place.get(name) ?? -1] ?? '').trim();
		const code = cell('code');
		if (!code) return void problems.push(`line ${line}: no code`);
		const first = lineOf.get(code);
		if (first) return void problems.push(`line ${line}: ${code} stands in line ${first}, too`);
		lineOf.set(code, line);
		const domain = cell('domain');
		if (!domains.has(domain)) domains.set(domain, cell('domain name') || domain);
		skills.push({
			code,
			domain,
			shortName: cell('name'),
			statement: cell('statement'),
			also: cell('also'),
			grade: Number(cell('grade') || NaN),
			term: cell('term') ? Number(cell('term')) : 1
		});
		for (const prerequisite of cell('prerequisites')
			.split(/[\s,;]+/)
			.filter(Boolean))
			edges.push({ prerequisite, skill: code });
	});
	const framework: Framework = {
		title,
		subject,
		domains: [...domains].map(([code, name]) => ({ code, name })),
		skills,
		edges
	};
	if (skills.length === 0 && problems.length === 0) problems.push('line 2: there are no skills below the heading');
	const there = new Set([...known, ...skills.map(({ code }) => code)]);
	for (const { prerequisite, skill } of edges)
		if (!there.has(prerequisite))
			problems.push(`line ${lineOf.get(skill)}: the prerequisite ${prerequisite} of ${skill} is no skill`);
	const own = frameworkProblems({ ...framework, edges: edges.filter(({ prerequisite }) => lineOf.has(prerequisite)) });
	const placed = own.map((problem) => {
		const line = lineOf.get(/^skill (\S+?):? /.exec(problem)?.[1] ?? /^“(.*?)”/.exec(problem)?.[1] ?? '');
		return line ? `line ${line}: ${problem}` : problem;
	});
	return { framework, problems: [...problems, ...placed] };
}
