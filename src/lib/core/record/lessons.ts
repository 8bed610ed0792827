// What the evenings of a kitchen teach: a cook's pace, a burner's power, an oven's error, and how long a step really takes; each
// with its evidence, to be accepted or held back.
import { efficiency } from '../heat/burner';
import { isUsable, noise, priorSd, type Prior } from '../learn/factors';
import { Knowledge, isEnough, type Dated } from '../learn/record';
import { normalQuantile } from '../learn/spread';
import type { Kitchen, StationOf } from '../model/kitchen';
import { dayOf } from '../units/zoned';
import { holding, tookOf, type CookedEvening, type CookedStep } from './evening';

/** Something that was learnt; which way its value goes, see `unit`. */
export interface Lesson {
	/** Unique in a kitchen. */
	readonly id: string;
	readonly about: 'pace' | 'burner' | 'oven' | 'step' | 'yield';
	/** The cook, the station, what the step is a record of, or the technique that was weighed. */
	readonly of: string;
	/** Pace against a home cook's 1; net watts; K hotter than the knob; factor on the time; share of the raw weight that is left. With its 10th and 90th hundredth. */
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

/** An oven's knob is off by this, K, before anything is measured (est.); a thermometer in it swings by this. */
const ovenSd = 15;
const thermometerSd = 4;
/** ln of what is left of a food on the heat: how far tables are trusted, and how far one weighing is (est.). */
const yieldSd = 0.12;
const weighingSd = 0.06;
/** Less or more is left of nothing: it was typed wrong. */
const leftWithin = [0.2, 1.3] as const;
/** A difference is worth a proposal from here: of a factor, of a temperature, K. */
const worth = { factor: 0.04, kelvin: 2 } as const;
/** What was held back is proposed again when it has moved by so many of its spreads. */
const movedBy = 2;

const stepId = (key: string) => `step ${key}`;
const cookId = (cook: string) => `pace ${cook}`;
const yieldId = (technique: string) => `yield ${technique}`;
const stationId = (kind: 'burner' | 'oven', station: string) => `${kind} ${station}`;

/** A record as an observation, and what it is of. */
interface Taught extends Dated {
	readonly evening: string;
}

/** Whether a step of an evening teaches anything: it was timed, nothing came between, somebody saw that it was done. */
export function teaches(step: CookedStep): boolean {
	const took = tookOf(step);
	if (took === undefined || step.byClock === true) return false;
	return isUsable(took, step.model, step.disturbed ?? false);
}

/**
 * ln(took ÷ model) = step + pace + burner + oven + noise, each of the three in its own unit (ln of the pace, ln of the watts, K)
 * by how much it moves the time: a Kalman filter over the evenings (see `learn/record.ts`). What was assumed then is taken out, so
 * that records from before and after a kitchen was changed speak of the same thing.
 */
function observed(evening: CookedEvening, step: CookedStep, kitchen: Kitchen): Taught | undefined {
	const took = tookOf(step);
	if (took === undefined || !teaches(step)) return undefined;
	const y = Math.log(took / step.model);
	const common = { day: dayOf(evening.date), evening: evening.id };
	const { cook, paced = 0, pace = 1, equipment } = step;
	if (step.kind === 'hands' && cook !== undefined && paced > 0) {
		// time ÷ model = 1 − paced + paced · pace, as a straight line about the pace that was assumed.
		const whole = 1 - paced + paced * pace;
		const per = (paced * pace) / whole;
		return {
			...common,
			of: [stepId(step.key), cookId(cook)],
			weights: [1, per],
			y: y - Math.log(whole) + per * Math.log(pace),
			sigma: noise.hands
		};
	}
	const sigma = noise[step.kind];
	if (!equipment) return { ...common, of: [stepId(step.key)], y, sigma };
	const { kind, id, per } = equipment;
	const assumed =
		kind === 'oven' ? equipment.offset : Math.log(equipment.watts / nominal(kitchen, id, equipment.watts));
	const unit = stationId(kind, id);
	return { ...common, of: [stepId(step.key), unit], weights: [1, per], y: y + per * assumed, sigma, watched: unit };
}

const burnerOf = (kitchen: Kitchen, id: string) =>
	kitchen.stations.find((s): s is StationOf<'burner'> => s.kind === 'burner' && s.id === id);

/** Net watts of a burner by its plate; what was assumed, where the kitchen has it no more. */
function nominal(kitchen: Kitchen, id: string, otherwise: number): number {
	const burner = burnerOf(kitchen, id);
	return burner ? burner.power * efficiency[burner.fuel].usual : otherwise;
}

/** What thermometers said, as observations of the oven alone. */
const heatsOf = (evening: CookedEvening): readonly Taught[] =>
	evening.heats.map(({ lane, knob, celsius }) => ({
		day: dayOf(evening.date),
		evening: evening.id,
		of: [stationId('oven', lane)],
		y: celsius - knob,
		sigma: thermometerSd,
		watched: stationId('oven', lane)
	}));

/** What is left of a technique's food on the heat, by the tables, as a share; `undefined` where they do not say. */
export type LeftOf = (technique: string) => number | undefined;
const unknown: LeftOf = () => undefined;

/** What was weighed, as observations of what the heat leaves. */
const weighedIn = (evening: CookedEvening, leftOf: LeftOf): readonly Taught[] =>
	evening.parts.flatMap(({ id, technique }) => {
		const loss = lossOf(evening, id);
		const table = leftOf(technique);
		if (loss === undefined || table === undefined) return [];
		const left = 1 - loss;
		if (left < leftWithin[0] || left > leftWithin[1]) return [];
		const common = { day: dayOf(evening.date), evening: evening.id, sigma: weighingSd };
		return [{ ...common, of: [yieldId(technique)], y: Math.log(left / table) }];
	});

/** All that an evening teaches. */
const taughtBy = (evening: CookedEvening, kitchen: Kitchen, leftOf: LeftOf): readonly Taught[] => [
	...evening.steps.flatMap((s) => observed(evening, s, kitchen) ?? []),
	...heatsOf(evening),
	...weighedIn(evening, leftOf)
];

/** What is there to be learnt about, with what is believed of it before any evening. */
function priorsOf(evenings: readonly CookedEvening[], kitchen: Kitchen, leftOf: LeftOf): readonly Prior[] {
	const weighed = new Set(evenings.flatMap((e) => weighedIn(e, leftOf).flatMap((t) => t.of)));
	const steps = evenings.flatMap((e) => e.steps);
	const doubts = new Map<string, number>();
	for (const { key, kind, paced = 0, sigma } of steps) {
		// A computed time is trusted as far as its model; handwork and estimates less.
		const doubt = kind === 'hands' && paced > 0 ? priorSd.step : Math.min(priorSd.step, Math.max(0.05, sigma));
		doubts.set(key, Math.min(doubt, doubts.get(key) ?? Infinity));
	}
	return [
		...[...doubts].map(([key, sd]) => ({ id: stepId(key), mean: 0, sd })),
		...[...weighed].map((id) => ({ id, mean: 0, sd: yieldSd })),
		...kitchen.cooks.map((c) => ({ id: cookId(c.id), mean: Math.log(c.pace ?? 1), sd: priorSd.cook })),
		...kitchen.stations.flatMap((s) => {
			if (s.kind === 'burner') return [{ id: stationId('burner', s.id), mean: 0, sd: priorSd.equipment }];
			return s.kind === 'oven' ? [{ id: stationId('oven', s.id), mean: 0, sd: ovenSd }] : [];
		})
	];
}

/** The evenings of a kitchen that count, in order. */
export const countedIn = (evenings: readonly CookedEvening[], kitchen: Kitchen): readonly CookedEvening[] =>
	evenings
		.filter((e) => e.kitchen === kitchen.id && e.archived !== true)
		.toSorted((a, b) => a.origin - b.origin || (a.id < b.id ? -1 : 1));

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
			if (!counted) return [];
			const { x, S, before } = knowledge.believe([prior.id], last);
			const enough = isEnough(knowledge.weightOf(prior.id), S, before);
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
	const about = id.slice(0, id.indexOf(' ')) as Lesson['about'];
	const of = id.slice(id.indexOf(' ') + 1);
	const z = normalQuantile(0.9);
	const scale = scaleOf(kitchen, about, of, leftOf);
	const shown = (x: number) => (about === 'oven' ? x : scale * Math.exp(x));
	const taken = takenFor(kitchen, about, of);
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

