// What imports with a query are.
declare module '*?thread' {
	/** Source of a module for a worker thread, bundled with all that it imports. */
	const source: string;
	export default source;
}
