// The days before: what is made ahead, planned into the hours in which somebody is free, as fresh as it can be.
import type { Kitchen } from '../model/kitchen';
import type { Meal, Part } from '../model/meal';
import { serviceOf } from '../model/meal';
import type { Plan } from '../model/plan';
import type { Technique } from '../model/technique';
import { hour } from '../units/time';
import { compileMeal, type Compiled } from './compile/compile';
import { beforeAnd } from './compile/portions';
import { stationsBehind } from './compile/places';
import { grid, gridDown, gridUp } from './grid';
import type { Problem } from './problem';
import { solve } from './solve/solve';

export type Days = NonNullable<Plan['days']>;

const day = 24 * hour;
/** Nobody looks further back. */
const mostDays = 7;
/** Work for it, in propagator runs. */
const budget = 6000;
/** Free where nobody says: the evenings before, and the day itself until the kitchen opens. */
const usualEvening = { from: 18 * hour, to: 21 * hour };
const usualMorning = 9 * hour;
const fridge = 'fridge';
const evening = 'evening';

/** The hours in which somebody is free before the meal, of the last so many days. */
export function freeHours({ free, earliest }: Meal, days: number): NonNullable<Meal['free']> {
	const told = (free ?? []).filter((f) => f.days <= days);
	if (told.length > 0) return told;
	const before = Array.from({ length: days }, (_, k) => ({ days: days - k, ...usualEvening }));
	return earliest > usualMorning ? [...before, { days: 0, from: usualMorning, to: earliest }] : before;
}

/** A technique up to the step that may be done before. */
function untilThen(technique: Technique): Technique | undefined {
	const { ahead, steps, vessels, plate } = technique;
	if (!ahead) return undefined;
	const early = beforeAnd(technique, ahead.last);
	const rest = { ...technique };
	delete rest.ahead;
	return {
		...rest,
		steps: steps.filter((s) => early.has(s.id)),
		vessels: vessels.filter((v) => early.has(v.from) && early.has(v.to)),
		plate: { ...plate, step: ahead.last, perPlate: 0, free: 0, rate: 1, most: 0 }
	};
}

/**
 * What is made before a meal, in its kitchen, in the hours in which somebody is free: a problem of its own, in which hands
 * are away in between, and each part takes a place in the cold from its end until the evening. Times are seconds after the
 * midnight that begins the day of the meal, negative on the days before.
 *
 * @param before parts of the meal that are made before, by id
 * @returns `undefined` where nothing is
 */
export function daysOf(
	meal: Meal,
	kitchen: Kitchen,
	techniques: ReadonlyMap<string, Technique>,
	before: ReadonlySet<string>
): Days | undefined {
	const parts = meal.parts.flatMap((part): readonly { part: Part; technique: Technique; keeps: number }[] => {
		const whole = techniques.get(part.technique);
		const technique = before.has(part.id) && whole ? untilThen(whole) : undefined;
		return technique && whole?.ahead ? [{ part, technique, keeps: whole.ahead.keeps }] : [];
	});
	if (parts.length === 0) return undefined;
	const days = Math.min(mostDays, Math.max(...parts.map((p) => Math.ceil(p.keeps / day))));
	const own = new Map(parts.map((p) => [p.technique.id, p.technique]));
	const alone: Meal = {
		...meal,
		earliest: 0,
		evening: 'short',
		links: [],
		own: [],
		courses: meal.courses.map((c) => ({ ...c, service: 23 * hour })),
		parts: parts.map(({ part }) => {
			const rest = { ...part };
			delete rest.ahead;
			delete rest.choose;
			return rest;
		})
	};
	const read = compileMeal(alone, kitchen, own);
	if (!read.ok) return undefined;
	const windows = freeHours(meal, days).map((f) => ({ from: f.from - f.days * day, to: f.to - f.days * day }));
	const servedAt = (part: Part) => {
		const course = meal.courses.find((c) => c.id === part.course);
		return course ? serviceOf(meal, course) : meal.earliest;
	};
	const problem = problemOfDays(read.value, { start: -days * day, end: meal.earliest, windows }, kitchen, (id) => {
		const found = parts.find((p) => p.part.id === id);
		return found ? found.keeps - (servedAt(found.part) - meal.earliest) : 0;
	});
	const answer = solved(problem);
	const common = {
		free: windows,
		kept: parts.map(({ part, technique, keeps }) => ({
			part: part.id,
			until: servedAt(part),
			since: servedAt(part) - keeps,
			how: techniques.get(technique.id)?.ahead?.how ?? ''
		}))
	};
	const { starts, modes = {} } = answer;
	if (!starts) return { ...common, steps: [], fits: false };
	const steps = [...read.value.trace.steps].flatMap(([id, { part, step, ways }]) => {
		const start = starts[id];
		const way = ways[modes[id] ?? 0];
		const length = problem.tasks.find((t) => t.id === id)?.modes[modes[id] ?? 0]?.duration;
		if (start === undefined || !way || length === undefined) return [];
		const from = start - days * day;
		const [station] = way.place ? stationsBehind(way.place.resource, kitchen) : [];
		return [
			{
				part: part.id,
				say: step.say,
				from,
				to: from + length,
				hands: way.hands.map((h) => ({ from: from + h.from, to: from + h.to })),
				...(station ? { place: station.name } : {})
			}
		];
	});
	return { ...common, steps: steps.toSorted((a, b) => a.from - b.from), fits: true };
}

