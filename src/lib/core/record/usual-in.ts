// How long a step of a plan takes in a kitchen that is not the one it was planned for: at its place, by its cook.
import { efficiency } from '../heat/burner';
import type { Kitchen, StationOf } from '../model/kitchen';
import type { Meal } from '../model/meal';
import type { Plan, PlannedStep } from '../model/plan';
import type { Step, Technique } from '../model/technique';
import { compileMeal, type Compiled } from '../plan/compile/compile';
import { canServe } from '../plan/compile/crew';
import { usualOf } from '../timing/timing';
import { withLesson, type Lesson } from './lessons';

/**
 * The usual time of a step, s; `undefined` where it is not done so there.
 *
 * @param trace of the meal compiled for that kitchen
 * @param hotter K by which the set point that is compiled is above the planned one
 */
export function usualIn(
	{ steps }: Pick<Compiled['trace'], 'steps'>,
	kitchen: Kitchen,
	step: PlannedStep,
	hotter = 0
): number | undefined {
	const lane = kitchen.stations.find((s) => s.id === step.lane);
	const own = (steps.get(step.id)?.ways ?? []).filter(({ place }) => {
		// Equal burners are one place to the planner.
		const isAt =
			place === undefined ||
			place.station === step.lane ||
			(lane?.kind === 'burner' && place.power === lane.power && place.measured === lane.measured);
		return isAt && (step.setting === undefined || place?.setting === step.setting + hotter);
	});
	const cook = kitchen.cooks.find((c) => c.id === step.hands[0]?.cook);
	const way = own.find((w) => cook === undefined || canServe(cook, w.crew)) ?? own[0];
	return way && usualOf(way.timing);
}

/** What a lesson changes in the steps of a plan: how many take otherwise, and by how much in all, s. */
export interface LessonEffect {
	readonly steps: number;
	readonly seconds: number;
}

/** Another time is one from here, s. */
const worth = 5;

/** That of each lesson for a plan of a meal in its kitchen; nothing where the meal cannot be made there. */
export function effectsOf(
	meal: Meal,
	kitchen: Kitchen,
	techniques: ReadonlyMap<string, Technique>,
	plan: Plan,
	lessons: readonly Lesson[]
): ReadonlyMap<string, LessonEffect> {
	const before = compileMeal(meal, kitchen, techniques);
	if (!before.ok) return new Map();
	return new Map(
		lessons.flatMap((lesson): [string, LessonEffect][] => {
			const changed = withLesson(kitchen, lesson);
			const after = compileMeal(meal, changed, techniques);
			if (!after.ok) return [];
			const off = plan.steps.flatMap((step) => {
				const [was, is] = [usualIn(before.value.trace, kitchen, step), usualIn(after.value.trace, changed, step)];
				return was === undefined || is === undefined || Math.abs(is - was) < worth ? [] : [is - was];
			});
			return [[lesson.id, { steps: off.length, seconds: off.reduce((sum, s) => sum + s, 0) }]];
		})
	);
}

/** An estimate holds for the first of a step's set points, which stays. */
const kept = ({ time, need }: Step) => (time.core && need?.kind === 'oven' ? need.settings.slice(0, 1) : []);

/** The techniques with everything in an oven so much hotter than it is set to. */
export const inHotterOven = (
	techniques: ReadonlyMap<string, Technique>,
	kelvin: number
): ReadonlyMap<string, Technique> =>
	new Map(
		[...techniques].map(([id, technique]) => [
			id,
			{
				...technique,
				steps: technique.steps.map((s) =>
					s.need?.kind === 'oven'
						? { ...s, need: { ...s.need, settings: [...kept(s), ...s.need.settings.map((c) => c + kelvin)] } }
						: s
				)
			}
		])
	);

/** Ovens that reach all that is asked of them. */
const withWideOvens = (kitchen: Kitchen): Kitchen => ({
	...kitchen,
	stations: kitchen.stations.map((s) =>
		s.kind === 'oven' ? { ...s, lowest: s.lowest - 80, highest: Math.min(600, s.highest + 80), offset: undefined } : s
	)
});

