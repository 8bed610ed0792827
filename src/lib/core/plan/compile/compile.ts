// Meal + kitchen + techniques → the plan problem, and the trace that leads from its tasks back to the steps.
import type { Issue, Read } from '../../issues';
import type { Kitchen, VesselKind } from '../../model/kitchen';
import type { Meal, Part } from '../../model/meal';
import type { Step, Technique } from '../../model/technique';
import { belowAdvised } from '../../safety/rules';
import { printTemperature } from '../../units/print';
import { hour } from '../../units/time';
import type { Problem } from '../problem';
import { durationOf, type Spread } from './duration';
import { handUses, type HandUse } from './hands';
import { looksAt } from './timing';
import { placesFor, resourcesOf, wordNeed, type Place } from './places';

/** Every time of the problem is a multiple of this, seconds. */
export const grid = 15;
/** Price of a second of lateness, and of a second of the evening's length. */
const weights = { slip: 1000, span: 1 };
/** °C, where no oven says how warm the room is. */
const usualRoom = 20;
/** How far beyond the last service a plan may slip. */
const patience = 2 * hour;

/** One way of doing a step: what a mode of its task stands for. */
export interface Way {
	readonly place: Place | undefined;
	readonly spread: Spread;
	readonly hands: readonly HandUse[];
}

type Mutable<T> = { -readonly [K in keyof T]: T[K] };

export interface TracedStep {
	readonly part: Part;
	readonly technique: Technique;
	readonly step: Step;
	/** In the order of the task's modes. */
	readonly ways: readonly Way[];
}

interface HeldVessel {
	readonly part: string;
	readonly kind: VesselKind;
	/** First and last task, by id. */
	readonly from: string;
	readonly to: string;
	/** All tasks done in it. */
	readonly tasks: readonly string[];
}

/** Leads back from the problem's ids to the meal. */
export interface Trace {
	/** Clock time of instant 0, seconds after midnight. */
	readonly origin: number;
	readonly steps: ReadonlyMap<string, TracedStep>;
	/** Plating tasks, by course. */
	readonly plating: ReadonlyMap<string, string>;
	/** How long before service each part goes on the plate, seconds. */
	readonly offsets: ReadonlyMap<string, number>;
	readonly vessels: readonly HeldVessel[];
}

export interface Compiled {
	readonly problem: Problem;
	readonly trace: Trace;
}

export const taskId = (part: string, step: string) => `${part}/${step}`;
export const platingId = (course: string) => `plating/${course}`;

/**
 * Compile a consistent meal (see `readMeal`). Steps become tasks, ways of doing them modes, waits lags, kept vessels
 * holds, oven temperatures states, plating order offsets before service. What the kitchen lacks is returned as issues.
 */
