/** Names of the fonts of every page, of text and of headings. */
export const TEXT = 'Atkinson Hyperlegible Next';
export const HEAD = 'Literata';
