import {
	moveAction,
	moveBackAction,
	ruleAction,
	takeBackWordAction,
	usualAction,
	wordAction
} from '$lib/server/decide/tierRuleForm';
import { tierRulePage } from '$lib/server/decide/tierRulePage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return { page: await tierRulePage(locals.database, school, await scopeOf(locals, url, staff, school), url) };
}

export const actions = {
	rule: ruleAction,
	usual: usualAction,
	move: moveAction,
	moveBack: moveBackAction,
	word: wordAction,
	takeBackWord: takeBackWordAction
};
