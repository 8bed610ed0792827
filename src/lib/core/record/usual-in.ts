// How long a step of a plan takes in a kitchen that is not the one it was planned for: at its place, by its cook.
import type { Kitchen } from '../model/kitchen';
import type { Meal } from '../model/meal';
import type { Plan, PlannedStep } from '../model/plan';
import type { Technique } from '../model/technique';
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
