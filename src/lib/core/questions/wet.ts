// Bench: eggs, water, reductions, oil.
import { calibrated, efficiency, fuels, levelShare, smallVessel, type Fuel } from '../heat/burner';
import {
	boilEgg,
	eggPlaces,
	eggSizes,
	eggStyles,
	eggTime,
	eggTimeIn,
	eggWater,
	staggered,
	type EggStyle
} from '../heat/egg';
import type { Face } from '../heat/finite-volumes';
import { largestFry, oilDip, piecesArea, oilHeat } from '../heat/frying';
import { lumpedAt, lumpedTime } from '../heat/lumped';
import { ajarLoss, domesticOven, doorOpening, firedOven, ovenCooling, ovenHeating } from '../heat/oven';
import {
	boilingPoint,
	boilOff,
	heatingTime,
	loadDrop,
	potBody,
	potLoss,
	reductionTime,
	steepedAt,
	type Pot
} from '../heat/water';
import { printMass, printSeconds, printTemperature, printVolume } from '../units/print';
import {
	choiceField,
	instants,
	minutes,
	num,
	numberField,
	onlyWhen,
	text,
	type Inputs,
	type Question
} from './question';

const altitude = numberField('altitude', 'Above the sea', 'm', 100, -400, 5000, 50);
const burner = [numberField('power', 'Burner', 'W', 1800, 200, 20_000, 100), choiceField('fuel', 'Fuel', fuels)];
const share = (fuel: string) => efficiency[fuel as Fuel].usual;

/** A pot of so much water on the burner that was given; narrower than it, it takes less. */
const potOf = (inputs: Inputs, litres: number, isCovered: boolean): Pot => ({
	mass: litres,
	pot: 600,
	power: num(inputs, 'power'),
	efficiency: share(text(inputs, 'fuel')) * (text(inputs, 'pot') === 'smaller' ? smallVessel : 1),
	loss: potLoss(litres, isCovered),
	ambient: 20
});

/** Whites set from 62 °C, are firm from 80; yolks thicken from 64, set from 68, crumble from 77 (McGee; Donovan et al.). */
function eggState(isYolk: boolean, celsius: number): string {
	if (!isYolk) return celsius >= 80 ? 'white, firm' : celsius >= 62 ? 'white, tender' : 'white, loose';
	if (celsius >= 77) return 'yolk, crumbly';
	return celsius >= 68 ? 'yolk, set' : celsius >= 64 ? 'yolk, thick' : 'yolk, runny';
}

/** Texture of a yolk by its dose, minutes at 64 °C (Vega & Mercadé-Prieto 2011; est.). */
function yolkWords(dose: number): string {
	if (dose < 10) return 'pours';
	return dose < 25 ? 'like syrup' : dose < 60 ? 'like honey' : 'a soft paste';
}

