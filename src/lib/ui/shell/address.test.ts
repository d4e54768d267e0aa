import { beforeEach, describe, expect, it, vi } from 'vitest';

const { page, goto } = vi.hoisted(() => ({ page: { url: new URL('http://school/') }, goto: vi.fn() }));
vi.mock('$app/state', () => ({ page }));
vi.mock('$app/navigation', () => ({ goto }));
const { keepingScope, setState, withState } = await import('./address');

beforeEach(() => {
	page.url = new URL('http://school/gaps?scope=list:1,2&student=2&cell=9&columns=gaps');
	goto.mockReset();
});

describe('an address on another leg', () => {
	it('keeps who is looked at and who is selected, and drops what belongs to this leg', () => {
		expect(keepingScope('/groups')).toBe('/groups?scope=list:1,2&student=2');
	});

	it('takes more state, and lets it win', () => {
		expect(keepingScope('/groups', { suggest: '1,2' })).toBe('/groups?scope=list:1,2&student=2&suggest=1,2');
		expect(keepingScope('/gaps', { scope: 'class:4' })).toBe('/gaps?scope=class:4&student=2');
		expect(keepingScope('/gaps?scope=grade:3')).toBe('/gaps?scope=grade:3&student=2');
	});

	it('is bare where there is nothing to keep', () => {
		page.url = new URL('http://school/screen');
		expect(keepingScope('/track')).toBe('/track');
	});
});

describe('this address with changes', () => {
	it('keeps the rest, and null removes', () => {
		expect(withState({ cell: null, order: 'tier' })).toBe('/gaps?scope=list:1,2&student=2&columns=gaps&order=tier');
		expect(withState({ scope: null, student: null, cell: null, columns: null })).toBe('/gaps');
	});

	it('escapes what people type', () => {
		expect(withState({ cell: null, columns: null, q: 'a&b=c' })).toBe('/gaps?scope=list:1,2&student=2&q=a%26b%3Dc');
	});

	it('is gone to without moving focus or scrolling', () => {
		setState({ student: 7 });
		expect(goto).toHaveBeenCalledWith('/gaps?scope=list:1,2&student=7&cell=9&columns=gaps', {
			replaceState: true,
			noScroll: true,
			keepFocus: true
		});
	});
});
