// Units of recipes: what they are called, what they hold, what things weigh by them.
import type { Range } from './numbers';

/** Units by what they are called, longer spellings first. */
const units: readonly (readonly [spelling: string, unit: string])[] = [
	['fluid ounces?|fl\\.?\\s*oz\\.?|fl\\.?\\s*ounces?', 'fl oz'],
	['kilograms?|kilos?|kgs?\\.?', 'kg'],
	['milligrams?|mg', 'mg'],
	['grams?|grammes?|gms?\\.?|gr\\.?|g\\.?', 'g'],
	['millilit(?:er|re)s?|mls?\\.?', 'ml'],
	['centilit(?:er|re)s?|cls?\\.?', 'cl'],
	['decilit(?:er|re)s?|dls?\\.?', 'dl'],
	['lit(?:er|re)s?|ltrs?\\.?|l\\.?', 'l'],
	['ounces?|ozs?\\.?', 'oz'],
	['pounds?|lbs?\\.?', 'lb'],
	['teaspoonfuls?|teaspoons?|tsps?\\.?|tspn\\.?|t(?=\\s)', 'tsp'],
	['tablespoonfuls?|tablespoons?|tbsps?\\.?|tbs\\.?|tblsps?\\.?|tbspn\\.?|T(?=\\s)', 'tbsp'],
	['dessertspoons?|dsp\\.?|dstspn\\.?', 'dessertspoon'],
	['cupfuls?|cups?|c\\.?', 'cup'],
	['pints?|pts?\\.?', 'pint'],
	['quarts?|qts?\\.?', 'quart'],
	['gallons?', 'gallon'],
	['tins?|cans?', 'tin'],
	['jars?', 'jar'],
	['packets?|packs?|packages?|pkgs?\\.?|pkts?\\.?', 'packet'],
	['sachets?|envelopes?', 'sachet'],
	['boxes|box', 'box'],
	['bags?', 'bag'],
	['bottles?', 'bottle'],
	['cartons?', 'carton'],
	['tubs?|pots?|punnets?', 'pot'],
	['blocks?', 'block'],
	['balls?', 'ball'],
	['cloves?', 'clove'],
	['bulbs?', 'bulb'],
	['heads?', 'head'],
	['bunches|bunch', 'bunch'],
	['sprigs?', 'sprig'],
	['stalks?', 'stalk'],
	['sticks?', 'stick'],
	['ribs?', 'rib'],
	['racks?', 'rack'],
	['ears?', 'ear'],
	['slices?', 'slice'],
	['rashers?', 'rasher'],
	['strips?', 'strip'],
	['sheets?', 'sheet'],
	['cubes?', 'cube'],
	['wedges?', 'wedge'],
	['pinches|pinch', 'pinch'],
	['dashes|dash', 'dash'],
	['drops?', 'drop'],
	['splashes|splash', 'splash'],
	['drizzles?', 'drizzle'],
	['glugs?', 'glug'],
	['knobs?', 'knob'],
	['handfuls?', 'handful'],
	['squeezes?', 'squeeze'],
	['scoops?', 'scoop'],
	['glasses|glass', 'glass'],
	['pieces?', 'piece'],
	['leaves|leaf', 'leaf'],
	['loaves|loaf', 'loaf']
];
export const unitPattern = units.map(([spelling]) => spelling).join('|');
export const unitAt = new RegExp(
	String.raw`^(?:(?:heaped|heaping|level|rounded|scant|generous|good|big|small|large|medium|packed|short|full|fat|thick|thin|little|whole|standard)[\s-]+)*(${unitPattern})(?=[\s,.;:/()–-]|$)`
);
export const unitAtAny = new RegExp(unitAt.source, 'i');

