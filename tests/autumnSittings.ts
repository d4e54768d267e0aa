import { randomUUID } from 'node:crypto';
import { itemFrom } from '../src/lib/core/items/bank';
import { expectedTheta, probabilityCorrect } from '../src/lib/core/measurement';
import { seededRandom } from '../src/lib/core/random';
import { fixedForm, itemParameters } from '../src/lib/core/screening';
import { fill } from '../src/lib/server/database/seeding';
import { withSkillIds, writeItems } from '../src/lib/server/sitting/store/sittings';
import { NOW, type SmallSchool } from './smallSchool';

/**
 * Many students of grade 4, from number 100 on, sit the autumn form; one of its families is a logit harder than it starts,
 * and the sitting of the first of them is flagged.
 *
 * @param above how far they are above the expected median on average, in logits
 * @returns the family that is harder
 */
export async function sitAutumn(
	{ database, skills }: Pick<SmallSchool, 'database' | 'skills'>,
	{ students, above = 0 }: { students: number; above?: number }
): Promise<string> {
	const byCode = new Map(skills.map((skill) => [skill.code, skill]));
	const items = fixedForm(skills, { grade: 4, term: 1 }, 10_000);
	const odd = items[7].familyId;
	const random = seededRandom(11);
	const ids = Array.from({ length: students }, (_, n) => 100 + n);
	await fill(
		database,
		'student',
		ids.map((id) => ({
			id,
			school_id: 1,
			number: `S${id}`,
			given_name: 'Given',
			family_name: `Family${id}`,
			grade: 4,
			pin_hash: 'none'
		}))
	);
	await fill(
		database,
		'sitting',
		ids.map((id) => ({
			id,
			student_id: id,
			kind: 'diagnostic',
			window_id: 1,
			attempt: 1,
			item_count: items.length,
			answered: items.length,
			adaptive: false,
			started_at: NOW,
			finished_at: NOW,
			trust: id === 100 ? 'flagged' : 'trusted'
		}))
	);
	const places = ids.flatMap((id) => items.map((item, position) => ({ id, position, item })));
	for (const id of ids) await writeItems(database, id, 0, withSkillIds(items, skills));
	const abilities = new Map(ids.map((id) => [id, expectedTheta({ grade: 4, term: 1 }) + above + random.normal()]));
	await fill(
		database,
		'answer',
		places.map(({ id, position, item }) => {
			const parameters = itemParameters(itemFrom(item.familyId, item.seed), byCode.get(item.skillCode)!);
			const harder = item.familyId === odd ? 1 : 0;
			const chance = probabilityCorrect(abilities.get(id)!, {
				...parameters,
				difficulty: parameters.difficulty + harder
			});
			return {
				id: randomUUID(),
				sitting_id: id,
				position,
				attempt: 1,
				student_id: id,
				skill_id: byCode.get(item.skillCode)!.id,
				response: '"1"',
				correct: random.chance(chance),
				milliseconds: 8_000 + position * 100,
				hints: 0,
				answered_at: NOW,
				received_at: NOW
			};
		})
	);
	return odd;
}
