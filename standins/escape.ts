const ESCAPED: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** A text as it stands in a page. */
export const escape = (text: string) => text.replace(/[&<>"]/g, (letter) => ESCAPED[letter]);
