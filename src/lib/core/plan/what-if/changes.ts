// What a cook might change: each as a sentence, what would be planned then, and what to put in force if it is wanted.
import { withBurner, withCooks, withStation, withVesselCount } from '../../model/edit-kitchen';
import { withCovers, withoutPart, withPartFacts, withService, withTechnique } from '../../model/edit-meal';
import type { Kitchen } from '../../model/kitchen';
import type { Meal } from '../../model/meal';
import type { Plan } from '../../model/plan';
import type { Technique } from '../../model/technique';
import { formatClock, formatDuration, minute } from '../../units/time';
import type { Problem } from '../problem';

export interface Situation {
	readonly meal: Meal;
	readonly kitchen: Kitchen;
	readonly techniques: readonly Technique[];
}

export interface Change {
	readonly id: string;
	readonly say: string;
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
	const inKitchen = (id: string, say: string, changed: Kitchen): Change => ({
		id,
		say,
		then: { ...now, kitchen: changed },
		apply: { kitchen: changed }
	});
	const later = meal.courses.flatMap((course) =>
		laterBy.map((by): Change => {
			const changed = withService(meal, course.id, course.service + by);
			const say = `${course.name} ${formatDuration(by)} later`;
			return { id: `later ${course.id} ${by}`, say, then: { ...now, meal: changed }, apply: { meal: changed } };
		})
	);
	const help = plan.tight.map((t): Change => {
		const [from, to] = [t.from - around, t.to + around];
		const say = `a second pair of hands from ${formatClock(from)} to ${formatClock(to)}`;
		const more = withCooks(kitchen, kitchen.cooks.length + 1);
		return {
			id: `hands ${from}`,
			say,
			then: { ...now, kitchen: more },
			alter: (p, origin) => awayOutside(p, from - origin, to - origin)
		};
	});
	const board = kitchen.stations.find((s) => s.kind === 'board');
	const vessels = kitchen.vessels.filter((v) => v.count > 0 && plan.steps.some((s) => s.vessel?.startsWith(v.name)));
	const equipment = [
		inKitchen('burner', 'one more burner', withBurner(kitchen)),
		...(board
			? [inKitchen('board', 'a second place to cut', withStation(kitchen, { ...board, places: board.places + 1 }))]
			: []),
		...vessels.map((v) =>
			inKitchen(`vessel ${v.id}`, `one more ${v.name.toLowerCase()}`, withVesselCount(kitchen, v.id, v.count + 1))
		)
	];
	const without = meal.parts.map((part): Change => {
		const changed = withoutPart(meal, part.id, byId);
		return {
			id: `without ${part.id}`,
			say: `without ${part.name.toLowerCase()}`,
			then: { ...now, meal: changed },
			apply: { meal: changed }
		};
	});
	const otherwise = meal.parts.flatMap((part) => {
		const { makes } = byId.get(part.technique) ?? {};
		const ways = techniques.filter((t) => makes !== undefined && t.makes === makes && t.id !== part.technique);
		return ways.map((way): Change => {
			const changed = withTechnique(meal, part.id, way, byId);
			const say = `${part.name.toLowerCase()} as “${way.name.toLowerCase()}”`;
			return {
				id: `technique ${part.id} ${way.id}`,
				say,
				then: { ...now, meal: changed },
				apply: { meal: changed }
			};
		});
	});
	const smaller =
		meal.covers > 1
			? [withCovers(meal, meal.covers - 1)].map((changed): Change => ({
					id: 'covers',
					say: `a batch for ${changed.covers} instead of ${meal.covers}`,
					then: { ...now, meal: changed },
					apply: { meal: changed }
				}))
			: [];
	const hotter = plan.steps.flatMap((planned) => {
		const part = meal.parts.find((p) => p.id === planned.part);
		const technique = byId.get(part?.technique ?? '');
		const step = technique?.steps.find((s) => `${planned.part}/${s.id}` === planned.id);
		if (!part || !technique || step?.need?.kind !== 'oven' || planned.setting === undefined) return [];
		const { need } = step;
		return nextTo(planned.setting, need.settings).map((setting): Change => {
			const own: Technique = {
				...technique,
				id: `${technique.id}-${setting}`,
				steps: technique.steps.map((s) => (s === step ? { ...s, need: { ...need, settings: [setting] } } : s))
			};
			const parts = meal.parts.map((p) => (p === part ? { ...p, technique: own.id } : p));
			const changed = { ...meal, parts, own: [...meal.own.filter((t) => t.id !== own.id), own] };
			return {
				id: `oven ${planned.id} ${setting}`,
				say: `${part.name.toLowerCase()} in the oven at ${setting} °C instead of ${planned.setting ?? ''} °C`,
				then: { ...now, meal: changed, techniques: [...techniques, own] },
				apply: { meal: changed }
			};
		});
	});
	const before = meal.parts.flatMap((part): Change[] => {
		const isOffered = byId.get(part.technique)?.ahead !== undefined && part.ahead !== 'before';
		if (!isOffered || plan.parts.find((p) => (p.of ?? p.id) === part.id)?.before !== undefined) return [];
		const changed = withPartFacts(meal, part.id, { ahead: 'before' });
		const say = `${part.name.toLowerCase()} made before the evening, as far as it keeps`;
		return [{ id: `before ${part.id}`, say, then: { ...now, meal: changed }, apply: { meal: changed } }];
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
				return [{ id: `ahead ${planned.id}`, say: `“${step.say}” done beforehand`, then }];
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
