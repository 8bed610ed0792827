// @vitest-environment ./src/lib/state/testing/client-environment.ts
// Undo and redo against the plainest model there is: a list and a finger.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { History } from './history.svelte';

type Step = { readonly do: 'push'; readonly value: number } | { readonly do: 'undo' | 'redo' | 'reset' };
const step: fc.Arbitrary<Step> = fc.oneof(
	{ weight: 4, arbitrary: fc.nat().map((value): Step => ({ do: 'push', value })) },
	{ weight: 3, arbitrary: fc.constant<Step>({ do: 'undo' }) },
	{ weight: 2, arbitrary: fc.constant<Step>({ do: 'redo' }) },
	{ weight: 1, arbitrary: fc.constant<Step>({ do: 'reset' }) }
);

test('it is a list with a finger in it, of the depth that it remembers', () => {
	fc.assert(
		fc.property(fc.array(step, { maxLength: 60 }), fc.integer({ min: 1, max: 8 }), (steps, depth) => {
			const history = new History(-1, depth);
			let [list, finger] = [[-1], 0];
			for (const s of steps) {
				switch (s.do) {
					case 'push':
						history.push(s.value);
						list = [...list.slice(0, finger + 1), s.value];
						finger++;
						if (finger > depth) [list, finger] = [list.slice(1), finger - 1];
						break;
					case 'undo':
						history.undo();
						finger = Math.max(0, finger - 1);
						break;
					case 'redo':
						history.redo();
						finger = Math.min(list.length - 1, finger + 1);
						break;
					case 'reset':
						history.reset(-2);
						[list, finger] = [[-2], 0];
				}
				expect(history.now).toBe(list[finger]);
				expect(history.canUndo).toBe(finger > 0);
				expect(history.canRedo).toBe(finger < list.length - 1);
			}
		})
	);
});

test('what is kept is the very value: nothing is copied', () => {
	const [a, b] = [{ n: 1 }, { n: 2 }];
	const history = new History(a);
	history.push(b);
	history.undo();
	expect(history.now).toBe(a);
	history.redo();
	expect(history.now).toBe(b);
});
