import { number, plural } from '../words';
import type { Proposal } from './propose';

const joined = (names: string[]): string =>
	names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1]}`;

/** Why a student may be commended, for the adult who decides it. */
export function sayProposal(proposal: Proposal, skillName: (id: number) => string): string {
	switch (proposal.is) {
		case 'active minutes':
			return `${plural(Math.round(proposal.minutes), 'active minute')} this week; ${number(proposal.usual)} in the usual week before.`;
		case 'in a row':
			return `The last ${proposal.sessions} sessions attended, after ${proposal.missed} of the ${proposal.sessions} before were missed.`;
		case 'secure':
			return `Made secure since the cycle began: ${joined(proposal.skillIds.map(skillName))}.`;
		case 'risen':
			return `Probes on ${skillName(proposal.skillId)}: the level rose from ${sayRange(proposal.from)} to ${sayRange(proposal.to)} of ${proposal.of} (80%), more than their errors explain.`;
	}
}

/** The same to the student. */
export function sayToStudent(proposal: Proposal, skillName: (id: number) => string): string {
	switch (proposal.is) {
		case 'active minutes':
			return `You worked ${plural(Math.round(proposal.minutes), 'minute')} this week, more than in your weeks before.`;
		case 'in a row':
			return `You were there for ${proposal.sessions} group meetings in a row.`;
		case 'secure':
			return `You have made secure: ${joined(proposal.skillIds.map(skillName))}.`;
		case 'risen':
			return `In your checks on ${skillName(proposal.skillId)} you get more right than when you began.`;
	}
}

const sayRange = ({ lower, upper }: { lower: number; upper: number }) => `${number(lower, 1)}–${number(upper, 1)}`;
