// Answer + trace → the plan as facts: clock times, places, hands, waits, what is tight and why.
import type { Step } from '../../model/technique';
import type { Kitchen } from '../../model/kitchen';
import { serviceOf, type Meal } from '../../model/meal';
import { stationKinds } from '../../model/stations';
import type { Lane, Plan, PlannedStep, Plating, Taken } from '../../model/plan';
import { finishStep } from '../../model/finishing';
import { recordKey } from '../../model/record-key';
import { spreadOf, usualOf } from '../../timing/timing';
import { allergensOf } from '../../model/quantities';
import { baseOf } from '../compile/portions';
import type { Compiled } from '../compile/compile';
import type { TracedStep, Way } from '../compile/traced';
import { pricedOf } from '../compile/plating';
import { canServe, crewMembers, crewOf } from '../compile/crew';
import { awayCook } from '../replan';
import { isWash } from '../compile/clean';
import { heatOf, stationsBehind } from '../compile/places';
import type { Schedule } from '../problem';
import { fitsIn, vesselKindOf, vesselName, vesselsOf } from '../compile/vessels';
import { assignEqual, at } from './assign';
import { secondsBetween } from './between';
import { fireCautions, firesOf } from './fires';
import { clashesOf } from './guests';
import { findIdle, findTight } from './hands-load';
import { heldBy } from '../why/held-by';
import { litAt, terrainOf } from './terrain';
import { timedTasks, type Timed } from './timed';
import { drawerOf, isServedHot, platesWarmIn, wantWarmPlates } from './warmth';

/** Where food rests, and what needs no station is done: washed, ground, whisked. */
const restLane: Lane = { id: 'rest', kind: 'rest', name: 'Counter' };
const keepLane: Lane = { id: 'keep', kind: 'keep', name: 'Keep' };
/** The order of lanes from top to bottom: the way food mostly moves, so that cords cross little. */
const laneOrder: readonly string[] = [...stationKinds, 'rest', 'keep'];
/** Shorter waits are not worth a line. */
const shortestWait = 60;

interface Happening extends TracedStep {
	readonly id: string;
	readonly timed: Timed;
	readonly way: Way;
}

/** The plan of a feasible answer to a compiled meal, and whether no cook is given two things at once. */
export interface Described {
	readonly plan: Plan;
	readonly isManned: boolean;
}

