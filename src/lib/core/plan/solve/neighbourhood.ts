// Which tasks a step of large neighbourhood search sets free: those of this problem's own kinds.
import type { Problem } from '../problem';
import { Groups } from './groups';
import type { Model } from './model/model';
import type { Incumbent } from './incumbent';

export type Random = (below: number) => number;

/** Draws the tasks to free, by index, around a plan. */
export type Neighbourhood = (best: Incumbent) => readonly number[];

/**
 * Neighbourhoods of a problem: tasks at random; a stretch of time; one to three parts (tasks tied together by lags); the
 * time before a service; the beginning; what one resource or state holds around one moment.
 * A part that waits long comes with others of its places.
 */
export function neighbourhoods({ problem, horizon, unit, tasks }: Model, random: Random): Neighbourhood {
	const n = problem.tasks.length;
	const all = problem.tasks.map((_, i) => i);
	const parts = partsOf(problem);
	const places = placesOf(problem);
	const durations = tasks.map((t) => t.durations);
	const taskAt = new Map(problem.tasks.map((t, i) => [t.id, i]));
	const serviceAt = new Map(problem.services.map((s, k) => [s.id, k]));
	const plates = problem.serve.map((s) => ({
		task: taskAt.get(s.task)!,
		service: serviceAt.get(s.service)!,
		offset: s.offset / unit,
		free: s.free / unit,
		rate: s.rate
	}));
	const within = (best: Incumbent, from: number, to: number) =>
		all.filter((i) => best.starts[i]! >= from && best.starts[i]! < to);
	const beginOf = (best: Incumbent) => best.starts.reduce((a, b) => (b >= 0 && b < a ? b : a), horizon);
	/** So many hundredths of the plan's length. */
	const stretch = (best: Incumbent, least: number, more: number) =>
		Math.ceil(((Math.max(...best.instants) - beginOf(best)) * (least + random(more))) / 100);

	const partOf = new Map(parts.flatMap((part) => part.map((i) => [i, part] as const)));
	const placesAt = new Map<number, (readonly number[])[]>();
	for (const place of places) for (const i of place) placesAt.set(i, [...(placesAt.get(i) ?? []), place]);
	const withRivals = (i: number) => {
		const own = partOf.get(i)!;
		const shared = own.flatMap((k) => placesAt.get(k) ?? []);
		const free = new Set(own);
		for (let k = 1 + random(3); k > 0 && shared.length > 0; k--) {
			const place = shared[random(shared.length)]!;
			for (const j of partOf.get(place[random(place.length)]!)!) free.add(j);
		}
		return [...free];
	};
	/** The task of a plate, drawn by what its wait costs. */
	const drawCostly = (best: Incumbent) => {
		const costs = plates.map(({ task, service, offset, free, rate }) => {
			if (best.starts[task]! < 0) return 0;
			const end = best.starts[task]! + durations[task]![best.modes[task]!]!;
			return rate * Math.max(0, best.instants[service]! - offset - free - end);
		});
		let left = random(costs.reduce((a, b) => a + b, 0));
		return plates[costs.findIndex((cost) => (left -= cost) < 0)]?.task;
	};

	const kinds: readonly Neighbourhood[] = [
		() => Array.from({ length: 1 + random(Math.max(2, Math.ceil(n / 4))) }, () => random(n)),
		(best) => {
			const length = stretch(best, 10, 40);
			const from = beginOf(best) + stretch(best, 0, 100) - Math.floor(length / 2);
			return within(best, from, from + length);
		},
		() => Array.from({ length: 1 + random(3) }, () => parts[random(parts.length)]!).flat(),
		(best) => {
			const instant = best.instants[random(best.instants.length)]!;
			return within(best, instant - stretch(best, 10, 30), instant);
		},
		(best) => within(best, 0, beginOf(best) + stretch(best, 5, 35)),
		// A part that waits long for its plate, and some that share a place with it.
		(best) => {
			const first = drawCostly(best);
			return first === undefined ? [] : withRivals(first);
		},
		() => withRivals(random(n)),
		(best) => {
			const place = places[random(places.length)] ?? all;
			const middle = best.starts[place[random(place.length)]!]!;
			const half = stretch(best, 10, 40);
			return place.filter((i) => Math.abs(best.starts[i]! - middle) <= half);
		}
	];
	return (best) => (n === 0 ? [] : kinds[random(kinds.length)]!(best));
}

/** For each choice the tasks of its options and of the parts that they are in, by index. */
export function aroundChoices(problem: Problem): readonly (readonly number[])[] {
	const parts = partsOf(problem);
	const partOf = new Map(parts.flatMap((part) => part.map((i) => [i, part] as const)));
	const index = new Map(problem.tasks.map((t, i) => [t.id, i]));
	return problem.choices.map((c) => {
		const own = c.options.flatMap((o) => o.tasks.flatMap((id) => index.get(id) ?? []));
		return [...new Set(own.flatMap((i) => partOf.get(i) ?? []))];
	});
}

/**
 * Tasks tied together by lags, holds or places. What is served at no price whenever it waits, as plating, is where parts
 * meet, and ties none.
 */
function partsOf(problem: Problem): readonly (readonly number[])[] {
	const priced = new Set(problem.serve.filter((s) => s.rate > 0).map((s) => s.task));
	const meets = new Set(problem.serve.filter((s) => !priced.has(s.task)).map((s) => s.task));
	const index = new Map(problem.tasks.map((t, i) => [t.id, i]));
	const together = new Groups(problem.tasks.length);
	for (const { from, to } of [...problem.lags, ...problem.holds])
		if (!meets.has(from) && !meets.has(to)) together.join(index.get(from)!, index.get(to)!);
	for (const tie of problem.ties) {
		const [first, ...others] = tie.flatMap((id) => index.get(id) ?? []);
		for (const i of others) together.join(i, first!);
	}
	return groups(problem.tasks.map((_, i) => [`${together.find(i)}`, i] as const));
}

/** Tasks that share a resource or a state in some mode. */
function placesOf(problem: Problem): readonly (readonly number[])[] {
	return groups(
		problem.tasks.flatMap(({ modes }, i) => {
			const names = modes.flatMap((m) => [
				...(m.uses ?? []).map((u) => `resource ${u.resource}`),
				...(m.state ? [`state ${m.state.id}`] : [])
			]);
			return [...new Set(names)].map((name) => [name, i] as const);
		})
	);
}

function groups(pairs: readonly (readonly [name: string, task: number])[]): readonly (readonly number[])[] {
	const lists = new Map<string, number[]>();
	for (const [name, task] of pairs) {
		const list = lists.get(name);
		if (list) list.push(task);
		else lists.set(name, [task]);
	}
	return [...lists.values()];
}
