// What imports with a query, and packages without types, are.
declare module '*?thread' {
	/** Source of a module for a worker thread, bundled with all that it imports. */
	const source: string;
	export default source;
}

/** Comlink over the ports of Node. */
declare module 'comlink/dist/esm/node-adapter.mjs' {
	import type { Endpoint } from 'comlink';
	export default function nodeEndpoint(port: object): Endpoint;
}

declare module 'plotly.js-cartesian-dist-min' {
	import * as Plotly from 'plotly.js';
	export default Plotly;
}
