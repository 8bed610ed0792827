// What the evenings of a kitchen say of it, as observations: of a step, a cook's pace, a burner, an oven's knob, its
// heat-up and its air, what the heat leaves of a food.
import { efficiency } from '../heat/burner';
import { isUsable, noise, priorSd, type Prior } from '../learn/factors';
import type { Dated } from '../learn/record';
import type { Kitchen, StationOf } from '../model/kitchen';
import { dayOf } from '../units/zoned';
import { holding, tookOf, type CookedEvening, type CookedStep } from './evening';

/** What all burners of a kitchen have in common: its pots and lids, its gas, its mains. */
export const stove = 'stove all';
/** ln of a burner's power: what it shares with the others, and its own; together as any equipment (est.). */
const stoveShare = 0.64;
/** An oven's knob is off by this, K, before anything is measured (est.); a thermometer in it swings by this. */
const ovenSd = 15;
const thermometerSd = 4;
/** ln of a factor on its film (as for a probe's stream, docs/probe.md), and on its time from cold (est.); how far one heat-up is. */
const filmSd = 0.25;
const heatUpSd = 0.3;
const heatUpNoise = 0.12;
/** Faster or slower than so, it was not told as it went. */
const fastest = 0.25;
/** ln of what is left of a food on the heat: how far tables are trusted, and how far one weighing is (est.). */
const yieldSd = 0.12;
const weighingSd = 0.06;
/** Less or more is left of nothing: it was typed wrong. */
const leftWithin = [0.2, 1.3] as const;

/** What may be learnt of. */
export type About = 'pace' | 'burner' | 'oven' | 'film' | 'heat-up' | 'step' | 'yield';
/** The name of what is learnt: of a cook, a station, what a step is a record of, or a technique. */
export const idOf = (about: About, of: string): string => `${about} ${of}`;
/** What such a name is about, and of what. */
export function partsOf(id: string): { readonly about: About; readonly of: string } {
	const space = id.indexOf(' ');
	return { about: id.slice(0, space) as About, of: id.slice(space + 1) };
}

/** A record as an observation, and what it is of. */
export interface Taught extends Dated {
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
			of: [idOf('step', step.key), idOf('pace', cook)],
			weights: [1, per],
			y: y - Math.log(whole) + per * Math.log(pace),
			sigma: noise.hands
		};
	}
	const sigma = noise[step.kind];
	if (!equipment) return { ...common, of: [idOf('step', step.key)], y, sigma };
	const { kind, id, per } = equipment;
	const unit = idOf(kind, id);
	const watched = { ...common, sigma, watched: unit };
	const own = idOf('step', step.key);
	if (kind === 'burner') {
		const assumed = Math.log(equipment.watts / nominal(kitchen, id, equipment.watts));
		return { ...watched, of: [own, unit, stove], weights: [1, per, per], y: y + per * assumed };
	}
	const { offset, film = 1, perFilm = 0 } = equipment;
	const assumed = per * offset + perFilm * Math.log(film);
	return { ...watched, of: [own, unit, idOf('film', id)], weights: [1, per, perFilm], y: y + assumed };
}

const burnerOf = (kitchen: Kitchen, id: string) =>
	kitchen.stations.find((s): s is StationOf<'burner'> => s.kind === 'burner' && s.id === id);

export const ovenOf = (kitchen: Kitchen, id: string) =>
	kitchen.stations.find((s): s is StationOf<'oven'> => s.kind === 'oven' && s.id === id);

/** Net watts of a burner by its plate; what was assumed, where the kitchen has it no more. */
export function nominal(kitchen: Kitchen, id: string, otherwise: number): number {
	const burner = burnerOf(kitchen, id);
	return burner ? burner.power * efficiency[burner.fuel].usual : otherwise;
}

/** What thermometers said, as observations of the oven alone. */
const heatsOf = (evening: CookedEvening): readonly Taught[] =>
	evening.heats.map(({ lane, knob, celsius }) => ({
		day: dayOf(evening.date),
		evening: evening.id,
		of: [idOf('oven', lane)],
		y: celsius - knob,
		sigma: thermometerSd,
		watched: idOf('oven', lane)
	}));

/** Whether, and what, a probe's readings said of the air of a step's oven. */
const filmIn = ({ equipment, disturbed }: CookedStep) =>
	equipment?.kind === 'oven' && disturbed !== true ? equipment.seen : undefined;

/** What probes said, as observations of the film, and of the oven by how much a K would change that. */
const filmsOf = (evening: CookedEvening): readonly Taught[] =>
	evening.steps.flatMap((step): Taught[] => {
		const seen = filmIn(step);
		const { equipment } = step;
		if (!seen || equipment?.kind !== 'oven') return [];
		const { id, offset } = equipment;
		return [
			{
				day: dayOf(evening.date),
				evening: evening.id,
				of: [idOf('film', id), idOf('oven', id)],
				weights: [1, -seen.perKelvin],
				y: seen.mean - seen.perKelvin * offset,
				sigma: seen.sd
			}
		];
	});

