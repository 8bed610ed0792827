// Bench: how long a piece takes, when to pull it, how far it climbs; and the same in a pan, turned.
import { type Body, type Film, type Solid } from '../heat/body';
import { doneness, middleOf, type Style } from '../heat/doneness';
import { films } from '../heat/films';
import { firstBite } from '../heat/holding';
import { fats, type Fat } from '../foods/fats';
import { browning, browningDose, dryingTime, smokeAt } from '../heat/pan';
import { foodProperties, foods, type Food } from '../heat/properties';
import { HeatThenRest } from '../heat/rest';
import { advisedFor } from '../safety/advised';
import { belowAdvised } from '../safety/rules';
import { cook, goes, type Piece } from '../timing/pieces';
import type { Care } from '../model/time-facts';
import { printSeconds, printTemperature } from '../units/print';
import { wordCare } from '../words/steps';
import {
	choiceField,
	instants,
	minutes,
	num,
	numberField,
	onlyWhen,
	text,
	type Answer,
	type Inputs,
	type Question
} from './question';

const around = ['fan oven', 'still oven', 'water bath', 'simmering water', 'steam'] as const;
const shapes = ['slab', 'long roll', 'ball', 'short roll'] as const;

function solidOf(inputs: Inputs): Solid {
	const d = num(inputs, 'thickness') / 1000;
	switch (text(inputs, 'shape')) {
		case 'long roll':
			return { shape: 'cylinder', diameter: d };
		case 'ball':
			return { shape: 'sphere', diameter: d };
		case 'short roll':
			return { shape: 'finite-cylinder', diameter: d, length: num(inputs, 'length') / 1000 };
		default:
			return { shape: 'slab', thickness: d };
	}
}

function filmOf(inputs: Inputs): Film {
	const tinf = num(inputs, 'heat');
	switch (text(inputs, 'around')) {
		case 'water bath':
			return { h: films['water bath'].h, tinf };
		case 'simmering water':
			return { h: films.simmer.h, tinf: Math.min(tinf, 100) };
		default:
			return { h: films['steam with air'].h, tinf: Math.min(tinf, 100) };
	}
}

/** What is cautioned, in words: questions are answered as one types, and stand by themselves. */
const wordedCare = (care: Care): string => (care.kind === 'below-advised' ? belowAdvised : wordCare(care));

/** Where it is cooked, as a step of a meal. */
function placeOf(inputs: Inputs): { readonly where?: 'burner' | 'oven'; readonly setting?: number } {
	const where = text(inputs, 'around');
	if (where === 'water bath') return {};
	return where.includes('oven') ? { where: 'oven', setting: num(inputs, 'heat') } : { where: 'burner' };
}

const coreReason =
	'Conduction, exact series with carryover (Carslaw & Jaeger); properties from composition (Choi & Okos). Off by ± 8 % in time: the probe decides.';
const moistReason =
	'Moist faces: water evaporates under a drying crust, through heat and rest (Goñi & Salvadori; van der Sman). Off by ± 15 % in time in an oven, ± 21 % in a pan, ± 2 to 3 K in the climb: the probe decides.';

const covers = { 'on a board': 'bare', tented: 'tented', wrapped: 'wrapped' } as const;

/** The piece as one of a meal, in an oven or in a pan. */
function pieceOf(inputs: Inputs, where: Piece['where']): Piece {
	const food = text(inputs, 'food') as Food;
	const shape = text(inputs, 'shape');
	const isFish = food === 'white fish' || food === 'salmon';
	return {
		food,
		size: num(inputs, 'thickness') / 1000,
		shape: shape === 'ball' ? 'sphere' : shape === 'long roll' || shape === 'short roll' ? 'cylinder' : 'slab',
		face: isFish ? 'fish' : 'meat',
		skin: undefined,
		bone: 1,
		start: num(inputs, 'start'),
		isTempered: false,
		goal: where.kind === 'pan' ? 100 : num(inputs, 'peak'),
		where,
		turns: where.kind === 'pan' ? num(inputs, 'turns') : 0,
		turnedAt: 0.5,
		seared: undefined,
		finish: undefined,
		rest: where.kind === 'pan' ? 'bare' : covers[text(inputs, 'rest') as keyof typeof covers],
		room: where.kind === 'pan' ? 22 : num(inputs, 'room'),
		altitude: 0,
		...(shape === 'short roll' ? { length: num(inputs, 'length') / 1000 } : shape === 'long roll' ? { length: 10 } : {})
	};
}

