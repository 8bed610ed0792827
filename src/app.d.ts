// What imports with a query, and packages without types, are.
declare module '*?thread' {
	/** Source of a module for a worker thread, bundled with all that it imports. */
	const source: string;
	export default source;
}

declare module 'plotly.js-cartesian-dist-min' {
	import * as Plotly from 'plotly.js';
	export default Plotly;
}
