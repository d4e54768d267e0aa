import Type from 'typebox';
import { error } from '@sveltejs/kit';
import { hasItems } from '$lib/core/items/bank';
import { progression } from '$lib/core/mastery';
import {
	addMaterial,
	domainList,
	hideMaterial,
	materialsFor,
	sampleItems,
	shelfOf,
	shelve,
	skillGraph,
	skillList,
	standardsOfSkill
} from '$lib/server/library';
import { scopeChoices } from '$lib/server/shell';
import { refuse, scopeOf, staffContext, staffAction } from '$lib/server/shell/staffPage';
import { practiceSets } from '$lib/server/practice';
import { studentsOnSkill } from '$lib/server/gaps/skillPage';
import { formCheck, oneOf, id, LONGEST_LINK, webAddress } from '$lib/server/request';
import type { Database } from '$lib/server/database';

/** How far the drawn progression reaches. */
const STEPS = 2;
const SETS_SHOWN = 8;

async function skillByCode(database: Database, schoolId: number, code: string) {
	const skills = await skillList(database, schoolId);
	const skill = skills.find((one) => one.code === code);
	if (!skill) error(404, 'There is no skill of this code. Look for it in the library by any word.');
	return { skill, skills };
}

export async function load({ locals, url, params }) {
	const { staff, school } = await staffContext(locals);
	const { database } = locals;
	const scope = await scopeOf(locals, url, staff, school);
	const { skill, skills } = await skillByCode(database, school.id, params.code);
	const students = await scope.students();
	const [domains, graph, onSkill, sets, materials, standards, shelf, choices] = await Promise.all([
		domainList(database, school.id),
		skillGraph(database, school.id, skills),
		studentsOnSkill(database, school, students, skill.id),
		practiceSets(database, scope.roster, { from: 0, most: SETS_SHOWN, skillId: skill.id }),
		materialsFor(database, school.id, skill.id),
		standardsOfSkill(database, school.id, skill.id),
		shelfOf(database, staff),
		scopeChoices(database, staff, school.today)
	]);
	return {
		skill,
		domain: domains.find(({ id: domainId }) => domainId === skill.domainId)!,
		skills: skills.map(({ id: skillId, code, shortName, grade, term }) => ({
			id: skillId,
			code,
			shortName,
			grade,
			term
		})),
		progression: progression(graph, skill.id, STEPS),
		samples: hasItems(skill.code) ? sampleItems(skill.code) : [],
		...onSkill,
		sets: sets.sets,
		materials,
		standards,
		groups: choices.filter(({ kind }) => kind === 'Groups'),
		shelved: shelf.find(({ own, skillId }) => own && skillId === skill.id) ?? null
	};
}

const materialForm = formCheck(
	Type.Object({
		title: Type.String({ minLength: 1, maxLength: 120 }),
		link: Type.Optional(Type.String({ maxLength: LONGEST_LINK })),
		note: Type.Optional(Type.String({ maxLength: 2_000 }))
	})
);
const oneMaterial = formCheck(Type.Object({ material: id }));
const shelfForm = formCheck(Type.Object({ shelf: oneOf(['own', 'shared', 'off']) }));

export const actions = {
	add: staffAction('keep materials', materialForm, async ({ staff, database, at, form, event }) => {
		const { skill } = await skillByCode(database, staff.schoolId, event.params.code!);
		const { title, link = '', note = '' } = form;
		const address = link ? webAddress(link) : null;
		if (link && !address)
			return refuse(`The link is no web address: it begins with https:// and has at most ${LONGEST_LINK} characters`);
		if (!address && !note) return refuse('Add a link or a note');
		const added = await addMaterial(database, staff, skill.id, { title, link: address, note }, at);
		return {
			done: `“${title}” is kept with ${skill.shortName}.`,
			undo: { action: '?/remove', fields: { material: String(added) } }
		};
	}),
	remove: staffAction('keep materials', oneMaterial, async ({ staff, database, at, form }) => {
		const { material } = form;
		if (!(await hideMaterial(database, staff, material, true, at)))
			return refuse('This material is not there any more');
		return { done: 'Taken away.', undo: { action: '?/restore', fields: { material: String(material) } } };
	}),
	restore: staffAction('keep materials', oneMaterial, async ({ staff, database, at, form }) => {
		if (!(await hideMaterial(database, staff, form.material, false, at)))
			return refuse('This material is there already');
		return { done: 'It is back.' };
	}),
	shelf: staffAction('keep materials', shelfForm, async ({ staff, database, at, form, event }) => {
		const { skill } = await skillByCode(database, staff.schoolId, event.params.code!);
		const { shelf } = form;
		await shelve(database, staff, skill.id, shelf === 'off' ? null : shelf === 'shared', at);
		return {
			done: {
				own: `${skill.shortName} is on your shelf.`,
				shared: `${skill.shortName} is on your shelf; colleagues at the school see it.`,
				off: `${skill.shortName} is off your shelf.`
			}[shelf]
		};
	})
};