export const egg: Question = {
	id: 'egg',
	name: 'Boiled eggs',
	fields: [
		choiceField('style', 'How', Object.keys(eggStyles), 'jammy'),
		numberField('mass', 'Egg in its shell', 'g', 58, 35, 90),
		numberField('start', 'Starts at', '°C', 5, 0, 30),
		choiceField('method', 'Method', ['into boiling water', 'from cold, then off the heat', 'water bath']),
		onlyWhen('method', 'water bath', numberField('bath', 'Water bath at', '°C', 64, 55, 90, 0.5)),
		numberField('count', 'How many', '', 4, 1, 60),
		numberField('litres', 'Water', 'l', 2, 0.5, 30, 0.25),
		...burner,
		choiceField('stop', 'Then', ['into ice water', 'left in air']),
		altitude
	],
	answer(inputs) {
		const boil = boilingPoint(num(inputs, 'altitude'));
		const mass = num(inputs, 'mass') / 1000;
		const [count, litres, start] = [num(inputs, 'count'), num(inputs, 'litres'), num(inputs, 'start')];
		const { yolkEdge, say } = eggStyles[text(inputs, 'style') as EggStyle];
		const pot = potOf(inputs, litres, true);
		const method = text(inputs, 'method');
		const heatUp = heatingTime(pot, 12, boil);
		const { drop, recovery } = loadDrop(pot, { mass: count * mass, c: eggWater.c, start }, boil);
		const water = (seconds: number): number => {
			if (method === 'water bath') return num(inputs, 'bath');
			if (method === 'into boiling water') return boil - drop * Math.exp((-3 * seconds) / Math.max(1, recovery));
			if (seconds < heatUp) return lumpedAt(potBody(pot), 12, seconds);
			return steepedAt(pot, boil, seconds - heatUp);
		};
		const face: Face = (_, seconds) => ({ h: method === 'water bath' ? 95 : 1500, tinf: water(seconds) });
		const seconds = eggTimeIn(mass, start, face, yolkEdge);
		const reason =
			'A sphere in water that sags and comes back, by finite volumes; set temperatures after McGee and Donovan et al. Off by ± 20 s, ± 3 K at the yolk’s edge.';
		const crowded =
			litres < count * eggWater.litresEach
				? ['Too little water: at least 250 ml for each egg, or the boil sags for long.']
				: [];
		const cold =
			method === 'into boiling water' && start < 10
				? ['Straight from the fridge some crack: lower them by spoon.']
				: [];
		const soft =
			yolkEdge < 72 ? ['Soft eggs are not for pregnant, very young, old or ill guests. Local rules decide.'] : [];
		const cautions = [...crowded, ...cold, ...soft];
		if (!Number.isFinite(seconds)) {
			const trouble = `The yolk’s edge does not come to ${printTemperature(yolkEdge)} in this water within two hours. Make it hotter, or choose a softer egg.`;
			return { lines: [], cautions, trouble, reason };
		}
		const stop: Face = text(inputs, 'stop') === 'into ice water' ? { h: 400, tinf: 2 } : { h: 10, tinf: 20 };
		const r = boilEgg({ mass, start, water: face, seconds, stop: { face: stop, seconds: 600 } });
		const last = r.profile.length - 1;
		const rings = Array.from({ length: 25 }, (_, i) => {
			const at = i / 24;
			return { from: at, state: eggState(at < eggPlaces.yolkEdge, r.profile[Math.round(at * last)] ?? 0) };
		});
		return {
			lines: [
				{
					say: method === 'from cold, then off the heat' ? 'From the cold pot on' : 'In the water',
					value: printSeconds(seconds)
				},
				...(method === 'from cold, then off the heat'
					? [{ say: 'Off the heat, covered, after', value: printSeconds(Math.min(heatUp, seconds)) }]
					: []),
				{ say: 'White', value: printTemperature(r.white) },
				{ say: 'Yolk’s edge', value: `${printTemperature(r.yolkEdge)}, then ${printTemperature(r.yolkEdgePeak)}` },
				{ say: 'Centre', value: `${printTemperature(r.centre)}, then ${printTemperature(r.centrePeak)}` },
				...(method === 'water bath' ? [{ say: 'Yolk', value: yolkWords(r.dose) }] : []),
				...(method === 'into boiling water'
					? [{ say: 'The boil sags by', value: `${drop.toFixed(1)} K, back after ${printSeconds(recovery)}` }]
					: [])
			],
			drawing: { kind: 'egg', rings, say },
			cautions,
			reason,
			step: { say: `Boil the eggs: ${say}`, seconds, spread: 0.06 }
		};
	}
};