/** Describe a feasible answer to a compiled meal. */
export function describePlan(meal: Meal, kitchen: Kitchen, { problem, trace }: Compiled, answer: Schedule): Described {
	const timed = timedTasks(problem, answer);
	const over = Math.max(
		...problem.services.map((s) => s.due + (answer.slips?.[s.id] ?? 0)),
		...[...trace.plating.values()].flat().map((s) => timed.get(s.task)?.end ?? 0)
	);
	const happenings: readonly Happening[] = [...trace.steps].flatMap(([id, traced]) => {
		const t = timed.get(id);
		// What is washed when all is served is no part of the plan.
		if (t && t.start >= over && isWash(id)) return [];
		const way = t && traced.ways[t.mode];
		return t && way ? [{ ...traced, id, timed: t, way }] : [];
	});
	const clock = (instant: number) => trace.origin + instant;
	const stationOf = assignStations(happenings, trace.stays, kitchen);
	const vesselOf = assignVessels(trace.vessels, timed, kitchen);
	const settings = [...trace.plating.values()].flat().map((w) => w.task);
	const absences = problem.tasks.flatMap((t) => (awayCook(t.id) === undefined ? [] : [t.id]));
	const pairs = trace.stays.filter((s) => s.byOneCook).map((s) => s.tasks);
	const { hands: handsOf, isManned } = assignHands(happenings, [...settings, ...absences], pairs, timed, kitchen);
	const reasons = heldBy(problem, timed, (id) => takenBy(id, kitchen));

	const courses = meal.courses.map((course) => {
		const slip = answer.slips?.[course.id] ?? 0;
		const due = serviceOf(meal, course);
		const at = due + slip;
		const platings = inStretches(
			(trace.plating.get(course.id) ?? []).flatMap(({ task, plates, parts, goesOut }) => {
				const t = timed.get(task);
				const cooks = [...new Set((handsOf.get(task) ?? []).map((h) => h.cook))];
				return t ? [{ from: clock(t.start), to: clock(t.end), plates, parts: [...parts], cooks, goesOut }] : [];
			})
		);
		const [first] = platings;
		const cook = first?.cooks[0];
		return {
			course: course.id,
			name: course.name,
			due,
			at,
			plating: first?.from ?? at,
			...(cook === undefined ? {} : { cook }),
			...(platings.length > 1 || (first?.cooks.length ?? 0) > 1 ? { platings } : {})
		};
	});
	const nth = batchesInOrder(happenings);
	const saidOf = ({ id, step }: Happening) => {
		const { k = 0, of = 1 } = nth.get(id) ?? {};
		return of === 1 ? step.say : `${step.say.slice(0, 70)}, ${k + 1} of ${of}`;
	};
	const own = new Set(happenings.map((h) => h.id));
	const steps = happenings.map((h): PlannedStep => {
		const { way, timed: t, step } = h;
		const { mu, sigma, pull, facts, care } = way.timing;
		const peak = way.timing.peak ?? (step.kind === 'check' ? toCheck(happenings, h.part.id) : undefined);
		const { shortest, longest } = spreadOf(way.timing);
		const vessel = vesselOf.get(h.id);
		return {
			id: h.id,
			part: h.part.id,
			say: saidOf(h),
			kind: step.kind,
			from: clock(t.start),
			to: clock(t.end),
			shortest: Math.round(shortest),
			longest: Math.round(longest),
			mu,
			sigma,
			...(pull === undefined ? {} : { pull }),
			...(peak === undefined ? {} : { peak }),
			lane: stationOf.get(h.id) ?? restLane.id,
			...(way.place?.setting !== undefined ? { setting: way.place.setting } : {}),
			...(way.place?.knob !== undefined && way.place.knob !== way.place.setting ? { knob: way.place.knob } : {}),
			...awayOf(h, happenings),
			...(step.heat ? { heat: step.heat } : {}),
			...(vessel ? { vessel } : {}),
			hands: (handsOf.get(h.id) ?? []).map((x) => ({ ...x, from: clock(x.from), to: clock(x.to) })),
			...(isBound(step) ? { bound: true as const } : {}),
			...(step.sign ? { sign: step.sign } : {}),
			// Once where it matters, not with every batch.
			cautions: (nth.get(h.id)?.k ?? 0) > 0 ? [] : [...(step.cautions ?? [])],
			care: (nth.get(h.id)?.k ?? 0) > 0 ? [] : [...care],
			...(facts ? { facts } : {}),
			basis: basisOf(h),
			heldBy: reasons.get(h.id) ?? { kind: 'nothing' },
			after: problem.lags
				.filter((l) => l.to === h.id && own.has(l.from) && (l.min >= 0 || l.max !== undefined))
				.map((l) => l.from)
		};
	});
	const laneKind = new Map(lanesOf(kitchen).map((l) => [l.id, l.kind]));
	const plates = trace.plated.flatMap((p) => {
		const { part, of, technique, served, before, isBefore } = p;
		const { plate, ahead } = technique;
		const service = courses.find((s) => s.course === part.course);
		const last = served.flatMap((task) => timed.get(task) ?? [])[0];
		if (!last || !service) return [];
		const isMadeBefore = isBefore || before.some((task) => timed.has(task));
		const beside = trace.trays.find((t) => t.includes(of))?.filter((id) => id !== of) ?? [];
		const sauces = trace.plated.filter(
			(o) => o.part.finishes === of && p.ends(finishStep({ id: o.of })).some((t) => timed.has(t))
		);
		const tags = tagsOf([p, ...trace.plated.filter((o) => beside.includes(o.of)), ...sauces]);
		const { id, name, course, tone } = part;
		const into = trace.plated
			.filter((o) => o.of === part.finishes)
			.flatMap((o) => o.ends(finishStep({ id: of })).flatMap((task) => timed.get(task) ?? []));
		const added = into.length > 0 ? clock(Math.min(...into.map((t) => t.start))) : undefined;
		const plated = added ?? service.at - (trace.offsets.get(part.id) ?? 0);
		const wait = added === undefined ? (last.wait ?? 0) : Math.max(0, added - clock(last.end));
		return [
			{
				id,
				of,
				name,
				course,
				tone,
				covers: part.covers,
				technique: technique.id,
				...(tags.length > 0 ? { allergens: [...tags] } : {}),
				...(beside.length > 0 ? { tray: beside } : {}),
				...(into.length > 0 ? { into: into.map((t) => t.id) } : {}),
				...(part.onTop === undefined ? {} : { onTop: part.onTop }),
				...(isMadeBefore && ahead ? { before: ahead.how } : {}),
				ready: clock(last.end),
				plated,
				wait,
				free: plate.free,
				cost: pricedOf(p).reduce((sum, task) => sum + (timed.get(task)?.cost ?? 0), 0),
				between: secondsBetween(
					technique,
					steps.filter((s) => s.part === id),
					laneKind,
					plated
				),
				keep: plate.keep
			}
		];
	});
	const kindOf = new Map(trace.plated.map((p) => [p.part.id, p.technique.kind]));
	const waiting = plates.map(({ id, course, wait, plated }) => {
		const own = steps.filter((s) => s.part === id);
		return { id, course, wait, kind: kindOf.get(id) ?? 'side', isHot: isServedHot(own, laneKind, plated) };
	});
	const drawer = drawerOf(kitchen, waiting);
	const parts = plates.map((p) => (drawer?.parts.has(p.id) ? { ...p, drawer: drawer.name } : p));
	const clashes = clashesOf(meal, { parts, steps }, techniquesOf(trace.plated));
	const allHands = [...handsOf.values()].flat().map((x) => ({ ...x, from: clock(x.from), to: clock(x.to) }));
	const began = Math.min(...steps.map((s) => s.from), ...courses.map((s) => s.plating));
	const to = Math.max(...courses.flatMap((s) => [s.at, ...(s.platings ?? []).map((p) => p.to)]));
	const heated = kitchen.stations.flatMap((s) => {
		const heat = heatOf(s, kitchen);
		const firings = steps.flatMap((x) =>
			x.lane === s.id && x.setting !== undefined ? [{ from: x.from, to: x.to, celsius: x.setting }] : []
		);
		return heat ? [{ lane: s.id, heat, firings, lit: litAt(firings, heat) }] : [];
	});
	const fires = firesOf(kitchen, heated);
	// What heats slowly may have to be lit before anything is done by hand.
	const span = { from: Math.min(began, ...heated.flatMap((h) => h.lit ?? [])), to };
	const warmed = wantWarmPlates(waiting);
	const services = courses.map((s) =>
		warmed.has(s.course) ? { ...s, warm: Math.max(span.from, s.plating - platesWarmIn) } : s
	);
	const plan: Plan = {
		format: 'juntos-plan',
		version: 2,
		meal: meal.id,
		name: meal.name,
		covers: meal.covers,
		status: answer.status === 'optimal' ? 'optimal' : 'feasible',
		objective: answer.objective ?? 0,
		bound: answer.bound ?? 0,
		...span,
		services,
		lanes: lanesOf(kitchen),
		cooks: kitchen.cooks.map(({ id, name }) => ({ id, name })),
		parts,
		clashes: [...clashes],
		steps: withFireCautions(steps, fires),
		waits: waitsOf(steps, parts),
		terrain: heated.map(({ lane, heat, firings }) => ({ lane, points: [...terrainOf(firings, heat, span)] })),
		...(fires.length > 0 ? { fires } : {}),
		tight: [...findTight(allHands)],
		idle: [...findIdle(allHands)]
	};
	return { plan, isManned };
}

