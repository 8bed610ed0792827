// Places kept: what is put on a burner, into an oven or a bath stays there until it is taken off.
import type { StationKind } from '../../model/kitchen';
import type { Step } from '../../model/technique';
import type { Problem } from '../problem';
import type { TracedStep, Way } from './traced';
import { stationFor } from './places';

/** Tasks done at one place in one vessel, in their order, until it is moved. */
export interface Stay {
	readonly tasks: readonly string[];
	/**
	 * Whether the place is taken from the start of the first to the end of the last; else only while each of them lasts
	 * (some may be absent, or take more of it than others).
	 */
	readonly isHeld: boolean;
	/** One cook does all of it: raw work and the wash after it. */
	readonly byOneCook?: boolean;
}

/** Where a vessel is put and stays. */
const kept: ReadonlySet<StationKind> = new Set<StationKind>(['burner', 'oven', 'water bath']);
/** Off the heat: the vessel is moved, and its place is free. */
const off: ReadonlySet<Step['kind']> = new Set<Step['kind']>(['rest', 'chill', 'soak', 'temper', 'marinate', 'hold']);

/**
 * The stays of vessels: a run of steps at one kind of place, ended by a step at another kind of place or by a rest.
 *
 * @param vessels tasks done in each, in their order
 */
export function staysOf(
	vessels: readonly { readonly tasks: readonly string[] }[],
	steps: ReadonlyMap<string, TracedStep>,
	lags: Problem['lags'],
	choices: Problem['choices']
): readonly Stay[] {
	const option = new Map(
		choices.flatMap((c) => c.options.flatMap((o) => o.tasks.map((t) => [t, `${c.id} ${o.id}`] as const)))
	);
	const follows = following(lags);
	const taken = new Set<string>();
	return vessels.flatMap(({ tasks }) =>
		runsOf(tasks, steps).flatMap((run): Stay[] => {
			const own = run.filter((t) => !taken.has(t));
			own.forEach((t) => taken.add(t));
			if (own.length < 2) return [];
			const amounts = new Set(own.flatMap((t) => steps.get(t)?.ways.map((w) => w.place?.amount) ?? []));
			const isChain = own.slice(1).every((t, i) => follows(own[i] ?? t, t));
			const isOneOption = new Set(own.map((t) => option.get(t))).size === 1;
			return [{ tasks: own, isHeld: amounts.size === 1 && isChain && isOneOption }];
		})
	);
}

/** Consecutive tasks at one kind of place. */
function runsOf(tasks: readonly string[], steps: ReadonlyMap<string, TracedStep>): readonly (readonly string[])[] {
	const runs: string[][] = [];
	let on: StationKind | undefined;
	for (const task of tasks) {
		const traced = steps.get(task);
		if (!traced) continue;
		const { need, kind } = traced.step;
		const place = traced.ways.some((w) => w.place) && need ? stationFor(need) : undefined;
		if (place === undefined) {
			if (off.has(kind)) on = undefined;
			continue;
		}
		if (!kept.has(place)) {
			on = undefined;
			continue;
		}
		if (place === on) runs.at(-1)?.push(task);
		else runs.push([task]);
		on = place;
	}
	return runs;
}

/** Whether one task surely begins after another has ended: a chain of lags of at least 0. */
function following(lags: Problem['lags']): (from: string, to: string) => boolean {
	const next = new Map<string, string[]>();
	for (const { from, to, min } of lags) if (min >= 0) next.set(from, [...(next.get(from) ?? []), to]);
	return (from, to) => {
		const reached = new Set([from]);
		for (const t of reached) for (const k of next.get(t) ?? []) reached.add(k);
		return reached.has(to);
	};
}

/** The steps with their places tied, and taken by the stay where it holds them. */
export function withStays(steps: ReadonlyMap<string, TracedStep>, stays: readonly Stay[]): Map<string, TracedStep> {
	const result = new Map(steps);
	for (const { tasks, isHeld, byOneCook } of stays) {
		for (const t of tasks) {
			const traced = result.get(t);
			const stay = (way: Way): Way => {
				const who = byOneCook && way.crew.length > 0 ? ` by ${way.crew.join(' ')}` : '';
				return { ...way, stay: isHeld ? 'held' : 'tied', at: `${way.place?.resource ?? ''}${who}` };
			};
			if (traced) result.set(t, { ...traced, ways: traced.ways.map(stay) });
		}
	}
	return result;
}

/** Ties and holds of the stays: one place for all of a stay's tasks, and that place for no other meanwhile. */
export function keepPlaces(
	steps: ReadonlyMap<string, TracedStep>,
	stays: readonly Stay[]
): { readonly ties: Problem['ties']; readonly holds: Problem['holds'] } {
	const waysOf = (task: string | undefined) => steps.get(task ?? '')?.ways.filter((w) => w.place) ?? [];
	return {
		ties: stays
			.filter(({ tasks }) => new Set(tasks.flatMap((t) => waysOf(t).map((w) => w.at))).size > 1)
			.map(({ tasks }) => [...tasks]),
		holds: stays.flatMap(({ tasks, isHeld }) => {
			const [first, last] = [tasks[0], tasks.at(-1)];
			if (!isHeld || first === undefined || last === undefined) return [];
			const places = new Map(waysOf(first).flatMap((w) => (w.place && w.at !== undefined ? [[w.at, w.place]] : [])));
			return [...places].map(([at, { resource, amount }]) => ({ resource, amount, from: first, to: last, at }));
		})
	};
}
