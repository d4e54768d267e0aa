import { plural } from '$lib/core/words';
import { readCell, type Cell, describeCell } from '$lib/core/mastery';
import { spritePlace } from '../glyphs/needleShape';
import type { MapColumn } from './columns';
import { foldDomain } from './map';

const escapes: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escapeHtml = (text: string) => text.replace(/[&<>"]/g, (character) => escapes[character]);

interface RowCells {
	/** The student's packed cells. */
	cells: Uint8Array;
	/** Place of the row. */
	row: number;
	/** Skill whose cell is chosen, if one of this row's is. */
	chosenSkillId: number | null;
	isShown: (cell: Cell) => boolean;
	ground: boolean;
}

/**
 * Some cells of a row of the needle map as HTML: one element a cell, since thousands of components would make the map
 * stutter. Needles are pictures from one sheet; what is done to cells is heard by the table.
 *
 * @param columns those to draw
 * @param first place of the first of them among all
 */
export function cellsHtml(
	columns: MapColumn[],
	first: number,
	{ cells, row, chosenSkillId, isShown, ground }: RowCells
): string {
	let html = '';
	columns.forEach((column, i) => {
		const place = first + i;
		const at = `role="gridcell" tabindex="-1" data-at="${row} ${place}" aria-colindex="${place + 2}"`;
		if (column.kind === 'folded') {
			const { secure, between, gap, unseen } = foldDomain(cells, column.skills);
			const said = `${column.name}: ${secure} secure, ${between} between, ${plural(gap, 'gap')}, ${unseen} unseen`;
			const all = secure + between + gap;
			const bar = all
				? `<svg width="44" height="8" viewBox="0 0 ${all} 8" preserveAspectRatio="none"><rect class="secure" width="${secure}" height="8"/><rect class="rest" x="${secure}" width="${between}" height="8"/><rect class="gap" x="${secure + between}" width="${gap}" height="8"/></svg>`
				: '';
			html += `<td class="fold" ${at} aria-label="${escapeHtml(said)}">${bar}</td>`;
			return;
		}
		const cell = readCell(cells, column.skill.place);
		const said = escapeHtml(`${column.skill.shortName}: ${describeCell(cell)}`);
		const classes = `${column.isFirst ? 'first ' : ''}${column.skill.id === chosenSkillId ? 'chosen ' : ''}`;
		if (!isShown(cell)) {
			html += `<td class="${classes}blank" ${at} aria-label="${said}"></td>`;
			return;
		}
		const { x, y } = spritePlace(cell, ground);
		html += `<td class="${classes}needle" style="background-position:-${x}px -${y}px" ${at} aria-label="${said}"></td>`;
	});
	return html;
}
