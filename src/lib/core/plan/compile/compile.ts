// Meal + kitchen + techniques → the plan problem, and the trace that leads from its tasks back to the steps.
import type { Issue, Read, Wanted } from '../../issues';
import type { Kitchen, VesselKind } from '../../model/kitchen';
import { serviceOf, type Meal, type Part } from '../../model/meal';
import type { Step, Technique } from '../../model/technique';
import { hour, minute } from '../../units/time';
import type { Problem } from '../problem';
import { dutyOf, handsFor, handsOf, type Manning } from './crew';
import type { Circumstance } from '../../timing/computing';
import { timingOf, usualOf, type Timing } from '../../timing/timing';
import { valuesFor } from '../../timing/values';
import { countedHands, handUses, type HandUse } from './hands';
import { mostBatches } from './load';
import { placesFor, resourcesOf, roomOf, wantedOf, type Place } from './places';
import { keepPlaces, staysOf, withStays, type Stay } from './stays';
import { alternativesOf, baseOf, type Portion, type Work } from './portions';
import { looksAt, valueOf } from '../../timing/model-times';

/** Every time of the problem is a multiple of this, seconds. */
export const grid = 15;
/** Price of a second of lateness, and of a second of the evening's length. */
const weights = { slip: 1000, span: 1 };
/** How far beyond the last service a plan may slip. */
const patience = 2 * hour;
/** More steps are no plan that anybody could follow. */
const mostSteps = 2500;
/** Choices of this kind are whether a part is made before the evening. */
export const aheadChoice = 'ahead:';
/** What it has to save to make something before the evening: so many seconds of it. */
const priceOfAhead = 90 * minute;

/** One way of doing a step: what a mode of its task stands for. */
export interface Way {
	readonly place: Place | undefined;
	/** How long it takes, as a distribution. */
	readonly timing: Timing;
	readonly hands: readonly HandUse[];
	/** Resources that its hands take beside `hands`: those who do this, or do it at this pace. */
	readonly crew: readonly string[];
	/** Its vessel stays at its place: taken by the whole stay, or only tied to the same place. */
	readonly stay?: 'held' | 'tied';
}

type Mutable<T> = { -readonly [K in keyof T]: T[K] };

export interface TracedStep {
	/** As it is planned: a part, or those guests of it who have it otherwise. */
	readonly part: Part;
	readonly technique: Technique;
	readonly step: Step;
	/** In the order of the task's modes. */
	readonly ways: readonly Way[];
}

interface HeldVessel {
	readonly part: string;
	readonly kind: VesselKind;
	readonly amount: number;
	/** First and last task, by id. */
	readonly from: string;
	readonly to: string;
	/** All tasks done in it. */
	readonly tasks: readonly string[];
}

/** What goes on the plate as one. */
interface Plated {
	readonly part: Part & { readonly covers: number };
	/** The part of the meal that it comes from. */
	readonly of: string;
	readonly technique: Technique;
	/** Tasks one of which finishes it; that one of them is done which the plan has taken. */
	readonly served: readonly string[];
	/** Tasks that are there only where it was made before the evening. */
	readonly before: readonly string[];
	readonly isBefore: boolean;
}

/** Leads back from the problem's ids to the meal. */
export interface Trace {
	/** Clock time of instant 0, seconds after midnight. */
	readonly origin: number;
	readonly steps: ReadonlyMap<string, TracedStep>;
	/** Names of the courses, by id. */
	readonly courses: ReadonlyMap<string, string>;
	/** In plating order within their course; those of techniques that the plan may not take too. */
	readonly plated: readonly Plated[];
	/** Plating tasks, by course. */
	readonly plating: ReadonlyMap<string, string>;
	/** How long before service each goes on the plate, seconds. */
	readonly offsets: ReadonlyMap<string, number>;
	readonly vessels: readonly HeldVessel[];
	readonly stays: readonly Stay[];
}

export interface Compiled {
	readonly problem: Problem;
	readonly trace: Trace;
}

