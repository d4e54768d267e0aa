import Type from 'typebox';
import { error, json } from '@sveltejs/kit';
import { copySkillMaterial, makeMaterial } from '$lib/server/materials';
import { materialForm } from '$lib/server/materials/makeMaterial';
import { id, jsonCheck, readForm, readJson } from '$lib/server/request';
import { staffWho } from '$lib/server/shell/staffPage';

const copyCheck = jsonCheck(Type.Object({ skillMaterial: id }, { additionalProperties: false }));

/** Makes what a set can begin with: from a form with its file, or a link or note that the school has with a skill. */
export async function POST(event) {
	const { staff } = await staffWho(event.locals, 'assign practice');
	const { database, at } = event.locals;
	if (event.request.headers.get('content-type')?.startsWith('application/json')) {
		const { skillMaterial } = await readJson(event, copyCheck, 200);
		const copied = await copySkillMaterial(database, staff, skillMaterial, at);
		if (copied === null) error(404, 'The library has this no more.');
		return json({ id: copied });
	}
	const form = await readForm(event, materialForm);
	if ('problem' in form) error(400, `${form.problem}. Nothing was kept.`);
	const made = await makeMaterial(database, staff, form.value, form.file, at);
	if ('problem' in made) error(400, `${made.problem}. Nothing was kept.`);
	return json({ id: made.id });
}
