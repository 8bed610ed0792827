// What the evenings of a kitchen teach: a cook's pace, a burner's power, an oven's error, and how long a step really takes; each
// with its evidence, to be accepted or held back.
import { Knowledge, isEnough } from '../learn/record';
import { normalQuantile } from '../learn/spread';
import type { Kitchen } from '../model/kitchen';
import { dayOf } from '../units/zoned';
import type { CookedEvening } from './evening';
import {
	countedIn,
	idOf,
	nominal,
	partsOf,
	priorsOf,
	taughtBy,
	ovenOf,
	stove,
	unknown,
	type About,
	type LeftOf
} from './taught';

/** Something that was learnt; which way its value goes, see `unit`. */
export interface Lesson {
	/** Unique in a kitchen. */
	readonly id: string;
	readonly about: About;
	/** The cook, the station, what the step is a record of, or the technique that was weighed. */
	readonly of: string;
	/**
	 * Pace against a home cook's 1; net watts; K hotter than the knob; factor on the film; seconds for each °C from cold; factor
	 * on the time; share of the raw weight that is left. With its 10th and 90th hundredth.
	 */
	readonly value: number;
	readonly low: number;
	readonly high: number;
	/** What plans take now. */
	readonly now: number;
	/** Records that taught it, in how many evenings; days since the last one. */
	readonly records: number;
	readonly evenings: number;
	readonly isEnough: boolean;
	/** As it was learnt: ln of a factor, or K; and its spread. */
	readonly mean: number;
	readonly sd: number;
	/** Whether plans would change by it. */
	readonly isNew: boolean;
	/** Whether it was held back as it is. */
	readonly isHeld: boolean;
	/** Whether plans go by something that was learnt of it, or measured. */
	readonly isTaken: boolean;
}

/** A difference is worth a proposal from here: of a factor, of a temperature, K. */
const worth = { factor: 0.04, kelvin: 2 } as const;
/** What was held back is proposed again when it has moved by so many of its spreads. */
const movedBy = 2;

/**
 * All that the evenings of a kitchen say of it, as believed on a day; what has most records first.
 *
 * @param date the day, YYYY-MM-DD: what is older counts less
 * @param leftOf what tables say that the heat leaves of a technique's food
 */
export function lessonsOf(
	all: readonly CookedEvening[],
	kitchen: Kitchen,
	date: string,
	leftOf: LeftOf = unknown
): readonly Lesson[] {
	const evenings = countedIn(all, kitchen);
	const priors = priorsOf(evenings, kitchen, leftOf);
	const knowledge = new Knowledge(priors);
	const known = new Set(priors.map((p) => p.id));
	const seen = new Map<string, { records: number; evenings: Set<string> }>();
	for (const evening of evenings) {
		const taught = taughtBy(evening, kitchen, leftOf);
		for (const observation of taught.filter((o) => o.of.some((id) => known.has(id)))) {
			knowledge.take(observation);
			for (const id of observation.of) {
				const own = seen.get(id) ?? { records: 0, evenings: new Set<string>() };
				own.records++;
				own.evenings.add(observation.evening);
				seen.set(id, own);
			}
		}
	}
	const last = Math.max(dayOf(date), ...evenings.map((e) => dayOf(e.date)));
	return priors
		.flatMap((prior): Lesson[] => {
			const counted = seen.get(prior.id);
			if (!counted || prior.id === stove) return [];
			// A burner is known by the others too, where it was used itself.
			const sum = prior.id.startsWith('burner ') ? [prior.id, stove] : [prior.id];
			const { x, S, before } = knowledge.believe(sum, last);
			const enough = isEnough(Math.max(...sum.map((id) => knowledge.weightOf(id))), S, before);
			const sd = Math.sqrt(S);
			return [lessonOf(prior.id, x, sd, enough, kitchen, counted.records, counted.evenings.size, leftOf)];
		})
		.toSorted((a, b) => b.records - a.records || (a.id < b.id ? -1 : 1));
}

function lessonOf(
	id: string,
	mean: number,
	sd: number,
	enough: boolean,
	kitchen: Kitchen,
	records: number,
	evenings: number,
	leftOf: LeftOf
): Lesson {
	const { about, of } = partsOf(id);
	const z = normalQuantile(0.9);
	const scale = scaleOf(kitchen, about, of, leftOf);
	const shown = (x: number) => (about === 'oven' ? x : scale * Math.exp(x));
	const taken = takenFor(kitchen, about, of, scale);
	const now = taken ?? (about === 'pace' ? (kitchen.cooks.find((c) => c.id === of)?.pace ?? 1) : shown(0));
	const value = shown(mean);
	const [low, high] = [shown(mean - z * sd), shown(mean + z * sd)];
	const isOff =
		about === 'oven' ? Math.abs(value - now) >= worth.kelvin : Math.abs(Math.log(value / now)) >= worth.factor;
	const held = kitchen.heldBack?.[id];
	const isHeld = held !== undefined && Math.abs(held - mean) <= movedBy * sd;
	return {
		id,
		about,
		of,
		value,
		low,
		high,
		now,
		records,
		evenings,
		isEnough: enough,
		mean,
		sd,
		// Neither a trifle, nor what may as well be so by chance.
		isNew: enough && isOff && (now < low || now > high),
		isHeld,
		isTaken: taken !== undefined
	};
}

/** What a lesson of a station sets there: its kind, what it is kept as, and how it is rounded and bounded. */
const settings = {
	burner: { kind: 'burner', key: 'measured', digits: 0, least: 50, most: 20_000 },
	oven: { kind: 'oven', key: 'offset', digits: 0, least: -80, most: 80 },
	film: { kind: 'oven', key: 'film', digits: 2, least: 0.4, most: 2.5 },
	'heat-up': { kind: 'oven', key: 'measuredRise', digits: 1, least: 0, most: 3600 }
} as const;
type OfStation = keyof typeof settings;
const isOfStation = (about: About): about is OfStation => about in settings;

