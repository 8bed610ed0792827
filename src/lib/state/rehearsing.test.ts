// The odds of the plan on the table: of this plan only, once for each, forgotten with the next.
import { expect, test } from 'vitest';
import type { Plan } from '../core/model/plan';
import { library } from '../core/library/library';
import { rehearsals, type Rehearsed } from '../core/rehearse/offers';
import { asPlanned, type How } from '../core/rehearse/how';
import { demoCases, planDemo } from '../core/testing/demo-plan';
import { Rehearsing } from './rehearsing.svelte';

const [, brunch] = demoCases;
if (!brunch) throw new RangeError('no demo');
const plan = planDemo(brunch, 2000);
const what = { ...brunch, techniques: [...library.values()] };
const found = [...rehearsals({ ...what, seed: 1, budget: 2000 }, plan, asPlanned)].filter((f) => f !== undefined);

/** A planner that tells of what was found only when it is let. */
function stand(current: Plan) {
	const asked: { how: How; tell: (f: Rehearsed) => void; end: () => void }[] = [];
	const planning = {
		plan: current,
		rehearse: (_: unknown, how: How, onFound: (f: Rehearsed) => void) =>
			new Promise<void>((resolve) => {
				asked.push({ how, tell: onFound, end: resolve });
			})
	};
	return { planning, asked };
}

test('what is found is shown as it comes; the same plan is not asked about twice', async () => {
	const { planning, asked } = stand(plan);
	const rehearsing = new Rehearsing(planning);
	const done = rehearsing.ask(what);
	void rehearsing.ask(what);
	expect(asked).toHaveLength(1);
	expect(rehearsing.isWorking).toBe(true);
	for (const f of found) asked[0]!.tell(f);
	asked[0]!.end();
	await done;
	expect(rehearsing.isWorking).toBe(false);
	expect(rehearsing.odds?.runs).toBe(4096);
	const offered = found.filter((f) => f.kind === 'offer').length;
	expect(offered).toBeGreaterThan(0);
	expect(rehearsing.offers).toHaveLength(offered);
	expect(rehearsing.offers.map((o) => o.onTime)).toEqual(
		rehearsing.offers.map((o) => o.onTime).toSorted((a, b) => b - a)
	);
	expect(rehearsing.blame.length).toBeGreaterThan(0);
	expect(rehearsing.isOf).toBe(plan);
});

test('what is heard of the plan before is dropped, and another way to begin is another question', async () => {
	const { planning, asked } = stand(plan);
	const rehearsing = new Rehearsing(planning);
	void rehearsing.ask(what);
	planning.plan = { ...plan, name: 'another' };
	void rehearsing.ask(what);
	asked[0]!.tell(found[0]!);
	expect(rehearsing.odds).toBeUndefined();
	const early = { ...asPlanned, begin: 'early' } as const;
	void rehearsing.ask(what, early);
	expect(asked.map((a) => a.how)).toEqual([asPlanned, asPlanned, early]);
	asked[1]!.tell(found[0]!);
	expect(rehearsing.odds).toBeUndefined();
	asked[2]!.tell(found[0]!);
	expect(rehearsing.odds).toBeDefined();
	asked[2]!.end();
	await Promise.resolve();
});
