// The pass: how long it takes to set all parts on all plates, by how many hands, in how many waves; and what a wait costs.
import type { Kitchen } from '../../model/kitchen';
import type { Meal, Part } from '../../model/meal';
import { platingKey } from '../../model/record-key';
import { stationRow } from '../../model/stations';
import type { Step, Technique } from '../../model/technique';
import { minute } from '../../units/time';
import type { Problem } from '../problem';
import { grid, gridDown, gridUp } from '../grid';
import { shortestOf, type TracedStep } from './traced';
import { baseOf, type Portion } from './portions';
import { anyHands, type Hands, type Manning } from './crew';
import { stationFor } from './places';

/** What goes on the plate as one. */
export interface Plated {
	readonly part: Part & { readonly covers: number };
	/** The part of the meal that it comes from. */
	readonly of: string;
	readonly technique: Technique;
	/** Tasks one of which finishes it; that one of them is done which the plan has taken. */
	readonly served: readonly string[];
	/** Batches cooked before the last one, and their shares. */
	readonly early: Portion['early'];
	readonly ends: Portion['ends'];
	/** Tasks that are there only where it was made before the evening. */
	readonly before: readonly string[];
	readonly isBefore: boolean;
}

/** A stretch of plating: some parts onto some plates, which then go out, or wait for the next parts. */
export interface Setting {
	readonly task: string;
	readonly plates: number;
	/** Parts of the plan that go on, in their order. */
	readonly parts: readonly string[];
	readonly goesOut: boolean;
}

/** Wiping the rim and looking, for each plate, seconds. */
const wipe = 4;
/** All plates of a wave should be set within this time, seconds (est.). */
const platingWindow = 6 * minute;
/** What went first onto a warm plate stands so long at the most, where something else is done in between, seconds (est.). */
const standsAtMost = 8 * minute;
/** How many times as much a second costs beyond the longest that a part may wait. */
const beyondLongest = 4;
/** What is not served within this time after the heat was cooled, seconds. */
const longestPath = 45 * minute;

const roundUp = (seconds: number) => Math.max(grid, gridUp(seconds));

/** Several cooks at one pass, and waves of plates, for a course that takes so many seconds of hands. */
function shared(seconds: number, plates: number, cooks: number): { readonly cooks: number; readonly waves: number } {
	const wanted = Math.ceil(seconds / platingWindow - 1e-9);
	const hands = Math.max(1, Math.min(cooks, plates, wanted));
	return { cooks: hands, waves: Math.max(1, Math.min(plates, Math.ceil(seconds / (hands * platingWindow) - 1e-9))) };
}

/**
 * Plating: the parts of a course go on one after the other, over all plates of a wave, and the last is on at service; later
 * waves follow at once. As many cooks as bring it within the time that a hot plate keeps; where all of them are not enough,
 * in waves, and every wave's wait counts by its share of the plates.
 */
