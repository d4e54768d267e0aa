import Type from 'typebox';
import { formCheck, oneOf, id, readForm, studentContext } from '$lib/server/request';
import { error, redirect } from '@sveltejs/kit';
import { refuse } from '$lib/server/shell/staffPage';
import { beginDiagnostic, beginPractice, beginProbe, workFor } from '$lib/server/sitting';
import { PROBE_ITEMS } from '$lib/core/growth';
import { CHECK_ITEMS } from '$lib/core/items';
import { beginCheck } from '$lib/server/gaps';

export async function load({ locals }) {
	const { diagnostics, probes, checks, sets } = await workFor(locals, studentContext(locals));
	return {
		work: [
			...diagnostics.map(({ window, name, answered, enough, lastDay, resit }) => ({
				kind: 'diagnostic',
				id: window.id,
				title: name,
				note: resit ? 'A few questions again' : 'Show what you know: about 35 minutes, on one day or several',
				answered,
				// Of a diagnostic nobody can say how many are left.
				itemCount: null,
				dueOn: lastDay,
				late: false,
				tomorrow: enough
			})),
			...probes.map((plan) => ({
				kind: 'probe',
				id: plan.id,
				title: `Check: ${plan.skill}`,
				note: `${PROBE_ITEMS} short questions`,
				answered: 0,
				itemCount: PROBE_ITEMS,
				dueOn: null,
				late: false,
				tomorrow: false
			})),
			...checks.map(({ id, skillIds, answered, dueOn, late }) => ({
				kind: 'check',
				id,
				title: 'Show what you know',
				note: `${skillIds.length * CHECK_ITEMS} questions`,
				answered,
				itemCount: skillIds.length * CHECK_ITEMS,
				dueOn,
				late,
				tomorrow: false
			})),
			...sets.map((set) => ({
				kind: 'practice',
				id: set.id,
				title: set.title,
				note: set.untilRight
					? `until ${set.untilRight} are right, ${set.itemCount} at most`
					: `${set.itemCount} questions`,
				answered: set.answered ?? 0,
				itemCount: set.itemCount,
				dueOn: set.dueOn,
				late: set.late,
				tomorrow: false
			}))
		]
	};
}

const startForm = formCheck(Type.Object({ kind: oneOf(['diagnostic', 'probe', 'check', 'practice']), id }));

export const actions = {
	start: async (event) => {
		const student = studentContext(event.locals);
		const form = await readForm(event, startForm);
		if ('problem' in form) return refuse(form.problem);
		const { database, at } = event.locals;
		const { diagnostics, probes, checks, sets, skills } = await workFor(event.locals, student);
		const diagnostic =
			form.value.kind === 'diagnostic' && diagnostics.find(({ window }) => window.id === form.value.id);
		const probe = form.value.kind === 'probe' && probes.find((plan) => plan.id === form.value.id);
		const check = form.value.kind === 'check' && checks.find((one) => one.id === form.value.id);
		const set = form.value.kind === 'practice' && sets.find((one) => one.id === form.value.id);
		let sitting: number;
		if (diagnostic) sitting = await beginDiagnostic(database, student, diagnostic, skills, at);
		else if (probe) sitting = await beginProbe(database, probe, probe.weekNow, skills, at);
		else if (check) sitting = await beginCheck(database, check, skills, at);
		else if (set) sitting = await beginPractice(database, student.id, set, skills, at);
		else error(404, 'This is not on your page any more.');
		redirect(303, `/work/${sitting}`);
	}
};