/** What a step's time is a record of, and what it would be without any. */
function basisOf({ technique, step, way: { timing } }: Happening): NonNullable<PlannedStep['basis']> {
	const { mu, plain = mu, paced, learnt } = timing;
	return {
		key: recordKey(technique.id, step),
		model: Math.round(Math.exp(plain)),
		...(paced === undefined ? {} : { paced }),
		...(learnt ? { learnt } : {})
	};
}

/** What another set point than the technique's own is good for: done sooner, or shared with other parts. */
function awayOf(h: Happening, all: readonly Happening[]): Pick<PlannedStep, 'away'> {
	const own = h.step.need?.kind === 'oven' ? h.step.need.settings[0] : undefined;
	const setting = h.way.place?.setting;
	if (own === undefined || setting === undefined || setting === own) return {};
	const inOwn = h.ways.find((w) => w.place?.setting === own && w.place.station === h.way.place?.station);
	const sooner = inOwn ? usualOf(inOwn.timing) - usualOf(h.way.timing) : 0;
	const others = all.filter(
		(o) => o.part.id !== h.part.id && o.way.place?.station === h.way.place?.station && o.way.place?.setting === setting
	);
	return { away: { own, sooner: Math.round(sooner), others: [...new Set(others.map((o) => o.part.name))] } };
}

