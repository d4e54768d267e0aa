import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

const room = (name) => [`**/lib/${name}/**`, `$lib/${name}/**`, `$lib/${name}`, `../${name}/**`, `../../${name}/**`];

const rooms =
	'(auth|database|decide|gaps|groups|jobs|library|people|practice|reports|request|school|screen|setup|shell|sitting|standing|track)';
/** A room is used by its index; what is named …Form or …Page holds actions and loads, for routes and for its like. */
const throughIndex = [
	{
		regex: `^(\\.\\./)+${rooms}/(?!timetable$|.*(Form|Page)$)`,
		message: 'A room uses another by its index.'
	},
	{
		regex: `^\\$lib/server/${rooms}/(?!timetable$|.*(Form|Page)$)`,
		message: 'Routes use a room by its index, its …Form and its …Page files.'
	}
];
/** Threads begin here, and take only what they need. */
const threads = ['src/lib/server/request/files/read.ts', 'src/lib/server/jobs/worker.ts'];

/** Work of an evening is of that day: days are those of the school's time zone, by `schoolDateOf`. */
const SCHOOL_DAYS = {
	selector:
		"CallExpression[callee.property.name='slice'] > MemberExpression > CallExpression[callee.property.name='toISOString'], TemplateElement[value.raw=/AS DATE\\)/]",
	message: 'That is the day in Greenwich; use schoolDateOf with the school’s time zone.'
};

/** Arrows point one way: routes → server → core, routes → ui → core. */
function layer(files, forbidden, message) {
	return { files, rules: { 'no-restricted-imports': ['error', { patterns: [{ group: forbidden, message }] }] } };
}

export default ts.config(
	{ ignores: ['**/build/', '**/.svelte-kit/', 'node_modules/', '.data/', 'test-results/', 'playwright-report/'] },
	js.configs.recommended,
	...ts.configs.recommended,
	...svelte.configs.recommended,
	{ languageOptions: { globals: { ...globals.browser, ...globals.node } } },
	{
		files: ['**/*.svelte', '**/*.svelte.ts', 'src/lib/ui/**'],
		languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig } },
		// Sets and dates here are made and dropped within one function; the app has no base path.
		rules: { 'svelte/no-navigation-without-resolve': 'off', 'svelte/prefer-svelte-reactivity': 'off' }
	},
	{
		rules: {
			'no-undef': 'off',
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }]
		}
	},
	layer(
		['src/lib/core/**'],
		[
			'$app/**',
			'$env/**',
			'svelte',
			'svelte/**',
			'mysql2',
			'mysql2/**',
			'node:*',
			...room('server'),
			...room('ui'),
			...room('workers')
		],
		'core is pure computation: no interface, database, DOM or Node.'
	),
	{
		files: ['src/lib/core/**'],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-syntax': [
				'error',
				{
					selector: "MemberExpression[object.name='Math'][property.name='random']",
					message: 'core takes a seeded generator.'
				},
				{
					selector: "NewExpression[callee.name='Date'][arguments.length=0]",
					message: 'core takes the time as an argument.'
				},
				{
					selector: "MemberExpression[object.name='Date'][property.name='now']",
					message: 'core takes the time as an argument.'
				}
			]
		}
	},
	{
		files: ['src/lib/ui/**', 'src/routes/**/*.svelte', 'src/routes/**/+page.ts', 'src/routes/**/+layout.ts'],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-imports': [
				'error',
				{
					patterns: [
						{ group: room('server'), message: 'ui never imports server.' },
						{ group: ['**/core/items/bank', '**/core/items/families/**'], message: 'Browsers never get the item bank.' }
					]
				}
			]
		}
	},
	layer(['src/lib/workers/**'], [...room('server'), ...room('ui')], 'workers are thin wrappers that call core.'),
	layer(['src/lib/server/**'], [...room('ui'), '**/routes/**'], 'server never imports ui or routes.'),
	{
		files: ['src/lib/server/**/*.ts', 'src/routes/**/*.ts', 'src/hooks.server.ts'],
		// What a page loads in the browser as well is no server's.
		ignores: ['**/*.test.ts', '**/+page.ts', ...threads],
		rules: {
			'no-restricted-imports': [
				'error',
				{
					patterns: [
						{ group: [...room('ui'), '**/routes/**'], message: 'server never imports ui or routes.' },
						...throughIndex
					]
				}
			]
		}
	},
	{
		files: ['src/lib/server/**/index.ts'],
		rules: {
			'no-restricted-imports': [
				'error',
				{ patterns: [{ regex: '(Form|Page)$', message: 'Actions and loads are for routes, not for other rooms.' }] }
			]
		}
	},
	{
		files: ['src/lib/server/**/store/**/*.ts', 'src/lib/ui/**', 'src/routes/**/*.svelte', 'demo/**/*.ts'],
		ignores: ['**/*.test.ts'],
		rules: { 'no-restricted-syntax': ['error', SCHOOL_DAYS] }
	},
	{
		files: ['src/routes/**/*.ts', 'src/lib/server/**/*.ts', 'src/hooks.server.ts'],
		ignores: ['src/lib/server/**/store/**', 'src/lib/server/database/**', 'src/lib/server/request/**', '**/*.test.ts'],
		rules: {
			'no-restricted-syntax': [
				'error',
				{
					selector:
						':matches(TemplateElement[value.raw=/^\\s*(SELECT|INSERT|UPDATE|DELETE)\\s/], Literal[value=/^\\s*(SELECT|INSERT|UPDATE|DELETE)\\s/])',
					message: 'SQL appears only in a room’s store and in src/lib/server/database.'
				},
				SCHOOL_DAYS,
				{
					selector: "CallExpression[callee.name='Number'] MemberExpression[property.name='searchParams']",
					message: 'What an address holds is read by src/lib/server/request/address.ts: `Infinity` is a number, too.'
				},
				{
					selector: "CallExpression[callee.name='Number'] MemberExpression[object.name='params']",
					message: 'What an address holds is read by src/lib/server/request/address.ts.'
				},
				{
					selector: 'CallExpression[callee.property.name=/^(formData|json)$/][callee.object.property.name="request"]',
					message: 'Bodies are read by src/lib/server/request, within limits.'
				}
			]
		}
	}
);