const taskId = (part: string, step: string) => `${part}/${step}`;
export const platingId = (course: string) => `plating/${course}`;

/**
 * Compile a consistent meal (see `readMeal`). Steps become tasks, ways of doing them modes, waits lags, kept vessels
 * holds, temperatures states, techniques among which the planner chooses choices, plating order offsets before service.
 * What the kitchen lacks is returned as issues; of several techniques those that the kitchen cannot do are left out.
 *
 * @param manning whether hands are pooled, and who does what is decided afterwards, or each step names its cook
 */
export function compileMeal(
	meal: Meal,
	kitchen: Kitchen,
	techniques: ReadonlyMap<string, Technique>,
	manning: Manning = 'pooled'
): Read<Compiled> {
	const issues: Issue[] = [];
	if (meal.kitchen !== kitchen.id) {
		issues.push({ code: 'other-kitchen', path: ['kitchen'], wanted: meal.kitchen, given: kitchen.id });
	}
	const steps = new Map<string, TracedStep>();
	const vessels: Mutable<HeldVessel>[] = [];
	const lags: Problem['lags'] = [];
	const choices: Problem['choices'] = [];
	const plated: Plated[] = [];
	meal.parts.forEach((part, i) => {
		if (!techniques.has(part.technique)) {
			const path = ['parts', i, 'technique'];
			issues.push({ code: 'unknown-technique', path, part: part.name, technique: part.technique });
			return;
		}
		const tried = alternativesOf(part, meal, kitchen, techniques).map(({ technique, portions }) => ({
			technique,
			portions,
			cooked: portions.map((p) => cook(p, kitchen, ['parts', i], manning))
		}));
		const able = tried.filter((t) => t.cooked.every((c) => c.ok));
		const [first] = tried;
		if (able.length === 0 && first) {
			issues.push(...first.cooked.flatMap((c) => (c.ok ? [] : c.issues)));
			return;
		}
		for (const { portions, cooked } of able) {
			cooked.forEach((c) => {
				if (c.ok) for (const [id, traced] of c.value) steps.set(id, traced);
			});
			const { lags: within, hosts } = togetherIn(portions, steps);
			lags.push(...within);
			const kept = withVesselsShared(
				portions.flatMap((p) => p.vessels.map((v) => ({ part: p.part.id, ...v }))),
				hosts
			);
			vessels.push(...kept);
			for (const p of portions) {
				// The pot boils on for those who are lowered in later.
				const most = (l: Portion['lags'][number]) => (hosts.has(l.to) ? undefined : l.most);
				lags.push(...p.lags.map((l) => lag(l.from, l.to, l.least, most(l))));
				plated.push({ ...p, before: p.ahead?.before ?? [] });
			}
		}
		if (able.length > 1) {
			const options = able.map(({ technique, portions }) => ({
				id: technique.id,
				tasks: portions.flatMap((p) => p.works.map((w) => w.task)),
				cost: 0
			}));
			choices.push({ id: `technique:${part.id}`, options });
			return;
		}
		const early = able.flatMap(({ portions }) => portions.flatMap((p) => p.ahead ?? []));
		if (early.length === 0) return;
		const options = [
			{ id: 'evening', tasks: early.flatMap((e) => e.evening), cost: 0 },
			{ id: 'before', tasks: early.flatMap((e) => e.before), cost: priceOfAhead }
		];
		choices.push({ id: `${aheadChoice}${part.id}`, options });
	});
	for (const link of meal.links) {
		// What follows a step follows its last batch.
		const ends = [
			lastBatch(taskId(link.from.part, link.from.step), steps),
			taskId(link.to.part, link.to.step)
		] as const;
		const [from, to] = ends;
		// A link to a step that is not done tonight binds nothing.
		if (!ends.every((id) => steps.has(id))) continue;
		lags.push(lag(from, to, link.least, link.most));
		if (link.sameVessel) joinVessels(vessels, from, to);
	}
	if (steps.size > mostSteps)
		issues.push({
			code: 'too-many',
			path: ['parts'],
			what: 'steps, batches counted',
			seen: steps.size,
			most: mostSteps
		});
	if (issues.length > 0) return { ok: false, issues };

	const stays = staysOf(vessels, steps, lags, choices);
	const placed = withStays(steps, stays);
	const places = keepPlaces(placed, stays);
	const { serve, offsets, platingTasks, plating } = plateUp(meal, plated, kitchen, manning);
	const last = Math.max(...meal.courses.map((c) => serviceOf(meal, c)));
	const stations = resourcesOf(kitchen);
	const problem: Problem = {
		format: 'juntos-problem',
		version: 1,
		name: meal.name,
		horizon: roundUp(last - meal.earliest + patience),
		services: meal.courses.map((c) => ({ id: c.id, due: roundUp(serviceOf(meal, c) - meal.earliest) })),
		weights,
		...stations,
		resources: [...handsOf(kitchen, manning), ...stations.resources],
		tasks: [
			...[...placed].map(([id, { step, ways }]) => ({
				id,
				modes: ways.map((way) => modeOf(way)),
				...(step.ahead ? { ahead: true } : {})
			})),
			...platingTasks
		],
		lags,
		holds: [
			...vessels.map((v) => ({ resource: `vessel:${v.kind}`, amount: v.amount, from: v.from, to: v.to })),
			...places.holds
		],
		ties: places.ties,
		choices,
		serve,
		wants: []
	};
	const courses = new Map(meal.courses.map((c) => [c.id, c.name]));
	const trace = { origin: meal.earliest, courses, steps: placed, plated, plating, offsets, vessels, stays };
	return { ok: true, value: { problem, trace } };
}

