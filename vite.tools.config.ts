// Bundles the command-line tools and the benchmarks for plain Node.
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
	resolve: { alias: { $lib: at('./src/lib') } },
	publicDir: false,
	ssr: { noExternal: true },
	build: {
		ssr: true,
		outDir: '.tools',
		target: 'node20',
		minify: false,
		rolldownOptions: {
			input: {
				solve: at('./bench/solve-command.ts'),
				heat: at('./bench/heat-command.ts'),
				bench: at('./bench/bench.ts')
			}
		}
	}
});
