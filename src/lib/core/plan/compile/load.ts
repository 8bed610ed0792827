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
import type { Load, Step } from '../../model/technique';
import { vesselSize, type VesselSize } from '../../model/vessel-size';
import { roomOf } from './places';
import { valueOf } from '../../timing/model-times';

export interface Batches {
	readonly on: Load['on'];
	/** Pieces, kilograms or litres in all; the most that goes in at once. */
	readonly whole: number;
	readonly most: number;
	readonly unit: 'pieces' | 'kg' | 'l';
	/** One after the other. */
	readonly batches: number;
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
/** A pot boils on while its load drops it by no more than this, K (est.). */
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

const strongest = (kitchen: Kitchen) =>
	Math.max(
		0,
		...kitchen.stations.map((s) => (s.kind === 'burner' ? (s.measured ?? s.power * efficiency[s.fuel].usual) : 0))
	) || usualBurner * efficiency.induction.usual;

function biggest(kitchen: Kitchen, kind: VesselKind, fits: (size: VesselSize) => boolean = () => true) {
	const sizes = kitchen.vessels
		.filter((v) => v.kind === kind && v.count > 0)
		.map((v) => ({ ...vesselSize(v), name: `${v.name}, ${v.size}`, count: v.count }))
		.filter(fits)
		.sort((a, b) => b.area * b.litres - a.area * a.litres);
	const [first] = sizes;
	return first && { ...first, count: sizes.reduce((sum, s) => sum + s.count, 0) };
}

/** Batches of a step's load in a kitchen; `undefined` where it has none, or the kitchen lacks the vessel or the fryer. */
export function batchesOf(step: Step, of: (id: string) => number, kitchen: Kitchen): Batches | undefined {
	const { load } = step;
	if (!load) return undefined;
	switch (load.on) {
		case 'tray':
			return onTrays(load, of, kitchen);
		case 'pan':
			return inPans(load, of, kitchen);
		case 'griddle':
		case 'grill':
		case 'wood oven':
		case 'water':
		case 'oil':
		case 'steamer':
			return inOneLayer(load, of, kitchen);
		case 'pot':
			return inPot(load, of, kitchen);
		case 'fryer':
			return inOil(load, of, kitchen);
		case 'dish':
			return inDishes(load, of, kitchen);
		case 'base':
		case 'basket':
		case 'bath':
			return byRoomAlone(load, of, kitchen);
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

function onTrays(load: Laid, of: (id: string) => number, kitchen: Kitchen): Batches | undefined {
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
	if (!tray) return undefined;
	const whole = Math.ceil(valueOf(load.pieces, of) - 1e-9);
	const piece = pieceOf(load, of);
	const area = footprintArea(piece);
	const perTray = Math.max(1, Math.floor((fullest[load.sort] * tray.area) / area + 1e-9));
	const needed = Math.max(1, Math.ceil(whole / perTray));
	const racks = racksOf(kitchen);
	const vessels = Math.max(1, Math.min(needed, tray.count, racks));
	const batches = Math.ceil(needed / vessels);
	const coverage = (Math.ceil(whole / batches) * area) / (tray.area * vessels);
	return {
		on: 'tray',
		whole,
		most: perTray * vessels,
		unit: 'pieces',
		batches,
		vessels,
		coverage,
		by: 'room',
		factor: trayFactor(
			vessels,
			ovens.some((s) => s.fan)
		),
		piece,
		vessel: tray,
		limit: { kind: 'tray', perTray, full: fullest[load.sort], needed, trays: tray.count, racks }
	};
}

function inPans(load: Laid, of: (id: string) => number, kitchen: Kitchen): Batches | undefined {
	const pan = biggest(kitchen, 'frying pan') ?? biggest(kitchen, 'grill pan');
	if (!pan) return undefined;
	const whole = Math.ceil(valueOf(load.pieces, of) - 1e-9);
	const piece = pieceOf(load, of);
	const area = footprintArea(piece);
	const carried = crowdingArea({
		mass: 1.8,
		metal: 'carbon steel',
		diameter: pan.length,
		power: strongest(kitchen),
		ambient: roomOf(kitchen)
	});
	const byRoom = Math.max(1, Math.floor((fullest[load.sort] * pan.area) / area + 1e-9));
	const byHeat = Math.max(1, Math.floor(carried / area + 1e-9));
	const most = Math.min(byRoom, byHeat);
	const batches = Math.max(1, Math.ceil(whole / most));
	const by = byHeat < byRoom ? 'heat' : 'room';
	return {
		on: 'pan',
		whole,
		most,
		unit: 'pieces',
		batches,
		vessels: 1,
		coverage: (Math.ceil(whole / batches) * area) / pan.area,
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
function inOneLayer(load: Laid, of: (id: string) => number, kitchen: Kitchen): Batches | undefined {
	const whole = Math.ceil(valueOf(load.pieces, of) - 1e-9);
	const piece = pieceOf(load, of);
	const vessel = vesselOfLayer(load.on, kitchen);
	const isThere = kitchen.stations.some((s) => s.kind === load.on);
	const metal = load.on in usualFace ? usualFace[load.on as keyof typeof usualFace] : undefined;
	const area = metal === undefined ? vessel?.area : isThere ? metal : undefined;
	if (area === undefined) return undefined;
	const full =
		load.on === 'water' || load.on === 'oil' || load.on === 'steamer' ? layerFull[load.on] : fullest[load.sort];
	const footprint = footprintArea(piece);
	const most = Math.max(1, Math.floor((full * area) / footprint + 1e-9));
	const batches = Math.max(1, Math.ceil(whole / most));
	return {
		on: load.on,
		whole,
		most,
		unit: 'pieces',
		batches,
		vessels: 1,
		coverage: (Math.ceil(whole / batches) * footprint) / area,
		by: 'room',
		factor: 1,
		piece,
		...(vessel ? { vessel } : {}),
		limit: { kind: 'layer', area, full }
	};
}

function vesselOfLayer(on: Laid['on'], kitchen: Kitchen) {
	if (on === 'steamer') return biggest(kitchen, 'steamer basket');
	return on === 'water' || on === 'oil' ? (biggest(kitchen, 'pot') ?? biggest(kitchen, 'saucepan')) : undefined;
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
	return {
		...plain,
		on: 'dish',
		whole,
		most: each * vessels,
		unit: 'l',
		batches: Math.ceil(needed / vessels),
		vessels,
		limit: { kind: 'dish', each, needed, dishes }
	};
}

/** Over the base of a pan, heaped in a basket, in bags in a bath. */
function byRoomAlone(
	load: LoadOf<'base'> | Extract<Load, { on: 'basket' | 'bath' }>,
	of: (id: string) => number,
	kitchen: Kitchen
): Batches | undefined {
	const room = roomFor(load.on, kitchen);
	if (!room) return undefined;
	const whole = valueOf(load.on === 'base' ? load.litres : load.kilograms, of);
	const batches = Math.max(1, Math.ceil(whole / room.most - 1e-9));
	return {
		...plain,
		on: load.on,
		whole,
		most: room.most,
		unit: load.on === 'base' ? 'l' : 'kg',
		batches,
		limit: room.limit
	};
}

/** One vessel, a matter of room, no longer than usual. */
const plain = { vessels: 1, coverage: 0, by: 'room', factor: 1 } as const;

function roomFor(
	on: 'base' | 'basket' | 'bath',
	kitchen: Kitchen
): { readonly most: number; readonly limit: LoadLimit } | undefined {
	if (on === 'base') {
		const pan = biggest(kitchen, 'frying pan') ?? biggest(kitchen, 'saucepan');
		return pan && { most: perBase * pan.area, limit: { kind: 'base', area: pan.area } };
	}
	if (on === 'basket') {
		const basket = biggest(kitchen, 'steamer basket');
		return basket && { most: heaped * basket.litres, limit: { kind: 'basket', litres: basket.litres } };
	}
	const bath = kitchen.stations.find((s) => s.kind === 'water bath');
	if (bath?.kind !== 'water bath') return undefined;
	const litres = bath.litres ?? usualStation['water bath'].litres;
	return { most: bathFull * litres, limit: { kind: 'bath', litres } };
}

function inPot(load: LoadOf<'pot'>, of: (id: string) => number, kitchen: Kitchen): Batches | undefined {
	const pot = biggest(kitchen, 'pot') ?? biggest(kitchen, 'saucepan');
	if (!pot) return undefined;
	const whole = valueOf(load.kilograms, of);
	// What goes in takes its own room, and a fifth stays free for the boil.
	const { litres: perKilogram = litresPerKilogram } = load;
	const water = (potFull * pot.litres * perKilogram) / (perKilogram + 1);
	const boil = boilingPoint(kitchen.altitude);
	const body = {
		mass: water,
		pot: 600,
		power: strongest(kitchen),
		efficiency: 1,
		loss: potLoss(water, true),
		ambient: roomOf(kitchen)
	};
	// What starts in little water comes up with it.
	const byHeat =
		perKilogram < swimming
			? Infinity
			: largestLoad(body, { c: foodProperties('green vegetable').c, start: valueOf(load.start, of) }, boil, mostDrop);
	const byRoom = (potFull * pot.litres) / (perKilogram + 1);
	const most = Math.min(byRoom, byHeat);
	const batches = Math.max(1, Math.ceil(whole / most - 1e-9));
	const by = byHeat < byRoom ? 'heat' : 'room';
	return {
		on: 'pot',
		whole,
		most,
		unit: 'kg',
		batches,
		vessels: 1,
		coverage: 0,
		by,
		factor: 1,
		limit: { kind: 'pot', litres: water, drop: mostDrop }
	};
}

function inOil(load: LoadOf<'fryer'>, of: (id: string) => number, kitchen: Kitchen): Batches | undefined {
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
	const batches = Math.max(1, Math.ceil(whole / most - 1e-9));
	const by = byHeat < byRoom ? 'heat' : 'room';
	return {
		on: 'fryer',
		whole,
		most,
		unit: 'kg',
		batches,
		vessels: 1,
		coverage: 0,
		by,
		factor: 1,
		limit: { kind: 'fryer', litres }
	};
}
