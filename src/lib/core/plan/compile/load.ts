// How much goes in at once: pieces on trays and in pans by room, food in pots and oil by room and by heat; the rest in batches.
import { efficiency } from '../../heat/burner';
import { largestFry, type Oil } from '../../heat/frying';
import { trayFactor } from '../../heat/oven';
import { crowdingArea } from '../../heat/pan';
import { foodProperties } from '../../heat/properties';
import { footprintArea, fullest, type Footprint } from '../../heat/tray';
import { boilingPoint, largestLoad, potLoss } from '../../heat/water';
import type { Kitchen, VesselKind } from '../../model/kitchen';
import { usualRack, usualStation } from '../../model/stations';
import type { Load, Need, Step } from '../../model/technique';
import { vesselSize, type VesselSize } from '../../model/vessel-size';
import { roomOf } from './places';
import { vesselName } from './vessels';
import { valueOf } from '../../model/time-model';

export interface Batches {
	readonly on: Load['on'];
	/** Pieces, kilograms or litres in all; the most that goes in at once. */
	readonly whole: number;
	readonly most: number;
	readonly unit: 'pieces' | 'kg' | 'l';
	/** In all. */
	readonly batches: number;
	/** Vessels, or places, that work side by side, the largest first: each its share in so many batches, one after another. */
	readonly lanes: readonly Lane[];
	/** Trays, pans or pots that each batch takes at once. */
	readonly vessels: number;
	/** Share of the vessels that is covered, by pieces; 0 where it is not a matter of room. */
	readonly coverage: number;
	/** What decides how much goes in. */
	readonly by: 'room' | 'heat';
	/** Factor on the time. */
	readonly factor: number;
	/** Piece and vessel, for the drawing, metres. */
	readonly piece?: Footprint & { readonly long: number; readonly wide: number };
	readonly vessel?: VesselSize & { readonly name: string };
	/** What of the kitchen decides it. */
	readonly limit: LoadLimit;
}

/** A pan, a pot, an oven, a place of a grill: what goes into it at once, and how often. */
interface Lane {
	readonly each: number;
	readonly batches: number;
	/** What it is called and its size, where it is a vessel. */
	readonly vessel?: string;
}

/** What keeps a load from being larger. */
type LoadLimit =
	| {
			readonly kind: 'tray';
			/** Pieces on a tray, and how full it is then, as a share. */
			readonly perTray: number;
			readonly full: number;
			/** Trays that would be needed, and what there are fewer of. */
			readonly needed: number;
			readonly trays: number;
			readonly racks: number;
	  }
	| { readonly kind: 'pan' }
	/** One layer on a griddle, a grill, in a pot or a basket: m² of it, as full as this. */
	| { readonly kind: 'layer'; readonly area: number; readonly full: number }
	/** Litres of water, and how far its boil may drop, K. */
	| { readonly kind: 'pot'; readonly litres: number; readonly drop: number }
	| { readonly kind: 'fryer'; readonly litres: number }
	/** What one dish takes, and how many would be needed and are there, or have a rack. */
	| { readonly kind: 'dish'; readonly each: number; readonly needed: number; readonly dishes: number }
	| { readonly kind: 'base'; readonly area: number }
	| { readonly kind: 'basket'; readonly litres: number }
	| { readonly kind: 'bath'; readonly litres: number };

/** Nobody cooks a step in more batches than this. */
export const mostBatches = 60;
/** A pot boils on while its load drops it by no more than this, where the load bears no more, K (est.). */
const mostDrop = 12;
/** Litres of water to a kilogram of food at the least (est.). */
const litresPerKilogram = 5;
/** Most oil in a pot, as a share of what it holds. */
const oilFull = 0.5;
/** With less water than this to a kilogram food does not swim, litres. */
const swimming = 2;
/** Fullest pot, as a share of what it holds. */
const potFull = 0.8;
/** Stirred over the base of a pan, litres to a m²: twelve eggs in one of 28 cm. */
const perBase = 10;
/** kg heaped in a litre of basket (est.: cut vegetables lie half loose). */
const heaped = 0.4;
/** Most food in a water bath, as a share of its litres. */
const bathFull = 1 / 3;
/** kg of food to a litre of oil, by room (est.). */
const perLitreOil = 0.12;
/** Burner that a pan or pot stands on where none is named, W. */
const usualBurner = 2000;
const ovenRack = { width: usualRack.width / 100, depth: usualRack.depth / 100 };

