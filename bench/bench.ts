import { demoKitchens, demoMeals } from '$lib/core/library/demo';
import { library } from '$lib/core/library/library';
import { planMeal } from '$lib/core/plan/plan-meal';
import { formatClock } from '$lib/core/units/time';

for (const meal of demoMeals) {
	const kitchen = demoKitchens.find((k) => k.id === meal.kitchen)!;
	const t = performance.now();
	const g = planMeal({ meal, kitchen, techniques: [...library.values()], seed: 1, budget: 60000 });
	for (;;) {
		const s = g.next();
		if (!s.done) {
			if (s.value.plan) console.log((performance.now() - t).toFixed(0), s.value.plan.objective, s.value.plan.status);
			continue;
		}
		console.log(s.value.kind, (performance.now() - t).toFixed(0));
		if (s.value.kind === 'plan') {
			const p = s.value.plan;
			console.log(p.status, p.objective, p.bound, p.services, p.tight, p.idle.length);
			for (const x of p.steps.toSorted((a, b) => a.from - b.from))
				console.log(
					formatClock(x.from),
					formatClock(x.to),
					x.id,
					x.lane,
					x.setting ?? '',
					x.vessel ?? '',
					'|',
					x.heldBy
				);
			for (const x of p.parts) console.log(x.id, formatClock(x.ready), formatClock(x.plated), x.wait, x.cost);
		} else console.log(JSON.stringify(s.value));
		break;
	}
}