function answerInOven(inputs: Inputs): Answer {
	const hasFan = text(inputs, 'around') === 'fan oven';
	const piece = pieceOf(inputs, { kind: 'oven', setting: num(inputs, 'heat'), hasFan });
	const { seconds, pull, peak, after, loss, raised, care } = cook(piece);
	const cautions = care.map(wordedCare);
	if (!Number.isFinite(seconds)) {
		const trouble = `${printTemperature(piece.goal)} is not reached: its wet face stays cooler than the air. Raise the heat, or ask for less.`;
		return { lines: [], cautions, trouble, reason: moistReason };
	}
	if (seconds === 0) {
		const trouble = `It starts at ${printTemperature(piece.start)}: it has ${printTemperature(piece.goal)} already. Ask for more.`;
		return { lines: [], cautions, trouble, reason: moistReason };
	}
	const served = num(inputs, 'wait') * 60;
	const end = Math.max(after * 1.6, served + 60);
	const moments = goes(piece, seconds, end);
	const later = (since: number) =>
		moments.reduce((a, b) => (Math.abs(b.at - seconds - since) < Math.abs(a.at - seconds - since) ? b : a)).reading;
	const cool = moments.find((m) => m.at > seconds + after && m.reading < firstBite.meat);
	const few = moments.filter((_, i) => i % Math.ceil(moments.length / 240) === 0);
	const hot = few.filter((m) => m.at <= seconds);
	return {
		lines: [
			{ say: 'Pull after', value: printSeconds(seconds) },
			{ say: 'Pull at', value: printTemperature(pull, 'metric', 'core') },
			{ say: 'Its face then', value: printTemperature(hot.at(-1)?.face ?? pull) },
			{ say: 'It peaks at', value: `${printTemperature(peak, 'metric', 'core')} after ${printSeconds(after)}` },
			...(raised === undefined
				? []
				: [{ say: 'Asked for', value: `${printTemperature(raised)}, which heat and rest would not make safe` }]),
			{ say: `After ${num(inputs, 'wait')} min of rest`, value: printTemperature(later(served), 'metric', 'core') },
			{
				say: 'Too cool in the middle',
				value: cool === undefined ? `not within ${printSeconds(end)}` : `after ${printSeconds(cool.at - seconds)}`
			},
			{ say: 'It loses', value: `${Math.round(loss)} % of its mass` }
		],
		chart: {
			x: 'minutes',
			y: '°C',
			curves: [
				{ name: 'core', tone: 'core', x: minutes(few.map((m) => m.at)), y: few.map((m) => m.reading) },
				{ name: 'face', tone: 'hot', x: minutes(few.map((m) => m.at)), y: few.map((m) => m.face) }
			],
			marks: [
				{ x: seconds / 60, y: pull, say: 'pull' },
				{ x: (seconds + after) / 60, y: peak, say: 'peak' },
				{ x: (seconds + served) / 60, y: later(served), say: 'serve' }
			]
		},
		cautions,
		reason: moistReason,
		step: {
			say: `Cook to ${printTemperature(pull, 'metric', 'core')}`,
			seconds,
			spread: 0.15,
			...placeOf(inputs)
		}
	};
}

function answerCore(inputs: Inputs): Answer {
	return text(inputs, 'around').includes('oven') ? answerInOven(inputs) : answerInMedium(inputs);
}

