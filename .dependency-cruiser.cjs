// The direction of dependencies: routes → state → {workers, data} → core, routes → ui → core.
const pure = '^node_modules/(zod|pure-rand|convert|htmlparser2|domutils|domhandler|ical[.]js)/'; // every package core may use
const layers = {
	// folder under src/lib: what it may import from src/lib
	'core/': 'core/',
	'core/foods/': 'core/foods/',
	'core/units/': 'core/(units|foods)/',
	'core/heat/': 'core/(heat|units|foods)/',
	'core/safety/': 'core/(safety|heat|units|foods)/',
	'core/learn/': 'core/(learn|heat|units|foods)/',
	'core/probe/': 'core/(probe|heat|learn)/',
	'core/model/': 'core/((model|units|foods)/|issues[.]ts)',
	'core/timing/': 'core/((timing|heat|model|foods|units|learn|safety)/|issues[.]ts)',
	'core/library/': 'core/((library|model|heat|foods|safety|units)/|issues[.]ts)',
	// Words last: nothing that finds facts makes a sentence.
	'core/plan/': 'core/((plan|learn|timing|heat|model|foods|units|safety)/|issues[.]ts)',
	'core/words/':
		'core/((words|questions|plan|timing|heat|model|foods|units|safety|run|probe|rehearse|record|recipe)/|issues[.]ts)',
	'core/run/': 'core/((run|plan|model|units|timing|probe|heat|foods|learn)/|issues[.]ts)',
	'core/record/': 'core/((record|rehearse|run|plan|timing|model|learn|units|heat|probe|foods)/|issues[.]ts)',
	'core/recipe/': 'core/((recipe|model|learn|safety|units|foods|timing)/|issues[.]ts)',
	'core/rehearse/': 'core/((rehearse|run|plan|model|learn|units|heat)/|issues[.]ts)',
	'core/plan/solve/': 'core/(plan/solve/|plan/problem[.]ts|units/)',
	'core/plan/check.ts': 'core/plan/problem[.]ts',
	'(data|workers)/': '(core|data|workers)/'
};
const layer = ([from, to]) => ({
	name: `layer ${from}`,
	severity: 'error',
	from: { path: `^src/lib/${from}`, pathNot: '[.]test[.]ts$|/testing/' },
	to: { pathNot: [`^src/lib/${to}`, from.startsWith('core/') ? pure : '^node_modules/'] }
});
module.exports = {
	forbidden: [
		...Object.entries(layers).map(layer),
		{
			name: 'ui gets props',
			severity: 'error',
			from: { path: '^src/lib/ui/' },
			to: { path: '^src/lib/(data|workers|state)/', dependencyTypesNot: ['type-only'] }
		},
		{ name: 'routes are the top', severity: 'error', from: { path: '^src/lib/' }, to: { path: '^src/routes/' } },
		{ name: 'no cycles', severity: 'error', from: {}, to: { circular: true } },
		{
			name: 'no blind spots',
			severity: 'error',
			from: {},
			to: { couldNotResolve: true, pathNot: '^[$](app|env|service-worker)|^[.]/[$]types$|[?]thread$' }
		}
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		tsPreCompilationDeps: true,
		tsConfig: { fileName: 'tsconfig.deps.json' },
		enhancedResolveOptions: {
			conditionNames: ['svelte', 'browser', 'import', 'default'],
			exportsFields: ['exports'],
			extensions: ['.ts', '.js', '.svelte', '.svelte.ts']
		}
	}
};
