import yauzl, { type Entry, type ZipFile } from 'yauzl';
import { UnreadableFile } from './limits';

/** Parts in a packed file. */
const MOST_PARTS = 2_000;

/** Whether bytes are a packed file, as ZIP and XLSX files are (PKZIP's local file header). */
export const isPacked = (bytes: Uint8Array) =>
	bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;

/**
 * The parts of a packed file, by name, read one at a time; their size is counted as they are unpacked.
 *
 * const parts = await Parts.open(bytes, 60_000_000);
 * for await (const chunk of parts.bytes('users.csv')) …
 */
export class Parts {
	private constructor(
		private readonly zip: ZipFile,
		private readonly entries: Map<string, Entry>,
		private readonly mostUnpacked: number
	) {}
	private unpacked = 0;

	/** @param mostUnpacked bytes that are read of all parts together @throws for what is no packed file */
	static open(bytes: Uint8Array, mostUnpacked: number): Promise<Parts> {
		return new Promise((resolve, reject) => {
			yauzl.fromBuffer(Buffer.from(bytes), { lazyEntries: true, autoClose: false }, (problem, zip) => {
				if (problem) return reject(problem);
				const entries = new Map<string, Entry>();
				zip.on('error', reject);
				zip.on('end', () => resolve(new Parts(zip, entries, mostUnpacked)));
				zip.on('entry', (entry: Entry) => {
					if (entries.size >= MOST_PARTS)
						return reject(new UnreadableFile(`The file holds more than ${MOST_PARTS} others`));
					entries.set(entry.fileName, entry);
					zip.readEntry();
				});
				zip.readEntry();
			});
		});
	}

	get names(): string[] {
		return [...this.entries.keys()];
	}

	has(name: string): boolean {
		return this.entries.has(name);
	}

	/** The bytes of a part that is there. @throws UnreadableFile for more than may be unpacked */
	async *bytes(name: string): AsyncGenerator<Buffer> {
		const stream = await new Promise<NodeJS.ReadableStream>((resolve, reject) =>
			this.zip.openReadStream(this.entries.get(name)!, (problem, opened) =>
				problem ? reject(problem) : resolve(opened)
			)
		);
		for await (const chunk of stream as AsyncIterable<Buffer>) {
			this.unpacked += chunk.length;
			if (this.unpacked > this.mostUnpacked)
				throw new UnreadableFile(`Unpacked, the file would be larger than ${this.mostUnpacked / 1_000_000} MB`);
			yield chunk;
		}
	}
}
