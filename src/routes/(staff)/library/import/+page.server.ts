import Type from 'typebox';
import { formCheck, oneOf, longForm, readFile } from '$lib/server/request';
import { refuse, staffAction, staffWho } from '$lib/server/shell/staffPage';
import { changeFramework, importStandards, skillList, taughtFramework } from '$lib/server/library';

const PROBLEMS_SHOWN = 40;

export async function load({ locals }) {
	await staffWho(locals, 'change the library');
}

const importForm = formCheck(
	Type.Object({
		holds: oneOf(['skills', 'standards']),
		framework: Type.Optional(Type.String({ maxLength: 120 })),
		content: Type.String({ minLength: 1, maxLength: 3_500_000 }),
		step: oneOf(['check', 'take'])
	}),
	longForm(3_500_000)
);

export const actions = {
	default: staffAction('change the library', importForm, async ({ staff, database, at, form }) => {
		const { holds, framework = '', content, step } = form;
		const current = await taughtFramework(database, staff.schoolId);
		const read = await readFile('library', { content, holds, current });
		if ('problem' in read) return refuse(read.problem);
		const carried = { holds, framework, content };
		if (read.found.holds === 'skills') {
			const { incoming, plan, problems } = read.found;
			const { merged: _, ...shown } = plan;
			const told = { ...carried, problems: problems.slice(0, PROBLEMS_SHOWN), problemCount: problems.length };
			if (problems.length || step === 'check')
				return { ...told, step: 'check' as const, plan: shown, makesCopy: current.isShared };
			await changeFramework(database, staff, incoming, at);
			return { ...told, step: 'taken' as const, plan: shown };
		}
		if (!framework.trim()) return refuse('Say what the framework of these standards is called');
		const { standards, problems } = read.found;
		const told = {
			...carried,
			problems: problems.slice(0, PROBLEMS_SHOWN),
			problemCount: problems.length,
			standards: {
				count: standards.length,
				linked: standards.filter(({ skills }) => skills.length).length,
				sample: standards.slice(0, 8)
			}
		};
		if (problems.length || step === 'check') return { ...told, step: 'check' as const };
		const idOf = new Map((await skillList(database, staff.schoolId)).map(({ code, id }) => [code, id]));
		await importStandards(
			database,
			staff,
			framework.trim(),
			standards.map(({ skills, ...standard }) => ({ ...standard, skillIds: skills.map((code) => idOf.get(code)!) })),
			at
		);
		return { ...told, step: 'taken' as const };
	})
};
