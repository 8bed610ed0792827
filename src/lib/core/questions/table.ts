// Bench: trays, waiting, safety, conversion and scaling.
import { firstBite, holds, platedAt, portion, quality, tooCoolAfter, type HoldKind } from '../heat/holding';
import { footprintArea, loadTrays, trays, traysNeeded, type Footprint, type Tray } from '../heat/tray';
import { gatedLethality, lethality, organisms, publishedTime, type Organism } from '../safety/lethality';
import { belowAdvised, keeps, rules, type Keeps } from '../safety/rules';
import { gasMark, inUnit, isUnit, ovenWords, units } from '../units/convert';
import { dense, densityOf, gains, ingredients, portions, rawFor, yielding, type Yielding } from '../foods/ingredients';
import { parseAmount } from '../units/parse';
import { printMass, printSeconds, printTemperature } from '../units/print';
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

export const tray: Question = {
	id: 'tray',
	name: 'Trays',
	fields: [
		numberField('count', 'Pieces', '', 60, 1, 2000),
		choiceField('shape', 'Shape', ['round', 'stick']),
		numberField('size', 'Across', 'mm', 30, 5, 300),
		onlyWhen('shape', 'stick', numberField('length', 'Long', 'mm', 60, 5, 400, 5)),
		choiceField('what', 'What', ['vegetables', 'pieces'], 'vegetables'),
		choiceField('tray', 'Tray', Object.keys(trays)),
		numberField('used', 'Trays used', '', 1, 1, 20)
	],
	answer(inputs) {
		const across = num(inputs, 'size') / 1000;
		const isRound = text(inputs, 'shape') === 'round';
		const long = num(inputs, 'length') / 1000;
		const piece: Footprint = isRound
			? { kind: 'round', diameter: across }
			: { kind: 'stick', length: long, width: across };
		const { area, length, width } = trays[text(inputs, 'tray') as Tray];
		const [count, used] = [num(inputs, 'count'), num(inputs, 'used')];
		const load = loadTrays(count, piece, area, used);
		const needed = traysNeeded(count, piece, area, text(inputs, 'what') === 'pieces' ? 'pieces' : 'vegetables');
		const words = {
			browns: 'it browns',
			slow: 'slowly, with pale sides: a fifth longer',
			steams: 'it steams instead of browning'
		};
		return {
			lines: [
				{ say: 'Trays to brown', value: String(needed) },
				{ say: `On ${used}`, value: `${Math.round(100 * load.coverage)} % covered: ${words[load.look]}` },
				{ say: 'One piece covers', value: `${(footprintArea(piece) * 1e4).toFixed(1)} cm²` }
			],
			drawing: {
				kind: 'tray',
				length,
				width,
				pieces: Math.ceil(count / used),
				piece: { length: isRound ? across : long, width: across, isRound },
				say: `one tray of ${used}`
			},
			cautions: load.look === 'steams' ? [`Crowded: spread it over ${needed} trays, or cook it in turns.`] : [],
			reason:
				'Share of the tray that is covered; up to 55 % cut vegetables brown, up to 70 % single pieces (estimates).'
		};
	}
};

export const hold: Question = {
	id: 'hold',
	name: 'Waiting',
	fields: [
		choiceField('kind', 'What', Object.keys(holds)),
		numberField('start', 'Ready at', '°C', 58, 20, 100),
		numberField('mass', 'Portion', 'g', 180, 20, 1000, 10),
		numberField('plate', 'Plate at', '°C', 50, 5, 80),
		choiceField('cover', 'Cover', ['open', 'sauced', 'covered']),
		numberField('room', 'Room', '°C', 21, 0, 40),
		numberField('wait', 'Waits', 'min', 6, 0, 120, 0.5)
	],
	answer(inputs) {
		const kind = holds[text(inputs, 'kind') as HoldKind];
		const kilograms = num(inputs, 'mass') / 1000;
		const area = 0.022 * (kilograms / 0.18) ** (2 / 3);
		const cover = text(inputs, 'cover') as 'open' | 'sauced' | 'covered';
		const plated = portion(
			kilograms,
			{ start: num(inputs, 'start'), area, cover },
			num(inputs, 'plate'),
			num(inputs, 'room')
		);
		const wait = num(inputs, 'wait') * 60;
		const floor = cover === 'sauced' ? firstBite.soup : firstBite.meat;
		const cool = tooCoolAfter(plated, floor);
		const at = instants(Math.max(wait * 1.5, 600), 60);
		return {
			lines: [
				{ say: `After ${num(inputs, 'wait')} min`, value: printTemperature(platedAt(plated, wait)) },
				{
					say: `Below ${floor} °C`,
					value: cool === 0 ? 'already' : cool === Infinity ? 'never' : `after ${printSeconds(cool)}`
				},
				{ say: 'What is left of it', value: `${Math.round(100 * quality(kind, wait))} %` },
				{ say: 'Waits without loss', value: printSeconds(kind.free) },
				{ say: 'Never longer than', value: printSeconds(kind.most) },
				{ say: 'Keep it', value: kind.keep }
			],
			chart: {
				x: 'minutes',
				y: '°C · %',
				curves: [
					{ name: 'temperature', tone: 'hot', x: minutes(at), y: at.map((t) => platedAt(plated, t)) },
					{ name: 'what is left, %', tone: 'core', x: minutes(at), y: at.map((t) => 100 * quality(kind, t)) }
				],
				marks: [{ x: wait / 60, y: platedAt(plated, wait), say: 'served' }]
			},
			cautions: wait > kind.most ? [`It fades by ${kind.fades}: not longer than ${printSeconds(kind.most)}.`] : [],
			reason: 'Food and plate as two bodies in a room, in closed form; half-lives are judgement. Temperature ± 3 K.'
		};
	}
};