function answerInMedium(inputs: Inputs): Answer {
	const food = text(inputs, 'food') as Food;
	const start = num(inputs, 'start');
	const peak = num(inputs, 'peak');
	const heat = filmOf(inputs);
	const { k, alpha } = foodProperties(food, (start + peak) / 2);
	const body: Body = { ...solidOf(inputs), k, alpha };
	const room = num(inputs, 'room');
	const rest: Film = { h: films[text(inputs, 'rest') === 'tented' ? 'tented' : 'on a board'].h, tinf: room };
	const stages = new HeatThenRest(body, heat, rest, start);
	const pull = stages.pullTimeFor(peak);
	const cautions = peak < 63 ? [belowAdvised] : [];
	if (!Number.isFinite(pull)) {
		const trouble = `${printTemperature(peak)} is not reached: what is around it comes to ${printTemperature(heat.tinf)} at its surface. Raise the heat, or ask for less.`;
		return { lines: [], cautions, trouble, reason: coreReason };
	}
	if (pull === 0) {
		const trouble = `It starts at ${printTemperature(start)}: it has ${printTemperature(peak)} already. Ask for more.`;
		return { lines: [], cautions, trouble, reason: coreReason };
	}
	const at = stages.atPull(pull);
	const { core, after } = stages.peak(pull);
	const later = stages.coreAfter(pull);
	const served = num(inputs, 'wait') * 60;
	const end = Math.max(after * 1.6, served + 60);
	const [heating, resting] = [instants(pull), instants(end, 60)];
	const cool = resting.find((t) => t > after && later(t) < firstBite.meat);
	return {
		lines: [
			{ say: 'Pull after', value: printSeconds(pull) },
			{ say: 'Pull at', value: printTemperature(at.core, 'metric', 'core') },
			{ say: 'Surface then', value: printTemperature(at.surface) },
			{ say: 'It peaks at', value: `${printTemperature(core, 'metric', 'core')} after ${printSeconds(after)}` },
			{ say: `After ${num(inputs, 'wait')} min of rest`, value: printTemperature(later(served), 'metric', 'core') },
			{
				say: 'Too cool in the middle',
				value: cool === undefined ? `not within ${printSeconds(end)}` : `after ${printSeconds(cool)}`
			}
		],
		chart: {
			x: 'minutes',
			y: '°C',
			curves: [
				{
					name: 'core',
					tone: 'core',
					x: minutes([...heating, ...resting.map((t) => pull + t)]),
					y: [...heating.map((t) => stages.atPull(t).core), ...resting.map(later)]
				},
				{ name: 'surface', tone: 'hot', x: minutes(heating), y: heating.map((t) => stages.atPull(t).surface) }
			],
			marks: [
				{ x: pull / 60, y: at.core, say: 'pull' },
				{ x: (pull + after) / 60, y: core, say: 'peak' },
				{ x: (pull + served) / 60, y: later(served), say: 'serve' }
			]
		},
		cautions,
		reason: coreReason,
		step: {
			say: `Cook to ${printTemperature(at.core, 'metric', 'core')}`,
			seconds: pull,
			spread: 0.12,
			...placeOf(inputs)
		}
	};
}

export const core: Question = {
	id: 'core',
	name: 'Core and carryover',
	fields: [
		choiceField(
			'food',
			'Food',
			foods.filter((f) => !f.startsWith('egg')),
			'lean meat'
		),
		choiceField('shape', 'Shape', shapes),
		numberField('thickness', 'Thickness', 'mm', 35, 5, 200),
		onlyWhen('shape', 'short roll', numberField('length', 'Length', 'mm', 120, 10, 500, 5)),
		numberField('start', 'Starts at', '°C', 6, 0, 40),
		choiceField('around', 'Cooks in', around),
		numberField('heat', 'At', '°C', 160, 40, 300, 5),
		numberField('peak', 'Core wanted', '°C', 56, 35, 98),
		choiceField('rest', 'Rests', ['on a board', 'tented', 'wrapped']),
		numberField('room', 'Room', '°C', 22, 5, 40),
		numberField('wait', 'Served after a rest of', 'min', 8, 0, 60)
	],
	answer: answerCore
};

/** Share of the time that a basted face is under fat; rest that is looked at, seconds. */
const basted = 0.4;
const restLooked = 900;

