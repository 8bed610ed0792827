// What the first visit loads: JavaScript, styles and fonts of the plan page, gzipped.
import { existsSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { table } from './table';

const root = 'build/client';

/** Sizes of what the prerendered plan page names, with all that its modules import. */
export function benchPage(): string {
	const page = 'build/prerendered/plan.html';
	if (!existsSync(page)) return 'The page was not measured: run `npm run build` first.\n';
	const html = readFileSync(page, 'utf8');
	const seen = new Set<string>();
	const visit = (path: string) => {
		if (seen.has(path) || !existsSync(root + path)) return;
		seen.add(path);
		if (!path.endsWith('.js')) return;
		// Static imports only: what is imported on demand comes later.
		const text = readFileSync(root + path, 'utf8');
		for (const [, to] of text.matchAll(/(?:from|import)\s*"([^"()]+\.js)"/g))
			if (to) visit(new URL(to, `http://x${path}`).pathname);
	};
	for (const [, path] of html.matchAll(/(?:href|src)="([^"]+\.(?:js|css|woff2))"|import\("([^"]+)"\)/g))
		if (path) visit(new URL(path, 'http://x/').pathname);
	for (const [, path] of html.matchAll(/import\("([^"]+)"\)/g)) if (path) visit(new URL(path, 'http://x/').pathname);
	const size = (paths: readonly string[]) =>
		paths.reduce((sum, p) => sum + gzipSync(readFileSync(root + p)).length, 0) / 1000;
	const of = (ending: string) => [...seen].filter((p) => p.endsWith(ending));
	const kB = (n: number) => `${n.toFixed(1)} kB`;
	const rows = [
		['JavaScript', String(of('.js').length), kB(size(of('.js')))],
		['styles', String(of('.css').length), kB(size(of('.css')))],
		['the page itself, with the demo plan', '1', kB(gzipSync(html).length / 1000)]
	];
	return table(['first visit of /plan', 'files', 'gzipped'], rows);
}