export function compileMeal(meal: Meal, kitchen: Kitchen, techniques: ReadonlyMap<string, Technique>): Read<Compiled> {
	const issues: Issue[] = [];
	if (meal.kitchen !== kitchen.id) {
		issues.push({ code: 'other-kitchen', path: ['kitchen'], wanted: meal.kitchen, given: kitchen.id });
	}
	const steps = new Map<string, TracedStep>();
	const vessels: Mutable<HeldVessel>[] = [];
	const lags: Problem['lags'] = [];
	meal.parts.forEach((part, i) => {
		const technique = techniques.get(part.technique);
		if (!technique) return;
		for (const step of technique.steps) {
			const all = waysOf(step, technique, part, meal, kitchen);
			const ways = all.filter((way) => Number.isFinite(way.spread.usual));
			const [never] = all;
			if (never && ways.length === 0) {
				const why = never.spread.computed?.reason.from ?? 'it takes for ever';
				issues.push({ code: 'never-done', path: ['parts', i], part: part.name, step: step.say, why });
			} else if (ways.length === 0 && step.need) {
				const need = wordNeed(step.need);
				issues.push({ code: 'missing-station', path: ['parts', i], part: part.name, step: step.say, need });
			}
			steps.set(taskId(part.id, step.id), { part, technique, step: worded(step, ways[0]), ways });
			for (const { step: before, least, most } of step.after) {
				lags.push(lag(taskId(part.id, before), taskId(part.id, step.id), least, most));
			}
		}
		for (const { kind, from, to } of technique.vessels) {
			if (!kitchen.vessels.some((v) => v.kind === kind && v.count > 0)) {
				issues.push({ code: 'missing-vessel', path: ['parts', i], part: part.name, vessel: kind });
			}
			const tasks = stepsBetween(technique, from, to).map((step) => taskId(part.id, step));
			vessels.push({ part: part.id, kind, from: taskId(part.id, from), to: taskId(part.id, to), tasks });
		}
	});
	for (const link of meal.links) {
		const [from, to] = [taskId(link.from.part, link.from.step), taskId(link.to.part, link.to.step)];
		lags.push(lag(from, to, link.least, link.most));
		if (link.sameVessel) joinVessels(vessels, from, to);
	}
	if (issues.length > 0) return { ok: false, issues };

	const { serve, offsets, platingTasks, plating } = plateUp(meal, techniques);
	const last = Math.max(...meal.courses.map((c) => c.service));
	const problem: Problem = {
		format: 'juntos-problem',
		version: 1,
		name: meal.name,
		horizon: roundUp(last - meal.earliest + patience),
		services: meal.courses.map((c) => ({ id: c.id, due: roundUp(c.service - meal.earliest) })),
		weights,
		...resourcesOf(kitchen),
		tasks: [
			...[...steps].map(([id, { step, ways }]) => ({
				id,
				modes: ways.map((way) => modeOf(way)),
				...(step.ahead ? { ahead: true } : {})
			})),
			...platingTasks
		],
		lags,
		holds: vessels.map((v) => ({ resource: `vessel:${v.kind}`, amount: 1, from: v.from, to: v.to })),
		choices: [],
		serve
	};
	return { ok: true, value: { problem, trace: { origin: meal.earliest, steps, plating, offsets, vessels } } };
}

function roundUp(seconds: number): number {
	return Math.max(grid, Math.ceil(seconds / grid) * grid);
}

function roundNear(seconds: number): number {
	return Math.max(grid, Math.round(seconds / grid) * grid);
}

function lag(from: string, to: string, least: number, most: number | undefined): Problem['lags'][number] {
	const min = Math.ceil(least / grid) * grid;
	if (most === undefined) return { from, to, min };
	return { from, to, min, max: Math.max(min, Math.floor(most / grid) * grid) };
}

function waysOf(step: Step, technique: Technique, part: Part, meal: Meal, kitchen: Kitchen): readonly Way[] {
	const known = new Map<string, Spread>();
	const spreadAt = (place: Place | undefined): Spread => {
		const looks = step.time.model ? looksAt[step.time.model.kind] : undefined;
		const key =
			looks === 'burner'
				? `${place?.power ?? ''} ${place?.fuel ?? ''}`
				: looks === 'oven'
					? `${place?.setting ?? ''} ${place?.hasFan ?? ''}`
					: (looks ?? place?.resource ?? '') + (looks ? '' : ` ${place?.setting ?? ''}`);
		const at = { ...place, altitude: kitchen.altitude, room: roomOf(kitchen) };
		const spread = known.get(key) ?? durationOf(step, technique, part, meal, at);
		known.set(key, spread);
		return spread;
	};
	const way = (place: Place | undefined): Way => {
		const spread = spreadAt(place);
		const length = Number.isFinite(spread.usual) ? roundNear(spread.usual) : grid;
		return { place, spread, hands: handUses(worded(step, { place, spread, hands: [] }), length, grid) };
	};
	return step.need ? placesFor(step.need, kitchen).map(way) : [way(undefined)];
}

