import type { RootDatabase } from '$lib/server/database/pool';
import type { School } from '$lib/server/school';
import type { Scope } from '$lib/server/shell';
import type { Viewer } from '$lib/server/request/viewer';

declare global {
	namespace App {
		interface Locals {
			database: RootDatabase;
			viewer: Viewer | null;
			at: Date;
			/** What this request has read already; see `shell/staffPage`. */
			school?: Promise<School>;
			scope?: Promise<Scope | null>;
		}
		interface Error {
			message: string;
		}
	}
}

export {};