/** Plating in one go where nothing is done in between: the same cooks, no wave that goes out. */
function inStretches(pieces: readonly Plating[]): Plating[] {
	const found: Plating[] = [];
	for (const piece of pieces) {
		const last = found.at(-1);
		const goesOn =
			last !== undefined &&
			!last.goesOut &&
			last.to === piece.from &&
			last.cooks.length === piece.cooks.length &&
			last.cooks.every((c) => piece.cooks.includes(c));
		if (!goesOn) found.push({ ...piece });
		else {
			const parts = [...(last.parts ?? []), ...(piece.parts ?? [])];
			found.splice(-1, 1, { ...last, to: piece.to, parts, goesOut: piece.goesOut });
		}
	}
	return found;
}

/** Which of its batches a task is, in order of time: 0 is the first. */
function batchesInOrder(
	happenings: readonly Happening[]
): ReadonlyMap<string, { readonly k: number; readonly of: number }> {
	const groups = new Map<string, Happening[]>();
	for (const h of happenings) {
		const key = baseOf(h.id);
		groups.set(key, [...(groups.get(key) ?? []), h]);
	}
	return new Map(
		[...groups.values()].flatMap((group) =>
			group.toSorted((a, b) => a.timed.start - b.timed.start).map((h, k) => [h.id, { k, of: group.length }] as const)
		)
	);
}

/** What guests must know of: of all that touches. */
const tagsOf = (plated: Compiled['trace']['plated']) => [
	...new Set(plated.flatMap(({ part, technique }) => part.allergens ?? allergensOf(technique, part.settings)))
];

/** Whoever comes to a live fire first is told what it asks. */
function withFireCautions(steps: readonly PlannedStep[], fires: NonNullable<Plan['fires']>): PlannedStep[] {
	const firsts = new Set(
		fires.map(({ lane }) => steps.filter((s) => s.lane === lane).toSorted((a, b) => a.from - b.from)[0]?.id)
	);
	return steps.map((s) => (firsts.has(s.id) ? { ...s, cautions: [...s.cautions, ...fireCautions] } : s));
}

const techniquesOf = (plated: Compiled['trace']['plated']) => new Map(plated.map((p) => [p.technique.id, p.technique]));

function lanesOf(kitchen: Kitchen): Lane[] {
	const stations = kitchen.stations.map(({ id, kind, name }) => ({ id, kind, name }));
	return [...stations, restLane, keepLane].sort((a, b) => laneOrder.indexOf(a.kind) - laneOrder.indexOf(b.kind));
}

/**
 * The very station of each step: what stays on a burner has one; of equal ones the one its part was on before, if that is
 * free.
 */
function assignStations(
	happenings: readonly Happening[],
	stays: Compiled['trace']['stays'],
	kitchen: Kitchen
): ReadonlyMap<string, string> {
	const result = new Map<string, string>();
	const stayOf = new Map(stays.filter((s) => s.isHeld).flatMap((s) => s.tasks.map((t) => [t, s] as const)));
	const resources = new Set(happenings.flatMap((h) => h.way.place?.resource ?? []));
	for (const resource of resources) {
		const stations = stationsBehind(resource, kitchen);
		const here = happenings.filter((h) => h.way.place?.resource === resource);
		const isShared = stations.length > 1;
		// Step by step, or as long as something stays.
		const those = new Map<unknown, Happening[]>();
		for (const h of here) those.set(stayOf.get(h.id) ?? h, [...(those.get(stayOf.get(h.id) ?? h) ?? []), h]);
		const stretches = [...those.values()].map((list) => ({
			from: Math.min(...list.map((h) => h.timed.start)),
			to: Math.max(...list.map((h) => h.timed.end)),
			group: list[0]?.part.id ?? '',
			list
		}));
		const { chosen } = assignEqual(stretches, stations.length);
		stretches.forEach(({ list }, i) => {
			const station = isShared ? stations[chosen[i] ?? 0] : stations[0];
			for (const h of list) if (station) result.set(h.id, station.id);
		});
	}
	return result;
}

