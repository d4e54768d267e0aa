import { frameworkProblems, type Framework } from './framework';

interface CaseLink {
	identifier: string;
	uri?: string;
	title?: string;
}
interface CaseItem {
	identifier: string;
	fullStatement: string;
	abbreviatedStatement?: string;
	/** Other words for it. */
	conceptKeywords?: string[];
	humanCodingScheme?: string;
	CFItemType?: string;
	educationLevel?: string[];
	extensions?: { term?: number };
}
/** What we read of a CASE package (Competencies and Academic Standards Exchange 1.0 and 1.1). */
export interface CasePackage {
	CFDocument: { identifier: string; title: string; subject?: string[] };
	CFItems: CaseItem[];
	CFAssociations: {
		associationType: string;
		originNodeURI: CaseLink;
		destinationNodeURI: CaseLink;
		sequenceNumber?: number;
	}[];
}

/**
 * Reads a CASE package: items below the document are domains, items below a domain are skills; order by
 * `sequenceNumber`; `educationLevel` gives the grade and `extensions.term` the term (1 when absent); `precedes` states
 * a prerequisite.
 *
 * @returns the framework, and every problem with its place; with problems the framework is not to be used
 */
export function examineCase({ CFDocument: document, CFItems: items, CFAssociations: associations }: CasePackage): {
	framework: Framework;
	problems: string[];
} {
	const problems: string[] = [];
	const place = (item: CaseItem) => `item ${items.indexOf(item) + 1} (“${item.fullStatement.slice(0, 60)}”)`;
	const byId = new Map(items.map((item) => [item.identifier, item]));
	const codeOf = (item: CaseItem) => item.humanCodingScheme ?? '';
	for (const item of items) if (!item.humanCodingScheme) problems.push(`${place(item)} has no code`);
	const seen = new Map<string, CaseItem>();
	for (const item of items) {
		const first = seen.get(codeOf(item));
		if (item.humanCodingScheme && first)
			problems.push(`code ${codeOf(item)} stands twice: at ${place(first)} and ${place(item)}`);
		else seen.set(codeOf(item), item);
	}
	for (const { originNodeURI, destinationNodeURI } of associations) {
		for (const { identifier } of [originNodeURI, destinationNodeURI])
			if (!byId.has(identifier) && identifier !== document.identifier)
				problems.push(`an association names an item that is not in the file: ${identifier}`);
	}
	const childLinks = associations
		.filter((link) => link.associationType === 'isChildOf')
		.sort((a, b) => (a.sequenceNumber ?? 0) - (b.sequenceNumber ?? 0));
	const childrenOf = (parent: string) =>
		childLinks
			.filter((link) => link.destinationNodeURI.identifier === parent)
			.flatMap((link) => byId.get(link.originNodeURI.identifier) ?? []);
	const domainItems = childrenOf(document.identifier);
	const skillItems = domainItems.flatMap((domain) => childrenOf(domain.identifier).map((item) => ({ domain, item })));
	const placed = new Set([...domainItems, ...skillItems.map(({ item }) => item)]);
	for (const item of items)
		if (!placed.has(item)) problems.push(`${place(item)}, code ${codeOf(item) || 'none'}, has no parent in the file`);
	const edges = associations
		.filter((link) => link.associationType === 'precedes')
		.flatMap((link) => {
			const [first, then] = [byId.get(link.originNodeURI.identifier), byId.get(link.destinationNodeURI.identifier)];
			return first && then ? [{ prerequisite: codeOf(first), skill: codeOf(then) }] : [];
		});
	const framework: Framework = {
		title: document.title,
		subject: document.subject?.[0] ?? document.title,
		domains: domainItems.map((item) => ({
			identifier: item.identifier,
			code: codeOf(item),
			name: item.fullStatement
		})),
		skills: skillItems.map(({ domain, item }) => ({
			identifier: item.identifier,
			code: codeOf(item),
			domain: codeOf(domain),
			statement: item.fullStatement,
			shortName: item.abbreviatedStatement ?? item.fullStatement.slice(0, 120),
			also: (item.conceptKeywords ?? []).join(' '),
			grade: Number(item.educationLevel?.[0] ?? NaN),
			term: item.extensions?.term ?? 1
		})),
		edges
	};
	return { framework, problems: problems.length ? problems : frameworkProblems(framework) };
}

/**
 * A framework as a CASE package, which `examineCase` reads back as the same.
 *
 * @param identifiers gives the document, and what has no identifier of its own, a UUID; the same one for the same name
 * @param at when the framework was last changed
 */
export function writeCaseFramework(framework: Framework, identifiers: (name: string) => string, at: Date) {
	const lastChangeDateTime = at.toISOString();
	const uri = (identifier: string) => `urn:uuid:${identifier}`;
	const documentId = identifiers(`document ${framework.title}`);
	const domains = framework.domains.map((domain) => ({
		...domain,
		identifier: domain.identifier ?? identifiers(`domain ${domain.code}`)
	}));
	const skills = framework.skills.map((skill) => ({
		...skill,
		identifier: skill.identifier ?? identifiers(`skill ${skill.code}`)
	}));
	const link = (identifier: string, title: string) => ({ title, identifier, uri: uri(identifier) });
	const documentLink = link(documentId, framework.title);
	const domainLink = new Map(domains.map(({ code, identifier }) => [code, link(identifier, code)]));
	const skillLink = new Map(skills.map(({ code, identifier }) => [code, link(identifier, code)]));
	const associate = (
		associationType: string,
		originNodeURI: CaseLink,
		destinationNodeURI: CaseLink,
		sequenceNumber?: number
	) => {
		const identifier = identifiers(`${associationType} ${originNodeURI.identifier} ${destinationNodeURI.identifier}`);
		return {
			identifier,
			uri: uri(identifier),
			associationType,
			originNodeURI,
			destinationNodeURI,
			...(sequenceNumber === undefined ? {} : { sequenceNumber }),
			lastChangeDateTime
		};
	};
	return {
		CFDocument: {
			identifier: documentId,
			uri: uri(documentId),
			creator: 'Orderly Compass',
			title: framework.title,
			lastChangeDateTime,
			language: 'en',
			subject: [framework.subject],
			adoptionStatus: 'Adopted'
		},
		CFItems: [
			...domains.map(({ identifier, code, name }) => ({
				identifier,
				uri: uri(identifier),
				fullStatement: name,
				humanCodingScheme: code,
				CFItemType: 'Domain',
				lastChangeDateTime
			})),
			...skills.map(({ identifier, code, statement, shortName, also, grade, term }) => ({
				identifier,
				uri: uri(identifier),
				fullStatement: statement,
				abbreviatedStatement: shortName,
				...(also ? { conceptKeywords: [also] } : {}),
				humanCodingScheme: code,
				CFItemType: 'Skill',
				educationLevel: [String(grade).padStart(2, '0')],
				extensions: { term },
				lastChangeDateTime
			}))
		],
		CFAssociations: [
			...domains.map(({ code }, i) => associate('isChildOf', domainLink.get(code)!, documentLink, i + 1)),
			...skills.map(({ code, domain }, i) =>
				associate('isChildOf', skillLink.get(code)!, domainLink.get(domain)!, i + 1)
			),
			...framework.edges.map(({ prerequisite, skill }) =>
				associate('precedes', skillLink.get(prerequisite)!, skillLink.get(skill)!)
			)
		]
	};
}