interface Span {
	/** Seconds from midnight of the day of the meal. */
	readonly start: number;
	readonly end: number;
	readonly windows: readonly { readonly from: number; readonly to: number }[];
}

function problemOfDays(
	{ problem, trace }: Compiled,
	{ start, end, windows }: Span,
	kitchen: Kitchen,
	keepsOf: (part: string) => number
): Problem {
	const over = gridDown(end - start);
	const away = gapsBetween(
		windows.map((w) => ({ from: w.from - start, to: w.to - start })),
		over
	);
	const hands = problem.resources.filter((r) => r.id === 'hands' || r.id.startsWith('crew:'));
	const all = hands.map((r) => ({ resource: r.id, amount: r.capacity }));
	const places = kitchen.stations.reduce((sum, s) => sum + (s.kind === 'cold' ? s.places : 0), 0);
	const lasts = trace.plated.flatMap((p) => p.served.map((task) => ({ task, part: p.of })));
	return {
		...problem,
		horizon: over + grid,
		services: [{ id: evening, due: over }],
		weights: { slip: 1000, span: 0 },
		resources: [...problem.resources, { id: fridge, capacity: Math.max(1, places) }],
		tasks: [
			...problem.tasks.filter((t) => !t.id.startsWith('plating/')),
			...away.map(({ from, to }, k) => ({
				id: `away ${k}`,
				ahead: true,
				modes: [{ duration: to - from, uses: all }],
				fixed: { start: from, mode: 0 }
			})),
			{ id: evening, ahead: true, modes: [{ duration: grid, uses: all }], fixed: { start: over, mode: 0 } }
		],
		lags: problem.lags.filter((l) => !l.from.startsWith('plating/') && !l.to.startsWith('plating/')),
		holds: [
			...problem.holds.map((h) => (h.to.startsWith('plating/') ? { ...h, to: h.from } : h)),
			...lasts.map(({ task }) => ({ resource: fridge, amount: 1, from: task, to: evening }))
		],
		wants: problem.wants.filter((w) => problem.tasks.some((t) => t.id === w.task)),
		serve: lasts.map(({ task, part }) => ({
			task,
			service: evening,
			offset: 0,
			free: 0,
			rate: 1,
			max: Math.max(0, gridDown(keepsOf(part)))
		}))
	};
}

/** The stretches of [0, over) in which no window is open. */
function gapsBetween(
	windows: readonly { readonly from: number; readonly to: number }[],
	over: number
): readonly { readonly from: number; readonly to: number }[] {
	const gaps: { from: number; to: number }[] = [];
	let free = 0;
	for (const { from, to } of windows.toSorted((a, b) => a.from - b.from)) {
		const begin = Math.min(over, gridUp(from));
		if (begin > free) gaps.push({ from: free, to: begin });
		free = Math.max(free, gridDown(to));
	}
	if (free < over) gaps.push({ from: free, to: over });
	return gaps;
}

function solved(problem: Problem) {
	const search = solve(problem, { seed: 1, budget, infeasible: 'say' });
	for (;;) {
		const step = search.next(undefined);
		if (step.done) return step.value;
	}
}
