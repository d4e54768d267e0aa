import { sayDay } from '../calendar';
import { number } from '../words';
import { type Level, levelChange, type LevelSource } from './levelChecks';

/** What a level was measured by, in words. */
export const LEVEL_SOURCES: Record<LevelSource, string> = {
	diagnostic: 'diagnostic',
	middle: 'level check, middle',
	end: 'level check, end'
};

/** What the levels of a domain are compared with, in points. */
export interface LevelMarks {
	domain: string;
	/** The cut score of the grade now; null where there is none. */
	cut: number | null;
	/** The median of the norm now: made up. */
	norm: number;
}

/** Levels of a domain in sentences, with what the last two say of each other. */
export function sayLevels(levels: Level[], { domain, cut, norm }: LevelMarks): string[] {
	const marks = `${cut === null ? '' : `the cut of the grade is ${number(cut)} now, `}the median of the made-up norm ${number(norm)}`;
	if (levels.length === 0) return [`The level of ${domain} was not measured yet; ${marks}.`];
	const said = levels.map(
		({ by, on, score, standardError }) =>
			`${number(score)} points, give or take ${number(standardError)} (${LEVEL_SOURCES[by]}, ${sayDay(on)})`
	);
	const change = levelChange(levels);
	return [`Level of ${domain}: ${said.join('; ')}; ${marks}.`, ...(change ? [sayChange(change)] : [])];
}

/** How far apart two levels have to be to be told apart: 1.645 standard errors of their difference. */
function sayChange({ from, to, reliable }: NonNullable<ReturnType<typeof levelChange>>): string {
	const change = to.score - from.score;
	const way = change >= 0 ? 'Up' : 'Down';
	const least = 1.645 * Math.hypot(from.standardError, to.standardError);
	return reliable
		? `${way} ${number(Math.abs(change))} points, more than their errors explain.`
		: `${way} ${number(Math.abs(change))} points: under ${number(least)} nothing can be told from their errors.`;
}
