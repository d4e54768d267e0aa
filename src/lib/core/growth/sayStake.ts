import { plural, sayChance } from '../words';
import type { Stake } from './atStake';

/** Why a student needs somebody, in a sentence. */
export function sayStake(stake: Stake, skillName: (id: number) => string): string {
	switch (stake.is) {
		case 'slipping after exit':
			return `${skillName(stake.skillId)} was secure when the group ended, and is slipping.`;
		case 'level fell':
			return `Probes on ${skillName(stake.skillId)} are secure, but the level of the domain has fallen.`;
		case 'goal unlikely':
			return `The goal is unlikely (${sayChance(stake.chance)}), though sessions took place.`;
		case 'not delivered':
			return `Only ${stake.attended} of ${plural(stake.planned, 'planned session')} attended.`;
		case 'two groups':
			return `In two groups on ${skillName(stake.skillId)}.`;
		case 'at the ceiling':
			return 'Nearly all right in two probes: no room left to grow.';
		case 'not measured':
			return stake.days === null ? 'No probe was taken yet.' : `No probe for ${stake.days} days.`;
		case 'no probes':
			return 'In a group, but without weekly probes.';
		case 'no group':
			return 'In tier 2 or 3 without a group.';
	}
}

/** What a list can be narrowed to, as a choice. */
export const STAKE_NAMES: Record<Stake['is'], string> = {
	'slipping after exit': 'slipping after exit',
	'level fell': 'level check fell',
	'goal unlikely': 'goal unlikely, though taught',
	'not delivered': 'sessions not delivered',
	'no group': 'in a tier, no group',
	'two groups': 'two groups on one skill',
	'at the ceiling': 'no room left to grow',
	'no probes': 'no weekly probes',
	'not measured': 'not measured for two weeks'
};