/** A kitchen is as warm as its cold oven. */
function roomOf(kitchen: Kitchen): number {
	for (const station of kitchen.stations) if (station.kind === 'oven') return station.room;
	return usualRoom;
}

/** A step with its computed figures in its words, and the caution that they call for. */
function worded(step: Step, way: Way | undefined): Step {
	const { pull, isBelowAdvised = false } = way?.spread.computed ?? {};
	if (pull === undefined && !isBelowAdvised) return step;
	const fill = (text: string) =>
		pull === undefined ? text : text.replace('{pull}', printTemperature(pull, 'metric', 'core'));
	const { hands, sign, cautions = [] } = step;
	return {
		...step,
		hands: hands.kind === 'touches' ? { ...hands, at: hands.at.map((t) => ({ ...t, say: fill(t.say) })) } : hands,
		...(sign === undefined ? {} : { sign: fill(sign) }),
		cautions: isBelowAdvised ? [...cautions, belowAdvised] : cautions
	};
}

/** A way of doing a step as a mode of its task, as long as it usually takes, or just as long. */
export function modeOf({ place, spread, hands }: Way, duration?: number): Problem['tasks'][number]['modes'][number] {
	return {
		duration: duration ?? roundNear(spread.usual),
		uses: [
			...hands.map(({ from, to }) => ({ resource: 'hands', amount: 1, from, to })),
			...(place ? [{ resource: place.resource, amount: place.amount }] : [])
		],
		...(place?.setting !== undefined ? { state: { id: place.station, value: place.setting } } : {})
	};
}

/** The steps on any way from one step to another, both included. */
function stepsBetween({ steps }: Technique, from: string, to: string): readonly string[] {
	const leads = new Set([from]);
	for (const id of leads) {
		for (const s of steps) if (s.after.some((a) => a.step === id)) leads.add(s.id);
	}
	const needed = new Set([to]);
	for (const id of needed) {
		for (const { step } of steps.find((s) => s.id === id)?.after ?? []) needed.add(step);
	}
	return steps.map((s) => s.id).filter((id) => leads.has(id) && needed.has(id));
}

/** The vessel that a step ends with and the one that a later step begins with are one and the same. */
function joinVessels(vessels: Mutable<HeldVessel>[], from: string, to: string): void {
	const first = vessels.find((v) => v.to === from && vessels.some((w) => w.from === to && w.kind === v.kind));
	const second = vessels.findIndex((w) => w.from === to && w.kind === first?.kind);
	const joined = vessels[second];
	if (!first || !joined) return;
	first.to = joined.to;
	first.tasks = [...first.tasks, ...joined.tasks];
	vessels.splice(second, 1);
}

/** Plating: the parts of a course go on one after the other, over all plates, and the last is on at service. */
function plateUp(meal: Meal, techniques: ReadonlyMap<string, Technique>) {
	const serve: Problem['serve'] = [];
	const platingTasks: Problem['tasks'] = [];
	const offsets = new Map<string, number>();
	const plating = new Map<string, string>();
	for (const course of meal.courses) {
		let offset = 0;
		for (const part of meal.parts.filter((p) => p.course === course.id).toReversed()) {
			const plate = techniques.get(part.technique)?.plate;
			if (!plate) continue;
			offset += Math.ceil((plate.perPlate * (part.covers ?? meal.covers)) / grid) * grid;
			offsets.set(part.id, offset);
			const [free, max] = [Math.floor(plate.free / grid) * grid, Math.floor(plate.most / grid) * grid];
			serve.push({ task: taskId(part.id, plate.step), service: course.id, offset, free, rate: plate.rate, max });
		}
		if (offset === 0) continue;
		const id = platingId(course.id);
		plating.set(course.id, id);
		const uses = [{ resource: 'hands', amount: 1 }];
		platingTasks.push({ id, modes: [{ duration: offset, uses }] });
		serve.push({ task: id, service: course.id, offset: 0, free: 0, rate: 0, max: 0 });
	}
	return { serve, offsets, platingTasks, plating };
}
