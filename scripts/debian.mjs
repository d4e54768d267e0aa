// Programs from Debian's packages: where they are, and installing what is missing. Plain Node, so that it runs before npm install.
import { execFileSync } from 'node:child_process';
import { accessSync, constants } from 'node:fs';
import { delimiter, join } from 'node:path';

export const isRoot = process.getuid?.() === 0;

/** Where a program lies on the PATH (and in sbin, which ordinary users may not have on theirs), or null. */
export function findProgram(name) {
	for (const folder of [...(process.env.PATH ?? '').split(delimiter), '/usr/sbin', '/usr/local/sbin']) {
		const file = join(folder, name);
		try {
			accessSync(file, constants.X_OK);
			return file;
		} catch {
			// not here
		}
	}
	return null;
}

/** Makes sure that a Debian package's program is there: installs it when root, else says what to run. */
export function ensureDebianPackage(program, packageName) {
	if (findProgram(program)) return;
	const command = `apt-get update && apt-get install -y --no-install-recommends ${packageName}`;
	if (!isRoot || !findProgram('apt-get')) {
		throw new Error(
			`${program} is missing. Install it and start again:\n  ${isRoot ? '' : 'sudo sh -c "'}${command}${isRoot ? '' : '"'}`
		);
	}
	console.log(`Installing ${packageName} …`);
	try {
		execFileSync('sh', ['-c', command], {
			stdio: ['ignore', 'ignore', 'inherit'],
			env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
		});
	} catch {
		throw new Error(`${packageName} could not be installed. Try by hand:\n  ${command}`);
	}
	if (!findProgram(program)) throw new Error(`${packageName} was installed, but ${program} is still not found.`);
}
