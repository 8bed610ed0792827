import { expect, test } from 'vitest';
import { demoKitchens, demoMeals } from './library/demo';
import { library } from './library/library';
import { usualBudget, usualSeed } from './plan/effort';
import { planMeal } from './plan/plan-meal';
const clock = (s: number) =>
	`${String(Math.floor(s / 3600)).padStart(2, '0')}:${String(Math.floor((s % 3600) / 60)).padStart(2, '0')}:${String(Math.round(s % 60)).padStart(2, '0')}`;
test('dump', () => {
	expect(1).toBe(1);
	for (const meal of demoMeals.filter((m) => !process.env.ONLY || m.id.includes(process.env.ONLY))) {
		const kitchen = demoKitchens.find((k) => k.id === meal.kitchen)!;
		const began = performance.now();
		let first = 0;
		const search = planMeal({
			meal,
			kitchen,
			techniques: [...library.values()],
			seed: usualSeed,
			budget: Number(process.env.BUDGET ?? usualBudget)
		});
		for (;;) {
			const step = search.next(undefined);
			if (!step.done && step.value.plan && !first) first = performance.now() - began;
			if (!step.done) continue;
			const v = step.value;
			if (v.kind !== 'plan') {
				console.log(meal.name, JSON.stringify(v).slice(0, 2000));
				break;
			}
			const p = v.plan;
			const out = [
				`== ${meal.name} for ${meal.covers} objective ${p.objective} bound ${p.bound} ${p.status} first ${first.toFixed(0)} all ${(performance.now() - began).toFixed(0)} from ${clock(p.from)} to ${clock(p.to)}`
			];
			for (const s of [...p.steps].sort((a, b) => a.from - b.from))
				out.push(
					`${clock(s.from)}–${clock(s.to)} ${s.lane.padEnd(9)} ${s.id.padEnd(24)} ${s.say} ${s.setting ?? ''} | ${s.vessel ?? ''} | ${[...new Set(s.hands.map((h) => h.cook))].join()}`
				);
			for (const q of p.parts)
				out.push(
					`   ${q.name}: ready ${clock(q.ready)} plated ${clock(q.plated)} waits ${q.wait} free ${q.free} cost ${q.cost}`
				);
			for (const t of p.terrain)
				out.push(`   ${t.lane}: ${t.points.map((x) => `${clock(x.at)} ${Math.round(x.celsius)}`).join(', ')}`);
			for (const s of p.services)
				out.push(
					`   ${s.name} due ${clock(s.due)} at ${clock(s.at)} plating ${clock(s.plating)} warm ${s.warm === undefined ? '' : clock(s.warm)} ${s.cook}`
				);
			console.log(out.join('\n'));
			break;
		}
	}
}, 100000);
