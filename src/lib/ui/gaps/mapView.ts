import { fullName } from '$lib/core/words';
import { readCell, type Cell } from '$lib/core/mastery';
import { expectedTheta } from '$lib/core/measurement';
import type { MapSkill, MapStudent } from './map';

/** Needles that a map can be narrowed to; a skill or student without any is left out. */
export const NEEDLES = {
	all: { says: 'all needles', is: () => true },
	gaps: { says: 'gaps', is: ({ standing, inferred }: Cell) => standing === 'gap' && !inferred },
	ready: { says: 'ready next', is: ({ readyNext }: Cell) => readyNext },
	slipping: { says: 'slipping', is: ({ standing }: Cell) => standing === 'slipping' },
	// Worth a skill check: what is probably known is not.
	thin: {
		says: 'little evidence',
		is: ({ standing, inferred, answers }: Cell) =>
			(inferred || standing === 'unseen' || answers < FEW) && standing !== 'secure'
	}
} as const satisfies Record<string, { says: string; is: (cell: Cell) => boolean }>;
export type NeedleFilter = keyof typeof NEEDLES;

/** Fewer answers than this are little evidence. */
const FEW = 4;

/** Which skills stand in the map: those taught by now, all, those a group works on, or those of grades before one. */
export type SkillChoice = 'term' | 'all' | 'focus' | `below:${number}`;

export interface MapChoice {
	skills: SkillChoice;
	needles: NeedleFilter;
	/** Narrows to students or skills whose name or code holds it. */
	find: string;
	/** Domains folded into one column. */
	folded: ReadonlySet<number>;
	order: RowOrder;
	/** What the oldest in the map have been taught by now. */
	reached: { grade: number; term: number };
	/** Focus skills of current groups. */
	focus: ReadonlySet<number>;
}

export const ROW_ORDERS = {
	class: 'class and name',
	gaps: 'most gaps first',
	ready: 'most ready next first',
	secure: 'most secure first',
	forming: 'most forming first',
	slipping: 'most slipping first',
	level: 'working level',
	tier: 'tier'
} as const;
export type RowOrder = keyof typeof ROW_ORDERS;

/** A student of the map with what rows are ordered by. */
export interface ViewStudent extends MapStudent {
	/** Overall ability, logits; null without a score. */
	ability: number | null;
}

/** The students and skills that a map shows, in order. Folded domains keep no skills. */
export function viewMap<Student extends ViewStudent>(
	students: Student[],
	skills: MapSkill[],
	{ skills: wanted, needles, find, folded, order, reached, focus }: MapChoice
): { students: Student[]; skills: MapSkill[] } {
	const { is } = NEEDLES[needles];
	const typed = find.trim().toLowerCase();
	const holds = (text: string) => text.toLowerCase().includes(typed);
	const namedStudents = students.filter((student) => holds(fullName(student)));
	const namedSkills = skills.filter(
		({ code, shortName, statement }) => holds(code) || holds(shortName) || holds(statement)
	);
	// What is typed names students or skills; a word that is in neither leaves nobody.
	const rows = typed && namedStudents.length ? namedStudents : typed && !namedSkills.length ? [] : students;
	const columns = (typed && namedSkills.length && !namedStudents.length ? namedSkills : skills).filter(
		({ id, grade, term, domainId }) => !folded.has(domainId) && isWanted({ id, grade, term })
	);
	const shownSkills =
		needles === 'all' ? columns : columns.filter(({ place }) => rows.some(({ cells }) => is(readCell(cells, place))));
	const shownRows =
		needles === 'all' ? rows : rows.filter(({ cells }) => shownSkills.some(({ place }) => is(readCell(cells, place))));
	return { students: ordered(shownRows, shownSkills, order), skills: shownSkills };

	function isWanted({ id, grade, term }: { id: number; grade: number; term: number }): boolean {
		if (wanted === 'all') return true;
		if (wanted === 'focus') return focus.has(id);
		if (wanted === 'term') return expectedTheta({ grade, term }) <= expectedTheta(reached);
		return grade < Number(wanted.slice('below:'.length));
	}
}

/** Rows by an order; those that are equal stay as they come. */
function ordered<Student extends ViewStudent>(rows: Student[], skills: MapSkill[], order: RowOrder): Student[] {
	const countOf =
		(needles: NeedleFilter) =>
		({ cells }: Student) =>
			skills.filter(({ place }) => NEEDLES[needles].is(readCell(cells, place))).length;
	const [gaps, ready] = [countOf('gaps'), countOf('ready')];
	const standing =
		(wanted: Cell['standing']) =>
		({ cells }: Student) =>
			-skills.filter(({ place }) => {
				const cell = readCell(cells, place);
				return cell.standing === wanted && !cell.inferred;
			}).length;
	const key: Record<RowOrder, (row: Student) => number> = {
		class: () => 0,
		gaps: (row) => -gaps(row),
		ready: (row) => -ready(row),
		secure: standing('secure'),
		forming: standing('forming'),
		slipping: standing('slipping'),
		level: ({ ability }) => ability ?? Infinity,
		tier: ({ tier }) => -tier
	};
	return rows
		.map((row) => ({ row, value: key[order](row) }))
		.sort((a, b) => (a.value === b.value ? 0 : a.value - b.value))
		.map(({ row }) => row);
}

/** How a student stands on the skills of a folded domain: counts by answers, and of those without enough. */
export function foldDomain(
	cells: string,
	skills: MapSkill[]
): { secure: number; between: number; gap: number; unseen: number } {
	const counts = { secure: 0, between: 0, gap: 0, unseen: 0 };
	for (const { place } of skills) {
		const { standing, inferred } = readCell(cells, place);
		if (inferred || standing === 'unseen') counts.unseen++;
		else counts[standing === 'secure' || standing === 'gap' ? standing : 'between']++;
	}
	return counts;
}