/** Heat that the burners give, W, the strongest first. */
const burnerPowers = (kitchen: Kitchen) =>
	kitchen.stations
		.flatMap((s) => (s.kind === 'burner' ? [s.measured ?? s.power * efficiency[s.fuel].usual] : []))
		.toSorted((a, b) => b - a);

const strongest = (kitchen: Kitchen) => burnerPowers(kitchen)[0] ?? usualBurner * efficiency.induction.usual;

/** Pans or pots of one part that one pair of hands can watch (est.). */
const mostWatched = 2;

/** Places that a step's batches can go on at once. */
function placesAtOnce({ need }: Pick<Step, 'need'>, kitchen: Kitchen): number {
	const { stations } = kitchen;
	const count = (kind: Need['kind']) => stations.filter((s) => s.kind === kind).length;
	const places = (kind: Need['kind']) =>
		stations.reduce((sum, s) => sum + (s.kind === kind && 'places' in s ? s.places : 0), 0);
	if (need?.kind === 'burner') {
		const { leastPower = 0 } = need;
		const able = stations.filter((s) => s.kind === 'burner' && s.power >= leastPower).length;
		return Math.max(1, Math.min(mostWatched, able));
	}
	if (need?.kind === 'grill' || need?.kind === 'wood oven' || need?.kind === 'steamer')
		return Math.max(1, places(need.kind));
	// All of its oil, all of its water: a second basket or bag cools it as much.
	const whole: readonly (Need['kind'] | undefined)[] = ['oven', 'griddle', 'fryer', 'water bath'];
	return need && whole.includes(need.kind) ? Math.max(1, count(need.kind)) : 1;
}

/**
 * All of it over vessels side by side: as few rounds as they allow, then as few vessels as those rounds allow.
 *
 * @param vessels how much each takes at once, the largest first
 * @param isCounted whole pieces only
 */
function spread(whole: number, vessels: readonly Holds[], isCounted: boolean): readonly Lane[] {
	const room = (n: number) => vessels.slice(0, n).reduce((sum, v) => sum + v.most, 0);
	const rounds = Math.max(1, Math.ceil(whole / room(vessels.length) - 1e-9));
	let used = 1;
	while (used < vessels.length && rounds * room(used) < whole - 1e-9) used++;
	let left = whole;
	return vessels.slice(0, used).map(({ most, name, instead = [] }, nth) => {
		// What others of its size take as well is shared with them; the rest of it goes into the larger ones first.
		const alike = vessels.slice(nth, used).filter((v) => v.most === most).length;
		const fair = isCounted ? Math.ceil(left / alike - 1e-9) : left / alike;
		const own = Math.min(left, rounds * most, fair);
		left -= own;
		const batches = Math.max(1, Math.ceil(own / most - 1e-9));
		const each = own / batches;
		// What fits a smaller one leaves the large ones to what does not.
		const vessel = instead.find((v) => v.most >= each - 1e-9)?.name ?? name;
		return { each, batches, ...(vessel === undefined ? {} : { vessel }) };
	});
}

const batchesIn = (lanes: readonly Lane[]) => lanes.reduce((sum, l) => sum + l.batches, 0);

interface Holds {
	readonly most: number;
	readonly name?: string;
	/** Smaller ones, the smallest first, that may take what is left for this one. */
	readonly instead?: readonly { readonly most: number; readonly name: string }[];
}

/** The vessels of a kind one by one, the largest first, as many as can be used at once. */
function ranked(
	kitchen: Kitchen,
	kind: VesselKind,
	atOnce: number,
	most: (size: VesselSize, nth: number) => number
): readonly Holds[] {
	const sorted = kitchen.vessels
		.filter((v) => v.kind === kind && v.count > 0)
		.map((v) => ({ at: vesselSize(v), name: vesselName(v), count: v.count }))
		.sort((a, b) => b.at.area * b.at.litres - a.at.area * a.at.litres);
	return sorted
		.flatMap((v) => Array.from({ length: Math.min(v.count, atOnce) }, () => v))
		.slice(0, atOnce)
		.map(({ at, name }, nth) => ({
			most: most(at, nth),
			name,
			instead: sorted.map((v) => ({ most: most(v.at, nth), name: v.name })).toReversed()
		}))
		.filter((v, nth) => nth === 0 || v.most > 0);
}