	/** What plans take, where that was learnt or measured. */
	function takenFor(at: Kitchen, what: Lesson['about'], name: string): number | undefined {
		const learnt = at.learnt?.[what === 'yield' ? yieldId(name) : name]?.mean;
		const station = at.stations.find((s) => s.id === name);
		switch (what) {
			case 'pace':
				return at.cooks.find((c) => c.id === name)?.measuredPace;
			case 'burner':
				return burnerOf(at, name)?.measured;
			case 'oven':
				return station?.kind === 'oven' && (station.offset ?? 0) !== 0 ? station.offset : undefined;
			case 'step':
			case 'yield':
				return learnt === undefined ? undefined : scale * Math.exp(learnt);
		}
	}
}

/** What a lesson's factor is of, in its unit. */
function scaleOf(kitchen: Kitchen, about: Lesson['about'], of: string, leftOf: LeftOf): number {
	return about === 'burner' ? nominal(kitchen, of, 1) : about === 'yield' ? (leftOf(of) ?? 1) : 1;
}

const within = (x: number, least: number, most: number) => Math.min(most, Math.max(least, x));

/** A kitchen in which plans go by a lesson. */
export function withLesson(kitchen: Kitchen, lesson: Lesson): Kitchen {
	const { about, of, value, mean, sd, records, id } = lesson;
	const free = withoutHold(kitchen, id);
	switch (about) {
		case 'pace': {
			const measuredPace = within(Number(value.toFixed(2)), 0.2, 5);
			return { ...free, cooks: free.cooks.map((c) => (c.id === of ? { ...c, measuredPace } : c)) };
		}
		case 'burner': {
			const measured = within(Math.round(value), 50, 20_000);
			return {
				...free,
				stations: free.stations.map((s) => (s.kind === 'burner' && s.id === of ? { ...s, measured } : s))
			};
		}
		case 'oven': {
			const offset = within(Math.round(value), -80, 80);
			return { ...free, stations: free.stations.map((s) => (s.kind === 'oven' && s.id === of ? { ...s, offset } : s)) };
		}
		case 'step':
		case 'yield': {
			const learnt = { mean: within(mean, -2.5, 2.5), sd: within(sd, 0, 1), records };
			return { ...free, learnt: { ...free.learnt, [about === 'yield' ? id : of]: learnt } };
		}
	}
}

