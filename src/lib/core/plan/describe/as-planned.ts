// A meal with the techniques that its plan has chosen, where the choice was the planner's.
import type { Meal } from '../../model/meal';
import type { Plan } from '../../model/plan';

export function asPlanned(meal: Meal, plan: Plan): Meal {
	if (plan.meal !== meal.id) return meal;
	return {
		...meal,
		parts: meal.parts.map((part) => {
			const taken = plan.parts.find((p) => (p.of ?? p.id) === part.id)?.technique;
			return part.choose === true && taken !== undefined ? { ...part, technique: taken } : part;
		})
	};
}
