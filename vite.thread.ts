// Bundles a module for a worker thread of the server into a string: `import source from './x.ts?thread'`.
import { fileURLToPath } from 'node:url';
import { build, type Plugin, type Rolldown } from 'vite';

const query = '?thread';

/** One self-contained module, so that it can be run wherever the server is put. */
async function bundle(entry: string): Promise<string> {
	const output = (await build({
		configFile: false,
		logLevel: 'error',
		publicDir: false,
		resolve: { alias: { $lib: fileURLToPath(new URL('./src/lib', import.meta.url)) } },
		ssr: { noExternal: true },
		build: { ssr: entry, write: false, target: 'node20', rolldownOptions: { output: { codeSplitting: false } } }
	})) as Rolldown.RolldownOutput;
	return output.output[0].code;
}

export function thread(): Plugin {
	return {
		name: 'thread',
		enforce: 'pre',
		async resolveId(source, importer) {
			if (!source.endsWith(query)) return undefined;
			const found = await this.resolve(source.slice(0, -query.length), importer);
			return found && `${found.id}${query}`;
		},
		async load(id) {
			if (!id.endsWith(query)) return undefined;
			const entry = id.slice(0, -query.length);
			this.addWatchFile(entry);
			return `export default ${JSON.stringify(await bundle(entry))};`;
		}
	};
}
