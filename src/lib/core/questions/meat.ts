// Bench: how long a piece takes, when to pull it, how far it climbs; and the same in a pan, turned.
import { type Body, type Film, type Solid } from '../heat/body';
import { doneness, middleOf, type Style } from '../heat/doneness';
import { bastedFace, films, wetContact } from '../heat/films';
import { firstBite } from '../heat/holding';
import { panTurns } from '../heat/pan-turns';
import { fats, type Fat } from '../foods/fats';
import { browning, browningDose, dryingTime, smokeAt } from '../heat/pan';
import { foodProperties, foods, type Food } from '../heat/properties';
import { HeatThenRest } from '../heat/rest';
import { shortcutFilm, vapours, wetness } from '../heat/surface';
import { belowAdvised } from '../safety/rules';
import { printSeconds, printTemperature } from '../units/print';
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
		case 'steam':
			return { h: films['steam with air'].h, tinf: Math.min(tinf, 100) };
		default: {
			const h = films[text(inputs, 'around') === 'fan oven' ? 'fan oven' : 'still oven'].h;
			const air = { air: tinf, wall: tinf, h, vapour: vapours.vented, wetness: wetness.food, boil: 100 };
			return shortcutFilm(air);
		}
	}
}

/** Where it is cooked, as a step of a meal. */
function placeOf(inputs: Inputs): { readonly where?: 'burner' | 'oven'; readonly setting?: number } {
	const where = text(inputs, 'around');
	if (where === 'water bath') return {};
	return where.includes('oven') ? { where: 'oven', setting: num(inputs, 'heat') } : { where: 'burner' };
}

const coreReason =
	'Conduction, exact series with carryover (Carslaw & Jaeger); properties from composition (Choi & Okos). Off by ± 8 % in time in a bath, ± 15 % in an oven, ± 1.5 K in the climb: the probe decides.';

function answerCore(inputs: Inputs): Answer {
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
		choiceField('rest', 'Rests', ['on a board', 'tented']),
		numberField('room', 'Room', '°C', 22, 5, 40),
		numberField('wait', 'Served after a rest of', 'min', 8, 0, 60)
	],
	answer: answerCore
};

/** Share of the time that a basted face is under fat. */
const basted = 0.4;

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
		const thickness = num(inputs, 'thickness') / 1000;
		const whole = num(inputs, 'minutes') * 60;
		const every = Math.min(whole, num(inputs, 'turns'));
		const count = Math.max(1, Math.round(whole / every));
		const { k, alpha } = foodProperties(text(inputs, 'food') as Food, 35);
		const r = panTurns({
			thickness,
			k,
			alpha,
			t0: num(inputs, 'start'),
			pan: wetContact,
			up: text(inputs, 'upper') === 'basted' ? bastedFace(basted) : { h: 20, tinf: 22 },
			rest: { h: 11, tinf: 22 },
			intervals: Array.from({ length: count }, () => whole / count)
		});
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
				{ say: 'Middle when it comes out', value: printTemperature(r.middle, 'metric', 'core') },
				{
					say: 'It peaks at',
					value: `${printTemperature(r.peak, 'metric', 'core')} after ${printSeconds(r.peakAfter)}`
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
					{ name: 'face down first', tone: 'hot', x: minutes(r.trace.map((p) => p.at)), y: r.trace.map((p) => p.a) },
					{ name: 'other face', tone: 'faint', x: minutes(r.trace.map((p) => p.at)), y: r.trace.map((p) => p.b) },
					{ name: 'middle', tone: 'core', x: minutes(r.trace.map((p) => p.at)), y: r.trace.map((p) => p.middle) }
				],
				marks: [
					{ x: whole / 60, y: r.middle, say: 'pull' },
					{ x: (whole + r.peakAfter) / 60, y: r.peak, say: 'peak' }
				]
			},
			cautions: [
				...(r.peak < 63 ? [belowAdvised] : []),
				...(smoke === 'calm' ? [] : [`${text(inputs, 'fat')}: ${words[smoke]}.`])
			],
			reason:
				'Conduction by finite volumes (Crank–Nicolson); the wet contact stays near 108 °C, whatever the pan. Middle ± 4 K, crust ± 40 %: the sign decides.',
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
