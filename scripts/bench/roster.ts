/**
 * npm run bench:roster [-- schools students]: a OneRoster package of 60 schools and 50,000 students, from the ZIP to a
 * finished plan of every school, then applied; the process that applies it is killed half way (SIGKILL) and begun again.
 */
import { spawn, spawnSync } from 'node:child_process';
import { createWriteStream, mkdtempSync, rmSync, statSync } from 'node:fs';
import { once } from 'node:events';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Zip, ZipDeflate, strToU8 } from 'fflate';
import { openDatabase } from '../../src/lib/server/database/pool';
import { fill } from '../../src/lib/server/database/seeding';
import { root } from '../prepare.mjs';

const SCHOOLS = Number(process.argv[2] ?? 60);
const STUDENTS = Number(process.argv[3] ?? 50_000);
/** Classes that a student is in beside the homeroom. */
const SECTIONS = 5;
const A_CLASS = 24;

const folder = mkdtempSync(join(tmpdir(), 'roster-'));
const path = join(folder, 'district.zip');
/** Ids as sources make them. */
const guid = (kind: number, n: number) =>
	`${String(kind).padStart(8, '0')}-0000-4000-8000-${n.toString(16).padStart(12, '0')}`;

/** Writes the package line by line, so that the writer's memory does not count. */
async function writePackage(): Promise<{ lines: number }> {
	const out = createWriteStream(path);
	const zip = new Zip((_, data, isLast) => {
		out.write(data);
		if (isLast) out.end();
	});
	let lines = 0;
	const file = (name: string, head: string, rows: Iterable<string>) => {
		const part = new ZipDeflate(`${name}.csv`, { level: 6 });
		zip.add(part);
		let text = `${head}\n`;
		for (const row of rows) {
			lines++;
			text += `${row}\n`;
			if (text.length < 200_000) continue;
			part.push(strToU8(text));
			text = '';
		}
		part.push(strToU8(text), true);
	};
	const files = ['orgs', 'academicSessions', 'courses', 'classes', 'users', 'roles', 'enrollments', 'demographics'];
	file('manifest', 'propertyName,value', [
		'manifest.version,1.0',
		'oneroster.version,1.2',
		...files.map((one) => `file.${one},bulk`),
		'source.systemName,Made up for measuring'
	]);
	const each = function* (count: number, row: (n: number) => string) {
		for (let n = 0; n < count; n++) yield row(n);
	};
	const aSchool = Math.ceil(STUDENTS / SCHOOLS);
	const classes = Math.ceil(aSchool / A_CLASS);
	const schoolOf = (student: number) => Math.floor(student / aSchool);
	const homeOf = (student: number) =>
		schoolOf(student) * classes + (Math.floor((student % aSchool) / A_CLASS) % classes);
	const gradeOf = (home: number) => String(1 + (home % 8)).padStart(2, '0');
	file('orgs', 'sourcedId,status,dateLastModified,name,type,identifier,parentSourcedId', [
		`${guid(1, 9_999)},,,District,district,,`,
		...each(SCHOOLS, (n) => `${guid(1, n)},,,Measured School ${n},school,,${guid(1, 9_999)}`)
	]);
	file('academicSessions', 'sourcedId,title,type,startDate,endDate,parentSourcedId,schoolYear', [
		`${guid(2, 0)},Year,schoolYear,2020-01-01,2040-01-01,,2027`
	]);
	file('courses', 'sourcedId,title,orgSourcedId', [`${guid(3, 0)},Homeroom,`, `${guid(3, 1)},Section,`]);
	const head =
		'sourcedId,status,dateLastModified,title,grades,courseSourcedId,classCode,classType,location,schoolSourcedId,termSourcedIds';
	file('classes', head, [
		...each(
			SCHOOLS * classes,
			(n) =>
				`${guid(4, n)},,,Room ${n % classes},${gradeOf(n)},${guid(3, 0)},,homeroom,,${guid(1, Math.floor(n / classes))},${guid(2, 0)}`
		),
		...each(
			SCHOOLS * classes,
			(n) =>
				`${guid(5, n)},,,Section ${n % classes},,${guid(3, 1)},,scheduled,,${guid(1, Math.floor(n / classes))},${guid(2, 0)}`
		)
	]);
	file('users', 'sourcedId,enabledUser,username,givenName,familyName,identifier,email,grades,preferredGivenName', [
		...each(STUDENTS, (n) => `${guid(6, n)},true,,Given${n % 97},"Family ${n}",M${n},,${gradeOf(homeOf(n))},`),
		...each(
			SCHOOLS * classes,
			(n) => `${guid(7, n)},true,measured.${n},Tess,Teacher${n},,measured.${n}@school.example,,`
		)
	]);
	file('roles', 'sourcedId,userSourcedId,roleType,role,beginDate,endDate,orgSourcedId', [
		...each(STUDENTS, (n) => `${guid(8, n)},${guid(6, n)},primary,student,,,${guid(1, schoolOf(n))}`),
		...each(
			SCHOOLS * classes,
			(n) => `${guid(9, n)},${guid(7, n)},primary,teacher,,,${guid(1, Math.floor(n / classes))}`
		)
	]);
	const enrolled = (id: string, inClass: string, user: string, role: string) => `${id},${inClass},,${user},${role},,,`;
	file('enrollments', 'sourcedId,classSourcedId,schoolSourcedId,userSourcedId,role,primary,beginDate,endDate', [
		...each(STUDENTS, (n) => enrolled(guid(10, n), guid(4, homeOf(n)), guid(6, n), 'student')),
		...each(STUDENTS * SECTIONS, (n) =>
			enrolled(
				guid(11, n),
				guid(5, schoolOf(n % STUDENTS) * classes + ((n * 7) % classes)),
				guid(6, n % STUDENTS),
				'student'
			)
		),
		...each(SCHOOLS * classes, (n) => enrolled(guid(12, n), guid(4, n), guid(7, n), 'teacher'))
	]);
	file(
		'demographics',
		'sourcedId,birthDate',
		each(STUDENTS, (n) => `${guid(6, n)},201${3 + (n % 6)}-0${1 + (n % 9)}-11`)
	);
	zip.end();
	await once(out, 'close');
	return { lines };
}

