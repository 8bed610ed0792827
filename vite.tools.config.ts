// Bundles one command (`scripts/steps.mjs` says which, and whereto) into a single file for plain Node.
import { env } from 'node:process';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url));
const { TOOL_NAME = 'solve', TOOL_ENTRY = 'cli/solve.ts', TOOL_FOLDER = '.tools' } = env;

export default defineConfig({
	resolve: { alias: { $lib: at('./src/lib') } },
	publicDir: false,
	ssr: { noExternal: true },
	build: {
		ssr: at(TOOL_ENTRY),
		outDir: TOOL_FOLDER,
		target: 'node20',
		minify: false,
		rolldownOptions: { output: { codeSplitting: false, entryFileNames: `${TOOL_NAME}.mjs` } }
	}
});
