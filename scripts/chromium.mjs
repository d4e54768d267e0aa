/** How Debian's Chromium is started, without a monitor and without asking anyone outside. For Playwright. */
export const chromiumLaunch = {
	executablePath: '/usr/bin/chromium',
	args: [
		'--no-sandbox',
		'--disable-gpu',
		'--disable-background-networking',
		'--disable-component-update',
		'--disable-sync'
	]
};
