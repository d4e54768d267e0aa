/** Characters of a link: letters that an address does not have become longer when they are encoded. */
export const LONGEST_LINK = 500;

/** A web address as it may stand in a link; null for what is none, or too long once it is encoded. */
export function webAddress(text: string): string | null {
	try {
		const { protocol, href } = new URL(text);
		return (protocol === 'https:' || protocol === 'http:') && href.length <= LONGEST_LINK ? href : null;
	} catch {
		return null;
	}
}