export const boil: Question = {
	id: 'boil',
	name: 'Water to a boil',
	fields: [
		numberField('litres', 'Water', 'l', 3, 0.1, 60, 0.25),
		numberField('start', 'From the tap at', '°C', 12, 1, 60),
		...burner,
		choiceField('lid', 'Lid', ['on', 'off']),
		choiceField('pot', 'Pot', ['as wide as the burner', 'smaller']),
		numberField('load', 'Then goes in', 'g', 500, 0, 20_000, 50),
		altitude
	],
	answer(inputs) {
		const litres = num(inputs, 'litres');
		const b = boilingPoint(num(inputs, 'altitude'));
		const start = num(inputs, 'start');
		const pot = potOf(inputs, litres, text(inputs, 'lid') === 'on');
		const time = heatingTime(pot, start, b);
		const reason =
			'One body heated and losing heat (Incropera & DeWitt); boiling point by Antoine in the standard atmosphere. Off by ± 10 %, ± 3 % once a litre has been timed.';
		if (!Number.isFinite(time)) {
			const top = start + 0 < b ? lumpedAt(potBody(pot), start, 1e7) : b;
			const trouble = `It never boils: this burner brings so much water to ${printTemperature(top)} only. Less water, a lid, or a stronger burner.`;
			return { lines: [{ say: 'Boils at', value: `${b.toFixed(1)} °C` }], cautions: [], trouble, reason };
		}
		const { drop, recovery } = loadDrop(pot, { mass: num(inputs, 'load') / 1000, c: 3900, start: 15 }, b);
		const at = instants(time);
		return {
			lines: [
				{ say: 'Boils after', value: printSeconds(time) },
				{ say: 'Boils at', value: `${b.toFixed(1)} °C` },
				{ say: 'The load drops it by', value: `${drop.toFixed(1)} K at the most` },
				{ say: 'Back after', value: printSeconds(recovery) }
			],
			chart: {
				x: 'minutes',
				y: '°C',
				curves: [
					{
						name: 'water',
						tone: 'hot',
						x: minutes(at),
						y: at.map((t) => Math.min(b, lumpedAt(potBody(pot), start, t)))
					}
				],
				marks: [80, 92].flatMap((T) =>
					T < b && T > start
						? [{ x: lumpedTime(potBody(pot), start, T) / 60, y: T, say: T === 80 ? 'small bubbles' : 'simmer' }]
						: []
				)
			},
			cautions: [
				...(drop > 10 ? ['More than 10 K: cook it in two batches, or take more water.'] : []),
				'Fill to three quarters at the most. Pour away from you.'
			],
			reason,
			step: { say: `Boil ${litres} l of water`, seconds: time, spread: 0.1 }
		};
	}
};

export const reduce: Question = {
	id: 'reduce',
	name: 'Reduction',
	fields: [
		numberField('from', 'From', 'ml', 500, 10, 20_000, 10),
		numberField('to', 'To', 'ml', 200, 5, 20_000, 10),
		...burner,
		numberField('level', 'Level', '%', 60, 5, 100, 5),
		numberField('diameter', 'Pan', 'cm', 24, 10, 60),
		altitude
	],
	answer(inputs) {
		const b = boilingPoint(num(inputs, 'altitude'));
		const [from, to] = [num(inputs, 'from') / 1000, num(inputs, 'to') / 1000];
		const pot = {
			power: num(inputs, 'power') * levelShare(text(inputs, 'fuel') as Fuel, num(inputs, 'level') / 100),
			efficiency: share(text(inputs, 'fuel')),
			loss: 1.5,
			ambient: 20
		};
		const area = (Math.PI * (num(inputs, 'diameter') / 10) ** 2) / 4;
		const most = (0.008 * area) / 60;
		const free = boilOff(pot, b);
		const rate = Math.min(free, most);
		const time = Math.max(reductionTime(from, to, pot, b), (from - to) / rate);
		const reason =
			'Heat of evaporation (Incropera & DeWitt); what would catch boils off no more than 8 g a minute and dm². Water only: 10–20 % longer with sugar, starch or fat. The spoon decides.';
		if (to >= from) return { lines: [{ say: 'Reduced after', value: 'it is there already' }], cautions: [], reason };
		if (!Number.isFinite(time) || rate <= 0) {
			return { lines: [], cautions: [], trouble: 'At this level it does not hold a boil. Turn it up.', reason };
		}
		const at = instants(time, 40);
		return {
			lines: [
				{ say: 'Reduced after', value: printSeconds(time) },
				{
					say: 'Boils off',
					value: `${(rate * 60_000).toFixed(0)} g a minute${free > most ? ', held back so that it does not catch' : ''}`
				},
				{ say: 'Left', value: printVolume(to * 1000) }
			],
			chart: {
				x: 'minutes',
				y: 'ml',
				curves: [{ name: 'in the pan', tone: 'core', x: minutes(at), y: at.map((t) => (from - rate * t) * 1000) }],
				marks: [{ x: time / 60, y: to * 1000, say: 'done' }]
			},
			cautions: [],
			reason,
			step: { say: `Reduce to ${printVolume(to * 1000)}`, seconds: time, spread: 0.15 }
		};
	}
};