export function plateUp(
	meal: Meal,
	plated: readonly Plated[],
	steps: ReadonlyMap<string, TracedStep>,
	kitchen: Kitchen,
	manning: Manning
) {
	const serve: Problem['serve'] = [];
	const tasks: Problem['tasks'] = [];
	const offsets = new Map<string, number>();
	const plating = new Map<string, readonly Setting[]>();
	const lags: Problem['lags'] = [];
	const hands = anyHands(kitchen, manning);
	for (const course of meal.courses) {
		const own = plated.filter((p) => p.part.course === course.id);
		// Whatever its place among the parts, a drink is poured last: nothing else cools as fast.
		const isDrink = (p: Plated) => p.technique.kind === 'drink';
		// What finishes another part is on the plate with that.
		const set = own.filter((p) => p.part.finishes === undefined);
		const ids = [
			...new Set(stacked([...set.filter((p) => !isDrink(p)), ...set.filter(isDrink)]).map((p) => p.part.id))
		];
		const { mean: learnt = 0 } = kitchen.learnt?.[platingKey] ?? {};
		const secondsOf = (id: string) =>
			Math.exp(learnt) *
			Math.max(...set.filter((p) => p.part.id === id).map((p) => p.technique.plate.perPlate * p.part.covers));
		const byHand = ids.reduce((sum, id) => sum + secondsOf(id), 0);
		if (byHand === 0) continue;
		const plates = Math.max(...set.map((p) => p.part.covers));
		const { cooks, waves } = shared(byHand + wipe * plates, plates, kitchen.cooks.length);
		/** Seconds before the plates go out at which each part goes on. */
		let left = (wipe * plates) / (cooks * waves);
		const pieces: { id: string; from: number; to: number }[] = [];
		for (const id of ids.toReversed()) {
			const to = pieces.length === 0 ? 0 : roundUp(left);
			left += secondsOf(id) / (cooks * waves);
			pieces.unshift({ id, from: roundUp(left), to });
			offsets.set(id, roundUp(left));
		}
		for (const { part } of own)
			if (part.finishes !== undefined)
				offsets.set(part.id, offsets.get(set.find((p) => p.of === part.finishes)?.part.id ?? '') ?? 0);
		/** From one wave to the next. */
		const apart = roundUp(left);
		for (const p of own) {
			const at = offsets.get(p.part.id) ?? 0;
			for (let wave = 0; wave < waves; wave++)
				serve.push(...waitsOf(p, { service: course.id, offset: at - wave * apart }, 1 / waves, wave === 0, steps));
		}
		const settings =
			waves === 1 ? partByPart(course.id, pieces, plates) : inWaves(course.id, ids, plates, waves, apart);
		plating.set(course.id, settings);
		/** Plates may stand so long before they go out, beside what plating takes. */
		const slack = Math.max(grid, standsAtMost - apart);
		settings.forEach(({ task, parts, goesOut, from, to }, k) => {
			tasks.push({ id: task, modes: modesOf(hands, cooks, from - to, manning) });
			serve.push({ task, service: course.id, offset: to, free: 0, rate: 0, max: goesOut ? 0 : gridDown(slack) });
			const next = settings[k + 1];
			if (next && waves === 1) lags.push({ from: task, to: next.task, min: 0 });
			if (k > 0 && waves > 1) return;
			for (const p of own.filter((x) => parts.includes(x.part.id)))
				for (const served of p.served) lags.push({ from: served, to: task, min: 0 });
		});
	}
	return { serve, offsets, platingTasks: tasks, plating, lags };
}

/** In plating order, but that what is built onto another part comes after that, and what is built onto it after it. */
function stacked(plated: readonly Plated[]): readonly Plated[] {
	const below = (p: Plated, on: Plated) => p.part.onTop === on.of;
	const result: Plated[] = [];
	const add = (p: Plated) => {
		if (result.includes(p)) return;
		for (const base of plated) if (below(p, base) && base !== p) add(base);
		result.push(p);
	};
	for (const p of plated) add(p);
	return result;
}

interface Timed extends Setting {
	/** Seconds before service of the first wave. */
	readonly from: number;
	readonly to: number;
}

/** One wave, a task for each part that takes its time: something else may be done between two of them. */
function partByPart(
	course: string,
	pieces: readonly { readonly id: string; readonly from: number; readonly to: number }[],
	plates: number
): readonly Timed[] {
	const found: Timed[] = [];
	let waiting: string[] = [];
	pieces.forEach(({ id, from, to }, k) => {
		waiting.push(id);
		if (from === to) return;
		const goesOut = k === pieces.length - 1;
		found.push({ task: `plating/${course}-${id}`, plates, parts: waiting, goesOut, from, to });
		waiting = [];
	});
	return found;
}

/** All parts onto some of the plates, which go out; then onto the next. */
function inWaves(
	course: string,
	parts: readonly string[],
	plates: number,
	waves: number,
	apart: number
): readonly Timed[] {
	return Array.from({ length: waves }, (_, k) => {
		const before = Math.round((plates * k) / waves);
		return {
			task: `plating/${course}-w${k + 1}`,
			plates: Math.round((plates * (k + 1)) / waves) - before,
			parts,
			goesOut: true,
			from: apart - k * apart,
			to: 0 - k * apart
		};
	});
}

/** Any so many of those who may. */
function modesOf(
	hands: readonly Hands[],
	cooks: number,
	duration: number,
	manning: Manning
): Problem['tasks'][number]['modes'] {
	const sets = hands.map((h) => h.also);
	// By name each of them is one; of all together it takes several.
	const teams = manning === 'named' ? choose(sets, cooks) : sets.map((all) => Array.from({ length: cooks }, () => all));
	return teams.map((team) => {
		const amounts = new Map<string, number>();
		for (const resource of team.flat()) amounts.set(resource, (amounts.get(resource) ?? 0) + 1);
		const also = [...amounts].map(([resource, amount]) => ({ resource, amount }));
		return { duration, uses: [{ resource: 'hands', amount: cooks }, ...also] };
	});
}

