import Type from 'typebox';
import { OPERATIONS } from '$lib/core/fluency';
import { beginFacts } from '$lib/server/sitting/factRunPage';
import { formCheck, oneOf, id, readForm, studentContext } from '$lib/server/request';
import { error, redirect } from '@sveltejs/kit';
import { refuse } from '$lib/server/shell/staffPage';
import { askedSet, beginDiagnostic, beginLevelCheck, beginPractice, beginProbe, workFor } from '$lib/server/sitting';

import { beginOwnWork, ownPage } from '$lib/server/sitting/ownPage';
import { seeMaterial } from '$lib/server/materials';
import { beginCheck } from '$lib/server/gaps';

export const load = ({ locals, url, cookies }) => ownPage(locals, studentContext(locals), askedSet(cookies, url));

const startForm = formCheck(
	Type.Object({ kind: oneOf(['diagnostic', 'probe', 'level', 'check', 'practice', 'review', 'free']), id })
);

const factsForm = formCheck(Type.Object({ operation: oneOf([...OPERATIONS]) }));

const seeForm = formCheck(Type.Object({ material: id }));

export const actions = {
	see: async (event) => {
		const student = studentContext(event.locals);
		const form = await readForm(event, seeForm);
		if ('problem' in form) return refuse(form.problem);
		const { database, at } = event.locals;
		if (!(await seeMaterial(database, student.id, form.value.material, at)))
			return refuse('This is not on your page any more');
		return { seen: form.value.material };
	},
	facts: async (event) => {
		const student = studentContext(event.locals);
		const form = await readForm(event, factsForm);
		if ('problem' in form) return refuse(form.problem);
		const run = await beginFacts(event.locals, student, form.value.operation);
		if (run === null) error(404, 'These facts are not on your page any more.');
		redirect(303, `/facts/${run}`);
	},
	start: async (event) => {
		const student = studentContext(event.locals);
		const form = await readForm(event, startForm);
		if ('problem' in form) return refuse(form.problem);
		const { database, at } = event.locals;
		const { diagnostics, probes, levels, checks, sets, skills } = await workFor(event.locals, student);
		const diagnostic =
			form.value.kind === 'diagnostic' && diagnostics.find(({ window }) => window.id === form.value.id);
		const probe = form.value.kind === 'probe' && probes.find((plan) => plan.id === form.value.id);
		const level = form.value.kind === 'level' && levels.find(({ planId }) => planId === form.value.id);
		const check = form.value.kind === 'check' && checks.find((one) => one.id === form.value.id);
		const set = form.value.kind === 'practice' && sets.find((one) => one.id === form.value.id);
		let sitting: number | null = null;
		if (diagnostic) sitting = await beginDiagnostic(database, student, diagnostic, skills, at);
		else if (probe) sitting = await beginProbe(database, probe, probe.makeUp ?? probe.numberNow, skills, at);
		else if (level) sitting = await beginLevelCheck(database, student.id, level, skills, at);
		else if (check) sitting = await beginCheck(database, check, skills, at);
		else if (set) sitting = await beginPractice(database, student.id, set, skills, at);
		else if (form.value.kind === 'review' || form.value.kind === 'free')
			sitting = await beginOwnWork(event.locals, student, form.value.kind, form.value.id);
		if (sitting === null) error(404, 'This is not on your page any more.');
		redirect(303, `/work/${sitting}`);
	}
};
