// Lint rules: strict typed TypeScript everywhere, and a core that cannot read a clock or roll dice.
import js from '@eslint/js';
import prettier from 'eslint-config-prettier/flat';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import { defineConfig, globalIgnores } from 'eslint/config';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

const importedComponentsAreAny = Object.fromEntries(
	['argument', 'assignment', 'call', 'member-access', 'return'].map((rule) => [
		`@typescript-eslint/no-unsafe-${rule}`,
		'off'
	])
);

export default defineConfig(
	globalIgnores(['.svelte-kit/', 'build/', '.results/', '.bench/', '.tools/', 'test-results/']),
	js.configs.recommended,
	ts.configs.strictTypeChecked,
	ts.configs.stylisticTypeChecked,
	svelte.configs.recommended,
	prettier,
	svelte.configs.prettier,
	{
		languageOptions: {
			globals: { ...globals.browser, ...globals.node },
			parserOptions: {
				projectService: true,
				tsconfigRootDir: import.meta.dirname,
				extraFileExtensions: ['.svelte']
			}
		},
		linterOptions: { reportUnusedDisableDirectives: 'error' },
		rules: {
			'no-undef': 'off',
			'@typescript-eslint/consistent-type-imports': 'error',
			'@typescript-eslint/switch-exhaustiveness-check': 'error',
			'@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
			// Pages are served at the root of their host.
			'svelte/no-navigation-without-resolve': 'off'
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } },
		rules: importedComponentsAreAny
	},
	{
		// Kernels walk flat typed arrays inside known bounds.
		files: [
			'src/lib/core/{plan/solve,heat,learn,probe,rehearse,safety,testing}/**/*.ts',
			'src/lib/core/run/{dispatch,forecast}.ts',
			'src/lib/core/record/oven-film.ts',
			'**/*.test.ts'
		],
		rules: { '@typescript-eslint/no-non-null-assertion': 'off' }
	},
	{
		files: ['src/lib/core/**/*.ts'],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-globals': ['error', 'Date', 'performance', 'crypto'],
			'no-restricted-properties': ['error', { object: 'Math', property: 'random' }]
		}
	},
	{ files: ['**/*.js', '**/*.cjs', '**/*.mjs'], extends: [ts.configs.disableTypeChecked] }
);
