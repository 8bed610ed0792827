// Meal + kitchen + techniques → the plan problem, and the trace that leads from its tasks back to the steps.
import type { Issue, Read, Wanted } from '../../issues';
import type { Kitchen, VesselKind } from '../../model/kitchen';
import { serviceOf, type Meal } from '../../model/meal';
import type { Step, Technique } from '../../model/technique';
import { finishersOf, finishStep } from '../../model/finishing';
import { hour, minute } from '../../units/time';
import { grid, gridDown, gridUp } from '../grid';
import type { Problem } from '../problem';
import { dutyOf, handsFor, handsOf, type Manning } from './crew';
import type { Circumstance } from '../../timing/computing';
import { recordKey } from '../../model/record-key';
import { timingOf, usualOf, type Timing } from '../../timing/timing';
import { valuesFor } from '../../timing/values';
import { eveningOf, wantsOf, weightsOf } from './calm';
import { isWashed, rawIn, scarceAmong, washAfter, washOf } from './clean';
import { countedHands, handUses } from './hands';
import { mostBatches } from './load';
import { placesFor, resourcesOf, roomOf, wantedOf, type Place } from './places';
import { plateUp, type Plated, type Setting } from './plating';
import { lengthOf, modeOf, shortestOf, type Mutable, type TracedStep, type Way } from './traced';
import { priceSetPoints } from './set-points';
import { keepPlaces, staysOf, withStays, type Stay } from './stays';
import { onOneTray, sharedLoads, traysOf } from './trays';
import { alternativesOf, baseOf, scarceKinds, type Portion, type Work } from './portions';
import { resourcesHeld, vesselResources } from './vessels';
import { valueOf } from '../../model/time-model';
import { looksAt } from '../../timing/model-times';

/** How far beyond the last service a plan may slip. */
const patience = 2 * hour;
/** More steps are no plan that anybody could follow. */
const mostSteps = 2500;
/** Choices of this kind are whether a part is made before the evening. */
export const aheadChoice = 'ahead:';
/** What it has to save to make something before the evening: so many seconds of it. */
const priceOfAhead = 90 * minute;

interface HeldVessel {
	readonly part: string;
	readonly kind: VesselKind;
	/** The one that it was sized for, by name. */
	readonly size?: string;
	readonly amount: number;
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
	/** Names of the courses, by id. */
	readonly courses: ReadonlyMap<string, string>;
	/** In plating order within their course; those of techniques that the plan may not take too. */
	readonly plated: readonly Plated[];
	/** Plating tasks, by course. */
	readonly plating: ReadonlyMap<string, readonly Setting[]>;
	/** How long before service each goes on the plate, seconds. */
	readonly offsets: ReadonlyMap<string, number>;
	readonly vessels: readonly HeldVessel[];
	readonly stays: readonly Stay[];
	/** Parts of the meal that lie on one tray. */
	readonly trays: readonly (readonly string[])[];
}

export interface Compiled {
	readonly problem: Problem;
	readonly trace: Trace;
}