/** What plans take, where that was learnt or measured. */
function takenFor(kitchen: Kitchen, about: About, of: string, scale: number): number | undefined {
	if (about === 'pace') return kitchen.cooks.find((c) => c.id === of)?.measuredPace;
	if (isOfStation(about)) {
		const { kind, key } = settings[about];
		const station: Readonly<Record<string, unknown>> | undefined = kitchen.stations.find(
			(s) => s.kind === kind && s.id === of
		);
		const value = station?.[key];
		// An offset of nothing is none.
		return typeof value === 'number' && (about !== 'oven' || value !== 0) ? value : undefined;
	}
	const learnt = kitchen.learnt?.[about === 'yield' ? idOf(about, of) : of]?.mean;
	return learnt === undefined ? undefined : scale * Math.exp(learnt);
}

/** What a lesson's factor is of, in its unit. */
function scaleOf(kitchen: Kitchen, about: Lesson['about'], of: string, leftOf: LeftOf): number {
	if (about === 'burner') return nominal(kitchen, of, 1);
	if (about === 'heat-up') return ovenOf(kitchen, of)?.rise ?? 1;
	return about === 'yield' ? (leftOf(of) ?? 1) : 1;
}

const within = (x: number, least: number, most: number) => Math.min(most, Math.max(least, x));

/** A kitchen in which plans go by a lesson. */
export function withLesson(kitchen: Kitchen, lesson: Lesson): Kitchen {
	const { about, of, value, mean, sd, records, id } = lesson;
	const free = withoutHold(kitchen, id);
	if (about === 'pace') {
		const measuredPace = within(Number(value.toFixed(2)), 0.2, 5);
		return { ...free, cooks: free.cooks.map((c) => (c.id === of ? { ...c, measuredPace } : c)) };
	}
	if (isOfStation(about)) {
		const { kind, key, digits, least, most } = settings[about];
		const set = { [key]: within(Number(value.toFixed(digits)), least, most) };
		return { ...free, stations: free.stations.map((s) => (s.kind === kind && s.id === of ? { ...s, ...set } : s)) };
	}
	const learnt = { mean: within(mean, -2.5, 2.5), sd: within(sd, 0, 1), records };
	return { ...free, learnt: { ...free.learnt, [about === 'yield' ? id : of]: learnt } };
}

/** A kitchen as it was before a lesson: plans go by the model and the kitchen's own numbers again. */
export function withoutLesson(kitchen: Kitchen, { about, of }: Pick<Lesson, 'about' | 'of'>): Kitchen {
	const drop = <T extends object>(x: T, key: string): T =>
		Object.fromEntries(Object.entries(x).filter(([k]) => k !== key)) as T;
	if (about === 'pace')
		return { ...kitchen, cooks: kitchen.cooks.map((c) => (c.id === of ? drop(c, 'measuredPace') : c)) };
	if (isOfStation(about)) {
		const { kind, key } = settings[about];
		return { ...kitchen, stations: kitchen.stations.map((s) => (s.kind === kind && s.id === of ? drop(s, key) : s)) };
	}
	return { ...kitchen, learnt: drop(kitchen.learnt ?? {}, about === 'yield' ? idOf(about, of) : of) };
}

/** A lesson held back: it is not proposed again until it has moved. */
export const withHeldBack = (kitchen: Kitchen, { id, mean }: Lesson): Kitchen => ({
	...kitchen,
	heldBack: { ...kitchen.heldBack, [id]: mean }
});

const withoutHold = (kitchen: Kitchen, id: string): Kitchen =>
	kitchen.heldBack?.[id] === undefined
		? kitchen
		: { ...kitchen, heldBack: Object.fromEntries(Object.entries(kitchen.heldBack).filter(([k]) => k !== id)) };

/** What one record said of a lesson by itself, all else as it is believed now. */
export interface Point {
	readonly evening: string;
	readonly date: string;
	readonly value: number;
}

/**
 * Evening by evening what a lesson's records said: of an oven a drift shows in it.
 *
 * @param lessons all of them: what is believed of the rest is taken out
 */
export function pointsOf(
	all: readonly CookedEvening[],
	kitchen: Kitchen,
	lesson: Lesson,
	lessons: readonly Lesson[],
	leftOf: LeftOf = unknown
): readonly Point[] {
	const { id, about, of } = lesson;
	const others = new Map(lessons.map((l) => [l.id, l.mean]));
	const scale = scaleOf(kitchen, about, of, leftOf);
	return countedIn(all, kitchen).flatMap((evening) => {
		const taught = taughtBy(evening, kitchen, leftOf);
		const said = taught.flatMap((o) => {
			const at = o.of.indexOf(id);
			const per = o.weights?.[at] ?? 1;
			if (at < 0 || Math.abs(per) < 1e-4) return [];
			const rest = o.of.reduce((sum, x, k) => (k === at ? sum : sum + (o.weights?.[k] ?? 1) * (others.get(x) ?? 0)), 0);
			return [{ value: (o.y - rest) / per, weight: (per / o.sigma) ** 2 }];
		});
		const weight = said.reduce((sum, s) => sum + s.weight, 0);
		if (weight === 0) return [];
		const mean = said.reduce((sum, s) => sum + s.weight * s.value, 0) / weight;
		return [{ evening: evening.id, date: evening.date, value: about === 'oven' ? mean : scale * Math.exp(mean) }];
	});
}
