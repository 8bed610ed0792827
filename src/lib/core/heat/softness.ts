// Vegetables soften by temperature and time: doses at the core, by size of the cut.
import { Conduction } from './finite-volumes';
import { Immersed, type Film, type Solid } from './body';
import { foodProperties, type Food } from './properties';

/** K for ten times the rate (Rao & Lund 1986: 16 to 33; activation energy about 110 kJ/mol). */
export const softeningZ = 23;

/** Minutes at 100 °C until tender (est., × 0.7 to 1.5 between varieties), and the body it is. */
export const tender = {
	'waxy potato': { dose: 2.5, food: 'potato' },
	'floury potato': { dose: 1.5, food: 'potato' },
	'sweet potato': { dose: 1.3, food: 'sweet potato' },
	squash: { dose: 1.3, food: 'squash' },
	carrot: { dose: 3.5, food: 'root' },
	celeriac: { dose: 4.4, food: 'root' },
	parsnip: { dose: 2.5, food: 'root' },
	turnip: { dose: 2, food: 'root' },
	beet: { dose: 15, food: 'root' },
	onion: { dose: 1.1, food: 'root' },
	leek: { dose: 1.8, food: 'root' },
	fennel: { dose: 2, food: 'root' },
	'green beans': { dose: 3.7, food: 'green vegetable' },
	broccoli: { dose: 1, food: 'green vegetable' },
	asparagus: { dose: 1, food: 'green vegetable' },
	cauliflower: { dose: 1.8, food: 'green vegetable' },
	sprouts: { dose: 0.8, food: 'green vegetable' },
	cabbage: { dose: 1, food: 'green vegetable' },
	aubergine: { dose: 1.2, food: 'green vegetable' },
	courgette: { dose: 0.7, food: 'green vegetable' },
	peas: { dose: 1.5, food: 'green vegetable' }
} as const satisfies Readonly<Record<string, { readonly dose: number; readonly food: Food }>>;
export type Vegetable = keyof typeof tender;

/** Of the dose for tender. */
export const softness = { parcooked: 0.4, crisp: 0.5, tender: 1, soft: 2, puree: 3 } as const;
export type Softness = keyof typeof softness;

/** Minutes at 100 °C that a core has had after so many seconds. Simpson's rule. */
export function dose(core: (seconds: number) => number, seconds: number, z = softeningZ): number {
	const n = Math.max(20, 2 * Math.ceil(seconds / 20));
	const h = seconds / n;
	let sum = 0;
	for (let i = 0; i <= n; i++) {
		const weight = i === 0 || i === n ? 1 : i % 2 === 1 ? 4 : 2;
		sum += weight * 10 ** ((core(i * h) - 100) / z);
	}
	return (sum * h) / 3 / 60;
}

/** Below this no vegetable gets tender, °C: pectin holds. */
const pectin = 85;
/** Hottest that a moist inside gets where nothing else is said, °C. */
const wettest = 100;

/** Seconds until a piece has a dose; `Infinity` where the surroundings stay below 85 °C. */
function timeToDose(solid: Solid, food: Food, film: Film, start: number, wanted: number, hottest: number): number {
	if (film.tinf < pectin || film.h === 0) return Infinity;
	const { k, alpha } = foodProperties(food, (start + film.tinf) / 2);
	const piece = new Immersed({ ...solid, k, alpha }, film, start);
	// Moist inside, it does not get hotter than the water in it boils.
	const core = (seconds: number) => Math.min(hottest, piece.temperature(seconds, 'centre'));
	let [low, high] = [0, 60];
	while (dose(core, high) < wanted) {
		[low, high] = [high, 2 * high];
		if (high > 1e6) return Infinity;
	}
	while (high - low > 0.5) {
		const middle = (low + high) / 2;
		if (dose(core, middle) < wanted) low = middle;
		else high = middle;
	}
	return (low + high) / 2;
}

/** Seconds until a vegetable is so soft; a number is a share of the dose for tender. */
export function softeningTime(
	vegetable: Vegetable,
	solid: Solid,
	film: Film,
	start: number,
	how: Softness | number = 'tender',
	hottest = wettest
): number {
	const { dose: needed, food } = tender[vegetable];
	const wanted = needed * (typeof how === 'number' ? how : softness[how]);
	return timeToDose(solid, food, film, start, wanted, hottest);
}

/** Par-cooked: so deep under its face, metres, a piece has had its minutes at 100 °C; the middle stays firm. */
const rim = { depth: 0.003, dose: 1 };

/**
 * Seconds in boiling water until the rim of a chunk is soft: finite volumes in a body between cylinder and sphere, as a cube
 * is.
 *
 * @param size across, metres
 * @param film W/(m² K) and °C of the water
 */
export function rimTime(vegetable: Vegetable, size: number, film: Film, start: number): number {
	const { k, alpha } = foodProperties(tender[vegetable].food, (start + film.tinf) / 2);
	const half = size / 2;
	const piece = new Conduction({ shape: 'sphere', L: half, n: 40, isFull: false, k, alpha: alpha * cubeToBall }, start);
	const place = Math.max(0, 1 - rim.depth / half);
	let [had, reached] = [0, Infinity];
	const step = 2;
	piece.run({ seconds: 3600, step, outer: film }, (at) => {
		had += (step / 60) * 10 ** ((piece.at(place) - 100) / softeningZ);
		if (had < rim.dose) return 'on';
		reached = at;
		return 'stop';
	});
	return reached;
}

/** A cube warms as much more slowly than the ball within it as its corners weigh (est.). */
const cubeToBall = 0.8;
