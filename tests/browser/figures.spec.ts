import { expect, test } from './test';
import { itemFamilies, itemFrom } from '../../src/lib/core/items/bank';
import { address, signInStaff } from './people';

/** For every kind of figure a skill whose questions or solutions show it; as few skills as come first. */
function skillsWithFigures(): Map<string, string> {
	const skills = new Map<string, string>();
	for (const { id, skillCode } of itemFamilies)
		for (let seed = 0; seed < 12; seed++) {
			const { figure, solutionFigure } = itemFrom(id, seed);
			for (const one of [figure, solutionFigure]) if (one && !skills.has(one.kind)) skills.set(one.kind, skillCode);
		}
	return skills;
}

test('every kind of figure is drawn whole: no broken number, nothing outside its frame, and told in words', async ({
	page
}) => {
	const wanted = skillsWithFigures();
	expect(wanted.size).toBeGreaterThan(30);
	await signInStaff(page, 'specialist');
	const seen = new Set<string>();
	for (const code of new Set(wanted.values())) {
		await page.goto(`${address()}/library/${code}/print?key=on`);
		const figures = await page.locator('.figure').evaluateAll((all) =>
			all.map((figure) => {
				const drawing = figure.querySelector('svg');
				const named = figure.querySelector('[role="img"]');
				const frame = drawing?.getBoundingClientRect();
				const outside = [...(drawing?.querySelectorAll('text, circle, rect, line, path') ?? [])].filter((part) => {
					const box = part.getBoundingClientRect();
					return (
						box.left < frame!.left - 3 ||
						box.right > frame!.right + 3 ||
						box.top < frame!.top - 3 ||
						box.bottom > frame!.bottom + 3
					);
				});
				return {
					kind: (figure as HTMLElement).dataset.kind!,
					broken: /NaN|undefined|Infinity/.test(figure.innerHTML),
					outside: outside.map((part) => part.outerHTML.slice(0, 120)),
					words: named?.getAttribute('aria-label') ?? (figure.querySelector('table') ? 'a table' : '')
				};
			})
		);
		for (const { kind, broken, outside, words } of figures) {
			seen.add(kind);
			expect(broken, `${kind} of ${code}`).toBe(false);
			expect(outside, `${kind} of ${code}`).toEqual([]);
			expect(words.length, `${kind} of ${code}`).toBeGreaterThan(5);
		}
	}
	expect([...wanted.keys()].filter((kind) => !seen.has(kind))).toEqual([]);
});

test('a table of four columns stays within a phone, in larger type too', async ({ page }) => {
	const wide = itemFamilies.find(({ id }) => {
		const { figure } = itemFrom(id, 0);
		return figure?.kind === 'table' && figure.head.length >= 4;
	})!;
	await page.setViewportSize({ width: 360, height: 740 });
	await signInStaff(page, 'specialist');
	await page.goto(`${address()}/library/${wide.skillCode}/print?key=on`);
	const overflow = await page.locator('.figure[data-kind="table"]').evaluateAll((all) =>
		all.map((figure) => {
			// As wide as a question's column is there, and set as for a student with larger type.
			Object.assign((figure as HTMLElement).style, { width: '328px', fontSize: '25px' });
			return figure.scrollWidth - 328;
		})
	);
	expect(overflow.length).toBeGreaterThan(0);
	expect(Math.max(...overflow)).toBe(0);
});
