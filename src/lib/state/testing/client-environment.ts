// An environment for tests of state: Node, with runes compiled as they are in the page.
import type { Environment } from 'vitest/runtime';

export default {
	name: 'client',
	viteEnvironment: 'client',
	setup: () => ({ teardown: () => undefined })
} satisfies Environment;
