import type { MapSkill } from './map';

/** A column of the needle map: a skill, or a domain folded into one. */
export type MapColumn =
	| { kind: 'skill'; domainId: number; skill: MapSkill; isFirst: boolean }
	| { kind: 'folded'; domainId: number; name: string; skills: MapSkill[]; isFirst: true };

export interface MapDomain {
	id: number;
	name: string;
}

/**
 * Columns in teaching order, domain by domain; a folded domain keeps one.
 *
 * @param shown skills that stand in the map
 * @param all skills of every domain, for what is folded
 */
export function mapColumns(
	domains: MapDomain[],
	shown: MapSkill[],
	all: MapSkill[],
	folded: ReadonlySet<number>
): MapColumn[] {
	return domains.flatMap(({ id, name }): MapColumn[] =>
		folded.has(id)
			? [
					{
						kind: 'folded',
						domainId: id,
						name,
						skills: all.filter(({ domainId }) => domainId === id),
						isFirst: true
					}
				]
			: shown
					.filter(({ domainId }) => domainId === id)
					.map((skill, i) => ({ kind: 'skill', domainId: id, skill, isFirst: i === 0 }))
	);
}