/**
 * Steps that guests have at their own minute in one vessel: what takes longest has the vessel and the heat; the others lie
 * within its time, and need none of their own. Changes their ways in `steps`.
 */
function togetherIn(
	portions: readonly Portion[],
	steps: Map<string, TracedStep>
): { readonly lags: Problem['lags']; readonly hosts: ReadonlyMap<string, string> } {
	const lags: Problem['lags'] = [];
	const hosts = new Map<string, string>();
	for (const id of new Set(portions.flatMap((p) => p.works.filter((w) => w.step.together).map((w) => w.step.id)))) {
		const those = portions.flatMap((p) => {
			// In batches nothing is shared: each portion goes by itself.
			const works = p.works.filter((w) => baseOf(w.step.id) === id);
			const [work] = works;
			const traced = work && steps.get(work.task);
			const length = traced && Math.min(...traced.ways.map((way) => modeOf(way).duration));
			return works.length === 1 && work && traced && length !== undefined ? [{ task: work.task, traced, length }] : [];
		});
		const [host, ...others] = those.toSorted((a, b) => b.length - a.length);
		for (const { task, traced, length } of host ? others : []) {
			const [way] = traced.ways;
			if (!host || !way) continue;
			steps.set(task, { ...traced, ways: [{ ...way, place: undefined }] });
			lags.push({ from: host.task, to: task, min: -host.length, max: -length });
			hosts.set(task, host.task);
		}
	}
	return { lags, hosts };
}

/** Vessels without those of guests: what they stood in before goes on with their host. */
function withVesselsShared(
	all: readonly HeldVessel[],
	hosts: ReadonlyMap<string, string>
): readonly Mutable<HeldVessel>[] {
	const own = all.filter((v) => !v.tasks.some((t) => hosts.has(t))).map((v): Mutable<HeldVessel> => ({ ...v }));
	for (const v of all) {
		const guest = v.tasks.find((t) => hosts.has(t));
		const before = v.tasks.filter((t) => !hosts.has(t));
		const host = own.find((o) => guest !== undefined && o.kind === v.kind && o.tasks.includes(hosts.get(guest) ?? ''));
		if (!host || before.length === 0) continue;
		host.from = v.from;
		host.tasks = [...before, ...host.tasks];
	}
	return own;
}

