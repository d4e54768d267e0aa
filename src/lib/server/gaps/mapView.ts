import { isOwn, NEEDLE_FILTERS, packedTest, type CellTest, type NeedleFilter, type Standing } from '../../core/mastery';
import { expectedTheta } from '../../core/measurement';
import { fullName } from '../../core/words';
import type { RosterStudent } from '../people';
import type { Skill } from '../library';

/** Orders of the map's rows. */
export const ROW_ORDERS = ['class', 'gaps', 'ready', 'secure', 'forming', 'slipping', 'level', 'tier'] as const;
export type RowOrder = (typeof ROW_ORDERS)[number];

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

/** A student of the map with what rows are ordered by. */
export interface ViewStudent extends RosterStudent {
	/** Packed, of all skills. */
	cells: Uint8Array;
	/** Overall ability, logits; null without a score. */
	ability: number | null;
}

/** A skill with its place in a student's cells. */
export interface PlacedSkill extends Skill {
	place: number;
}

/** The students and skills that a map shows, in order. Folded domains keep no skills. */
export function viewMap(
	students: ViewStudent[],
	skills: PlacedSkill[],
	{ skills: wanted, needles, find, folded, order, reached, focus }: MapChoice
): { students: ViewStudent[]; skills: PlacedSkill[] } {
	const is = packedTest(NEEDLE_FILTERS[needles]);
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
		needles === 'all' ? columns : columns.filter(({ place }) => rows.some(({ cells }) => is(cells, place)));
	const shownRows =
		needles === 'all' ? rows : rows.filter(({ cells }) => shownSkills.some(({ place }) => is(cells, place)));
	return { students: ordered(shownRows, shownSkills, order), skills: shownSkills };

	function isWanted({ id, grade, term }: { id: number; grade: number; term: number }): boolean {
		if (wanted === 'all') return true;
		if (wanted === 'focus') return focus.has(id);
		if (wanted === 'term') return expectedTheta({ grade, term }) <= expectedTheta(reached);
		return grade < Number(wanted.slice('below:'.length));
	}
}

const own =
	(wanted: Standing): CellTest =>
	(cell) =>
		isOwn(cell) && cell.standing === wanted;
const OWN = { secure: own('secure'), forming: own('forming'), slipping: own('slipping') };

/** Rows by an order; those that are equal stay as they come. */
function ordered(rows: ViewStudent[], skills: PlacedSkill[], order: RowOrder): ViewStudent[] {
	if (order === 'class') return rows;
	const count = (test: CellTest) => {
		const is = packedTest(test);
		return ({ cells }: ViewStudent) => -skills.filter(({ place }) => is(cells, place)).length;
	};
	const key: Record<Exclude<RowOrder, 'class'>, (row: ViewStudent) => number> = {
		gaps: count(NEEDLE_FILTERS.gaps),
		ready: count(NEEDLE_FILTERS.ready),
		secure: count(OWN.secure),
		forming: count(OWN.forming),
		slipping: count(OWN.slipping),
		level: ({ ability }) => ability ?? Infinity,
		tier: ({ tier }) => -tier
	};
	return rows
		.map((row) => ({ row, value: key[order](row) }))
		.sort((a, b) => (a.value === b.value ? 0 : a.value - b.value))
		.map(({ row }) => row);
}