export const oil: Question = {
	id: 'oil',
	name: 'Oil and batches',
	fields: [
		numberField('oil', 'Oil', 'kg', 2.5, 0.3, 30, 0.1),
		numberField('set', 'At', '°C', 175, 130, 200),
		...burner,
		numberField('load', 'In one batch', 'g', 250, 20, 5000, 10),
		numberField('total', 'In all', 'g', 1000, 20, 50_000, 50),
		numberField('side', 'Sticks, thick', 'mm', 10, 5, 40),
		numberField('length', 'Sticks, long', 'mm', 70, 10, 150, 5)
	],
	answer(inputs) {
		const set = num(inputs, 'set');
		const tub = {
			mass: num(inputs, 'oil'),
			power: num(inputs, 'power') * share(text(inputs, 'fuel')),
			loss: 2,
			ambient: 20
		};
		const side = num(inputs, 'side') / 1000;
		const sides = [side, side, num(inputs, 'length') / 1000] as const;
		const load = num(inputs, 'load') / 1000;
		const heatUp = lumpedTime({ capacity: tub.mass * oilHeat, power: tub.power, loss: tub.loss, ambient: 20 }, 20, set);
		const dip = oilDip(tub, { area: piecesArea(load, 1070, sides), thickness: side }, set);
		const best = largestFry(tub, { density: 1070, sides }, set);
		const batches = Math.ceil(num(inputs, 'total') / 1000 / Math.max(0.01, Math.min(load, best)));
		const isGreasy = dip.lowest < Math.max(150, set - 20);
		const at = dip.trace.map((_, i) => i);
		return {
			lines: [
				{ say: 'Coldest', value: `${printTemperature(dip.lowest)} after ${printSeconds(dip.at)}` },
				{
					say: 'Back within 2 K',
					value: dip.back === Infinity ? 'not within an hour' : `after ${printSeconds(dip.back)}`
				},
				{ say: 'Largest batch by heat', value: printMass(best * 1000) },
				{ say: 'Batches', value: String(batches) },
				{ say: 'Oil hot from cold', value: printSeconds(heatUp) }
			],
			chart: {
				x: 'minutes',
				y: '°C',
				curves: [{ name: 'oil', tone: 'hot', x: minutes(at), y: dip.trace }],
				marks: [{ x: dip.at / 60, y: dip.lowest, say: 'coldest' }]
			},
			cautions: [
				...(isGreasy ? ['So much turns greasy: the oil falls too far. Take smaller batches.'] : []),
				'Hot oil: dry food, lowered away from you; the vessel at most half full. Burning fat: lid on, heat off, never water.'
			],
			reason:
				'One body of oil with a sink that fades as the pieces dry (Hubbard & Farkas for the film; drying time an estimate). Lowest ± 6 K.',
			step: { say: 'Fry a batch', seconds: Math.max(120, Math.min(dip.back, 600)), spread: 0.15, where: 'burner' }
		};
	}
};