export const pan: Question = {
	id: 'pan',
	name: 'In a pan, turned',
	fields: [
		choiceField('food', 'Food', ['lean meat', 'poultry breast', 'duck breast', 'salmon', 'white fish'], 'lean meat'),
		numberField('thickness', 'Thickness', 'mm', 25, 8, 60),
		numberField('start', 'Starts at', '°C', 8, 0, 30),
		numberField('minutes', 'In the pan', 'min', 6, 1, 40, 0.5),
		numberField('turns', 'Turned every', 's', 60, 15, 1200, 15),
		choiceField('upper', 'Face up', ['open', 'basted']),
		numberField('surface', 'Pan at', '°C', 210, 120, 300, 5),
		choiceField('fat', 'Fat', Object.keys(fats), 'refined rapeseed oil')
	],
	answer(inputs) {
		const whole = num(inputs, 'minutes') * 60;
		const count = Math.max(1, Math.round(whole / Math.min(whole, num(inputs, 'turns'))));
		const baste = text(inputs, 'upper') === 'basted' ? basted : 0;
		const piece = { ...pieceOf(inputs, { kind: 'pan', baste }), turns: whole / count };
		const trace = goes(piece, whole, restLooked);
		const pulled = trace.reduce((a, b) => (Math.abs(b.at - whole) < Math.abs(a.at - whole) ? b : a));
		const top = trace.filter((m) => m.at >= whole).reduce((a, b) => (b.reading > a.reading ? b : a), pulled);
		const surface = num(inputs, 'surface');
		const smoke = smokeAt(text(inputs, 'fat') as Fat, surface);
		// The crust itself is far cooler than the pan: 150 °C on one of 190, 157 on one of 220.
		const crust = 150 + (surface - 190) / 4.1;
		const browned = Math.max(0, whole / 2 - dryingTime(surface, true));
		const dose = surface < 170 ? 0 : browningDose(crust, browned);
		const words = {
			calm: 'it does not smoke',
			ventilate: 'close to its smoke point: fan on, window open',
			smokes: 'it smokes: a cooler pan, or another fat. Ventilate; an alarm is never switched off',
			fire: 'it may catch fire: lid on, heat off, never water'
		} as const;
		return {
			lines: [
				{ say: 'Middle when it comes out', value: printTemperature(pulled.reading, 'metric', 'core') },
				{
					say: 'It peaks at',
					value: `${printTemperature(top.reading, 'metric', 'core')} after ${printSeconds(top.at - whole)}`
				},
				{ say: 'Turns', value: String(count - 1) },
				{
					say: 'Crust',
					value:
						dose < browning.golden / 2
							? 'none: it greys'
							: dose < browning.golden
								? 'pale'
								: dose < browning.brown
									? 'golden'
									: dose < browning.bitter
										? 'brown'
										: 'dark, turning bitter'
				},
				{ say: 'The fat', value: words[smoke] }
			],
			chart: {
				x: 'minutes',
				y: '°C',
				curves: [
					{ name: 'face down first', tone: 'hot', x: minutes(trace.map((p) => p.at)), y: trace.map((p) => p.other) },
					{ name: 'other face', tone: 'faint', x: minutes(trace.map((p) => p.at)), y: trace.map((p) => p.face) },
					{ name: 'middle', tone: 'core', x: minutes(trace.map((p) => p.at)), y: trace.map((p) => p.reading) }
				],
				marks: [
					{ x: whole / 60, y: pulled.reading, say: 'pull' },
					{ x: top.at / 60, y: top.reading, say: 'peak' }
				]
			},
			cautions: [
				...(top.reading < (advisedFor(piece.food)?.celsius ?? 63) ? [belowAdvised] : []),
				...(smoke === 'calm' ? [] : [`${text(inputs, 'fat')}: ${words[smoke]}.`])
			],
			reason: moistReason,
			step: { say: 'Sear and turn', seconds: whole, spread: 0.15, where: 'burner' }
		};
	}
};

export const styles: Question = {
	id: 'doneness',
	name: 'How done',
	fields: [choiceField('food', 'Food', Object.keys(doneness))],
	answer(inputs) {
		const list: readonly Style[] = doneness[text(inputs, 'food') as keyof typeof doneness];
		return {
			lines: list.map((s) => ({
				say: s.say,
				value: `${s.from}–${s.to} °C, middle ${printTemperature(middleOf(s), 'metric', 'core')}`
			})),
			cautions: list.some((s) => s.from < 63) ? [belowAdvised] : [],
			reason: 'Core at its peak, after the rest: McGee, Baldwin, usual kitchen practice. Taste only; houses differ.'
		};
	}
};
