// How fast evenings are played, and what a plan that holds wins on evenings that it has not seen.
import { demoKitchens, demoMeals } from '$lib/core/library/demo';
import { library } from '$lib/core/library/library';
import { shelfOf, techniquesFor } from '$lib/core/model/meal';
import { compileMeal } from '$lib/core/plan/compile/compile';
import { scheduleOf } from '$lib/core/plan/compile/schedule-of';
import { planMealNow } from '$lib/core/plan/plan-meal';
import { spreadsOf } from '$lib/core/rehearse/evening';
import { rehearse, rehearseNow } from '$lib/core/rehearse/rehearse';
import { holdBetter } from '$lib/core/rehearse/robust';
import { usualTolerance } from '$lib/core/rehearse/usual';
import { table } from './table';

const runs = 10_000;
const fresh = 6;

export function benchRehearsals(seconds: number): string {
	const rows = demoMeals.map((meal) => {
		const kitchen = demoKitchens.find((k) => k.id === meal.kitchen);
		if (!kitchen) throw new RangeError(`no kitchen ${meal.kitchen}`);
		const techniques = techniquesFor(meal, shelfOf(library, []));
		const outcome = planMealNow({ meal, kitchen, techniques, seed: 1, budget: 40_000 });
		const read = compileMeal(meal, kitchen, new Map(techniques.map((t) => [t.id, t])));
		if (outcome.kind !== 'plan' || !read.ok) throw new RangeError(`no plan of ${meal.name}`);
		const { problem } = read.value;
		const schedule = scheduleOf(outcome.plan, read.value, kitchen);
		const durations = spreadsOf(outcome.plan);
		const asked = { problem, schedule, durations, policy: 'hold', tolerance: usualTolerance } as const;
		const stream = rehearse({ ...asked, runs, seed: 1 });
		const began = performance.now();
		let step = stream.next();
		const first = performance.now() - began;
		while (!step.done) step = stream.next();
		const all = performance.now() - began;
		const search = holdBetter({ ...asked, seed: 2, grid: 15, rounds: Infinity });
		const until = performance.now() + 1000 * seconds;
		let held = schedule;
		while (performance.now() < until) {
			const found = search.next();
			if (found.value) held = found.value.schedule;
		}
		const sets = Array.from({ length: fresh }, (_, k) => {
			const of = (s: typeof schedule) => rehearseNow({ ...asked, schedule: s, runs: 1024, seed: 1000 + k });
			return { before: of(schedule), after: of(held) };
		});
		const mean = (pick: (s: (typeof sets)[number]) => number) => sets.reduce((sum, s) => sum + pick(s), 0) / fresh;
		const share = (x: number) => `${(100 * x).toFixed(0)} in 100`;
		return [
			meal.name,
			`${first.toFixed(0)} ms`,
			`${all.toFixed(0)} ms`,
			share(mean((s) => s.before.onTime)),
			share(mean((s) => s.after.onTime)),
			mean((s) => s.after.cost / s.before.cost).toFixed(2),
			`${sets.filter((s) => s.after.cost < s.before.cost).length} of ${fresh}`
		];
	});
	return table(
		['meal', 'first odds', `${runs} evenings`, 'on time', 'on time, held', 'cost, held ÷ plan', 'sets it is better on'],
		rows
	);
}
