import Bowser from 'bowser';

/** A browser in words, by what it says of itself. */
export function sayBrowser(userAgent: string): string {
	if (!userAgent) return 'a browser that does not say';
	const { browser, os } = Bowser.parse(userAgent);
	return [browser.name, os.name && `on ${os.name}`].filter(Boolean).join(' ') || userAgent.slice(0, 40);
}