const taskId = (part: string, step: string) => `${part}/${step}`;

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
	const trays = traysOf(meal, kitchen, techniques);
	const loads = sharedLoads(trays);
	const scarce = scarceKinds(meal.parts, kitchen, techniques);
	meal.parts.forEach((part, i) => {
		if (!techniques.has(part.technique)) {
			const path = ['parts', i, 'technique'];
			issues.push({ code: 'unknown-technique', path, part: part.name, technique: part.technique });
			return;
		}
		// Alone it has all burners to itself.
		const isBound = meal.parts.length === 1 || meal.links.some((l) => l.from.part === part.id || l.to.part === part.id);
		const onTray = loads.get(part.id);
		const sauces = finishersOf(meal, part);
		/** A tray that is emptied of several is not done with all of them at once. */
		const isEmptied = (from: string) => onTray !== undefined && from.endsWith(`/${onTray.step}`);
		const tried = alternativesOf(part, meal, kitchen, techniques, { isBound, onTray, sauces, scarce }).map(
			({ id, portions }) => ({
				id,
				portions,
				cooked: portions.map((p) => cook(p, kitchen, ['parts', i], manning))
			})
		);
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
				const most = (l: Portion['lags'][number]) =>
					hosts.has(l.to) || l.most === undefined ? undefined : l.most + (isEmptied(l.from) ? emptying : 0);
				lags.push(...p.lags.map((l) => (l.ends ? endsLater(l, steps) : lag(l.from, l.to, l.least, most(l)))));
				plated.push({ ...p, before: p.ahead?.before ?? [] });
			}
		}
		if (able.length > 1) {
			const options = able.map(({ id, portions }) => ({
				id,
				tasks: portions.flatMap((p) => p.works.map((w) => w.task)),
				cost: 0
			}));
			choices.push({ id: `way:${part.id}`, options });
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
	const lying = trays.shared.map((tray) => {
		const of = new Map(tray.members.map(({ part, step }) => [part.id, step.id]));
		const isOn = (p: Plated, task: string) => task === taskId(p.part.id, of.get(p.of) ?? '');
		const tasks = plated.flatMap((p) => [...steps.keys()].filter((task) => isOn(p, task)));
		return { ...onOneTray(tasks, tray, steps), of };
	});
	for (const l of lying) lags.push(...l.lags);
	for (const sauce of meal.parts) {
		if (sauce.finishes === undefined) continue;
		const made = plated.filter((p) => p.of === sauce.id).flatMap((p) => p.served);
		const finished = plated.filter((p) => p.of === sauce.finishes).flatMap((p) => p.ends(finishStep(sauce)));
		for (const to of finished.filter((id) => steps.has(id)))
			lags.push(...made.filter((id) => steps.has(id)).map((from) => ({ from, to, min: 0 })));
	}
	for (const link of meal.links) {
		// What follows a step follows its last batch in each pan.
		const to = taskId(link.to.part, link.to.step);
		const froms = plated.find((p) => p.part.id === link.from.part)?.ends(link.from.step) ?? [];
		const [from] = froms;
		// A link to a step that is not done tonight binds nothing.
		if (from === undefined || !steps.has(to)) continue;
		froms
			.filter((id) => steps.has(id))
			.forEach((id, k) => lags.push(lag(id, to, link.least, k === 0 ? link.most : undefined)));
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

	const add = (step: Step, like: TracedStep, task: string) => {
		const work = { task, step, covers: like.part.covers ?? meal.covers, vessels: 1, factor: 1, batches: 1, pieces: 1 };
		steps.set(task, { ...like, step, ways: waysOf(work, like, kitchen, manning) });
	};
	const clean = washAfterRaw(steps, choices, add);
	lags.push(...clean.lags);
	const stays = [...staysOf(vessels, steps, lags, choices), ...clean.stays];
	for (const l of lying) layOn(vessels, l.hosts);
	const placed = withStays(steps, stays);
	const places = keepPlaces(placed, stays);
	const { serve, offsets, platingTasks, plating, lags: ofPlating } = plateUp(meal, plated, placed, kitchen, manning);
	keepUntilPlated(vessels, plated, plating, choices);
	const washes = washVessels(vessels, placed, choices, kitchen, (step, like, task) => {
		add(step, like, task);
		const traced = steps.get(task);
		if (traced) placed.set(task, traced);
	});
	const services = meal.courses.map((c) => roundUp(serviceOf(meal, c) - meal.earliest));
	const { slip, span, away } = weightsOf[eveningOf(meal)];
	const prices = priceSetPoints(placed, away);
	const last = Math.max(...meal.courses.map((c) => serviceOf(meal, c)));
	const stations = resourcesOf(kitchen);
	const problem: Problem = {
		format: 'juntos-problem',
		version: 1,
		name: meal.name,
		horizon: roundUp(last - meal.earliest + patience),
		services: meal.courses.map((c, k) => ({ id: c.id, due: services[k] ?? 0 })),
		weights: { slip, span },
		...stations,
		resources: [...handsOf(kitchen, manning), ...stations.resources],
		tasks: [
			...[...placed].map(([id, { step, ways }]) => ({
				id,
				modes: ways.map((way) => modeOf(way)),
				...(step.ahead ? { ahead: true } : {})
			})),
			...platingTasks,
			...prices.tasks,
			...lying.flatMap((l) => l.tasks)
		],
		lags: [...lags, ...ofPlating, ...washes, ...prices.lags],
		holds: [
			...vessels.flatMap((v) =>
				resourcesHeld(kitchen, v.kind, v.size).map((resource) => ({
					resource,
					amount: v.amount,
					from: v.from,
					to: v.to
				}))
			),
			...places.holds
		],
		ties: [...places.ties, ...prices.ties, ...lying.flatMap((l) => l.ties)],
		choices,
		serve,
		wants: [...wantsOf(meal, Math.min(...services), placed), ...prices.wants]
	};
	const courses = new Map(meal.courses.map((c) => [c.id, c.name]));
	const trace = {
		origin: meal.earliest,
		courses,
		steps: placed,
		plated,
		plating,
		offsets,
		vessels,
		stays,
		trays: lying.map((l) => [...l.of.keys()])
	};
	return { ok: true, value: { problem, trace } };
}

/** The water is hot a little before what takes longest goes in, and after it came out: one pair of hands does both, seconds. */
const aside = 1.5 * minute;

/**
 * Steps that guests have at their own minute in one vessel: what takes longest has the vessel and the heat; the others lie
 * within its time, or a moment beside it, and need none of their own. Changes their ways in `steps`.
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
			return works.length === 1 && work && traced ? [{ task: work.task, traced, length: shortestOf(traced) }] : [];
		});
		const [host, ...others] = those.toSorted((a, b) => b.length - a.length);
		for (const { task, traced, length } of host ? others : []) {
			const [way] = traced.ways;
			if (!host || !way) continue;
			// What is done in between is done to all of them at once.
			const hands = way.hands.filter((h, i) => i === 0 || i === way.hands.length - 1);
			steps.set(task, { ...traced, ways: [{ ...way, place: undefined, hands }] });
			lags.push({ from: host.task, to: task, min: -host.length - aside, max: aside - length });
			hosts.set(task, host.task);
		}
	}
	return { lags, hosts };
}

/** Emptying a tray of one part after the other, seconds at the most. */
const emptying = 3 * minute;

/** Parts on the tray of another need none of their own. */
function layOn(vessels: Mutable<HeldVessel>[], hosts: ReadonlyMap<string, string>): void {
	for (const [task, host] of hosts) {
		const nth = vessels.findIndex((v) => v.kind === 'tray' && v.tasks.includes(task));
		if (nth >= 0) vessels.splice(nth, 1);
		const on = vessels.find((v) => v.kind === 'tray' && v.tasks.includes(host));
		if (on) on.tasks = [...on.tasks, task];
	}
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

/** One ends no sooner than another, however it is done. */
function endsLater(
	{ from, to }: { readonly from: string; readonly to: string },
	steps: ReadonlyMap<string, TracedStep>
): Problem['lags'][number] {
	return { from, to, min: -shortestOf(steps.get(to)) };
}

const roundUp = (seconds: number) => Math.max(grid, gridUp(seconds));

function lag(from: string, to: string, least: number, most: number | undefined): Problem['lags'][number] {
	const min = gridUp(least);
	if (most === undefined) return { from, to, min };
	return { from, to, min, max: Math.max(min, gridDown(most)) };
}

function waysOf(
	work: Work,
	{ part, technique }: Pick<TracedStep, 'part' | 'technique'>,
	kitchen: Kitchen,
	manning: Manning
): readonly Way[] {
	const { covers, factor, vessels } = work;
	const { model } = work.step.time;
	const of = valuesFor(technique, part.settings, covers);
	const { need: asked, load } = work.step;
	const need = asked && load && 'racks' in asked ? { ...asked, racks: vessels } : asked;
	const step: Step = need ? { ...work.step, need } : work.step;
	const best = strongestBurner(kitchen);
	const learnt = kitchen.learnt?.[recordKey(technique.id, step)];
	const known = new Map<string, Timing>();
	const timingAt = (place: Place | undefined, pace: number): Timing => {
		const looks = model ? looksAt(model) : 'everything';
		const key = {
			burner: `${place?.power ?? ''} ${place?.fuel ?? ''} ${place?.measured ?? ''}`,
			oven: `${place?.setting ?? ''} ${place?.hasFan ?? ''} ${place?.film ?? ''} ${place?.fire ?? ''}`,
			nothing: '',
			everything: `${place?.resource ?? ''} ${place?.setting ?? ''}`
		}[looks];
		const at = { ...place, best, altitude: kitchen.altitude, room: roomOf(kitchen), pace, learnt };
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
	const touched = hands.at.reduce((sum, { seconds }) => sum + gridUp(seconds), 0);
	return usualOf(timing) >= touched ? timing : { ...timing, mu: Math.log(touched) };
}

/** The burner that heats most. */
function strongestBurner(kitchen: Kitchen): Circumstance['best'] {
	const burners = kitchen.stations.flatMap((s) => (s.kind === 'burner' ? [s] : []));
	return burners.reduce<(typeof burners)[number] | undefined>((a, b) => (a && a.power >= b.power ? a : b), undefined);
}

type AddStep = (step: Step, like: TracedStep, task: string) => void;

/** Puts a task into the option that another one is of. */
function withTask(choices: Problem['choices'], like: string, task: string): void {
	for (const c of choices) for (const o of c.options) if (o.tasks.includes(like)) o.tasks.push(task);
}

/** The task of a wash: of what begins with a task, which tells apart the ways in which a part may be made. */
const washTask = (task: string, what: VesselKind | 'raw') =>
	task.replace(/\/([^/]*)$/, (_, step: string) => `/wash-${what.replace(' ', '-')}-${step}`);

/** A wash after each raw work, at once, on its board. */
function washAfterRaw(
	steps: ReadonlyMap<string, TracedStep>,
	choices: Problem['choices'],
	add: AddStep
): { readonly lags: Problem['lags']; readonly stays: readonly Stay[] } {
	const raws = [...steps].flatMap(([task, traced]) => {
		const raw = rawIn(traced.technique, traced.step);
		return raw === undefined ? [] : [{ task, traced, raw }];
	});
	const washed = raws.map(({ task, traced, raw }) => {
		const step = washAfter(traced.step, raw);
		const wash = washTask(task, 'raw');
		add(step, traced, wash);
		withTask(choices, task, wash);
		return { task, wash };
	});
	return {
		lags: washed.map(({ task, wash }) => ({ from: task, to: wash, min: 0, max: 0 })),
		stays: washed.map(({ task, wash }) => ({ tasks: [task, wash], isHeld: true, byOneCook: true }))
	};
}

/** What a part is finished in, it waits in. */
const keptIn: ReadonlySet<VesselKind> = new Set<VesselKind>(['pot', 'saucepan', 'dish']);

function keepUntilPlated(
	vessels: Mutable<HeldVessel>[],
	plated: readonly Plated[],
	plating: ReadonlyMap<string, readonly Setting[]>,
	choices: Problem['choices']
): void {
	const optionOf = (task: string) => choices.flatMap((c) => c.options.filter((o) => o.tasks.includes(task)))[0];
	for (const v of vessels) {
		const p = plated.find(({ served }) => served.includes(v.to));
		const isKept = p && (keptIn.has(v.kind) || (v.kind === 'frying pan' && p.technique.kind === 'sauce'));
		const last =
			p?.part.finishes === undefined
				? p && plating.get(p.part.course)?.findLast((s) => s.parts.includes(p.part.id))?.task
				: plated.find((o) => o.of === p.part.finishes)?.ends(finishStep({ id: p.of }))[0];
		if (!isKept || last === undefined || optionOf(v.from) !== optionOf(v.to)) continue;
		v.to = last;
	}
}

/** A wash of each vessel whose kind is used more often than there is one: before it is used again, or when all is served. */
function washVessels(
	vessels: Mutable<HeldVessel>[],
	steps: ReadonlyMap<string, TracedStep>,
	choices: Problem['choices'],
	kitchen: Kitchen,
	add: AddStep
): Problem['lags'] {
	const resourcesOf = (v: HeldVessel) => resourcesHeld(kitchen, v.kind, v.size);
	const held = vessels.map((v) => ({ resources: resourcesOf(v), amount: v.amount }));
	const scarce = scarceAmong(held, vesselResources(kitchen));
	return vessels.flatMap((v) => {
		const like = steps.get(v.from);
		if (!like || !isWashed.has(v.kind) || !resourcesOf(v).some((id) => scarce.has(id))) return [];
		const step = washOf(v.kind, like.step.id);
		const wash = washTask(v.from, v.kind);
		add(step, like, wash);
		withTask(choices, v.from, wash);
		const after = { from: v.to, to: wash, min: 0 };
		v.to = wash;
		return [after];
	});
}

/** The vessel that a step ends with and the one that a later step begins with are one and the same. */
function joinVessels(vessels: Mutable<HeldVessel>[], from: string, to: string): void {
	const first = vessels.find((v) => v.to === from && vessels.some((w) => w.from === to && w.kind === v.kind));
	const second = vessels.findIndex((w) => w.from === to && w.kind === first?.kind);
	const joined = vessels[second];
	if (!first || !joined) return;
	first.to = joined.to;
	if (joined.size !== undefined) first.size ??= joined.size;
	first.tasks = [...first.tasks, ...joined.tasks];
	vessels.splice(second, 1);
}
