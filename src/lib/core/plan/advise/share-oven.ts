// Parts held to one oven temperature: techniques of the meal's own that bake at nothing else.
import type { Meal } from '../../model/meal';
import type { Technique } from '../../model/technique';
import type { Group } from './grouping';

/** The meal with every member of a group baked at the shared temperature only. */
export function withSharedSetting(meal: Meal, group: Group, techniques: ReadonlyMap<string, Technique>): Meal {
	const own: Technique[] = [];
	const parts = meal.parts.map((part) => {
		const technique = techniques.get(part.technique);
		if (!technique || !group.members.some((m) => m.part === part.id)) return part;
		const held = {
			...technique,
			name: `${technique.name.replace(/, at \d+ °C$/, '')}, at ${group.setting} °C`.slice(0, 80),
			id: `${technique.id.replace(/-at-\d+$/, '')}-at-${group.setting}`.slice(0, 64),
			steps: technique.steps.map((s) =>
				s.need?.kind === 'oven' && s.need.settings.includes(group.setting)
					? { ...s, need: { ...s.need, settings: [group.setting] } }
					: s
			)
		};
		own.push(held);
		return { ...part, technique: held.id };
	});
	const used = new Set(parts.map((p) => p.technique));
	const kept = meal.own.filter((t) => used.has(t.id) && !own.some((o) => o.id === t.id));
	const fresh = [...new Map(own.map((t) => [t.id, t])).values()];
	return { ...meal, parts, own: [...kept, ...fresh] };
}
