import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import type { Framework } from '../src/lib/core/interchange/framework';
import { readSkillTable } from '../src/lib/core/interchange/skillTable';

/** The same name gives the same UUID everywhere (version 5, RFC 9562), so that two schools speak of the same skill. */
function uuidOf(name: string): string {
	const hex = createHash('sha1').update(`orderly-compass ${name}`).digest('hex');
	const variant = ((parseInt(hex[16], 16) & 0x3) | 0x8).toString(16);
	return [
		hex.slice(0, 8),
		hex.slice(8, 12),
		`5${hex.slice(13, 16)}`,
		`${variant}${hex.slice(17, 20)}`,
		hex.slice(20, 32)
	].join('-');
}

/** The framework that ships with the product, from mathematics.csv. @throws Error when that file is not sound */
export function shippedFramework(): Framework {
	const text = readFileSync(new URL('mathematics.csv', import.meta.url), 'utf8');
	const table = Papa.parse<string[]>(text, { skipEmptyLines: true }).data;
	const { framework, problems } = readSkillTable(table, { title: 'Mathematics, grades 1–8', subject: 'Mathematics' });
	if (problems.length) throw new Error(`mathematics.csv: ${problems.join('; ')}`);
	return {
		...framework,
		domains: framework.domains.map((domain) => ({ ...domain, identifier: uuidOf(`domain ${domain.code}`) })),
		skills: framework.skills.map((skill) => ({ ...skill, identifier: uuidOf(`skill ${skill.code}`) }))
	};
}