/** A published time, never rounded down. */
function printPublished(seconds: number): string {
	if (seconds === 0) return 'instant';
	return seconds === Infinity ? 'not below 54.4 °C' : printSeconds(seconds, 'up');
}

export const safety: Question = {
	id: 'safety',
	name: 'Safety clocks',
	fields: [
		choiceField('organism', 'Against', Object.keys(organisms)),
		numberField('core', 'Core held at', '°C', 60, 40, 90, 0.5),
		numberField('held', 'For', 'min', 12, 0, 600),
		numberField('rise', 'Coming up over', 'min', 30, 0, 300, 5),
		choiceField('keeps', 'Kept cold', Object.keys(keeps))
	],
	answer(inputs) {
		const organism: Organism = organisms[text(inputs, 'organism') as keyof typeof organisms];
		const core = num(inputs, 'core');
		const segments = [
			{ seconds: num(inputs, 'rise') * 60, from: 20, to: core },
			{ seconds: num(inputs, 'held') * 60, from: core, to: core }
		];
		const logs = lethality(segments, organism.reference, organism.d, organism.z);
		const gated = gatedLethality(segments, organism);
		const { species } = organism;
		const published = species && publishedTime(core, species === 'poultry' ? 7 : 6.5, species);
		const [least, most] = keeps[text(inputs, 'keeps') as Keeps];
		const isEnough = gated >= organism.wanted;
		return {
			lines: [
				{ say: 'Log reductions', value: `${logs.toFixed(2)}; counted as a gate ${gated.toFixed(2)}` },
				{ say: 'Wanted', value: `${organism.wanted}: ${organism.say}` },
				...(species && published !== undefined
					? [{ say: `Published for ${species}`, value: printPublished(published) }]
					: []),
				{ say: 'Keeps at 4 °C', value: least === most ? `${least} days` : `${least}–${most} days` },
				...rules
					.slice(3)
					.map((r) => ({ say: r.what, value: `${r.foodCode} (Food Code) · ${r.uk} (UK) · ${r.us} (US)` }))
			],
			cautions: [
				...(isEnough ? [] : [belowAdvised]),
				'Advice, not permission: local codes and trained people decide. The gate counts from 54.4 °C, with 1 K off for the probe.'
			],
			reason: `Lethality integral (FSIS Appendix A); ${organism.source}. Rules: FDA Food Code 2022, UK FSA, USDA.`
		};
	}
};

