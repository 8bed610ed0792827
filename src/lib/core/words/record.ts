// The record in a cook's words: what was learnt and from how much, how an evening went, what was said of a part.
import type { Kitchen } from '../model/kitchen';
import { platingKey } from '../model/record-key';
import type { Parameter } from '../model/technique';
import { tookOf, type CookedEvening, type CookedStep, type Verdict } from '../record/evening';
import { isExample } from '../record/pretend';
import type { Calibration, Missed } from '../record/honesty';
import type { Lesson } from '../record/lessons';
import { ovenOf } from '../record/taught';
import type { LessonEffect } from '../record/usual-in';
import { formatDuration } from '../units/time';

/** Less is on time, seconds. */
const punctual = 60;

const many = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`;
const times = (factor: number) => factor.toFixed(2);
const watts = (w: number) => `${Math.round(w / 10) * 10} W`;
const percent = (share: number) => `${Math.round(100 * share)} %`;
const kelvin = (k: number) => {
	const whole = Math.round(k);
	return whole === 0
		? 'as hot as its knob says'
		: `${Math.abs(whole)} K ${whole > 0 ? 'hotter' : 'cooler'} than its knob`;
};

/** What a record is of: a piece of handwork, plating, or a step as it was called last. */
export function wordKey(key: string, evenings: readonly CookedEvening[]): string {
	if (key === platingKey) return 'Plating';
	if (key === 'wash') return 'Washing up in between';
	const hand = /^(?:knife|piece) (.+)$/.exec(key)?.[1];
	if (hand !== undefined) return hand.charAt(0).toUpperCase() + hand.slice(1);
	for (const { steps, parts } of evenings) {
		const step = steps.find((s) => s.key === key);
		if (!step) continue;
		const part = parts.find((p) => p.id === step.part)?.name;
		return part === undefined ? step.say : `${plainSay(step)} (${part})`;
	}
	return key;
}

/** A step's words without the figures that were filled in, and without which batch it was. */
export const plainSay = ({ say }: Pick<CookedStep, 'say'>): string =>
	say
		.replace(/\s*\{[^}]*\}\s*/g, ' ')
		.replace(/, \d+ of \d+$/, '')
		.trim();

/** Where an oven's time from cold is told to, °C. */
const warmTo = 200;
/** From a room that is not known, K. */
const climb = 180;

/** What a lesson says: short, of whom or what, and against what. */
export function wordLesson(lesson: Lesson, kitchen: Kitchen, evenings: readonly CookedEvening[]): string {
	const { about, of, value, now } = lesson;
	switch (about) {
		case 'pace': {
			const name = kitchen.cooks.find((c) => c.id === of)?.name ?? of;
			return `${name}: knife and handwork take ${times(value)} of a home cook’s time; plans take ${times(now)}`;
		}
		case 'burner': {
			const name = kitchen.stations.find((s) => s.id === of)?.name ?? of;
			return `${name} gives ${watts(value)}; plans take ${watts(now)}`;
		}
		case 'oven': {
			const name = kitchen.stations.find((s) => s.id === of)?.name ?? of;
			return `${name} is ${kelvin(value)}; plans take it as ${Math.round(now) === 0 ? 'right' : kelvin(now)}`;
		}
		case 'film': {
			const name = kitchen.stations.find((s) => s.id === of)?.name ?? of;
			return `${name}: its air takes heat into food ${times(value)} times as fast as most, by your probe; plans take ${times(now)}`;
		}
		case 'heat-up': {
			const oven = ovenOf(kitchen, of);
			const from = oven?.room ?? 20;
			const takes = (rise: number) => formatDuration(rise * (warmTo - from));
			return `${oven?.name ?? of} takes ${takes(value)} from cold to ${warmTo} °C; plans take ${takes(now)}`;
		}
		case 'yield': {
			const name = evenings.flatMap((e) => e.parts).findLast((x) => x.technique === of)?.name ?? of;
			return `${name}: ${percent(value)} of the raw weight is left by the heat; quantities take ${percent(now)}`;
		}
		case 'step': {
			const by = value >= 1 ? 'longer' : 'less long';
			const share = Math.round(100 * Math.abs(value - 1));
			const planned = Math.abs(now - 1) < 0.005 ? 'the model alone' : `${times(now)} times the model`;
			return `${wordKey(of, evenings)} takes ${share} % ${by} than the model says; plans take ${planned}`;
		}
	}
}

/** From how much it is known, and how well. */
export function wordEvidence({ about, records, evenings, low, high, isEnough }: Lesson): string {
	const from = `${many(records, 'record')} of ${many(evenings, 'evening')}`;
	if (!isEnough) return `Not enough records: ${from}.`;
	const range = {
		pace: `between ${times(low)} and ${times(high)}`,
		step: `between ${times(low)} and ${times(high)} times the model`,
		yield: `between ${percent(low)} and ${percent(high)}`,
		burner: `between ${watts(low)} and ${watts(high)}`,
		film: `between ${times(low)} and ${times(high)} times`,
		'heat-up': `between ${formatDuration(low * climb)} and ${formatDuration(high * climb)}`,
		oven: `between ${signed(low)} and ${signed(high)} K`
	}[about];
	return `${from}; eight in ten that it is ${range}.`;
}

const signed = (x: number) => `${x < 0 ? '−' : '+'}${Math.abs(x).toFixed(0)}`;

/** How an evening ended: when each course went out against when it was due; and that it is made up, where it is. */
export function wordEvening({ courses, id }: Pick<CookedEvening, 'courses' | 'id'>): string {
	const out = courses.flatMap((c) => (c.out === undefined ? [] : [{ ...c, late: c.out - c.planned }]));
	const made = isExample(id) ? ', made up' : '';
	if (out.length === 0) return `not served${made}`;
	const worst = Math.max(...out.map((c) => c.late));
	const said = worst < punctual ? 'on time' : `${formatDuration(worst)} late`;
	return (out.length < courses.length ? `${said}, not all served` : said) + made;
}

/** How long a step took against what was thought. */
export function wordTook(step: CookedStep): string {
	const took = tookOf(step);
	if (step.how === 'left out') return 'left out';
	if (took === undefined) return step.ended === undefined ? 'not told' : 'its beginning was not told';
	const off = took - step.p50;
	const band = took < step.p10 ? 'sooner than thought' : took > step.p90 ? 'later than thought' : 'as thought';
	return Math.abs(off) < 15 ? 'as thought' : `${formatDuration(Math.abs(off))} ${off > 0 ? 'more' : 'less'}, ${band}`;
}

/** Why a step teaches nothing; empty where it does. */
export function wordNoLesson(step: CookedStep): string {
	if (step.disturbed === true) return 'something came between: it teaches nothing';
	return step.byClock === true && tookOf(step) !== undefined ? 'ended by the clock: it teaches nothing' : '';
}

export const doneWords = ['far under', 'under', 'right', 'over', 'far over'] as const;
export const warmWords = ['cold', 'cool', 'right', 'hot', 'too hot'] as const;

/** A verdict in a line; empty where nothing was said. */
export function wordVerdict({ done, warm, worth, word }: Partial<Verdict>): string {
	const said = [
		done === undefined ? '' : `done: ${doneWords[done + 2] ?? ''}`,
		warm === undefined ? '' : `warmth: ${warmWords[warm + 2] ?? ''}`,
		worth === undefined ? '' : `${worth} of 5`,
		word === undefined || word === '' ? '' : `“${word}”`
	];
	return said.filter((s) => s !== '').join(', ');
}

/** How good predictions of one kind were. */
export function wordCalibration({ kind, count, inside, below, above }: Calibration): string {
	const name = kind === 'hands' ? 'Handwork' : 'On the heat';
	const share = Math.round((100 * inside) / count);
	return `${name}: ${share} of 100 of ${many(count, 'time')} fell where eight in ten were to fall; ${below} were sooner, ${above} later`;
}

/** What something that was learnt changes in the open meal. */
export function wordLessonEffect({ steps, seconds }: LessonEffect, { about, value, now }: Lesson): string {
	if (about === 'oven' && steps === 0) {
		const by = Math.round(value - now);
		return `Times stay: its knob is set ${Math.abs(by)} K ${by > 0 ? 'lower' : 'higher'}.`;
	}
	if (about === 'yield') {
		const by = Math.round(100 * Math.abs(now / value - 1));
		return `Of it ${by} % ${value < now ? 'more' : 'less'} is bought for the same plates.`;
	}
	if (about === 'heat-up') {
		const by = (value - now) * climb;
		return `It is switched on ${formatDuration(Math.abs(by))} ${by > 0 ? 'sooner' : 'later'}.`;
	}
	if (steps === 0) return 'In the open meal nothing changes.';
	const what = steps === 1 ? 'one step takes' : `${steps} steps take`;
	const all = steps === 1 ? '' : ' in all';
	return `In the open meal ${what} ${formatDuration(Math.abs(seconds))} ${seconds > 0 ? 'longer' : 'less'}${all}.`;
}

/** How predictions have become, from the first evenings to the last. */
export function wordOffBy(missed: readonly Missed[]): string {
	const middle = (list: readonly Missed[]) => list.reduce((sum, m) => sum + m.median, 0) / Math.max(1, list.length);
	const third = Math.max(1, Math.floor(missed.length / 3));
	const [first, last] = [middle(missed.slice(0, third)), middle(missed.slice(-third))];
	const what = third === 1 ? ['the first evening', 'the last'] : [`the first ${third} evenings`, `the last ${third}`];
	return `Half of all times were off by less than ${percent(first)} on ${what[0] ?? ''}, and by less than ${percent(last)} on ${what[1] ?? ''}.`;
}

/** A setting of a part as its technique names it; metric (see `inUnits`). */
export function wordParameter(parameter: Parameter | undefined, value: number): string {
	const named = parameter?.options?.find((o) => o.value === value)?.say;
	if (named !== undefined) return parameter?.unit === '°C' ? `${named}, ${value} °C` : named;
	const unit = parameter?.unit === 'choice' || parameter === undefined ? '' : ` ${parameter.unit}`;
	return `${Number(value.toFixed(2))}${unit}`;
}
