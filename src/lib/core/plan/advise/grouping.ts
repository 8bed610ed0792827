// Parts that could share an oven temperature, or a tray: what it costs each.
import type { Kitchen } from '../../model/kitchen';
import type { Meal, Part } from '../../model/meal';
import type { Step, Technique } from '../../model/technique';
import { timingOf, usualOf } from '../../timing/timing';
import { batchesOf, type Batches } from '../compile/load';
import { roomOf } from '../compile/places';
import { valuesFor } from '../../timing/values';

interface Sharing {
	readonly part: string;
	readonly name: string;
	readonly step: string;
	/** Seconds at its own first setting, and at the shared one. */
	readonly alone: number;
	readonly shared: number;
	readonly own: number;
}

export interface Group {
	/** °C. */
	readonly setting: number;
	readonly members: readonly Sharing[];
	/** Whether all of them would lie on one tray, browning. */
	readonly isOneTray: boolean;
	/** Seconds that they are longer in the oven together than apart, at most. */
	readonly cost: number;
}

interface Roasting {
	readonly part: Part;
	readonly technique: Technique;
	readonly step: Step;
	readonly settings: readonly number[];
	readonly covers: number;
	readonly load: Batches | undefined;
}

/** Times differ by no more than this on one tray: else the sooner one goes in later. */
const alike = 1.35;

/** All oven temperatures that two parts or more of a course could share, the cheapest first. */
export function groupsOf(meal: Meal, kitchen: Kitchen, techniques: ReadonlyMap<string, Technique>): readonly Group[] {
	const ovens = kitchen.stations.flatMap((s) => (s.kind === 'oven' ? [s] : []));
	const [oven] = ovens;
	if (!oven) return [];
	const roasting = meal.parts.flatMap((part): Roasting[] => {
		const technique = techniques.get(part.technique);
		const covers = part.covers ?? meal.covers;
		return (technique?.steps ?? []).flatMap((step) =>
			technique && step.need?.kind === 'oven'
				? [
						{
							part,
							technique,
							step,
							settings: step.need.settings.filter((s) => s >= oven.lowest && s <= oven.highest),
							covers,
							load: batchesOf(step, valuesFor(technique, part.settings, covers), kitchen)
						}
					]
				: []
		);
	});
	const at = (r: Roasting, setting: number) =>
		usualOf(
			timingOf(r.step, valuesFor(r.technique, r.part.settings, r.covers), {
				setting,
				hasFan: oven.fan,
				film: oven.film,
				altitude: kitchen.altitude,
				room: roomOf(kitchen)
			})
		);
	const settings = [...new Set(roasting.flatMap((r) => r.settings))];
	const groups = settings.flatMap((setting): Group[] => {
		const able = roasting.filter((r) => r.settings.includes(setting) && Number.isFinite(at(r, setting)));
		if (new Set(able.map((r) => r.part.id)).size < 2) return [];
		const members = able.map((r): Sharing => {
			const own = r.settings[0] ?? setting;
			return {
				part: r.part.id,
				name: r.part.name,
				step: r.step.say,
				own,
				alone: at(r, own),
				shared: at(r, setting)
			};
		});
		const times = members.map((m) => m.shared);
		const coverage = able.reduce((sum, r) => sum + (r.load ? r.load.coverage * r.load.vessels : 1), 0);
		return [
			{
				setting,
				members,
				isOneTray: coverage <= 0.7 && Math.max(...times) <= alike * Math.min(...times),
				cost: members.reduce((sum, m) => sum + Math.max(0, m.shared - m.alone), 0)
			}
		];
	});
	// Of groups with the same members the cheapest.
	const best = new Map<string, Group>();
	for (const group of groups) {
		const key = group.members.map((m) => m.part).join(' ');
		const known = best.get(key);
		if (!known || group.cost < known.cost) best.set(key, group);
	}
	const list = [...best.values()];
	const isWithin = (a: Group, b: Group) =>
		a !== b && a.members.every((m) => b.members.some((o) => o.part === m.part)) && a.cost >= b.cost;
	return list
		.filter((a) => !list.some((b) => isWithin(a, b)))
		.sort((a, b) => b.members.length - a.members.length || a.cost - b.cost);
}
