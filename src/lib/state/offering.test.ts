// Offers to idle hands: of the last occasion only, and none where nobody is idle for long.
import { expect, test } from 'vitest';
import type { Offer } from '../core/plan/advise/offers';
import { occasionOf, Offering } from './offering.svelte';

const view = { done: 4, changes: [], clock: 60_000, isOver: false };

test('there is an occasion where hands are free for more than two minutes, another when anything is done or time goes on', () => {
	expect([undefined, 0, 120].map((free) => occasionOf(view, free))).toEqual(['', '', '']);
	expect(occasionOf({ ...view, isOver: true }, 600)).toBe('');
	const one = occasionOf(view, 600);
	expect(occasionOf({ ...view, clock: view.clock + 60 }, 540)).toBe(one);
	expect(occasionOf({ ...view, clock: view.clock + 130 }, 470)).not.toBe(one);
	expect(occasionOf({ ...view, done: 5 }, 600)).not.toBe(one);
});

test('an answer that comes after the next occasion is not heard', async () => {
	const asked: ((found: readonly Offer[]) => void)[] = [];
	const offering = new Offering(() => new Promise((resolve) => asked.push(resolve)));
	const offer = (step: string) => [{ step } as unknown as Offer];
	const first = offering.come('one');
	const second = offering.come('two');
	asked[0]!(offer('late'));
	await first;
	expect(offering.found).toEqual([]);
	asked[1]!(offer('right'));
	await second;
	expect(offering.found.map((o) => o.step)).toEqual(['right']);
	await offering.come('');
	expect(offering.found).toEqual([]);
	expect(asked).toHaveLength(2);
});
