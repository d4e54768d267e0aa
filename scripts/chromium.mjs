// Debian's Chromium, started without a monitor and without asking anyone outside. For Playwright.
import { ensureDebianPackage, findProgram } from './debian.mjs';

/** The one made to run without a monitor starts pages in half the time; the other will do where it is there already. */
const findChromium = () => findProgram('chromium-headless-shell') ?? findProgram('chromium');

export function ensureChromium() {
	if (!findChromium()) ensureDebianPackage('chromium-headless-shell', 'chromium-headless-shell');
}

/** How Playwright starts it. */
export const chromiumLaunch = {
	executablePath: findChromium() ?? undefined,
	args: [
		'--no-sandbox',
		'--disable-gpu',
		'--disable-background-networking',
		'--disable-component-update',
		'--disable-sync'
	]
};