/** All ways to take so many of a list. */
function choose<T>(list: readonly T[], count: number): readonly (readonly T[])[] {
	if (count === 0) return [[]];
	return list.flatMap((first, i) => choose(list.slice(i + 1), count - 1).map((rest) => [first, ...rest]));
}

interface At {
	readonly service: string;
	readonly offset: number;
}

/**
 * What the waits of a part cost for one wave: from the end of its last step, or, where it comes off the heat before that, from
 * there, less what the steps in between take; each batch by its share.
 */
function waitsOf(
	{ technique, served, early, ends }: Plated,
	at: At,
	share: number,
	isFirst: boolean,
	steps: ReadonlyMap<string, TracedStep>
): Problem['serve'] {
	const { plate } = technique;
	const [free, most] = [gridDown(plate.free), gridDown(plate.most)];
	/** How long the steps after one take until the plate. */
	const pathFrom = (step: string) => pathAfter(step, technique, (s) => shortestOf(steps.get(ends(s)[0] ?? '')));
	const priced = (part: number) => (plate.rate === 0 ? 0 : Math.max(1, Math.round(plate.rate * share * part)));
	const off = offTheHeat(technique).flatMap((step) => {
		const task = ends(step)[0];
		const after = pathFrom(step);
		return task !== undefined && steps.has(task) && after !== undefined ? [{ task, after }] : [];
	});
	const limit = isFirst ? { max: most } : {};
	const entries: Problem['serve'] = [
		...served.map((task) => {
			// What was made before the evening comes from the cold: it has no heat to come from.
			const rate = off.length > 0 && steps.get(task)?.step.id === plate.step ? 0 : priced(1);
			return { task, ...at, free, rate, ...limit };
		}),
		...off.map(({ task, after }) => ({ task, ...at, free: free + after, rate: priced(1) })),
		...early.flatMap((batch) => {
			const after = pathFrom(baseOf(steps.get(batch.task)?.step.id ?? ''));
			if (after === undefined) return [];
			const rate = priced(batch.share);
			return [
				{ task: batch.task, ...at, free: free + after, rate },
				...(most > 0 ? [{ task: batch.task, ...at, free: most + after, rate: beyondLongest * rate }] : [])
			];
		})
	];
	return entries.filter((s) => s.rate > 0 || s.max !== undefined || isFirst);
}

/** Tasks whose wait has a price, by part: those that finish it, its batches, and where it came off the heat. */
export const pricedOf = ({ technique, served, early, ends }: Plated): readonly string[] => [
	...new Set([
		...served,
		...early.map((b) => b.task),
		...offTheHeat(technique).flatMap((step) => ends(step).slice(0, 1))
	])
];

const isHot = ({ kind, need }: Step) => kind === 'cook' && need !== undefined && stationRow(stationFor(need)).isHot;

/** The steps after which a part is no longer on the heat, where it is not plated from it. */
function offTheHeat({ steps, plate }: Technique): readonly string[] {
	const found: string[] = [];
	const seen = new Set([plate.step]);
	for (const id of seen) {
		const step = steps.find((s) => s.id === id);
		if (step && isHot(step)) {
			if (id !== plate.step) found.push(id);
			continue;
		}
		for (const { step: before } of step?.after ?? []) seen.add(before);
	}
	return found;
}

/** How long the steps between one and the plate take, seconds; `undefined` where it cools in between. */
function pathAfter(from: string, { steps }: Technique, lengthOfStep: (step: string) => number): number | undefined {
	const after = (step: string): number | undefined => {
		const next = steps.filter((s) => s.after.some((a) => a.step === step));
		const lengths = next.map((s) => {
			const rest = s.kind === 'chill' || s.kind === 'soak' ? undefined : after(s.id);
			return rest === undefined ? undefined : rest + lengthOfStep(s.id);
		});
		return lengths.includes(undefined) ? undefined : Math.max(0, ...lengths.map((l) => l ?? 0));
	};
	const path = after(from);
	return path === undefined || path > longestPath ? undefined : path;
}
