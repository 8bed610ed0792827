// Tiny problems that have what kitchens rarely have: negative offsets and lags, chains over optional tasks, holds over
// them, ties over those, zero capacities, fixed and ahead tasks, states near 0, objectives below 0. Drawn from a seed.
// Many a second.
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Problem } from '../plan/problem';

type Task = Problem['tasks'][number];

export interface Draw {
	/** A whole number in [least, most]. */
	readonly int: (least: number, most: number) => number;
	readonly pick: <T>(list: readonly T[]) => T;
	/** Whether a chance of one in `n` comes up. */
	readonly oneIn: (n: number) => boolean;
}

export function drawer(seed: number): Draw {
	const generator = xoroshiro128plus(seed);
	// Seeds that are close together begin alike.
	for (let k = 0; k < 8; k++) uniformInt(generator, 0, 1);
	const int = (least: number, most: number) => uniformInt(generator, least, most);
	return {
		int,
		pick: (list) => list[int(0, list.length - 1)]!,
		oneIn: (n) => int(1, n) === 1
	};
}

/** A problem of at most `tasks` tasks within `horizon`. */
export function oddProblem(seed: number, tasks = 4, horizon = 8): Problem {
	const d = drawer(seed);
	const count = d.int(1, tasks);
	const long = d.int(Math.min(3, horizon), horizon);
	const ids = Array.from({ length: count }, (_, i) => `t${i}`);
	const states = d.oneIn(2) ? [{ id: 'oven', initial: d.int(-2, 2), rise: d.int(0, 2), fall: d.int(0, 2) }] : [];
	const services = Array.from({ length: d.int(1, 2) }, (_, k) => ({
		id: `s${k}`,
		due: d.int(0, d.oneIn(8) ? long + 2 : long)
	}));
	const hasPlaces = count >= 2 && d.oneIn(2);
	const mode = (): Task['modes'][number] => {
		const duration = d.int(1, 3);
		const uses = Array.from({ length: d.pick([0, 0, 1, 1, 2]) }, () => {
			const from = d.int(0, duration - 1);
			const window = d.oneIn(2) ? {} : { from, to: d.int(from + 1, duration) };
			return { resource: d.pick(['hands', 'pan']), amount: d.pick([1, 1, 2]), ...window };
		});
		const state = states.length > 0 && d.oneIn(2) ? { state: { id: 'oven', value: d.int(-1, 2) } } : {};
		const at = hasPlaces || d.oneIn(6) ? { at: d.pick(['left', 'right', 'right', 'far']) } : {};
		return { duration, ...(uses.length > 0 ? { uses } : {}), ...state, ...at };
	};
	const lag = () => {
		const min = d.pick([-6, -2, -1, 0, 0, 0, 1, 2]);
		return { from: d.pick(ids), to: d.pick(ids), min, ...(d.oneIn(3) ? { max: min + d.int(0, 3) } : {}) };
	};
	// Half of the lags are a chain along the tasks: a, then b, then c, whoever of them is there.
	const chain = d.oneIn(2) ? ids.slice(1).map((to, i) => ({ from: ids[i]!, to, min: d.pick([0, 0, -1, 1]) })) : [];
	const shuffled = ids.toSorted(() => d.int(-1, 1));
	const isChosen = count >= 2 && d.oneIn(2);
	const choices = isChosen
		? [
				{
					id: 'c',
					options: [
						{ id: 'a', tasks: shuffled.slice(0, 1), cost: d.int(0, 3) },
						{ id: 'b', tasks: shuffled.slice(1, d.pick([1, 2, 2, 3])), cost: d.int(0, 3) },
						...(d.oneIn(4) ? [{ id: 'none', tasks: [], cost: d.int(0, 9) }] : [])
					]
				}
			]
		: [];
	return {
		format: 'juntos-problem',
		version: 1,
		name: `odd ${seed}`,
		horizon: long,
		services,
		weights: { slip: d.int(0, 5), span: d.pick([0, 0, 1, 1, 3]) },
		resources: [
			{ id: 'hands', capacity: d.pick([0, 1, 1, 2, 2, 3]) },
			{ id: 'pan', capacity: d.pick([0, 1, 1, 1, 2]) }
		],
		states,
		tasks: ids.map((id) => {
			const modes = Array.from({ length: d.pick([1, 1, 2, 3]) }, mode);
			return {
				id,
				modes,
				...(d.oneIn(3) ? { release: d.int(0, 4) } : {}),
				...(d.oneIn(5) ? { ahead: true } : {}),
				...(d.oneIn(6) ? { fixed: { start: d.int(0, 5), mode: d.int(0, modes.length - 1) } } : {})
			};
		}),
		lags: [...chain, ...Array.from({ length: d.pick([0, 0, 1, 1, 2]) }, lag)],
		holds: Array.from({ length: d.pick([0, 0, 1, 1, 2]) }, () => ({
			resource: d.pick(['hands', 'pan']),
			amount: d.pick([1, 1, 2]),
			from: d.pick(ids),
			to: d.pick(ids),
			...(hasPlaces && d.oneIn(2) ? { at: d.pick(['left', 'right', 'far', 'nowhere']) } : {})
		})),
		ties: hasPlaces
			? Array.from({ length: d.pick([0, 1, 1, 2]) }, () => ids.toSorted(() => d.int(-1, 1)).slice(0, d.pick([2, 2, 3])))
			: [],
		choices,
		serve: Array.from({ length: d.pick([0, 1, 1, 2, 3]) }, () => ({
			task: d.pick(ids),
			service: d.pick(services).id,
			offset: d.pick([-30, -3, -1, 0, 0, 1, 2]),
			free: d.int(0, 2),
			rate: d.int(0, 4),
			...(d.oneIn(3) ? { max: d.int(0, 5) } : {})
		})),
		wants: d.oneIn(2)
			? Array.from({ length: d.int(1, 2) }, () => ({ task: d.pick(ids), by: d.int(0, long), rate: d.int(0, 3) }))
			: []
	};
}