/** The tasks of a portion with all ways of doing them, or what the kitchen lacks for it. */
function cook(
	p: Portion,
	kitchen: Kitchen,
	path: readonly (string | number)[],
	manning: Manning
): Read<ReadonlyMap<string, TracedStep>> {
	const issues: Issue[] = [];
	const steps = new Map<string, TracedStep>();
	const lacking = (step: Step, need: Wanted) => {
		issues.push({ code: 'missing-station', path, part: p.part.name, step: step.say, need });
	};
	for (const planned of p.works) {
		const work = settled(planned, p);
		if (work.batches > mostBatches) {
			const what = `batches of “${work.step.say}” (${p.part.name})`;
			if (!issues.some((i) => i.code === 'too-many'))
				issues.push({ code: 'too-many', path, what, seen: work.batches, most: mostBatches });
			continue;
		}
		const all = waysOf(work, p, kitchen, manning);
		const ways = all.filter((way) => Number.isFinite(way.timing.mu));
		const [never] = all;
		if (never && ways.length === 0) {
			issues.push({ code: 'never-done', path, part: p.part.name, step: work.step.say, facts: never.timing.facts });
		} else if (ways.length === 0 && handsFor(work.step, kitchen, manning).length === 0) {
			lacking(work.step, { kind: 'cook', duty: dutyOf(work.step) });
		} else if (ways.length === 0 && work.step.need) lacking(work.step, wantedOf(work.step.need));
		steps.set(work.task, { part: p.part, technique: p.technique, step: work.step, ways });
	}
	for (const { kind, amount } of p.vessels) {
		const owned = kitchen.vessels.filter((v) => v.kind === kind).reduce((sum, v) => sum + v.count, 0);
		if (owned < amount) issues.push({ code: 'missing-vessel', path, part: p.part.name, vessel: kind });
	}
	return issues.length > 0 ? { ok: false, issues } : { ok: true, value: steps };
}

/** A work with the numbers of its hands put in. */
function settled(work: Work, { part, technique }: Portion): Work {
	const of = valuesFor(technique, part.settings, work.covers);
	return { ...work, step: { ...work.step, hands: countedHands(work.step.hands, of, work.pieces) } };
}