export function unitOf(word: string): string | undefined {
	for (const [spelling, unit] of units) {
		const isCased = /\bT\(|\bt\(/.test(spelling);
		if (new RegExp(`^(?:${spelling})$`, isCased ? '' : 'i').test(word) || new RegExp(`^(?:${spelling})$`).test(word))
			return unit;
	}
	return word === 'T' ? 'tbsp' : word === 't' ? 'tsp' : undefined;
}

/** ml of what holds, by its unit. */
export const millilitres: Readonly<Record<string, number>> = {
	ml: 1,
	cl: 10,
	dl: 100,
	l: 1000,
	tsp: 5,
	tbsp: 15,
	dessertspoon: 10,
	cup: 240,
	pint: 568,
	quart: 946,
	'fl oz': 29.6,
	gallon: 3785
};
export const gramsOf: Readonly<Record<string, number>> = { mg: 0.001, g: 1, kg: 1000, oz: 28.35, lb: 453.6 };

/** What a word for a dry or a fluid thing weighs, g/ml (USDA FoodData Central, household weights; est.). */
const densities: readonly (readonly [RegExp, number])[] = [
	[/\b(?:icing|powdered|confectioners)/, 0.5],
	[/\b(?:brown|muscovado|demerara) sugar\b/, 0.85],
	[/\bsugar\b/, 0.835],
	[/\bflour\b/, 0.53],
	[/\b(?:cocoa)\b/, 0.42],
	[/\b(?:oats)\b/, 0.38],
	[/\b(?:breadcrumbs|panko)\b/, 0.35],
	[/\b(?:rice|lentils|barley|quinoa|couscous|bulgur|polenta|semolina)\b/, 0.8],
	[/\b(?:honey|syrup|molasses|treacle)\b/, 1.4],
	[/\b(?:oil)\b/, 0.91],
	[/\b(?:butter|lard|ghee|margarine)\b/, 0.95],
	[/\bsalt\b/, 1.2],
	[/\b(?:baking powder|baking soda|bicarbonate)\b/, 0.9],
	[
		/\b(?:yogh?urt|milk|cream|buttermilk|creme fraiche|stock|broth|water|wine|vinegar|juice|sauce|beer|cider|passata|mustard|ketchup|mayonnaise|tahini|paste)\b/,
		1.01
	],
	[/\b(?:parmesan|pecorino)\b/, 0.42],
	[/\b(?:cheese|cheddar|mozzarella|gruyere)\b/, 0.47],
	[/\b(?:nuts|almonds|walnuts|hazelnuts|pecans|seeds|peas|beans|chickpeas|raisins|sultanas)\b/, 0.6]
];
/** What one weighs, g (est.). */
const pieces: readonly (readonly [RegExp, number])[] = [
	[/\bgarlic\b/, 5],
	[/\b(?:spring|green|salad) onions?\b|\bscallions?\b/, 15],
	[/\b(?:red |white |yellow |brown )?onions?\b/, 150],
	[/\bshallots?\b/, 30],
	[/\bquails?['’]? eggs?\b/, 10],
	[/\beggs?\b(?! ?yolk| ?white)/, 50],
	[/\b(?:new|baby|salad) potato(?:es)?\b/, 40],
	[/\bpotato(?:es)?\b/, 180],
	[/\bcarrots?\b/, 80],
	[/\b(?:cherry|baby|grape) tomato(?:es)?\b/, 15],
	[/\b(?:sun-?dried|dried) tomato(?:es)?\b/, 8],
	[/\btomato(?:es)?\b/, 110],
	[/\bchicken breasts?\b/, 180],
	[/\bchicken thighs?\b/, 130],
	[/\b(?:chill?i|chile|hot|jalape[nñ]o) peppers?\b|\bpeppercorns?\b/, 0],
	[/\b(?:bell )?peppers?\b/, 160],
	[/\bcourgettes?|zucchini\b/, 200],
	[/\baubergines?|eggplants?\b/, 300],
	[/\bapples?\b/, 150],
	[/\bleeks?\b/, 200]
];

const without = (text: string) =>
	text
		.normalize('NFD')
		.replace(/[\u0300-\u036f]/g, '')
		.toLowerCase();

export function weigh(
	amount: Range | null,
	unit: string | null,
	name: string,
	sized: number | undefined
): number | null {
	if (sized !== undefined) return Math.round(sized);
	if (!amount || unit === null) return null;
	const middle = (amount[0] + amount[1]) / 2;
	const plain = without(name);
	const mass = gramsOf[unit];
	if (mass !== undefined) return Math.round(middle * mass);
	const volume = millilitres[unit];
	if (volume !== undefined) {
		const density = densities.find(([word]) => word.test(plain))?.[1];
		return density === undefined ? null : Math.round(middle * volume * density);
	}
	if (unit !== 'piece' && unit !== 'clove') return null;
	const each = pieces.find(([word]) => word.test(plain))?.[1];
	if (each === undefined || each === 0 || (unit === 'clove') !== /\bgarlic\b/.test(plain)) return null;
	return Math.round(middle * each);
}

/** Units that hold something. */
export const vessels: ReadonlySet<string> = new Set([
	'tin',
	'jar',
	'packet',
	'pot',
	'bag',
	'block',
	'ball',
	'carton',
	'bottle',
	'sachet',
	'box'
]);
