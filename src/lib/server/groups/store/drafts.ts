import type { DraftLimits, Group, GroupingProblem } from '../../../core/grouping';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import type { GroupKind } from '../../../core/grouping';

/** What a person chose before groups were searched for. */
export interface DraftChoices {
	kind: GroupKind;
	studentIds: number[];
	/** Groups there are that are formed anew, too. */
	regroups: number[];
	/** Of mixed groups: the skill they work on. */
	focusId: number | null;
}

/** A group of a draft, with its tier and, in mixed groups, who helps. */
interface DraftedGroup extends Group {
	tier: 2 | 3;
	helperIds: string[];
}

export interface NewDraft {
	name: string;
	choices: DraftChoices;
	limits: DraftLimits;
	/** The problem as it was then, before its limits. */
	problem: GroupingProblem;
	groups: DraftedGroup[];
	/** No grouping could be worth more. */
	bound: number;
}

export interface SavedDraft extends NewDraft {
	id: number;
	savedBy: string;
	savedAt: Date;
	/** Adopted, and not taken back. */
	isAdopted: boolean;
}

type DraftRow = Omit<SavedDraft, 'choices' | 'limits' | 'problem' | 'groups' | 'isAdopted'> & {
	choices: string;
	limits: string;
	problem: string;
	seated: string;
	isAdopted: number;
};

const DRAFT = `SELECT draft.id, draft.name, draft.choices, draft.limits, draft.problem, draft.seated, draft.bound,
	account.display_name AS savedBy, draft.saved_at AS savedAt,
	EXISTS (SELECT 1 FROM adoption WHERE adoption.draft_id = draft.id AND adoption.undone_at IS NULL) AS isAdopted
	FROM group_draft AS draft JOIN account ON account.id = draft.saved_by
	WHERE draft.school_id = ? AND draft.discarded_at IS NULL`;

const toDraft = ({ seated, ...row }: DraftRow): SavedDraft => ({
	...row,
	choices: JSON.parse(row.choices),
	limits: JSON.parse(row.limits),
	problem: JSON.parse(row.problem),
	groups: JSON.parse(seated),
	isAdopted: Boolean(Number(row.isAdopted))
});

/** At most so many drafts stand side by side. */
export const MOST_DRAFTS = 12;

/** How many drafts are kept. */
export async function countDrafts(database: Database, schoolId: number): Promise<number> {
	const row = await database.row<{ size: number }>(
		'SELECT COUNT(*) AS size FROM group_draft WHERE school_id = ? AND discarded_at IS NULL',
		[schoolId]
	);
	return Number(row!.size);
}

/** Drafts that were kept, newest first. */
export async function draftList(database: Database, schoolId: number): Promise<SavedDraft[]> {
	const rows = await database.rows<DraftRow>(`${DRAFT} ORDER BY draft.saved_at DESC, draft.id DESC LIMIT ?`, [
		schoolId,
		String(MOST_DRAFTS)
	]);
	return rows.map(toDraft);
}

export async function findDraft(database: Database, schoolId: number, id: number): Promise<SavedDraft | null> {
	const row = await database.row<DraftRow>(`${DRAFT} AND draft.id = ?`, [schoolId, id]);
	return row && toDraft(row);
}

export async function saveDraft(database: RootDatabase, staff: Staff, draft: NewDraft, at: Date): Promise<number> {
	return database.transaction(async (transaction) => {
		const { insertId } = await transaction.run(
			`INSERT INTO group_draft (school_id, name, choices, limits, problem, seated, bound, saved_by, saved_at)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
			[
				staff.schoolId,
				draft.name,
				JSON.stringify(draft.choices),
				JSON.stringify(draft.limits),
				JSON.stringify(draft.problem),
				JSON.stringify(draft.groups),
				draft.bound,
				staff.id,
				at
			]
		);
		await audit(transaction, staff, at, 'keep a draft', { draft: insertId, groups: draft.groups.length });
		return insertId;
	});
}

/** Puts a draft away, or with `false` brings it back. @returns whether that changed anything */
export async function discardDraft(
	database: RootDatabase,
	staff: Staff,
	id: number,
	discard: boolean,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			`UPDATE group_draft SET discarded_at = ? WHERE id = ? AND school_id = ? AND discarded_at IS ${discard ? '' : 'NOT '}NULL`,
			[discard ? at : null, id, staff.schoolId]
		);
		if (affected) await audit(transaction, staff, at, discard ? 'discard a draft' : 'restore a draft', { draft: id });
		return affected > 0;
	});
}
