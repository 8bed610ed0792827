// Parts that share a tray: who lies on it, at which set points, how full it gets. What cooks longest goes in first and has the
// tray and its racks; each of the others is added at its own minute; all come out together.
import { trayFactor } from '../../heat/oven';
import { footprintArea, fullest } from '../../heat/tray';
import type { Kitchen } from '../../model/kitchen';
import type { Meal, Part } from '../../model/meal';
import { eatenBy } from '../../model/quantities';
import { commonSettings, trayStep, type Step, type Technique } from '../../model/technique';
import type { VesselSize } from '../../model/vessel-size';
import { recordKey } from '../../model/record-key';
import { timingOf, usualOf } from '../../timing/timing';
import { valuesFor } from '../../timing/values';
import type { Problem } from '../problem';
import { grid, gridUp } from '../grid';
import { handUses } from './hands';
import { batchesOf, trayOf, type Batches } from './load';
import { roomOf } from './places';
import { lengthOf, shortestOf, type TracedStep, type Way } from './traced';

/** What of a part lies on a tray. */
interface OnTray {
	readonly part: Part;
	readonly step: Step;
	/** Seconds at the first set point that all of them may have, on as many trays as there are. */
	readonly seconds: number;
	/** Share of its mass that it loses until it is done. */
	readonly loss: number;
	readonly load: Batches;
	/** m² that it covers as it goes in. */
	readonly area: number;
}

export interface SharedTray {
	/** What cooks longest first. */
	readonly members: readonly OnTray[];
	/** °C, those of what cooks longest first. */
	readonly settings: readonly number[];
	readonly vessels: number;
	readonly factor: number;
	readonly tray: VesselSize & { readonly name: string };
	/** Share covered as each goes in, in the order of `members`; and as all comes out. */
	readonly covered: readonly number[];
	readonly coveredAtEnd: number;
}

/** Parts that were to share a tray and do not, and why. */
export interface TrayApart {
	readonly parts: readonly Part[];
	readonly why:
		{ readonly kind: 'set point' } | { readonly kind: 'room'; readonly needed: number; readonly there: number };
}

export interface Trays {
	readonly shared: readonly SharedTray[];
	readonly apart: readonly TrayApart[];
}

/** Set points that steps have in common in a kitchen's ovens, in the order of the first. */
function settingsIn(steps: readonly Step[], kitchen: Kitchen): readonly number[] {
	const ovens = kitchen.stations.flatMap((s) => (s.kind === 'oven' ? [s] : []));
	return commonSettings(steps).filter((c) => ovens.some((o) => o.lowest <= c && c <= o.highest));
}

/**
 * The trays that parts share, and those that were to and cannot: no set point in common, more than all trays take at once. Pieces shrink as they lose water, their area as the ⅔ power of their volume: a tray loosens, and has room for
 * what is added later.
 */
export function traysOf(meal: Meal, kitchen: Kitchen, techniques: ReadonlyMap<string, Technique>): Trays {
	const shared: SharedTray[] = [];
	const apart: TrayApart[] = [];
	for (const host of meal.parts) {
		const parts = [host, ...meal.parts.filter((p) => p.trayOf === host.id)];
		if (parts.length < 2) continue;
		const found = shareTray(parts, meal, kitchen, techniques);
		if (!found) continue;
		if ('why' in found) apart.push(found);
		else shared.push(found);
	}
	return { shared, apart };
}