const guestStyles = ['barely set', 'runny', 'jammy', 'soft-hard', 'hard'] as const;

export const guests: Question = {
	id: 'guests',
	name: 'Eggs for different guests',
	fields: [
		choiceField('size', 'Eggs', Object.keys(eggSizes), 'M'),
		numberField('start', 'Start at', '°C', 5, 0, 30),
		...guestStyles.map((style) =>
			numberField(style.replace(' ', '-'), style, '', style === 'jammy' || style === 'hard' ? 2 : 0, 0, 30)
		),
		altitude
	],
	answer(inputs) {
		const boil = boilingPoint(num(inputs, 'altitude'));
		const mass = eggSizes[text(inputs, 'size') as keyof typeof eggSizes];
		const wanted = guestStyles.filter((style) => num(inputs, style.replace(' ', '-')) >= 1);
		const times = wanted.map((style) => ({
			id: style,
			seconds: eggTime(mass, num(inputs, 'start'), boil, eggStyles[style].yolkEdge)
		}));
		const reason = 'The egg formula (Williams), counted back from one instant at which all are lifted. Off by ± 20 s.';
		if (times.length === 0)
			return { lines: [], cautions: [], trouble: 'Nobody has an egg. Say how many of each.', reason };
		const drops = staggered(times);
		const longest = drops[0]?.dropBefore ?? 0;
		return {
			lines: drops.map(({ id, dropBefore }) => ({
				say: `${num(inputs, id.replace(' ', '-'))} ${id}`,
				value: `${dropBefore === longest ? 'first' : `after ${printSeconds(longest - dropBefore)}`}, ${printSeconds(dropBefore)} in the water`
			})),
			cautions: wanted.some((style) => eggStyles[style].yolkEdge < 72)
				? ['Soft eggs are not for pregnant, very young, old or ill guests. Local rules decide.']
				: [],
			reason,
			step: { say: 'Boil eggs, dropped one after the other', seconds: longest, spread: 0.06, where: 'burner' }
		};
	}
};

/** How an egg lies in a bowl of cold water: by the air cell that grows as it dries through its shell. */
const lies = {
	'flat on the bottom': {
		age: 'a week at the most',
		use: 'poach, fry, soft-boil: the white stands close',
		isEaten: true
	},
	'tilted, the blunt end up': {
		age: 'one to three weeks',
		use: 'boil and peel, scramble, omelettes: the shell lets go',
		isEaten: true
	},
	'upright on its tip': {
		age: 'three to five weeks',
		use: 'hard-boiled, or baked right through; break it into a cup and smell it first',
		isEaten: true
	},
	floating: { age: 'older than that, or cracked', use: 'nothing', isEaten: false }
} as const;

export const freshness: Question = {
	id: 'freshness',
	name: 'How fresh is an egg',
	fields: [
		choiceField('lies', 'In cold water it lies', Object.keys(lies)),
		choiceField('smells', 'Opened, it smells', ['not opened yet', 'of nothing', 'of anything'])
	],
	answer(inputs) {
		const row = lies[text(inputs, 'lies') as keyof typeof lies];
		const reason =
			'Water leaves through the shell and air takes its place: an egg loses about 0.4 % of its weight in a week in the cold, five times that in a warm room. It tells age, not safety: a fresh egg may carry salmonella.';
		if (!row.isEaten || text(inputs, 'smells') === 'of anything') {
			return {
				lines: [{ say: 'Age', value: row.age }],
				cautions: ['Throw it away: an egg that floats or smells is not worth the risk.'],
				reason
			};
		}
		return {
			lines: [
				{ say: 'Good for', value: row.use },
				{ say: 'Age, kept in the cold', value: row.age }
			],
			cautions: [
				'It tells how old it is, not whether it is safe: runny eggs are not for pregnant, very young, old or ill guests.'
			],
			reason
		};
	}
};