/** How long ovens took from cold, as observations. */
const warmedIn = (evening: CookedEvening, kitchen: Kitchen): readonly Taught[] =>
	(evening.warmed ?? []).flatMap(({ lane, seconds, celsius }): Taught[] => {
		const oven = ovenOf(kitchen, lane);
		const usual = oven ? oven.rise * (celsius - oven.room) : 0;
		if (usual <= 0 || seconds < usual * fastest || seconds > usual / fastest) return [];
		const common = { day: dayOf(evening.date), evening: evening.id, of: [idOf('heat-up', lane)] };
		return [{ ...common, y: Math.log(seconds / usual), sigma: heatUpNoise, watched: idOf('heat-up', lane) }];
	});

/** What is left of a technique's food on the heat, by the tables, as a share; `undefined` where they do not say. */
export type LeftOf = (technique: string) => number | undefined;
/** Tables that say nothing. */
export const unknown: LeftOf = () => undefined;

/** What was weighed, as observations of what the heat leaves. */
const weighedIn = (evening: CookedEvening, leftOf: LeftOf): readonly Taught[] =>
	evening.parts.flatMap(({ id, technique }) => {
		const loss = lossOf(evening, id);
		const table = leftOf(technique);
		if (loss === undefined || table === undefined) return [];
		const left = 1 - loss;
		if (left < leftWithin[0] || left > leftWithin[1]) return [];
		const common = { day: dayOf(evening.date), evening: evening.id, sigma: weighingSd };
		return [{ ...common, of: [idOf('yield', technique)], y: Math.log(left / table) }];
	});

/** All that an evening teaches. */
export const taughtBy = (evening: CookedEvening, kitchen: Kitchen, leftOf: LeftOf): readonly Taught[] => [
	...evening.steps.flatMap((s) => observed(evening, s, kitchen) ?? []),
	...heatsOf(evening),
	...filmsOf(evening),
	...warmedIn(evening, kitchen),
	...weighedIn(evening, leftOf)
];

/** What is there to be learnt about, with what is believed of it before any evening. */
export function priorsOf(evenings: readonly CookedEvening[], kitchen: Kitchen, leftOf: LeftOf): readonly Prior[] {
	const weighed = new Set(evenings.flatMap((e) => weighedIn(e, leftOf).flatMap((t) => t.of)));
	const steps = evenings.flatMap((e) => e.steps);
	const probed = new Set(steps.flatMap((s) => (s.equipment && filmIn(s) ? [s.equipment.id] : [])));
	const doubts = new Map<string, number>();
	for (const { key, kind, paced = 0, sigma } of steps) {
		// A computed time is trusted as far as its model; handwork and estimates less.
		const doubt = kind === 'hands' && paced > 0 ? priorSd.step : Math.min(priorSd.step, Math.max(0.05, sigma));
		doubts.set(key, Math.min(doubt, doubts.get(key) ?? Infinity));
	}
	return [
		...[...doubts].map(([key, sd]) => ({ id: idOf('step', key), mean: 0, sd })),
		...[...weighed].map((id) => ({ id, mean: 0, sd: yieldSd })),
		...kitchen.cooks.map((c) => ({ id: idOf('pace', c.id), mean: Math.log(c.pace ?? 1), sd: priorSd.cook })),
		{ id: stove, mean: 0, sd: priorSd.equipment * Math.sqrt(stoveShare) },
		...kitchen.stations.flatMap((s) => {
			if (s.kind === 'burner')
				return [{ id: idOf('burner', s.id), mean: 0, sd: priorSd.equipment * Math.sqrt(1 - stoveShare) }];
			if (s.kind !== 'oven') return [];
			return [
				{ id: idOf('oven', s.id), mean: 0, sd: ovenSd },
				{ id: idOf('heat-up', s.id), mean: 0, sd: heatUpSd },
				// Without a probe nothing tells an oven's air from its knob.
				...(probed.has(s.id) ? [{ id: idOf('film', s.id), mean: 0, sd: filmSd }] : [])
			];
		})
	];
}

/** The evenings of a kitchen that count, in order. */
export const countedIn = (evenings: readonly CookedEvening[], kitchen: Kitchen): readonly CookedEvening[] =>
	evenings
		.filter((e) => e.kitchen === kitchen.id && e.archived !== true)
		.toSorted((a, b) => a.origin - b.origin || (a.id < b.id ? -1 : 1));

/** Grams lost on the heat, as a share of the raw: of each part that was weighed. */
export const lossOf = (evening: Pick<CookedEvening, 'said'>, part: string): number | undefined => {
	const weighed = holding(evening).findLast((s) => s.kind === 'weighed' && s.part === part);
	return weighed?.kind === 'weighed' ? 1 - weighed.cooked / weighed.raw : undefined;
};