const database = openDatabase(process.env.DEMO_DATABASE!, 4);
const FIRST = 10_000;
const schoolIds = Array.from({ length: SCHOOLS }, (_, n) => FIRST + n);
await fill(
	database,
	'school',
	schoolIds.map((id, n) => ({ id, name: `Measured School ${n}`, time_zone: 'America/New_York' }))
);
await fill(
	database,
	'account',
	schoolIds.map((id, n) => ({
		id: 1_000_000 + n,
		school_id: id,
		role: 'coordinator',
		user_name: `coordinator.${n}`,
		display_name: 'Coordinator',
		password_hash: 'none'
	}))
);

/** As `npm run roster` does it. */
const command = ['--max-old-space-size=384', '--import', 'tsx', 'scripts/roster.ts', path];
const environment = { ...process.env, DATABASE_URL: process.env.DEMO_DATABASE };
/** Runs the command to its end. @returns its last line and how long it took (seconds) */
function run(...more: string[]) {
	const began = performance.now();
	const { stdout, stderr, status } = spawnSync(process.execPath, [...command, ...more], {
		cwd: root,
		env: environment,
		encoding: 'utf8',
		maxBuffer: 100_000_000
	});
	if (status !== 0) throw new Error(stderr);
	return { lines: stdout.trim().split('\n'), seconds: (performance.now() - began) / 1_000 };
}

/** How many students each school has, and how many of them are in a class. */
async function placed(): Promise<{ students: number; inClass: number }[]> {
	const rows = await database.rows<Record<'students' | 'inClass', string | number>>(
		`SELECT COUNT(DISTINCT student.id) AS students, COUNT(membership.id) AS inClass
		FROM school
		LEFT JOIN student ON student.school_id = school.id
		LEFT JOIN class_membership AS membership ON membership.student_id = student.id
		WHERE school.id IN (?) GROUP BY school.id`,
		[schoolIds]
	);
	return rows.map(({ students, inClass }) => ({ students: Number(students), inClass: Number(inClass) }));
}
const say = (name: string, value: string) => console.log(`${name.padEnd(62)} ${value}`);

try {
	const { lines } = await writePackage();
	say(
		'package',
		`${SCHOOLS} schools, ${STUDENTS} students, ${lines} lines, ${(statSync(path).size / 1e6).toFixed(1)} MB`
	);
	const planned = run();
	console.log(planned.lines[0]);
	say('from the ZIP to a plan of every school, the process and all', `${planned.seconds.toFixed(1)} s`);
	say('', `${Math.round(STUDENTS / planned.seconds)} students a second; ${planned.lines.at(-1)}`);

	// Killed once a third of the schools is done, at no place in particular.
	const child = spawn(process.execPath, [...command, 'apply'], {
		cwd: root,
		env: environment,
		stdio: ['ignore', 'pipe', 'inherit']
	});
	let told = 0;
	child.stdout.on('data', (text: Buffer) => {
		told += text.toString().split(', applied\n').length - 1;
		if (told >= SCHOOLS / 3) child.kill('SIGKILL');
	});
	await once(child, 'exit');
	const aSchool = Math.ceil(STUDENTS / SCHOOLS);
	const after = await placed();
	const torn = after.filter(
		({ students, inClass }) => students !== inClass || (students !== 0 && students < STUDENTS - aSchool * (SCHOOLS - 1))
	);
	say(
		'killed half way: schools done, not begun, torn',
		`${after.filter(({ students }) => students > 0).length}, ${after.filter(({ students }) => students === 0).length}, ${torn.length}`
	);
	const again = run('apply');
	const all = await placed();
	say(
		'begun again: students in a class',
		`${all.reduce((sum, { inClass }) => sum + inClass, 0)} of ${STUDENTS}, in ${again.seconds.toFixed(1)} s`
	);
	const last = run('apply');
	say(
		'and once more: schools with nothing to change',
		`${last.lines.filter((line) => line.includes('nothing to change')).length} of ${SCHOOLS}`
	);
	process.exitCode =
		torn.length === 0 && all.every(({ students, inClass }) => students > 0 && students === inClass) ? 0 : 1;
} finally {
	rmSync(folder, { recursive: true, force: true });
	await database.close();
}
