// How SvelteKit builds Juntos: a Node server whose pages are prerendered, under a strict content security policy.
import adapter from '@sveltejs/adapter-node';

/** @type {import('@sveltejs/kit').Config} */
export default {
	compilerOptions: { runes: true },
	kit: {
		adapter: adapter({ precompress: true, out: process.env.BUILD_FOLDER ?? 'build' }),
		serviceWorker: { register: false },
		typescript: {
			config: (config) => ({
				...config,
				include: [
					...config.include,
					'../*.config.ts',
					'../benchmarks/**/*.ts',
					'../cli/**/*.ts',
					'../scripts/**/*.mjs',
					'../tests/**/*.ts'
				]
			})
		},
		// There are no sessions to abuse; a form that is sent to a route is told that it must be JSON.
		csrf: { trustedOrigins: ['*'] },
		csp: {
			mode: 'auto',
			directives: {
				'default-src': ['self'],
				'script-src': ['self'],
				'worker-src': ['self'],
				'connect-src': ['self'],
				'font-src': ['self'],
				// The hash of nothing: the charts add an empty <style>.
				'style-src': ['self', 'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='],
				'style-src-attr': ['unsafe-inline'],
				'img-src': ['self', 'data:', 'blob:'],
				'manifest-src': ['self'],
				'object-src': ['none'],
				'base-uri': ['self'],
				'frame-ancestors': ['none'],
				'form-action': ['self']
			}
		}
	}
};