function biggest(kitchen: Kitchen, kind: VesselKind, fits: (size: VesselSize) => boolean = () => true) {
	const sizes = kitchen.vessels
		.filter((v) => v.kind === kind && v.count > 0)
		.map((v) => ({ ...vesselSize(v), name: vesselName(v), count: v.count }))
		.filter(fits)
		.sort((a, b) => b.area * b.litres - a.area * a.litres);
	const [first] = sizes;
	return first && { ...first, kind, count: sizes.reduce((sum, s) => sum + s.count, 0) };
}

/**
 * Batches of a step's load in a kitchen; `undefined` where it has none, or the kitchen lacks the vessel or the fryer.
 *
 * @param held the kind of vessel that the technique does it in, where it says so
 * @param isInTurn one batch after another in one vessel, whatever stands free
 */
export function batchesOf(
	step: Step,
	of: (id: string) => number,
	kitchen: Kitchen,
	held?: VesselKind,
	isInTurn = false
): Batches | undefined {
	const { load } = step;
	if (!load) return undefined;
	const atOnce = isInTurn ? 1 : placesAtOnce(step, kitchen);
	switch (load.on) {
		case 'tray':
			return onTrays(load, of, kitchen);
		case 'pan':
			return inPans(load, of, kitchen, atOnce);
		case 'griddle':
		case 'grill':
		case 'wood oven':
		case 'water':
		case 'oil':
		case 'steamer':
			return inOneLayer(load, of, kitchen, atOnce, held);
		case 'pot':
			return inPot(load, of, kitchen, atOnce, held);
		case 'fryer':
			return inOil(load, of, kitchen, atOnce);
		case 'dish':
			return inDishes(load, of, kitchen);
		case 'base':
		case 'basket':
		case 'bath':
			return byRoomAlone(load, of, kitchen, atOnce, held);
	}
}

type LoadOf<K extends Load['on']> = Extract<Load, { on: K }>;
type Laid = Extract<Load, { sort: unknown }>;

function pieceOf(load: Laid, of: (id: string) => number) {
	const long = valueOf(load.length, of);
	const wide = load.width === undefined ? long : valueOf(load.width, of);
	const piece: Footprint =
		load.width === undefined ? { kind: 'round', diameter: long } : { kind: 'stick', length: long, width: wide };
	return { ...piece, long, wide };
}

/** The largest tray that the kitchen's ovens take, how many trays there are, and how many racks for them. */
export function trayOf(kitchen: Kitchen) {
	const ovens = kitchen.stations.flatMap((s) => (s.kind === 'oven' ? [s] : []));
	const rack = ovens.reduce(
		(best, s) => {
			const [width, depth] = [(s.width ?? usualRack.width) / 100, (s.depth ?? usualRack.depth) / 100];
			return width * depth > best.width * best.depth ? { width, depth } : best;
		},
		ovens.length > 0 ? { width: 0, depth: 0 } : ovenRack
	);
	const fits = ({ length, width }: VesselSize) =>
		Math.max(length, width) <= Math.max(rack.width, rack.depth) + 0.01 &&
		Math.min(length, width) <= Math.min(rack.width, rack.depth) + 0.01;
	const tray = biggest(kitchen, 'tray', fits) ?? biggest(kitchen, 'tray');
	const hasFan = ovens.some((s) => s.fan);
	// Of several ovens of one kind the first is taken for all.
	const film = ovens.find((s) => s.fan === hasFan)?.film;
	return tray && { tray, ovens: ovens.length, hasFan, film, racks: racksOf(kitchen) };
}