/** Burners that give so many times what they are taken to give. */
const withStrongerBurners = (kitchen: Kitchen, times: number): Kitchen => ({
	...kitchen,
	stations: kitchen.stations.map((s) => (s.kind === 'burner' ? { ...s, measured: times * wattsOf(s) } : s))
});

/** Net watts that plans take a burner for. */
export const wattsOf = ({ power, fuel, measured }: StationOf<'burner'>): number =>
	measured ?? power * efficiency[fuel].usual;

/** Ovens whose air takes its heat into food so many times as fast. */
const withOtherFilms = (kitchen: Kitchen, times: number): Kitchen => ({
	...kitchen,
	stations: kitchen.stations.map((s) => (s.kind === 'oven' ? { ...s, film: times * (s.film ?? 1) } : s))
});

/** How much ln of a step's time changes with a K of its oven, or with ln of its burner's watts; and with ln of the oven's film. */
export interface Sensitivity {
	readonly per: number;
	readonly perFilm?: number;
}

/** By how much an oven, K, a burner and a film are changed to see what that does to a time. */
const off = { kelvin: 6, times: 1.05, film: 1.15 } as const;
const known = new WeakMap<Plan, ReadonlyMap<string, Sensitivity>>();

/**
 * How much each step's time goes by its oven or its burner: by the models themselves, on both sides of where it is. Steps to
 * which neither matters are left out. Worked out once for each plan.
 */
export function sensitivityOf(
	meal: Meal,
	kitchen: Kitchen,
	techniques: ReadonlyMap<string, Technique>,
	plan: Plan
): ReadonlyMap<string, Sensitivity> {
	const before = known.get(plan);
	if (before) return before;
	const wide = withWideOvens(kitchen);
	const at = (kind: 'oven' | 'burner') => {
		const lanes = new Set(kitchen.stations.flatMap((s) => (s.kind === kind ? [s.id] : [])));
		return plan.steps.filter((s) => lanes.has(s.lane) && s.hands.every((h) => !h.whole));
	};
	/** ln of the longer time over the shorter one, for each unit of what differs between two kitchens. */
	const slopes = (
		steps: readonly PlannedStep[],
		by: number,
		sides: readonly { readonly kitchen: Kitchen; readonly kelvin?: number }[]
	): ReadonlyMap<string, number> => {
		if (steps.length === 0) return new Map();
		const both = sides.map(({ kitchen: k, kelvin = 0 }) => {
			const compiled = compileMeal(meal, k, inHotterOven(techniques, kelvin));
			return (step: PlannedStep) => (compiled.ok ? usualIn(compiled.value.trace, k, step, kelvin) : undefined);
		});
		return new Map(
			steps.flatMap((step): [string, number][] => {
				const [less, more] = both.map((of) => of(step));
				const per = less === undefined || more === undefined ? 0 : Math.log(more / less) / by;
				return Math.abs(per) > 1e-4 && Number.isFinite(per) ? [[step.id, per]] : [];
			})
		);
	};
	const [inOven, onBurner] = [at('oven'), at('burner')];
	const perKelvin = slopes(inOven, 2 * off.kelvin, [
		{ kitchen: wide, kelvin: -off.kelvin },
		{ kitchen: wide, kelvin: off.kelvin }
	]);
	const perFilm = slopes(inOven, 2 * Math.log(off.film), [
		{ kitchen: withOtherFilms(wide, 1 / off.film) },
		{ kitchen: withOtherFilms(wide, off.film) }
	]);
	const perPower = slopes(onBurner, 2 * Math.log(off.times), [
		{ kitchen: withStrongerBurners(kitchen, 1 / off.times) },
		{ kitchen: withStrongerBurners(kitchen, off.times) }
	]);
	const found = new Map<string, Sensitivity>([...perPower].map(([id, per]) => [id, { per }]));
	for (const { id } of inOven) {
		const [per, film] = [perKelvin.get(id), perFilm.get(id)];
		if (per === undefined && film === undefined) continue;
		found.set(id, { per: per ?? 0, ...(film === undefined ? {} : { perFilm: film }) });
	}
	known.set(plan, found);
	return found;
}
