import Type from 'typebox';
import type { Emphasis } from '$lib/core/grouping';
import { plural } from '$lib/core/words';
import { EMPHASIS_GRADES, schoolEmphasis, setEmphasis } from '$lib/server/library';
import { formCheck } from '$lib/server/request';
import { refuse, staffAction, staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals }) {
	const { school } = await staffWho(locals, 'form groups');
	return { grades: EMPHASIS_GRADES, emphasis: await schoolEmphasis(locals.database, school.id) };
}

/** A domain's id, a grade, and the emphasis on it. */
const TOLD = '^[0-9]{1,10} [1-8] (full|less|none)$';
const emphasisForm = formCheck(
	Type.Object({ told: Type.Array(Type.String({ pattern: TOLD }), { minItems: 1, maxItems: 400 }) })
);

export const actions = {
	set: staffAction('form groups', emphasisForm, async ({ staff, database, at, form }) => {
		const before = new Map<string, Emphasis>(
			(await schoolEmphasis(database, staff.schoolId)).flatMap(({ id, byGrade }) =>
				byGrade.map((emphasis, i) => [`${id} ${EMPHASIS_GRADES[i]}`, emphasis] as const)
			)
		);
		const changes = form.told
			.map((told) => told.split(' '))
			.filter(([domain, grade, emphasis]) => before.get(`${domain} ${grade}`) !== emphasis);
		if (changes.some(([domain, grade]) => !before.has(`${domain} ${grade}`)))
			return refuse('A domain of this table is not taught here any more. Load the page again');
		if (changes.length === 0) return { done: 'Nothing was different from before.' };
		await setEmphasis(
			database,
			staff,
			changes.map(([domain, grade, emphasis]) => ({
				domainId: Number(domain),
				grade: Number(grade),
				emphasis: emphasis as Emphasis
			})),
			at
		);
		return {
			done: `${plural(changes.length, 'place')} of the table changed. The next suggestion of groups goes by it; groups there are stay as they are.`,
			undo: {
				action: '?/set',
				fields: {
					told: changes.map(([domain, grade]) => `${domain} ${grade} ${before.get(`${domain} ${grade}`)}`)
				}
			}
		};
	})
};