function onTrays(load: Laid, of: (id: string) => number, kitchen: Kitchen): Batches | undefined {
	const found = trayOf(kitchen);
	if (!found) return undefined;
	const { tray, ovens, hasFan, racks } = found;
	const whole = Math.ceil(valueOf(load.pieces, of) - 1e-9);
	const piece = pieceOf(load, of);
	const area = footprintArea(piece);
	const perTray = Math.max(1, Math.floor((fullest[load.sort] * tray.area) / area + 1e-9));
	const needed = Math.max(1, Math.ceil(whole / perTray));
	const vessels = Math.max(1, Math.min(needed, tray.count, racks));
	const side = Math.max(1, Math.min(ovens, Math.floor(tray.count / vessels)));
	const lanes = spread(
		whole,
		Array.from({ length: side }, () => ({ most: perTray * vessels })),
		true
	);
	const batches = batchesIn(lanes);
	const coverage = (Math.ceil(whole / batches) * area) / (tray.area * vessels);
	return {
		on: 'tray',
		whole,
		most: perTray * vessels,
		unit: 'pieces',
		batches,
		lanes,
		vessels,
		coverage,
		by: 'room',
		factor: trayFactor(vessels, hasFan),
		piece,
		vessel: tray,
		limit: { kind: 'tray', perTray, full: fullest[load.sort], needed, trays: tray.count, racks }
	};
}

function inPans(load: Laid, of: (id: string) => number, kitchen: Kitchen, atOnce: number): Batches | undefined {
	const kind = biggest(kitchen, 'frying pan') ? 'frying pan' : 'grill pan';
	const pan = biggest(kitchen, kind);
	if (!pan) return undefined;
	const whole = Math.ceil(valueOf(load.pieces, of) - 1e-9);
	const piece = pieceOf(load, of);
	const area = footprintArea(piece);
	const powers = burnerPowers(kitchen);
	/** Pieces that a pan holds and browns, each pan on the next burner. */
	const limits = (size: VesselSize, nth: number) => {
		const carried = crowdingArea({
			mass: 1.8,
			metal: 'carbon steel',
			diameter: size.length,
			power: powers[Math.min(nth, powers.length - 1)] ?? usualBurner * efficiency.induction.usual,
			ambient: roomOf(kitchen)
		});
		return {
			byRoom: Math.floor((fullest[load.sort] * size.area) / area + 1e-9),
			byHeat: Math.floor(carried / area + 1e-9)
		};
	};
	const first = limits(pan, 0);
	const [byRoom, byHeat] = [Math.max(1, first.byRoom), Math.max(1, first.byHeat)];
	const most = Math.min(byRoom, byHeat);
	const pans = ranked(kitchen, kind, atOnce, (size, nth) => {
		const own = limits(size, nth);
		return nth === 0 ? most : Math.min(own.byRoom, own.byHeat);
	});
	const lanes = spread(whole, pans, true);
	const batches = batchesIn(lanes);
	const by = byHeat < byRoom ? 'heat' : 'room';
	return {
		on: 'pan',
		whole,
		most,
		unit: 'pieces',
		batches,
		lanes,
		vessels: 1,
		coverage: (Math.ceil(lanes[0]?.each ?? 0) * area) / pan.area,
		by,
		factor: 1,
		piece,
		vessel: pan,
		limit: { kind: 'pan' }
	};
}

/** A griddle, a place of a grill, the floor of a wood oven beside its fire, where nobody measured them, m². */
const usualFace = { griddle: 0.12, grill: 0.15, 'wood oven': 0.3 } as const;
/** How full one layer may be: by what it lies on or swims in. */
const layerFull = { water: 1, oil: 0.7, steamer: 0.8 } as const;

/** Pieces side by side on hot metal, in water, in oil, in steam. */
function inOneLayer(
	load: Laid,
	of: (id: string) => number,
	kitchen: Kitchen,
	atOnce: number,
	held: VesselKind | undefined
): Batches | undefined {
	const whole = Math.ceil(valueOf(load.pieces, of) - 1e-9);
	const piece = pieceOf(load, of);
	const vessel = vesselOfLayer(load.on, kitchen, held);
	const isThere = kitchen.stations.some((s) => s.kind === load.on);
	const metal = load.on in usualFace ? usualFace[load.on as keyof typeof usualFace] : undefined;
	const area = metal === undefined ? vessel?.area : isThere ? metal : undefined;
	if (area === undefined) return undefined;
	const full =
		load.on === 'water' || load.on === 'oil' || load.on === 'steamer' ? layerFull[load.on] : fullest[load.sort];
	const footprint = footprintArea(piece);
	const mostOn = (room: number) => Math.floor((full * room) / footprint + 1e-9);
	const most = Math.max(1, mostOn(area));
	const side = vessel
		? ranked(kitchen, vessel.kind, atOnce, (size, nth) => (nth === 0 ? most : mostOn(size.area)))
		: Array.from({ length: atOnce }, () => ({ most }));
	const lanes = spread(whole, side, true);
	return {
		on: load.on,
		whole,
		most,
		unit: 'pieces',
		batches: batchesIn(lanes),
		lanes,
		vessels: 1,
		coverage: (Math.ceil(lanes[0]?.each ?? 0) * footprint) / area,
		by: 'room',
		factor: 1,
		piece,
		...(vessel ? { vessel } : {}),
		limit: { kind: 'layer', area, full }
	};
}