/** A kitchen as it was before a lesson: plans go by the model and the kitchen's own numbers again. */
export function withoutLesson(kitchen: Kitchen, { about, of }: Pick<Lesson, 'about' | 'of'>): Kitchen {
	const drop = <T extends object>(x: T, key: string): T =>
		Object.fromEntries(Object.entries(x).filter(([k]) => k !== key)) as T;
	if (about === 'pace')
		return { ...kitchen, cooks: kitchen.cooks.map((c) => (c.id === of ? drop(c, 'measuredPace') : c)) };
	if (about === 'step' || about === 'yield')
		return { ...kitchen, learnt: drop(kitchen.learnt ?? {}, about === 'yield' ? yieldId(of) : of) };
	const key = about === 'burner' ? 'measured' : 'offset';
	return { ...kitchen, stations: kitchen.stations.map((s) => (s.kind === about && s.id === of ? drop(s, key) : s)) };
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

/** Grams lost on the heat, as a share of the raw: of each part that was weighed. */
export const lossOf = (evening: Pick<CookedEvening, 'said'>, part: string): number | undefined => {
	const weighed = holding(evening).findLast((s) => s.kind === 'weighed' && s.part === part);
	return weighed?.kind === 'weighed' ? 1 - weighed.cooked / weighed.raw : undefined;
};