/** The vessel each step is in, by task. */
function assignVessels(
	held: Compiled['trace']['vessels'],
	timed: ReadonlyMap<string, Timed>,
	kitchen: Kitchen
): ReadonlyMap<string, string> {
	const result = new Map<string, string>();
	for (const kind of new Set(held.map((v) => v.kind))) {
		// The smallest first: what fits any leaves the large ones to what does not.
		const those = vesselsOf(kitchen, kind);
		const stretches = held.flatMap((v) => {
			const [first, last] = [timed.get(v.from), timed.get(v.to)];
			if (v.kind !== kind || !first || !last) return [];
			const stretch = {
				from: first.start,
				to: last.end,
				group: v.part,
				tasks: v.tasks,
				amount: v.amount,
				size: v.size
			};
			return Array.from({ length: v.amount }, (_, k) => ({ ...stretch, group: `${v.part} ${k}` }));
		});
		const can = (stretch: number, k: number) => {
			const vessel = those[k];
			return vessel !== undefined && fitsIn(kitchen, vessel, stretches[stretch]?.size);
		};
		assignEqual(stretches, those.length, { can }).chosen.forEach((k, i) => {
			const { tasks = [], amount = 1 } = stretches[i] ?? {};
			const vessel = those[k];
			const name = vessel && vesselName(vessel);
			for (const id of tasks) if (name) result.set(id, amount > 1 ? `${amount} × ${name}` : name);
		});
	}
	return result;
}

interface Hand {
	readonly cook: string;
	readonly from: number;
	readonly to: number;
	readonly say: string;
	readonly whole: boolean;
}

/** Whether a step wants hands all the time and stands on the heat. */
const isBound = ({ hands, kind, need }: Step) =>
	hands.kind === 'whole' && hands.leave === undefined && kind === 'cook' && need !== undefined;

/** Who does what: stretches of hands by task, in seconds from instant 0. Whoever has a part keeps it if free. */
function assignHands(
	happenings: readonly Happening[],
	plating: readonly string[],
	pairs: readonly (readonly string[])[],
	timed: ReadonlyMap<string, Timed>,
	kitchen: Kitchen
): { readonly hands: ReadonlyMap<string, readonly Hand[]>; readonly isManned: boolean } {
	const stretches = [
		...happenings.flatMap((h) =>
			h.way.hands.map((u) => ({
				task: h.id,
				group: h.part.id,
				...u,
				crew: h.way.crew,
				from: h.timed.start + u.from,
				to: h.timed.start + u.to
			}))
		),
		...plating.flatMap((id) => {
			const t = timed.get(id);
			// What is over, in a replan, takes no hands any more.
			if (!t || t.uses.length === 0) return [];
			const away = awayCook(id);
			if (away !== undefined)
				return [{ task: id, group: id, from: t.start, to: t.end, say: '', whole: true, crew: [crewOf([away])] }];
			const crews = t.uses.map((u) => u.resource).filter((resource) => crewMembers(resource));
			const cooks = t.uses.find((u) => u.resource === 'hands')?.amount ?? 1;
			const isByName = cooks > 1 && crews.length === cooks && crews.every((c) => crewMembers(c)?.length === 1);
			return Array.from({ length: cooks }, (_, k) => ({
				task: id,
				group: `plating ${k}`,
				from: t.start,
				to: t.end,
				say: '',
				whole: true,
				crew: isByName ? crews.slice(k, k + 1) : crews
			}));
		})
	];
	// In a replan what is past, or could not be given out, takes nobody's hands any more: it may be anybody's.
	const isAsked = stretches.map((s) => {
		const t = timed.get(s.task);
		return t?.uses.some((u) => u.resource === 'hands' && t.start + u.from <= s.from && s.to <= t.start + u.to) ?? false;
	});
	const able = stretches.map(({ crew }) => kitchen.cooks.map((cook) => canServe(cook, crew)));
	// Whoever is spared most things takes what anybody can do.
	const order = kitchen.cooks
		.map((cook, k) => ({ k, spared: cook.avoids?.length ?? 0 }))
		.sort((a, b) => b.spared - a.spared)
		.map(({ k }) => k);
	const chosen = new Map<number, number>();
	let isManned = true;
	for (const asked of [true, false]) {
		const own = stretches.flatMap((_, i) => (isAsked[i] === asked ? [i] : []));
		const units = inPairs(own, pairs, (i) => at(stretches, i));
		const given = assignEqual(
			units.map((unit) => ({
				from: Math.min(...unit.map((i) => at(stretches, i).from)),
				to: Math.max(...unit.map((i) => at(stretches, i).to)),
				group: at(stretches, at(unit, 0)).group
			})),
			kitchen.cooks.length,
			{ can: (k, cook) => units[k]?.every((i) => able[i]?.[cook] ?? true) ?? true, order }
		);
		if (asked) isManned = given.isClean;
		units.forEach((unit, k) => {
			for (const i of unit) chosen.set(i, given.chosen[k] ?? 0);
		});
	}
	const result = new Map<string, Hand[]>();
	stretches.forEach(({ task, from, to, say, whole }, i) => {
		const cook = kitchen.cooks[chosen.get(i) ?? 0];
		if (cook) result.set(task, [...(result.get(task) ?? []), { cook: cook.id, from, to, say, whole }]);
	});
	return { hands: result, isManned };
}