/** What water or oil is in: the vessel of the technique, else the largest pot. */
function potFor(kitchen: Kitchen, held: VesselKind | undefined) {
	const own = held === 'pot' || held === 'saucepan' ? biggest(kitchen, held) : undefined;
	return own ?? biggest(kitchen, 'pot') ?? biggest(kitchen, 'saucepan');
}

function vesselOfLayer(on: Laid['on'], kitchen: Kitchen, held: VesselKind | undefined) {
	if (on === 'steamer') return biggest(kitchen, 'steamer basket');
	return on === 'water' || on === 'oil' ? potFor(kitchen, held) : undefined;
}

const racksOf = (kitchen: Kitchen) => Math.max(0, ...kitchen.stations.map((s) => (s.kind === 'oven' ? s.racks : 0)));

/** In dishes of a depth, a rack each; where those are not enough, in batches. */
function inDishes(load: LoadOf<'dish'>, of: (id: string) => number, kitchen: Kitchen): Batches | undefined {
	const dish = biggest(kitchen, 'dish');
	if (!dish) return undefined;
	const whole = valueOf(load.litres, of);
	// No deeper than asked, nor than the dish is.
	const each = Math.min(dish.litres, 1000 * dish.area * valueOf(load.depth, of));
	const needed = Math.max(1, Math.ceil(whole / each - 1e-9));
	const dishes = Math.max(1, Math.min(dish.count, racksOf(kitchen)));
	const vessels = Math.min(needed, dishes);
	const ovens = kitchen.stations.filter((s) => s.kind === 'oven').length;
	const side = Math.max(1, Math.min(ovens, Math.floor(dish.count / vessels)));
	const lanes = spread(
		whole,
		Array.from({ length: side }, () => ({ most: each * vessels })),
		false
	);
	return {
		...plain,
		on: 'dish',
		whole,
		most: each * vessels,
		unit: 'l',
		batches: batchesIn(lanes),
		lanes,
		vessels,
		limit: { kind: 'dish', each, needed, dishes }
	};
}

/** Over the base of a pan, heaped in a basket, in bags in a bath. */
function byRoomAlone(
	load: LoadOf<'base'> | Extract<Load, { on: 'basket' | 'bath' }>,
	of: (id: string) => number,
	kitchen: Kitchen,
	atOnce: number,
	held: VesselKind | undefined
): Batches | undefined {
	const room = roomFor(load.on, kitchen, held);
	if (!room) return undefined;
	const whole = valueOf(load.on === 'base' ? load.litres : load.kilograms, of);
	const side = room.vessel
		? ranked(kitchen, room.vessel, atOnce, room.mostIn)
		: Array.from({ length: atOnce }, () => ({ most: room.most }));
	const lanes = spread(whole, side, false);
	return {
		...plain,
		on: load.on,
		whole,
		most: room.most,
		unit: load.on === 'base' ? 'l' : 'kg',
		batches: batchesIn(lanes),
		lanes,
		limit: room.limit
	};
}

/** One vessel, a matter of room, no longer than usual. */
const plain = { vessels: 1, coverage: 0, by: 'room', factor: 1 } as const;

interface Room {
	readonly most: number;
	readonly limit: LoadLimit;
	/** The kind of vessel, and what one of another size takes. */
	readonly vessel?: VesselKind;
	readonly mostIn: (size: VesselSize) => number;
}

