import { describeAnswer } from '../../core/items';
import { hasItems, itemFrom, itemsForSkill } from '../../core/items/bank';
import { daysBetween, type SchoolDate } from '../../core/calendar';
import { mathHtml } from '../sitting';
import { type SampleItem, sampleItems, type Skill } from '../library';

/** Questions of an exit ticket. */
export const TICKET_ITEMS = 2;
/** Seeds of exit tickets: apart from those of samples, practice, probes and checks. */
const TICKET_SEED = 1_000_000_000;

interface SessionPlan {
	/** To model, one after another. */
	samples: SampleItem[];
	/** The exit ticket: others for each group and day. */
	ticket: { stemHtml: string; figure: SampleItem['figure']; keyHtml: string }[];
}

/** What a session on a skill is made of: questions to model, and a check for understanding at its end. */
export function sessionPlan(skill: Skill, groupId: number, on: SchoolDate): SessionPlan {
	if (!hasItems(skill.code)) return { samples: [], ticket: [] };
	const seed = TICKET_SEED + TICKET_ITEMS * (1_000 * groupId + (daysBetween('2020-01-01', on) % 1_000));
	return {
		samples: sampleItems(skill.code),
		ticket: itemsForSkill(skill.code, TICKET_ITEMS, seed).map((one) => {
			const item = itemFrom(one.familyId, one.seed);
			return { stemHtml: mathHtml(item.stem), figure: item.figure, keyHtml: mathHtml(describeAnswer(item, item.key)) };
		})
	};
}