/** Stretches that follow at once and are for one cook, as one: raw work and the wash after it. */
function inPairs(
	own: readonly number[],
	pairs: readonly (readonly string[])[],
	of: (i: number) => { readonly task: string; readonly from: number; readonly to: number }
): readonly (readonly number[])[] {
	const next = new Map(pairs.map(([first = '', second = '']) => [first, second]));
	const byTask = new Map<string, number[]>();
	for (const i of own) byTask.set(of(i).task, [...(byTask.get(of(i).task) ?? []), i]);
	const joined = own.flatMap((i) => {
		const those = byTask.get(next.get(of(i).task) ?? '') ?? [];
		const [second] = those;
		const isOne = those.length === 1 && byTask.get(of(i).task)?.length === 1;
		return isOne && second !== undefined && of(second).from === of(i).to ? [[i, second] as const] : [];
	});
	const seconds = new Set(joined.map(([, second]) => second));
	const pairOf = new Map(joined.map((pair) => [pair[0], pair]));
	return own.filter((i) => !seconds.has(i)).map((i) => pairOf.get(i) ?? [i]);
}

function waitsOf(steps: readonly PlannedStep[], parts: Plan['parts']): Plan['waits'] {
	const byId = new Map(steps.map((s) => [s.id, s]));
	const between = steps.flatMap((s) =>
		s.after.flatMap((id) => {
			const before = byId.get(id);
			const isOwn = before?.part === s.part;
			if (!before || !isOwn || s.from - before.to < shortestWait) return [];
			return [{ part: s.part, after: id, from: before.to, to: s.from, lane: before.lane }];
		})
	);
	const final = parts.flatMap((p) => {
		const last = steps.filter((s) => s.part === p.id && s.to === p.ready).at(-1);
		return last && p.wait >= shortestWait
			? [{ part: p.id, after: last.id, from: p.ready, to: p.plated, lane: keepLane.id }]
			: [];
	});
	return [...between, ...final];
}

/** What a resource of the problem is to a cook. */
function takenBy(id: string, kitchen: Kitchen): Taken {
	if (id === 'hands' || crewMembers(id)) return { kind: 'hands' };
	const vessel = vesselKindOf(id);
	if (vessel !== undefined) return { kind: 'vessel', vessel };
	const [station, ...more] = stationsBehind(id, kitchen);
	if (!station) return { kind: 'other', id };
	const isOneOf = more.length > 0;
	return { kind: 'station', station: isOneOf ? station.kind : station.name, isOneOf };
}

/** What a check after the rest wants to see, °C: the least that is safe, or what the part climbs to. */
function toCheck(happenings: readonly Happening[], part: string): number | undefined {
	const own = happenings.filter((h) => h.part.id === part);
	const wanted = own.flatMap((h) =>
		h.way.timing.care.flatMap((c) => (c.kind === 'check-after-rest' ? [c.advised] : []))
	);
	return wanted.at(-1) ?? own.findLast((h) => h.way.timing.peak !== undefined)?.way.timing.peak;
}