function roomFor(on: 'base' | 'basket' | 'bath', kitchen: Kitchen, held: VesselKind | undefined): Room | undefined {
	if (on === 'base') {
		const own = held === 'saucepan' ? biggest(kitchen, held) : undefined;
		const pan = own ?? biggest(kitchen, 'frying pan') ?? biggest(kitchen, 'saucepan');
		const mostIn = ({ area }: VesselSize) => perBase * area;
		return pan && { most: mostIn(pan), limit: { kind: 'base', area: pan.area }, vessel: pan.kind, mostIn };
	}
	if (on === 'basket') {
		const basket = biggest(kitchen, 'steamer basket');
		const mostIn = ({ litres }: VesselSize) => heaped * litres;
		return (
			basket && { most: mostIn(basket), limit: { kind: 'basket', litres: basket.litres }, vessel: basket.kind, mostIn }
		);
	}
	const bath = kitchen.stations.find((s) => s.kind === 'water bath');
	if (bath?.kind !== 'water bath') return undefined;
	const litres = bath.litres ?? usualStation['water bath'].litres;
	const most = bathFull * litres;
	return { most, limit: { kind: 'bath', litres }, mostIn: () => most };
}

function inPot(
	load: LoadOf<'pot'>,
	of: (id: string) => number,
	kitchen: Kitchen,
	atOnce: number,
	held: VesselKind | undefined
): Batches | undefined {
	const pot = potFor(kitchen, held);
	if (!pot) return undefined;
	const whole = valueOf(load.kilograms, of);
	// What goes in takes its own room, and a fifth stays free for the boil.
	const { litres: perKilogram = litresPerKilogram, drop = mostDrop } = load;
	const waterIn = ({ litres }: VesselSize) => (potFull * litres * perKilogram) / (perKilogram + 1);
	const boil = boilingPoint(kitchen.altitude);
	const powers = burnerPowers(kitchen);
	/** Kilograms that a pot holds, and that do not stop its boil, each pot on the next burner. */
	const limits = (size: VesselSize, nth: number) => {
		const body = {
			mass: waterIn(size),
			pot: 600,
			power: powers[Math.min(nth, powers.length - 1)] ?? strongest(kitchen),
			efficiency: 1,
			loss: potLoss(waterIn(size), true),
			ambient: roomOf(kitchen)
		};
		const food = { c: foodProperties('green vegetable').c, start: valueOf(load.start, of) };
		return {
			byRoom: (potFull * size.litres) / (perKilogram + 1),
			// What starts in little water comes up with it.
			byHeat: perKilogram < swimming ? Infinity : largestLoad(body, food, boil, drop)
		};
	};
	const { byRoom, byHeat } = limits(pot, 0);
	const most = Math.min(byRoom, byHeat);
	const pots = ranked(kitchen, pot.kind, atOnce, (size, nth) => {
		const own = limits(size, nth);
		return Math.min(own.byRoom, own.byHeat);
	});
	const lanes = spread(whole, pots, false);
	const by = byHeat < byRoom ? 'heat' : 'room';
	return {
		on: 'pot',
		whole,
		most,
		unit: 'kg',
		batches: batchesIn(lanes),
		lanes,
		vessels: 1,
		coverage: 0,
		by,
		factor: 1,
		limit: { kind: 'pot', litres: waterIn(pot), drop }
	};
}

function inOil(
	load: LoadOf<'fryer'>,
	of: (id: string) => number,
	kitchen: Kitchen,
	atOnce: number
): Batches | undefined {
	const fryer = kitchen.stations.find((s) => s.kind === 'fryer');
	const pot = biggest(kitchen, 'pot');
	// Without a fryer a pot of oil, half full at the most.
	const { litres = usualStation.fryer.litres, power = usualStation.fryer.power } =
		fryer?.kind === 'fryer' ? fryer : { litres: pot && oilFull * pot.litres, power: strongest(kitchen) };
	if (fryer === undefined && pot === undefined) return undefined;
	const oil: Oil = { mass: 0.92 * litres, power: 0.9 * power, loss: 5, ambient: roomOf(kitchen) };
	const whole = valueOf(load.kilograms, of);
	const { rho } = foodProperties('potato');
	const byHeat = largestFry(oil, { density: rho, sides: load.sides }, 175);
	const byRoom = perLitreOil * litres;
	const most = Math.max(0.05, Math.min(byRoom, byHeat));
	const lanes = spread(
		whole,
		Array.from({ length: fryer ? atOnce : 1 }, () => ({ most })),
		false
	);
	const by = byHeat < byRoom ? 'heat' : 'room';
	return {
		on: 'fryer',
		whole,
		most,
		unit: 'kg',
		batches: batchesIn(lanes),
		lanes,
		vessels: 1,
		coverage: 0,
		by,
		factor: 1,
		limit: { kind: 'fryer', litres }
	};
}