/** The last batch of a step that is done in several. */
function lastBatch(task: string, steps: ReadonlyMap<string, TracedStep>): string {
	let k = 1;
	while (steps.has(`${task}-b${k + 1}`)) k++;
	return k === 1 ? task : `${task}-b${k}`;
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

function waysOf(work: Work, { part, technique }: Portion, kitchen: Kitchen, manning: Manning): readonly Way[] {
	const { covers, factor, vessels } = work;
	const { model } = work.step.time;
	const of = valuesFor(technique, part.settings, covers);
	const { need: asked, load } = work.step;
	const need = asked && load && 'racks' in asked ? { ...asked, racks: vessels } : asked;
	const step: Step = need ? { ...work.step, need } : work.step;
	const best = strongestBurner(kitchen);
	const known = new Map<string, Timing>();
	const timingAt = (place: Place | undefined, pace: number): Timing => {
		const looks = model ? looksAt(model) : 'everything';
		const key = {
			burner: `${place?.power ?? ''} ${place?.fuel ?? ''} ${place?.measured ?? ''}`,
			oven: `${place?.setting ?? ''} ${place?.hasFan ?? ''} ${place?.fire ?? ''}`,
			nothing: '',
			everything: `${place?.resource ?? ''} ${place?.setting ?? ''}`
		}[looks];
		const at = { ...place, best, altitude: kitchen.altitude, room: roomOf(kitchen), pace };
		const timing = known.get(`${key} ${pace}`) ?? timingOf(step, of, at, factor);
		known.set(`${key} ${pace}`, timing);
		return timing;
	};
	const places = need ? placesFor(need, kitchen, (q) => valueOf(q, of)) : [undefined];
	return handsFor(step, kitchen, manning).flatMap(({ pace, also }) =>
		places.map((place): Way => {
			const timing = atLeast(timingAt(place, pace), step);
			const length = Number.isFinite(timing.mu) ? lengthOf(timing) : grid;
			return { place, timing, hands: handUses(step, length, grid), crew: also };
		})
	);
}

/** Touches that outlast their step lengthen it. */
function atLeast(timing: Timing, { hands }: Step): Timing {
	if (hands.kind !== 'touches') return timing;
	const touched = hands.at.reduce((sum, { seconds }) => sum + Math.ceil(seconds / grid) * grid, 0);
	return usualOf(timing) >= touched ? timing : { ...timing, mu: Math.log(touched) };
}

/** The burner that heats most. */
function strongestBurner(kitchen: Kitchen): Circumstance['best'] {
	const burners = kitchen.stations.flatMap((s) => (s.kind === 'burner' ? [s] : []));
	return burners.reduce<(typeof burners)[number] | undefined>((a, b) => (a && a.power >= b.power ? a : b), undefined);
}

/** The usual length of a step on the grid, seconds. */
const lengthOf = (timing: Timing) => roundNear(usualOf(timing));

/** A way of doing a step as a mode of its task, as long as it usually takes, or just as long. */
export function modeOf(
	{ place, timing, hands, crew, stay }: Way,
	duration?: number
): Problem['tasks'][number]['modes'][number] {
	return {
		duration: duration ?? lengthOf(timing),
		uses: [
			...hands.flatMap(({ from, to }) => ['hands', ...crew].map((resource) => ({ resource, amount: 1, from, to }))),
			...(place && stay !== 'held' ? [{ resource: place.resource, amount: place.amount }] : []),
			...(place?.also ?? []).map((resource) => ({ resource, amount: 1 }))
		],
		...(place?.isSet && place.setting !== undefined ? { state: { id: place.station, value: place.setting } } : {}),
		...(place && stay ? { at: place.resource } : {})
	};
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

/** Plating goes at one pace: each set of cooks once. */
const platingModes = (hands: ReturnType<typeof handsFor>) => [
	...new Map(hands.map(({ also }) => [also.join(), also])).values()
];

/** Plating: the parts of a course go on one after the other, over all plates, and the last is on at service. */
function plateUp(meal: Meal, plated: readonly Plated[], kitchen: Kitchen, manning: Manning) {
	const serve: Problem['serve'] = [];
	const platingTasks: Problem['tasks'] = [];
	const offsets = new Map<string, number>();
	const plating = new Map<string, string>();
	for (const course of meal.courses) {
		let offset = 0;
		const ids = [...new Set(plated.filter((p) => p.part.course === course.id).map((p) => p.part.id))];
		for (const id of ids.toReversed()) {
			const ways = plated.filter((p) => p.part.id === id);
			const long = Math.max(...ways.map(({ part, technique }) => technique.plate.perPlate * part.covers));
			offset += Math.ceil(long / grid) * grid;
			offsets.set(id, offset);
			for (const { technique, served } of ways) {
				const { plate } = technique;
				const [free, max] = [Math.floor(plate.free / grid) * grid, Math.floor(plate.most / grid) * grid];
				for (const task of served) serve.push({ task, service: course.id, offset, free, rate: plate.rate, max });
			}
		}
		if (offset === 0) continue;
		const id = platingId(course.id);
		plating.set(course.id, id);
		const hands = handsFor({ kind: 'plate', hands: { kind: 'whole' } }, kitchen, manning);
		platingTasks.push({
			id,
			modes: platingModes(hands).map((crew) => ({
				duration: offset,
				uses: ['hands', ...crew].map((resource) => ({ resource, amount: 1 }))
			}))
		});
		serve.push({ task: id, service: course.id, offset: 0, free: 0, rate: 0, max: 0 });
	}
	return { serve, offsets, platingTasks, plating };
}
