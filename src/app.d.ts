import type { RootDatabase } from '$lib/server/database/pool';
import type { Viewer } from '$lib/server/request/viewer';

declare global {
	namespace App {
		interface Locals {
			database: RootDatabase;
			viewer: Viewer | null;
			at: Date;
		}
		interface Error {
			message: string;
		}
	}
}

export {};
