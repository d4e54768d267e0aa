import type { GradeTerm } from '../measurement';
import { findCycle } from '../mastery';

/** A skill framework: domains in order, their skills in teaching order, and which skill comes before which. */
export interface Framework {
	title: string;
	subject: string;
	domains: { code: string; name: string }[];
	skills: ({ code: string; domain: string; statement: string; shortName: string; also: string } & GradeTerm)[];
	edges: { prerequisite: string; skill: string }[];
}

interface CaseLink {
	identifier: string;
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
interface CasePackage {
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
 * Reads a CASE package (Competencies and Academic Standards Exchange 1.0/1.1): items below the document are domains,
 * items below a domain are skills; order by `sequenceNumber`; `educationLevel` gives the grade and `extensions.term`
 * the term (1 when absent).
 *
 * @param edges prerequisites by code, beside those the package states as `precedes`
 * @throws RangeError naming the item: no code, a code twice, no grade, a parent that is missing, prerequisites in a circle
 */
export function readCaseFramework(source: CasePackage, edges: { prerequisite: string; skill: string }[]): Framework {
	const { CFDocument: document, CFItems: items, CFAssociations: associations } = source;
	const byId = new Map(items.map((item) => [item.identifier, item]));
	const codeOf = (item: CaseItem) => {
		if (!item.humanCodingScheme) throw new RangeError(`“${item.fullStatement}” has no code`);
		return item.humanCodingScheme;
	};
	const codes = items.map(codeOf);
	const twice = codes.find((code, i) => codes.indexOf(code) !== i);
	if (twice) throw new RangeError(`code ${twice} stands twice`);
	const childLinks = associations
		.filter((link) => link.associationType === 'isChildOf')
		.sort((a, b) => (a.sequenceNumber ?? 0) - (b.sequenceNumber ?? 0));
	const childrenOf = (parent: string) =>
		childLinks
			.filter((link) => link.destinationNodeURI.identifier === parent)
			.map((link) => {
				const child = byId.get(link.originNodeURI.identifier);
				if (!child)
					throw new RangeError(
						`an association names an item that is not in the file: ${link.originNodeURI.identifier}`
					);
				return child;
			});
	const domains = childrenOf(document.identifier);
	const skills = domains.flatMap((domain) =>
		childrenOf(domain.identifier).map((item) => {
			const grade = Number(item.educationLevel?.[0]);
			if (!Number.isInteger(grade)) throw new RangeError(`skill ${codeOf(item)} has no grade`);
			return {
				code: codeOf(item),
				domain: codeOf(domain),
				statement: item.fullStatement,
				shortName: item.abbreviatedStatement ?? item.fullStatement,
				also: (item.conceptKeywords ?? []).join(' '),
				grade,
				term: item.extensions?.term ?? 1
			};
		})
	);
	const placed = new Set([...domains, ...skills].map((one) => ('code' in one ? one.code : codeOf(one))));
	const lost = codes.find((code) => !placed.has(code));
	if (lost) throw new RangeError(`item ${lost} has no parent in the file`);
	const stated = associations
		.filter((link) => link.associationType === 'precedes')
		.map((link) => ({
			prerequisite: codeOf(byId.get(link.originNodeURI.identifier)!),
			skill: codeOf(byId.get(link.destinationNodeURI.identifier)!)
		}));
	const allEdges = [...stated, ...edges];
	const prerequisites = new Map(skills.map(({ code }) => [code, [] as string[]]));
	for (const { prerequisite, skill } of allEdges) {
		if (!prerequisites.has(prerequisite) || !prerequisites.has(skill)) {
			throw new RangeError(`prerequisite ${prerequisite} → ${skill} names no skill`);
		}
		prerequisites.get(skill)!.push(prerequisite);
	}
	const circle = findCycle(prerequisites);
	if (circle) throw new RangeError(`prerequisites go in a circle: ${circle.join(' → ')}`);
	return {
		title: document.title,
		subject: document.subject?.[0] ?? document.title,
		domains: domains.map((item) => ({ code: codeOf(item), name: item.fullStatement })),
		skills,
		edges: allEdges
	};
}