function answerConversion(inputs: Inputs): Answer {
	const amount = parseAmount(text(inputs, 'amount'));
	const reason =
		'Exact definitions; densities as a cook’s measure holds them (USDA household weights), ± 10 % for solids.';
	if (!amount) {
		return {
			lines: [],
			cautions: [],
			trouble: `“${text(inputs, 'amount')}” is no amount. Write a number and a unit: 1 1/2 cups, 350F, 2 lb 3 oz.`,
			reason
		};
	}
	if (amount.unit === undefined)
		return { lines: [], cautions: [], trouble: 'Add a unit: g, oz, cups, tbsp, ml, °C, °F, mm, in.', reason };
	const { unit, value } = amount;
	const ingredient = text(inputs, 'ingredient');
	const density = densityOf(ingredient);
	const factor = num(inputs, 'to') / num(inputs, 'from');
	const { dimension } = units[unit];
	const wanted: Readonly<Record<string, readonly string[]>> = {
		temperature: ['C', 'F'],
		mass: ['g', 'kg', 'oz', 'lb', 'ml', 'us-cup', 'us-tbsp'],
		volume: ['ml', 'l', 'us-cup', 'us-tbsp', 'us-tsp', 'metric-cup', 'g', 'oz'],
		length: ['mm', 'cm', 'inch']
	};
	const scale = dimension === 'mass' || dimension === 'volume' ? factor : 1;
	const lines = (wanted[dimension] ?? []).filter(isUnit).flatMap((to) => {
		if (to === unit && scale === 1) return [];
		const converted = inUnit(value * scale, unit, to, density);
		if (!converted.ok) return [];
		return [{ say: to.replace('us-', ''), value: String(Number(converted.value.toPrecision(4))) }];
	});
	if (dimension === 'temperature') {
		const celsius = inUnit(value, unit, 'C');
		const oven = celsius.ok ? celsius.value : NaN;
		const mark = [0.25, 0.5, 1, 2, 3, 4, 5, 6, 7, 8, 9].find((m) => Math.abs((gasMark(m) ?? NaN) - oven) < 6);
		const word = Object.entries(ovenWords).find(([, T]) => Math.abs(T - oven) <= 15)?.[0];
		if (mark !== undefined) lines.push({ say: 'gas mark', value: String(mark) });
		if (word !== undefined) lines.push({ say: 'in words', value: `a ${word} oven` });
	}
	if (lines.length === 0)
		return {
			isAboutUnits: true,
			lines: [],
			cautions: [],
			trouble: `There is nothing to convert ${unit} into.`,
			reason
		};
	const cautions =
		(dimension === 'mass' || dimension === 'volume') && density === undefined
			? [
					`The density of “${ingredient}” is not known, so volume and mass cannot meet. Known: ${dense.slice(0, 8).join(', ')} …`
				]
			: [];
	return {
		isAboutUnits: true,
		lines:
			scale === 1
				? lines
				: [
						{ say: `For ${num(inputs, 'to')} instead of ${num(inputs, 'from')}`, value: `× ${factor.toPrecision(3)}` },
						...lines
					],
		cautions: [
			...cautions,
			...(scale > 1.5 ? ['Salt to taste, strong spice and garlic: less than in step; times do not scale.'] : [])
		],
		reason
	};
}

export const convert: Question = {
	id: 'convert',
	name: 'Convert and scale',
	fields: [
		{ id: 'amount', label: 'Amount', kind: 'text', usual: '1 1/2 cups' },
		{ id: 'ingredient', label: 'Of', kind: 'text', usual: 'plain flour' },
		numberField('from', 'Recipe for', '', 4, 1, 200),
		numberField('to', 'Cook for', '', 4, 1, 200)
	],
	answer: answerConversion
};

const dry = Object.keys(gains).map((name) => `${name}, dry`);

export const buy: Question = {
	id: 'buy',
	name: 'What to buy',
	fields: [
		choiceField('what', 'What', [...yielding, ...dry], 'potato'),
		numberField('each', 'On each plate', 'g', 180, 5, 1000, 5),
		numberField('people', 'People', '', 6, 1, 200)
	],
	answer(inputs) {
		const what = text(inputs, 'what');
		const served = (num(inputs, 'each') * num(inputs, 'people')) / 1000;
		const weight = (kilograms: number) => printMass(kilograms * 1000);
		const usual = Object.entries(portions).map(([kind, amount]) => `${kind} ${amount}`);
		const forOne = { say: 'Usual for one, raw, in grams (sauce in ml, eggs by the piece)', value: usual.join(' · ') };
		const grown = gains[what.replace(', dry', '') as keyof typeof gains] as number | undefined;
		const reason = 'Trim, cooking loss and gain after USDA Agriculture Handbook 102 and Cooking Yields 2012, ± 5 %.';
		if (what.endsWith(', dry') && grown !== undefined) {
			const lines = [
				{ say: 'Buy', value: weight(served / grown) },
				{ say: 'On the plates', value: `${weight(served)} (it grows ${grown} times)` },
				forOne
			];
			return { lines, cautions: [], reason };
		}
		const [trim, loss] = ingredients[what as Yielding].yields;
		const raw = rawFor(served, what as Yielding);
		return {
			lines: [
				{ say: 'Buy', value: weight(raw) },
				{ say: 'Trimmed', value: `${weight(raw * (1 - trim / 100))} (${trim} % trim)` },
				{ say: 'On the plates', value: `${weight(served)} (${loss} % lost in cooking)` },
				forOne
			],
			cautions: [],
			reason
		};
	}
};
