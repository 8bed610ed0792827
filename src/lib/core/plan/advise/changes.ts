// What a cook might change: each as a fact, what would be planned then, and what to put in force if it is wanted.
import { withBurner, withCooks, withStation, withVesselCount } from '../../model/edit-kitchen';
import { withCovers, withoutPart, withPartFacts, withService, withTechnique } from '../../model/edit-meal';
import type { Kitchen } from '../../model/kitchen';
import type { Meal } from '../../model/meal';
import type { Plan } from '../../model/plan';
import type { Technique } from '../../model/technique';
import { minute } from '../../units/time';
import type { Problem } from '../problem';

export interface Situation {
	readonly meal: Meal;
	readonly kitchen: Kitchen;
	readonly techniques: readonly Technique[];
}

/** What is changed; parts, steps and ways by name, times in seconds, clock times in seconds after midnight. */
export type What =
	| { readonly kind: 'nothing' }
	| { readonly kind: 'later'; readonly course: string; readonly by: number }
	| { readonly kind: 'help'; readonly from: number; readonly to: number }
	| { readonly kind: 'burner' }
	| { readonly kind: 'board' }
	| { readonly kind: 'vessel'; readonly vessel: string }
	| { readonly kind: 'without'; readonly part: string }
	| { readonly kind: 'otherwise'; readonly part: string; readonly way: string }
	| { readonly kind: 'fewer'; readonly covers: number; readonly instead: number }
	| { readonly kind: 'oven'; readonly part: string; readonly setting: number; readonly instead: number }
	| { readonly kind: 'before'; readonly part: string }
	| { readonly kind: 'beforehand'; readonly step: string };

export interface Change {
	readonly id: string;
	readonly what: What;
	readonly then: Situation;
	/** Changes the compiled problem too: hands that are there only for a while. */
	readonly alter?: (problem: Problem, origin: number) => Problem;
	/** What to put in force: absent where it is not the app's to do. */
	readonly apply?: { readonly meal: Meal } | { readonly kitchen: Kitchen };
}

const laterBy = [5 * minute, 10 * minute];
/** Shorter preparations are not worth doing ahead, seconds. */
const worthAhead = 4 * minute;
/** Help is asked for this much around a crush. */
const around = 2 * minute;