function shareTray(
	parts: readonly Part[],
	meal: Meal,
	kitchen: Kitchen,
	techniques: ReadonlyMap<string, Technique>
): SharedTray | TrayApart | undefined {
	const kit = trayOf(kitchen);
	const lying = parts.flatMap((part) => {
		const technique = techniques.get(part.technique);
		const step = trayStep(technique);
		return technique && step && part.choose !== true ? [{ part, technique, step }] : [];
	});
	if (!kit || lying.length < parts.length) return undefined;
	const settings = settingsIn(
		lying.map((l) => l.step),
		kitchen
	);
	const [setting] = settings;
	if (setting === undefined) return { parts, why: { kind: 'set point' } };
	const at = { setting, hasFan: kit.hasFan, film: kit.film, altitude: kitchen.altitude, room: roomOf(kitchen) };
	const members = lying
		.flatMap(({ part, technique, step }): OnTray[] => {
			const of = valuesFor(technique, part.settings, eatenBy(part, meal));
			const load = batchesOf(step, of, kitchen);
			if (!load?.piece) return [];
			const learnt = kitchen.learnt?.[recordKey(technique.id, step)];
			const timing = timingOf(step, of, { ...at, learnt });
			const area = load.whole * footprintArea(load.piece);
			return [{ part, step, seconds: usualOf(timing), loss: (timing.loss ?? 0) / 100, load, area }];
		})
		.toSorted((a, b) => b.seconds - a.seconds);
	const sorts = members.map(({ step: { load } }) => (load && 'sort' in load ? fullest[load.sort] : 1));
	const full = Math.min(...sorts);
	/** m² covered so long before all comes out. */
	const coveredAt = (before: number) =>
		members
			.filter((m) => m.seconds >= before)
			.reduce((sum, m) => sum + m.area * (1 - m.loss * (1 - before / m.seconds)) ** (2 / 3), 0);
	const most = Math.max(...members.map((m) => coveredAt(m.seconds)));
	const needed = Math.max(1, Math.ceil(most / (full * kit.tray.area) - 1e-9));
	const there = Math.min(kit.tray.count, kit.racks);
	if (needed > there) return { parts, why: { kind: 'room', needed, there } };
	const area = needed * kit.tray.area;
	const factor = trayFactor(needed, kit.hasFan);
	return {
		members: members.map((m) => ({ ...m, seconds: factor * m.seconds })),
		settings,
		vessels: needed,
		factor,
		tray: kit.tray,
		covered: members.map((m) => coveredAt(m.seconds) / area),
		coveredAtEnd: coveredAt(0) / area
	};
}

/** The load of each part that shares a tray: all of it at once, on the trays of all of them. */
export function sharedLoads({ shared }: Trays): ReadonlyMap<string, { readonly step: string; readonly load: Batches }> {
	return new Map(
		shared.flatMap(({ members, vessels, factor }) =>
			members.map(({ part, step, load }) => {
				const lanes = [{ each: load.whole, batches: 1 }];
				return [part.id, { step: step.id, load: { ...load, batches: 1, lanes, vessels, factor } }] as const;
			})
		)
	);
}

/** "Carrots, roasted" among others on one tray are the carrots. */
const shortName = (name: string) => (name.split(',')[0] ?? name).slice(0, 60);

/** Ids of tasks that only hold the ends of those on one tray together. */
const prefix = 'tray out:';

/** Whether a task of the problem stands for the moment at which a shared tray comes out. */
export const isTrayOut = (task: string) => task.startsWith(prefix);

interface Lying {
	readonly tasks: Problem['tasks'];
	readonly lags: Problem['lags'];
	readonly ties: Problem['ties'];
	/** Whose tray and racks each of the others shares, by task. */
	readonly hosts: ReadonlyMap<string, string>;
}

/**
 * The tasks of one tray made to share it: they end at one instant, at one set point, in one oven. Changes their steps and ways
 * in `steps`.
 *
 * @param tasks of those on the tray, as they are planned
 */
