const { readdirSync } = require('node:fs');

const lib = '^src/lib/';
/** A kind of structure has a folder of its own: a new one is known by it. */
const kinds = readdirSync('src/lib/core/structures', { withFileTypes: true })
	.filter((e) => e.isDirectory() && !['facets', 'registry', 'kit'].includes(e.name))
	.map((e) => e.name)
	.join('|');
/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
	forbidden: [
		{
			name: 'resolvable',
			severity: 'error',
			from: {},
			to: { couldNotResolve: true, pathNot: '^(\\$(app|env)/|highs/runtime|\\./\\$types|\\.\\./build/)' }
		},
		{ name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
		{
			name: 'no-orphans',
			severity: 'warn',
			from: { orphan: true, pathNot: '(\\.test\\.ts|\\.d\\.ts|^src/routes/|hooks|^tests/bench/listen)' },
			to: {}
		},
		{
			name: 'core-imports-only-core',
			severity: 'error',
			from: { path: `${lib}core/`, pathNot: '\\.(schema|test|bench)\\.ts$' },
			to: {
				pathNot: `(${lib}core/|node_modules/(culori|d3-contour|d3-random|fraction\\.js|jstat|papaparse|simplify-js|svgpath)/)`
			}
		},
		{
			name: 'schemas-import-only-core-and-zod',
			severity: 'error',
			from: { path: '\\.schema\\.ts$' },
			to: { pathNot: `(${lib}core/|node_modules/zod/)` }
		},
		{
			name: 'core-does-not-need-its-schemas',
			severity: 'error',
			from: { path: `${lib}core/`, pathNot: '\\.(schema|test)\\.ts$' },
			to: { path: '\\.schema\\.ts$' }
		},
		{
			name: 'a-document-says-only-what-it-says',
			severity: 'error',
			from: { path: `${lib}core/document/`, pathNot: '\\.(schema|test)\\.ts$' },
			to: { pathNot: `${lib}core/(document|units|sizing)/` }
		},
		{
			name: 'what-a-kind-says-imports-only-documents',
			severity: 'error',
			from: { path: `${lib}core/structures/[a-z]+/document\\.ts$` },
			to: { pathNot: `${lib}core/(document|units|sizing)/` }
		},
		{
			name: 'a-kind-knows-no-other-and-no-registry',
			severity: 'error',
			from: {
				path: `${lib}core/structures/(${kinds})/`,
				pathNot: '\\.test\\.ts$'
			},
			to: {
				path: `${lib}core/structures/(${kinds}|registry)/`,
				pathNot: `${lib}core/structures/$1/`
			}
		},
		{
			name: 'screens-of-a-kind-know-no-other',
			severity: 'error',
			from: { path: `${lib}features/bench/structures/([a-z]+)/` },
			to: {
				path: `${lib}features/bench/structures/([a-z]+)/`,
				pathNot: `${lib}features/bench/structures/$1/`
			}
		},
		{
			name: 'ui-knows-no-domain',
			severity: 'error',
			from: { path: `${lib}ui/` },
			to: { path: `(${lib}(core|features|server)/|^src/routes/)` }
		},
		{
			name: 'features-never-reach-the-server',
			severity: 'error',
			from: { path: `${lib}features/` },
			to: { path: `(${lib}server/|^src/routes/)` }
		},
		{
			name: 'server-never-reaches-the-screen',
			severity: 'error',
			from: { path: `${lib}server/` },
			to: { path: `(${lib}(ui|features)/|^src/routes/|node_modules/svelte/)` }
		},
		{
			name: 'tables-only-through-repos',
			severity: 'error',
			from: { path: '^src/', pathNot: `(${lib}server/(db|repos)/|\\.test\\.ts$)` },
			to: { path: `${lib}server/db/tables` }
		}
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		tsPreCompilationDeps: true,
		tsConfig: { fileName: 'tsconfig.depcruise.json' },
		enhancedResolveOptions: {
			extensions: ['.ts', '.svelte.ts', '.js', '.svelte'],
			exportsFields: ['exports'],
			conditionNames: ['svelte', 'import', 'node', 'default', 'types']
		}
	}
};
