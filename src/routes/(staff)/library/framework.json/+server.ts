import { createHash } from 'node:crypto';
import { writeCaseFramework } from '$lib/core/interchange/caseFramework';
import { staffContext } from '$lib/server/shell/staffPage';
import { taughtFramework } from '$lib/server/library';

/** A UUID from a name (RFC 9562, version 8: bits of a SHA-256), so that the same export gives the same file. */
function uuidOf(name: string): string {
	const hex = createHash('sha256').update(`orderly compass ${name}`).digest('hex');
	return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** The skills as a CASE package. */
export async function GET({ locals }) {
	const { school } = await staffContext(locals);
	const framework = await taughtFramework(locals.database, school.id);
	return new Response(JSON.stringify(writeCaseFramework(framework, uuidOf, locals.at), null, '\t'), {
		headers: {
			'Content-Type': 'application/json',
			'Content-Disposition': 'attachment; filename="skills.case.json"'
		}
	});
}