export function onOneTray(
	tasks: readonly string[],
	{ settings }: Pick<SharedTray, 'settings'>,
	steps: Map<string, TracedStep>
): Lying {
	const all = tasks
		.flatMap((task) => {
			const traced = steps.get(task);
			return traced ? [{ task, traced, first: shortestOf(within(traced, settings.slice(0, 1))) }] : [];
		})
		.toSorted((a, b) => b.first - a.first);
	const slowest = all[0];
	// Where another one would take longer, the tray would not be there yet.
	const usable = settings.filter((s) => {
		const lengthAt = (t: TracedStep) => shortestOf(within(t, [s]));
		return all.every((l) => slowest !== undefined && lengthAt(l.traced) <= lengthAt(slowest.traced));
	});
	const lying = oneByOne(all.map(({ task, traced }) => ({ task, traced: within(traced, usable) })));
	const [host, ...others] = lying;
	const latest = others.at(-1);
	if (!host || !latest) return { tasks: [], lags: [], ties: [], hosts: new Map() };
	const names = lying.map(({ traced }) => shortName(traced.part.name));
	const { hands } = latest.traced.step;
	const isTossed = hands.kind === 'touches' && hands.at.length > 2;
	for (const { task, traced } of lying) {
		const role = task === host.task ? 'first' : task === latest.task ? 'last' : 'between';
		steps.set(task, lain(traced, role, names, isTossed));
	}
	const out = `${prefix}${host.task}`;
	return {
		tasks: [{ id: out, modes: [{ duration: grid }], ahead: true }],
		lags: lying.map(({ task }) => ({ from: task, to: out, min: 0, max: 0 })),
		ties: [lying.map(({ task }) => task)],
		hosts: new Map(others.map(({ task }) => [task, host.task]))
	};
}

/** A step at some of its set points only, each place told apart by the oven and what it is set to. */
function within(traced: TracedStep, settings: readonly number[]): TracedStep {
	const ways = traced.ways.flatMap((way): Way[] => {
		const { place } = way;
		if (place?.setting === undefined || !settings.includes(place.setting)) return [];
		return [{ ...way, stay: 'tied', at: `${place.resource} ${place.setting}` }];
	});
	return { ...traced, ways };
}

interface Named {
	readonly task: string;
	readonly traced: TracedStep;
}

/** One pair of hands lays them in: each is in for as much less than the one before as that takes to lay in, or less still. */
function oneByOne(lying: readonly Named[]): readonly Named[] {
	const left = new Map<string, number>();
	return lying.map(({ task, traced }) => {
		const { hands } = traced.step;
		const laying = hands.kind === 'touches' ? gridUp(hands.at[0]?.seconds ?? 0) : 0;
		const longest = new Map<string, number>();
		const ways = traced.ways.map((way): Way => {
			const most = left.get(way.at ?? '') ?? Infinity;
			const own = lengthOf(way.timing) > most ? { ...way, timing: { ...way.timing, mu: Math.log(most) } } : way;
			longest.set(way.at ?? '', lengthOf(own.timing) - laying);
			return own;
		});
		for (const [at, seconds] of longest) left.set(at, seconds);
		return { task, traced: { ...traced, ways } };
	});
}

/** Hands of what shares a tray: each goes in by itself; one toss, when the last of them wants it; one tray out. */
function lain(
	traced: TracedStep,
	role: 'first' | 'between' | 'last',
	names: readonly string[],
	isTossed: boolean
): TracedStep {
	const { step } = traced;
	if (step.hands.kind !== 'touches') return traced;
	const { at, ...more } = step.hands;
	const touched = at.flatMap((touch, i): typeof at => {
		if (i === 0)
			return role === 'first'
				? [touch]
				: [{ ...touch, say: `${shortName(traced.part.name)} onto the tray, one layer` }];
		if (i === at.length - 1)
			return role === 'first' ? [{ ...touch, say: `Tray out: ${names.join(', ')}`.slice(0, 80) }] : [];
		if (role === 'last') return [{ ...touch, say: `Turn the tray, toss all on it: ${names.join(', ')}`.slice(0, 80) }];
		return role === 'first' && !isTossed ? [touch] : [];
	});
	const hands = { ...(role === 'first' ? more : { kind: more.kind }), at: touched };
	const lay = { ...step, hands };
	const ways = traced.ways.map((way): Way => {
		const own = { ...way, hands: handUses(lay, lengthOf(way.timing), grid) };
		return role === 'first' || !way.place ? own : { ...own, place: { ...way.place, amount: 0 } };
	});
	return { ...traced, step: lay, ways };
}