export const calibrate: Question = {
	id: 'calibrate',
	name: 'Time a litre',
	fields: [
		numberField('litres', 'Water', 'l', 1, 0.2, 10, 0.1),
		numberField('start', 'From', '°C', 15, 1, 60),
		numberField('end', 'To', '°C', 95, 30, 100),
		numberField('seconds', 'Took', 's', 240, 20, 7200, 5),
		...burner
	],
	answer(inputs) {
		const [from, to] = [num(inputs, 'start'), num(inputs, 'end')];
		const reason =
			'Heat taken up over the time, and the mean loss of a lidded pot on the way. ± 3 % with a good thermometer.';
		if (to <= from) return { lines: [], cautions: [], trouble: 'The water must end hotter than it began.', reason };
		const loss = potLoss(num(inputs, 'litres'), true) * Math.max(0, (from + to) / 2 - 20);
		const net = calibrated(num(inputs, 'litres'), 600, from, to, num(inputs, 'seconds'), loss);
		const rated = num(inputs, 'power');
		const [least, most] = efficiency[text(inputs, 'fuel') as Fuel].range;
		const reached = net / rated;
		const isOdd = reached < least * 0.8 || reached > most * 1.2;
		return {
			lines: [
				{ say: 'It really gives', value: `${Math.round(net)} W` },
				{ say: 'Of what it is rated', value: `${Math.round(100 * reached)} %` },
				{ say: 'Usual for this fuel', value: `${Math.round(100 * least)}–${Math.round(100 * most)} %` }
			],
			cautions: isOdd ? ['Far from what is usual: was the lid on, the level full, the water measured?'] : [],
			reason
		};
	}
};

export const oven: Question = {
	id: 'oven',
	name: 'Oven, up and down',
	fields: [
		choiceField('kind', 'Oven', ['domestic', 'fired']),
		numberField('from', 'From', '°C', 20, 5, 480, 5),
		numberField('to', 'To', '°C', 200, 30, 480, 5),
		onlyWhen('kind', 'fired', choiceField('fed', 'Fire', ['not fed', 'fed'])),
		onlyWhen('kind', 'fired', numberField('minutes', 'After', 'min', 20, 0, 240, 5))
	],
	answer(inputs) {
		const [from, to] = [num(inputs, 'from'), num(inputs, 'to')];
		if (text(inputs, 'kind') === 'fired') {
			const seconds = num(inputs, 'minutes') * 60;
			return {
				lines: [
					{
						say: `After ${num(inputs, 'minutes')} min`,
						value: printTemperature(firedOven(from, seconds, text(inputs, 'fed') === 'fed'))
					}
				],
				cautions: ['Live fire: gloves, reach, carbon monoxide. Outdoors, or under a hood.'],
				reason: 'It drifts: −2 K a minute unfed, +3 fed (estimates). Read the thermometer again and again.'
			};
		}
		const isUp = to > from;
		const time = isUp ? ovenHeating(domesticOven, from, to) : ovenCooling(domesticOven, from, to);
		const ajar = ovenCooling(domesticOven, from, to, ajarLoss);
		const { drop, halfBack } = doorOpening(Math.max(from, to), 20);
		const reason =
			'The cavity as one body, fitted to 10–12 min from 20 to 200 °C (estimates); two readings of a thermometer make it yours.';
		if (!Number.isFinite(time))
			return { lines: [], cautions: [], trouble: `This oven does not come to ${printTemperature(to)}.`, reason };
		return {
			lines: [
				{ say: isUp ? 'Hot after' : 'Down after, shut', value: printSeconds(time) },
				...(isUp
					? [{ say: 'Even walls', value: `${printSeconds(time + 300)}; stone or steel 30–45 min` }]
					: [{ say: 'Door ajar, fan on', value: printSeconds(ajar) }]),
				{ say: 'One opening costs', value: `${Math.round(drop)} K of the air, half of it back after ${halfBack} s` }
			],
			cautions: [],
			reason
		};
	}
};
