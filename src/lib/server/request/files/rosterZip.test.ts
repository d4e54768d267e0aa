import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { UnreadableFile } from './limits';
import { readRosterZip } from './rosterZip';

const FILES: Record<string, string> = {
	'manifest.csv': [
		'propertyName,value',
		'manifest.version,1.0',
		'oneroster.version,1.2',
		...['orgs', 'academicSessions', 'courses', 'classes', 'users', 'roles', 'enrollments'].map(
			(file) => `file.${file},bulk`
		),
		'file.demographics,absent',
		'source.systemName,Harbor Office'
	].join('\n'),
	'orgs.csv':
		'sourcedId,status,dateLastModified,name,type,identifier,parentSourcedId\no1,,,Saltmarsh Bridge School,school,,',
	'academicSessions.csv': 'sourcedId,startDate,endDate,parentSourcedId\nt1,2026-08-24,2027-06-19,',
	'courses.csv': 'sourcedId,title\nk1,Homeroom',
	'classes.csv':
		'sourcedId,title,grades,courseSourcedId,classType,schoolSourcedId,termSourcedIds\nc1,Avocet,04,k1,homeroom,o1,t1',
	'users.csv':
		'sourcedId,enabledUser,username,givenName,familyName,identifier,grades\nu1,true,,Ana,Ruiz,1001,04\nu2,true,,Bo,Ek,1002,04',
	'roles.csv': 'sourcedId,userSourcedId,role,orgSourcedId\nr1,u1,student,o1\nr2,u2,student,o1',
	'enrollments.csv': 'sourcedId,classSourcedId,userSourcedId,role\ne1,c1,u1,student\ne2,c1,u2,student'
};

const packed = (files: Record<string, string | Uint8Array> = {}, without: string[] = []) =>
	zipSync(
		Object.fromEntries(
			Object.entries({ ...FILES, ...files })
				.filter(([name]) => !without.includes(name))
				.map(([name, text]) => [name, typeof text === 'string' ? strToU8(text) : text])
		)
	);

describe('a package of rosters', () => {
	it('is read as it stands', async () => {
		const { manifest, records, problems } = await readRosterZip(packed());
		expect(problems.told).toEqual([]);
		expect(manifest).toMatchObject({ source: 'Harbor Office', isDelta: false });
		expect(records.users.map(({ givenName, line }) => [givenName, line])).toEqual([
			['Ana', 2],
			['Bo', 3]
		]);
	});

	it.each([
		['a byte order mark', (text: string) => `\ufeff${text}`],
		['lines that end in CRLF', (text: string) => text.replaceAll('\n', '\r\n')],
		['empty lines', (text: string) => `${text}\n\n`],
		['every cell in quotes', (text: string) => text.replace(/[^,\n]+/g, '"$&"')]
	])('may have %s', async (_, changed) => {
		const files = Object.fromEntries(Object.entries(FILES).map(([name, text]) => [name, changed(text)]));
		const { records, problems } = await readRosterZip(packed(files));
		expect(problems.told).toEqual([]);
		expect(records.enrollments).toHaveLength(2);
	});

	it('counts lines of the file, also where a cell has several', async () => {
		const users = FILES['users.csv'].replace('Ana', '"Ana\nMaria"').replace('Bo,Ek', 'Bo,');
		const { records, problems } = await readRosterZip(packed({ 'users.csv': users }));
		expect(records.users[0].givenName).toBe('Ana\nMaria');
		expect(problems.told).toContainEqual({ file: 'users.csv', line: 4, says: 'familyName is empty' });
	});

	it.each([
		[
			'a file that the manifest promises is missing',
			packed({}, ['roles.csv']),
			'roles.csv',
			null,
			'Missing: manifest.csv says that it is bulk'
		],
		['a file is empty', packed({ 'roles.csv': '' }), 'roles.csv', null, 'Empty, without even a head'],
		[
			'a line is not UTF-8',
			packed({ 'users.csv': Buffer.from(FILES['users.csv'].replace('Bo', 'B\u00f6'), 'latin1') }),
			'users.csv',
			3,
			'Not text in UTF-8'
		],
		[
			'a file is UTF-16',
			packed({ 'users.csv': Buffer.from(`\ufeff${FILES['users.csv']}`, 'utf16le') }),
			'users.csv',
			1,
			'Text in UTF-16; save it in UTF-8'
		],
		[
			'a quote is not closed',
			packed({ 'users.csv': FILES['users.csv'].replace('Ana', '"Ana') + '\nu,true,,x,y,z,04'.repeat(500) }),
			'users.csv',
			2,
			'A cell has no end: is a quote not closed?'
		],
		[
			'a line never ends',
			packed({ 'users.csv': `${FILES['users.csv']}\n${'x'.repeat(10_000_000)}` }),
			'users.csv',
			4,
			'A cell has no end: is a quote not closed?'
		]
	])('says so where %s', async (_, content, file, line, says) => {
		const { problems } = await readRosterZip(content);
		expect(problems.told).toContainEqual({ file, line, says });
	});

	it.each([
		['no ZIP', strToU8('sourcedId,name'), 'The file is no ZIP package that can be read'],
		['a damaged ZIP', packed().slice(0, 400), 'The file is no ZIP package that can be read'],
		['no manifest', packed({}, ['manifest.csv']), 'manifest.csv is missing'],
		['all in a folder', packed({ 'year/manifest.csv': '' }, ['manifest.csv']), 'manifest.csv lies in a folder'],
		['a path that leads out', packed({ '../users.csv': '' }), 'A path in the package leads out of it (../users.csv)'],
		[
			'far more than it seems',
			packed({ 'users.csv': `${FILES['users.csv']}\n`.repeat(20_000) }),
			'Unpacked, the file would be larger than 2 MB'
		]
	])('is refused for %s', async (_, content, says) => {
		const refused = readRosterZip(content, 2_000_000);
		await expect(refused).rejects.toBeInstanceOf(UnreadableFile);
		await expect(refused).rejects.toThrow(says);
	});
});