/** Everything worth trying for a plan. */
export function changesFor(now: Situation, plan: Plan): readonly Change[] {
	const { meal, kitchen, techniques } = now;
	const byId = new Map(techniques.map((t) => [t.id, t]));
	const inKitchen = (id: string, what: What, changed: Kitchen): Change => ({
		id,
		what,
		then: { ...now, kitchen: changed },
		apply: { kitchen: changed }
	});
	const later = meal.courses.flatMap((course) =>
		laterBy.map((by): Change => {
			const changed = withService(meal, course.id, course.service + by);
			const what = { kind: 'later', course: course.name, by } as const;
			return { id: `later ${course.id} ${by}`, what, then: { ...now, meal: changed }, apply: { meal: changed } };
		})
	);
	const help = plan.tight.map((t): Change => {
		const [from, to] = [t.from - around, t.to + around];
		const more = withCooks(kitchen, kitchen.cooks.length + 1);
		return {
			id: `hands ${from}`,
			what: { kind: 'help', from, to },
			then: { ...now, kitchen: more },
			alter: (p, origin) => awayOutside(p, from - origin, to - origin)
		};
	});
	const board = kitchen.stations.find((s) => s.kind === 'board');
	const vessels = kitchen.vessels.filter((v) => v.count > 0 && plan.steps.some((s) => s.vessel?.startsWith(v.name)));
	const equipment = [
		inKitchen('burner', { kind: 'burner' }, withBurner(kitchen)),
		...(board
			? [inKitchen('board', { kind: 'board' }, withStation(kitchen, { ...board, places: board.places + 1 }))]
			: []),
		...vessels.map((v) =>
			inKitchen(`vessel ${v.id}`, { kind: 'vessel', vessel: v.name }, withVesselCount(kitchen, v.id, v.count + 1))
		)
	];
	const without = meal.parts.map((part): Change => {
		const changed = withoutPart(meal, part.id, byId);
		return {
			id: `without ${part.id}`,
			what: { kind: 'without', part: part.name },
			then: { ...now, meal: changed },
			apply: { meal: changed }
		};
	});
	const otherwise = meal.parts.flatMap((part) => {
		const { makes } = byId.get(part.technique) ?? {};
		const ways = techniques.filter((t) => makes !== undefined && t.makes === makes && t.id !== part.technique);
		return ways.map((way): Change => {
			const changed = withTechnique(meal, part.id, way, byId);
			return {
				id: `technique ${part.id} ${way.id}`,
				what: { kind: 'otherwise', part: part.name, way: way.name },
				then: { ...now, meal: changed },
				apply: { meal: changed }
			};
		});
	});
	const smaller =
		meal.covers > 1
			? [withCovers(meal, meal.covers - 1)].map((changed): Change => ({
					id: 'covers',
					what: { kind: 'fewer', covers: changed.covers, instead: meal.covers },
					then: { ...now, meal: changed },
					apply: { meal: changed }
				}))
			: [];
	const hotter = plan.steps.flatMap((planned) => {
		const { setting: instead } = planned;
		const part = meal.parts.find((p) => p.id === planned.part);
		const technique = byId.get(part?.technique ?? '');
		const step = technique?.steps.find((s) => `${planned.part}/${s.id}` === planned.id);
		if (!part || !technique || step?.need?.kind !== 'oven' || instead === undefined) return [];
		const { need } = step;
		return nextTo(instead, need.settings).map((setting): Change => {
			const own: Technique = {
				...technique,
				id: `${technique.id}-${setting}`,
				steps: technique.steps.map((s) => (s === step ? { ...s, need: { ...need, settings: [setting] } } : s))
			};
			const parts = meal.parts.map((p) => (p === part ? { ...p, technique: own.id } : p));
			const changed = { ...meal, parts, own: [...meal.own.filter((t) => t.id !== own.id), own] };
			return {
				id: `oven ${planned.id} ${setting}`,
				what: { kind: 'oven', part: part.name, setting, instead },
				then: { ...now, meal: changed, techniques: [...techniques, own] },
				apply: { meal: changed }
			};
		});
	});
	const before = meal.parts.flatMap((part): Change[] => {
		const isOffered = byId.get(part.technique)?.ahead !== undefined && part.ahead !== 'before';
		if (!isOffered || plan.parts.find((p) => (p.of ?? p.id) === part.id)?.before !== undefined) return [];
		const changed = withPartFacts(meal, part.id, { ahead: 'before' });
		const what = { kind: 'before', part: part.name } as const;
		return [{ id: `before ${part.id}`, what, then: { ...now, meal: changed }, apply: { meal: changed } }];
	});
	const ahead = meal.parts.flatMap((part) => {
		const technique = byId.get(part.technique);
		return (technique?.steps ?? [])
			.filter((s) => s.kind === 'prep' && s.hands.kind === 'whole' && s.after.length === 0)
			.flatMap((step): Change[] => {
				const planned = plan.steps.find((s) => s.id === `${part.id}/${step.id}`);
				if (!technique || !planned || planned.to - planned.from < worthAhead) return [];
				const done = { ...withoutStep(technique, step.id), id: `${technique.id}-ahead` };
				const parts = meal.parts.map((p) => (p.id === part.id ? { ...p, technique: done.id } : p));
				const links = meal.links.filter((l) => ![l.from, l.to].some((e) => e.part === part.id && e.step === step.id));
				const then = { ...now, meal: { ...meal, parts, links }, techniques: [...techniques, done] };
				return [{ id: `ahead ${planned.id}`, what: { kind: 'beforehand', step: step.say }, then }];
			});
	});
	return [...later, ...help, ...equipment, ...otherwise, ...smaller, ...hotter, ...before, ...ahead, ...without];
}

/** The set points next below and next above one. */
function nextTo(setting: number, settings: readonly number[]): readonly number[] {
	const below = Math.max(...settings.filter((s) => s < setting));
	const above = Math.min(...settings.filter((s) => s > setting));
	return [below, above].filter(Number.isFinite);
}

function withoutStep(technique: Technique, id: string): Technique {
	return {
		...technique,
		steps: technique.steps
			.filter((s) => s.id !== id)
			.map((s) => ({ ...s, after: s.after.filter((a) => a.step !== id) })),
		vessels: technique.vessels.filter((v) => v.from !== id && v.to !== id)
	};
}

/** Hands that are away before `from` and after `to`: tasks that take them meanwhile. */
function awayOutside(problem: Problem, from: number, to: number): Problem {
	const away = (id: string, start: number, end: number): Problem['tasks'] =>
		end <= start
			? []
			: [
					{
						id,
						ahead: true,
						fixed: { start, mode: 0 },
						modes: [{ duration: end - start, uses: [{ resource: 'hands', amount: 1 }] }]
					}
				];
	const tasks = [...problem.tasks, ...away('away/before', 0, from), ...away('away/after', to, problem.horizon)];
	return { ...problem, tasks };
}
