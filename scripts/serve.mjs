// npm start: the built server, with the limits and the headers that it should have. PORT, HOST and ORIGIN choose where.
import { createServer } from 'node:http';
import { existsSync } from 'node:fs';
import { root } from './steps.mjs';

const port = Number(process.env.PORT ?? 3000);
const host = process.env.HOST ?? '0.0.0.0';
process.env.BODY_SIZE_LIMIT ??= '2M';
process.env.ORIGIN ??= `http://localhost:${port}`;

if (!existsSync(`${root}build/handler.js`)) {
	process.stderr.write('There is no build yet: run "npm run build" first, or "npm run demo", which does both.\n');
	process.exit(1);
}
/** @type {{ handler: import('node:http').RequestListener }} */
const { handler } = await import(`${root}build/handler.js`);

/** Pages built ahead are sent as files and see no hook; the policy within them cannot forbid frames. */
const headers = {
	'x-content-type-options': 'nosniff',
	'referrer-policy': 'no-referrer',
	'x-frame-options': 'DENY',
	'content-security-policy': "frame-ancestors 'none'"
};
const server = createServer((request, response) => {
	for (const [name, value] of Object.entries(headers)) response.setHeader(name, value);
	handler(request, response);
});
server.listen(port, host, () => {
	process.stdout.write(`Juntos listens on http://${host}:${port}\n`);
});
