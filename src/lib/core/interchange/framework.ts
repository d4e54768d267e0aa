import type { GradeTerm } from '../measurement';
import { findCycle } from '../mastery';

/** A domain of a framework. */
interface FrameworkDomain {
	/** CASE identifier, a UUID; absent where the source has none. */
	identifier?: string;
	code: string;
	name: string;
}

interface FrameworkSkill extends GradeTerm {
	/** CASE identifier, a UUID; absent where the source has none. */
	identifier?: string;
	code: string;
	/** Code of its domain. */
	domain: string;
	statement: string;
	shortName: string;
	/** Other words people look for it by. */
	also: string;
}

/** A skill framework: domains in order, their skills in teaching order, and which skill comes before which. */
export interface Framework {
	title: string;
	subject: string;
	domains: FrameworkDomain[];
	skills: FrameworkSkill[];
	edges: { prerequisite: string; skill: string }[];
}

/** The longest texts that are kept. */
export const LONGEST = { code: 20, name: 120, statement: 300, also: 500 };

/** More skills than any school teaches: a file with more is not what it is taken for. */
export const MOST_SKILLS = 3_000;

/** What makes two codes the same code: neither case nor accents tell them apart, as in the database. */
export const foldCode = (code: string) => code.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Codes that stand more than once, each once. */
function repeated(codes: string[]): Set<string> {
	const seen = new Set<string>();
	return new Set(
		codes.filter((code) => {
			const key = foldCode(code);
			if (seen.has(key)) return true;
			seen.add(key);
			return false;
		})
	);
}

const isCode = (code: string) => /^[\p{L}\p{N}][\p{L}\p{N}._-]*$/u.test(code) && code.length <= LONGEST.code;
const noCode = (code: string) => `“${code}” is no code: up to ${LONGEST.code} letters, digits, points and hyphens`;

/** Everything that keeps a framework from being used, in words that name the place; empty when it is sound. */
export function frameworkProblems({ domains, skills, edges }: Framework): string[] {
	if (Math.max(skills.length, domains.length) > MOST_SKILLS || edges.length > 10 * MOST_SKILLS)
		return [`there are ${skills.length} skills; at most ${MOST_SKILLS} can be kept`];
	const problems: string[] = [];
	for (const { code, name } of domains) {
		if (!isCode(code)) problems.push(noCode(code));
		if (!name.trim() || name.length > LONGEST.name)
			problems.push(`domain ${code} has no name of at most ${LONGEST.name} characters`);
	}
	for (const code of repeated(domains.map((domain) => domain.code))) problems.push(`domain ${code} stands twice`);
	for (const code of repeated(skills.map((skill) => skill.code))) problems.push(`skill ${code} stands twice`);
	const domainCodes = new Set(domains.map(({ code }) => code));
	for (const { code, domain, grade, term, statement, shortName, also } of skills) {
		if (!isCode(code)) problems.push(noCode(code));
		if (!domainCodes.has(domain)) problems.push(`skill ${code} names the domain ${domain}, which is missing`);
		if (!Number.isInteger(grade) || grade < 1 || grade > 8) problems.push(`skill ${code} has no grade from 1 to 8`);
		if (![1, 2, 3].includes(term)) problems.push(`skill ${code} has no term from 1 to 3`);
		if (!statement.trim()) problems.push(`skill ${code} has no statement`);
		if (!shortName.trim()) problems.push(`skill ${code} has no name`);
		for (const [name, text] of Object.entries({ statement, name: shortName, also }))
			if (text.length > LONGEST[name as keyof typeof LONGEST])
				problems.push(`skill ${code}: its ${name} is longer than ${LONGEST[name as keyof typeof LONGEST]} characters`);
	}
	const prerequisites = new Map(skills.map(({ code }) => [code, [] as string[]]));
	for (const { prerequisite, skill } of edges) {
		if (!prerequisites.has(prerequisite) || !prerequisites.has(skill))
			problems.push(`prerequisite ${prerequisite} → ${skill} names no skill`);
		else prerequisites.get(skill)!.push(prerequisite);
	}
	const circle = findCycle(prerequisites);
	if (circle) problems.push(`prerequisites go in a circle: ${circle.join(' → ')}`);
	return problems;
}

/** What bringing a framework in would do to the one that is there. Nothing is ever taken out: students have answers. */
export interface FrameworkPlan {
	added: FrameworkSkill[];
	changed: { code: string; fields: { name: string; before: string; after: string }[] }[];
	same: number;
	/** Skills that are there and not in what comes; they stay. */
	untouched: number;
	newDomains: FrameworkDomain[];
	newEdges: Framework['edges'];
	/** Prerequisites of skills that come, which what comes no longer states. */
	droppedEdges: Framework['edges'];
	/** What would be there afterwards. */
	merged: Framework;
}

const edgeKey = ({ prerequisite, skill }: { prerequisite: string; skill: string }) => `${prerequisite} ${skill}`;
const COMPARED = ['domain', 'shortName', 'statement', 'also', 'grade', 'term'] as const;

export function planFramework(current: Framework, incoming: Framework): FrameworkPlan {
	const before = new Map(current.skills.map((skill) => [skill.code, skill]));
	const coming = new Set(incoming.skills.map(({ code }) => code));
	const changed = incoming.skills.flatMap((skill) => {
		const old = before.get(skill.code);
		const fields = old
			? COMPARED.filter((name) => old[name] !== skill[name]).map((name) => ({
					name,
					before: String(old[name]),
					after: String(skill[name])
				}))
			: [];
		return fields.length ? [{ code: skill.code, fields }] : [];
	});
	const added = incoming.skills.filter(({ code }) => !before.has(code));
	const had = new Set(current.edges.map(edgeKey));
	const has = new Set(incoming.edges.map(edgeKey));
	const droppedEdges = current.edges.filter((edge) => coming.has(edge.skill) && !has.has(edgeKey(edge)));
	const dropped = new Set(droppedEdges.map(edgeKey));
	const domainCodes = new Set(current.domains.map(({ code }) => code));
	const newDomains = incoming.domains.filter(({ code }) => !domainCodes.has(code));
	const renamed = new Map(incoming.domains.map((domain) => [domain.code, domain]));
	const newEdges = incoming.edges.filter((edge) => !had.has(edgeKey(edge)));
	return {
		added,
		changed,
		same: incoming.skills.length - added.length - changed.length,
		untouched: current.skills.filter(({ code }) => !coming.has(code)).length,
		newDomains,
		newEdges,
		droppedEdges,
		merged: {
			...current,
			domains: [...current.domains.map((domain) => renamed.get(domain.code) ?? domain), ...newDomains],
			skills: [...current.skills.filter(({ code }) => !coming.has(code)), ...incoming.skills],
			edges: [...current.edges.filter((edge) => !dropped.has(edgeKey(edge))), ...newEdges]
		}
	};
}
