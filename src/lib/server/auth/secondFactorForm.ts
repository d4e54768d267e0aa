import Type from 'typebox';
import { fail } from '@sveltejs/kit';
import { formCheck } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { acceptSecret, otherCodes, showsCode } from './secondFactor';
import { forgetViewer } from './signInCache';
import { anySchoolNeedsSecondFactor, dropOwnSecondFactor } from './store/secondFactors';

const code = Type.String({ minLength: 6, maxLength: 20 });
const acceptForm = formCheck(Type.Object({ key: Type.String({ minLength: 1, maxLength: 300 }), code }));
const codeForm = formCheck(Type.Object({ code }));

/** Authenticators go by the clock of the world, whatever day a demo stands on. */
const world = () => new Date();

const WRONG = 'The code is wrong, was used already, or there were too many: wait for the next one';

/** The form actions of the page about one's own second factor. */
export const secondFactorActions = {
	accept: staffAction('change own account', acceptForm, async ({ staff, database, form }) => {
		const codes = await acceptSecret(database, staff, form, world());
		if (!codes) return fail(400, { problem: `${WRONG}. Nothing was changed.` });
		forgetViewer(staff);
		return { codes, done: 'From now on a code is asked for after your password.' };
	}),
	codes: staffAction('change own account', codeForm, async ({ staff, database, form }) => {
		const codes = await otherCodes(database, staff, form.code, world());
		return codes ? { codes, done: 'The codes you had before work no more.' } : refuse(WRONG);
	}),
	drop: staffAction('change own account', codeForm, async ({ staff, database, at, form }) => {
		if (await anySchoolNeedsSecondFactor(database, staff))
			return refuse('A school of yours needs a second factor of all staff');
		if (!(await showsCode(database, staff, form.code, world()))) return refuse(WRONG);
		await dropOwnSecondFactor(database, staff, at);
		return { done: 'From now on your password is enough.' };
	})
};
