// Pieces of meat, poultry and fish through all of their heat: seared, roasted, grilled, fried, poached, rested, as one run.
import { crusts, type CrustKind } from '../heat/crusts';
import { MoistBody, placeAt, type Around, type MoistSolid, type Surroundings } from '../heat/moist';
import { foodProperties, type Food } from '../heat/properties';
import { pulledOf, type Faces, type Heat, type Pulled, type Sequence, type Stage, type Told } from '../heat/pull';
import {
	aboveGrate,
	aboveTheFat,
	atRest,
	birdInOven,
	inOven,
	ladled,
	onGrate,
	onHearth,
	onItsTray,
	onPan,
	trayBelow,
	underVault,
	type Airflow,
	type Cover
} from '../heat/surroundings';
import { gatedLethality, type Organism } from '../safety/lethality';
import { advisedFor, type Advised } from '../safety/advised';
import type { Care } from '../model/time-facts';
import { remembering } from './remembering';

/** A pull further below the goal is no plan: the heat is too fierce for the size, K. */
const deepest = 16;
/** Nobody cooks one piece for longer, seconds. */
const longest = { pan: 2 * 3600, oven: 16 * 3600 };
/** Steps of time, seconds: roasts, pieces, pans and grills. */
const steps = { roast: 10, piece: 5, pan: 1.5, sear: 2.5 };
/** Pieces at least so thick change slowly enough for a roast's step, metres. */
const slow = 0.025;
/** Mean start of a piece that has lost its chill, °C (est.). */
const tempered = 9.5;
/** A goal is raised for safety by so much at a time, and no further than to the advised heat, K. */
const raise = 0.5;
/** A whole bird has no less in its breast, °C (computed for 1 to 2.5 kg with the gate's margins). */
const leastOfBird = 66;
/** Length of a roast by its thickness: what its ends let in, as a body between cylinder and sphere. */
const endsOf = 0.4 * (1 / 1.64) ** 4;

type Where =
	| ({ readonly kind: 'oven'; readonly setting: number } & Airflow)
	| { readonly kind: 'grill'; readonly setting: number; readonly isShut: boolean }
	| { readonly kind: 'wood oven'; readonly setting: number }
	| { readonly kind: 'pan'; readonly baste: number }
	/** Water, steam, a bath: film and temperature. */
	| { readonly kind: 'medium'; readonly h: number; readonly celsius: number };

export interface Piece {
	readonly food: Food;
	/** Full thickness or diameter, metres; of a bird its mass, kg. */
	readonly size: number;
	readonly shape: 'slab' | 'cylinder' | 'sphere' | 'bird';
	readonly face: CrustKind;
	/** Skin on the face below. */
	readonly skin: CrustKind | undefined;
	/** Longer by so much for its bone. */
	readonly bone: number;
	readonly start: number;
	readonly isTempered: boolean;
	readonly goal: number;
	readonly where: Where;
	/** Seconds between turns; 0: turned once, at a share of the time. */
	readonly turns: number;
	readonly turnedAt: number;
	/** A sear before, seconds a face: of both faces, all round, or of the skin from a cold pan; and one after a while. */
	readonly seared: { readonly seconds: number; readonly how: 'faces' | 'skin' } | undefined;
	readonly finish: { readonly seconds: number; readonly wait: number; readonly faces: 1 | 2 } | undefined;
	/** How it rests; absent: it is eaten as it comes off. */
	readonly rest: Cover | 'served';
	readonly room: number;
	readonly altitude: number;
	/** Length of a roll, metres; absent: as roasts are tied. */
	readonly length?: number;
}

export interface Cooked extends Pulled {
	/** Mass lost until it is ready, %. */
	readonly loss: number;
	/** The goal that was planned for, °C, where safety raised it, and the log reductions that were reached. */
	readonly goal: number;
	readonly raised: number | undefined;
	readonly logs: number | undefined;
	readonly care: readonly Care[];
}

const isFish = (food: Food) => food === 'white fish' || food === 'salmon';

/** Shortest and longest rest by size, seconds. */
function restOf({ food, shape, size, rest }: Piece): readonly [number, number] {
	if (rest === 'served' || isFish(food)) return [60, 180];
	if (shape === 'bird') return [600, 1200];
	if (size <= 0.025) return [180, 480];
	if (size <= 0.05) return [300, 600];
	if (size <= 0.09) return [480, 1200];
	return [600, 1800];
}

function bodyOf(p: Piece): MoistSolid {
	const { k, alpha } = foodProperties(p.food);
	const material = { k, alpha: alpha / p.bone };
	const outer = crusts[p.face];
	switch (p.shape) {
		case 'slab':
			return { ...material, size: p.size, p: 0, outer, inner: crusts[p.skin ?? p.face] };
		case 'cylinder': {
			const ends = p.length === undefined ? endsOf : 0.4 * (p.size / p.length) ** 4;
			return { ...material, size: p.size / 2, p: Math.min(2, 1 + ends), outer };
		}
		case 'sphere':
			return { ...material, size: p.size / 2, p: 2, outer };
		case 'bird':
			// A shell, insulated inside: its cavity only follows.
			return { ...material, size: 0.022 * (p.size / 1.5) ** (1 / 3), p: 0, outer: crusts.skin };
	}
}

/** A bird as wide as it is thick across its breast, metres, by its mass: what a probe's place is uncertain by. */
export const wideOf = (kilograms: number) => 0.044 * (kilograms / 1.5) ** (1 / 3);

/** m² of faces for each kg; of a slab for the mean of its two. */
function areaOf(p: Piece): number {
	const { rho } = foodProperties(p.food, 40);
	switch (p.shape) {
		case 'slab':
			return 1 / (rho * p.size);
		case 'cylinder':
			return (2 + endsOf) / (rho * (p.size / 2));
		case 'sphere':
			return 3 / (rho * (p.size / 2));
		case 'bird':
			return (0.13 * (p.size / 1.5) ** (2 / 3)) / p.size;
	}
}

/** Juice that runs, % (est.). */
function dripOf({ food, shape }: Piece, mean: number): number {
	const drip = isFish(food) ? 0.5 * (mean - 40) : 0.6 * (mean - 48);
	return Math.min(20, Math.max(0, drip)) * (shape === 'bird' ? 0.7 : 1);
}

/** Both faces, or all round. */
const round = (p: Piece, around: Around): Surroundings =>
	p.shape === 'slab' ? { outer: around, inner: around } : { outer: around };

/** What the faces are like while they sizzle. */
function sizzling(p: Piece): Faces {
	const face = isFish(p.food) ? crusts.fish : crusts['seared meat'];
	return p.shape === 'slab' ? { outer: face, inner: p.skin ? crusts[p.skin] : face } : { outer: face };
}

/** A skin that was crisped below lies up in the oven. */
const flipped = (p: Piece, { outer, inner = outer }: Surroundings): Surroundings =>
	p.seared?.how === 'skin' ? { outer: inner, inner: outer } : { outer, inner };

function ovenAround(p: Piece, where: Extract<Where, { kind: 'oven' }>): Surroundings {
	switch (p.shape) {
		case 'slab':
			return flipped(p, {
				outer: inOven(where.setting, where, p.size),
				inner: trayBelow(where.setting, where, p.size)
			});
		case 'bird':
			return { outer: birdInOven(where.setting, where) };
		case 'cylinder':
		case 'sphere':
			return { outer: onItsTray(where.setting, where, p.size) };
	}
}

function heatOf(p: Piece): Heat {
	const { where } = p;
	const still = (around: Surroundings, step: number, faces?: Faces): Heat => ({
		how: { kind: 'still', around },
		step,
		longest: longest.oven,
		...(faces ? { faces } : {})
	});
	const turned = (down: Around, up: Around): Heat => {
		// What cannot lie on two faces is rolled: every side has its turn.
		if (p.shape !== 'slab')
			return { ...still({ outer: half(down, up) }, steps.pan, sizzling(p)), longest: longest.pan };
		const around = { inner: down, outer: up };
		const how =
			p.turns > 0
				? ({ kind: 'turned', every: p.turns, around } as const)
				: ({ kind: 'once', share: p.turnedAt, around } as const);
		return { how, step: steps.pan, faces: sizzling(p), longest: longest.pan };
	};
	switch (where.kind) {
		case 'oven':
			return still(ovenAround(p, where), p.shape === 'slab' && p.size < slow ? steps.piece : steps.roast, roasting(p));
		case 'grill':
			return turned(onGrate(where.setting), aboveGrate(where.isShut));
		case 'wood oven':
			return turned(onHearth(where.setting), underVault(where.setting));
		case 'pan':
			return turned(onPan.fried, ladled(where.baste));
		case 'medium': {
			const around: Around = { kind: 'contact', h: where.h, at: where.celsius };
			const wet = p.shape === 'slab' ? { outer: crusts.liquid, inner: crusts.liquid } : { outer: crusts.liquid };
			return still(round(p, around), steps.piece, wet);
		}
	}
}

/** In the oven a face is what its food is, also where it was seared before. */
function roasting(p: Piece): Faces {
	const outer = crusts[p.face];
	return p.shape === 'slab' ? { outer, inner: crusts[p.skin ?? p.face] } : { outer };
}

/** A face that is a third of the time on hot metal, and the rest of it above. */
function half(down: Around, up: Around): Around {
	if (down.kind !== 'contact' || up.kind !== 'air') return down;
	return { ...up, h: up.h + down.h / 3, air: (up.h * up.air + (down.h / 3) * down.at) / (up.h + down.h / 3) };
}

function searOf(p: Piece, seconds: number, faces: 1 | 2): readonly Stage[] {
	const step = steps.sear;
	if (p.shape !== 'slab') return [{ seconds, step, around: { outer: onPan.seared }, faces: sizzling(p) }];
	const first = { seconds, step, around: { inner: onPan.seared, outer: aboveTheFat }, faces: sizzling(p) };
	const second = { seconds, step, around: { inner: aboveTheFat, outer: onPan.seared }, faces: sizzling(p) };
	return faces === 1 ? [first] : [first, second];
}

function sequenceOf(p: Piece, goal: number): Sequence {
	const start = p.isTempered ? Math.max(p.start, tempered) : p.start;
	const place = placeAt(p.altitude);
	const cover = p.rest === 'served' ? 'bare' : p.rest;
	const before: Stage[] = [];
	if (p.seared?.how === 'faces') before.push(...searOf(p, p.seared.seconds, 2));
	if (p.seared?.how === 'skin') {
		const around = { inner: onPan['skin down'], outer: aboveTheFat };
		before.push({ seconds: p.seared.seconds, step: steps.sear, around, faces: sizzling(p) });
	}
	const restful = round(p, atRest(cover, p.room));
	const after: Stage[] = p.finish
		? [
				{ seconds: p.finish.wait, step: steps.roast, around: restful, faces: roasting(p) },
				...searOf(p, p.finish.seconds, p.finish.faces)
			]
		: [];
	const restFaces =
		p.where.kind === 'medium' && !p.finish
			? p.shape === 'slab'
				? { outer: crusts.liquid, inner: crusts.liquid }
				: { outer: crusts.liquid }
			: p.where.kind === 'oven' && !p.finish
				? roasting(p)
				: sizzling(p);
	return {
		body: new MoistBody(bodyOf(p), start, place),
		before,
		heat: heatOf(p),
		after,
		rest: { around: restful, step: p.shape === 'slab' && p.size < slow ? steps.piece : steps.roast, faces: restFaces },
		within: restOf(p),
		goal,
		// What no rest makes safe has its heat when it comes off.
		deepest: p.rest === 'served' && advisedFor(p.food)?.instead ? 0 : deepest
	};
}

/** A piece through its heat and its rest, so that it peaks at its goal, or higher where safety wants it so. */
export const cook: (piece: Piece) => Cooked = remembering((p: Piece): Cooked => {
	const advised = advisedFor(p.food);
	const instead = advised?.instead;
	// A bird is read in the breast, and its joints lag behind.
	let goal = p.shape === 'bird' && instead ? Math.max(p.goal, leastOfBird) : p.goal;
	let found = pulledOf(sequenceOf(p, goal));
	let told: Told = { history: [], resting: [] };
	const logsOf = () =>
		instead && found.peak < advised.celsius ? leastLethality((told = found.told()), instead.organism) : undefined;
	let logs = logsOf();
	while (advised && instead && logs !== undefined && logs < instead.logs && goal < advised.celsius) {
		goal = Math.min(advised.celsius, goal + raise);
		found = pulledOf(sequenceOf(p, goal));
		logs = logsOf();
	}
	const evaporated = 100 * areaOf(p) * found.evaporated;
	const care: Care[] = [];
	if (advised) {
		const isLethal = logs !== undefined && instead !== undefined && logs >= instead.logs;
		const { celsius, what, whose } = advised;
		if (found.peak < celsius - 0.25 && !isLethal)
			care.push({ kind: 'below-advised', peak: found.peak, advised: celsius, what, whose });
		if (instead && found.pull < celsius)
			care.push({ kind: 'check-after-rest', pull: found.pull, advised: Math.min(celsius, goal) });
		if (p.start > advised.warm[0]) {
			const isRefused = p.start > advised.warm[1];
			care.push({
				kind: 'start-too-warm',
				start: p.start,
				limit: isRefused ? advised.warm[1] : advised.warm[0],
				what,
				isRefused
			});
		}
	}
	if (found.isFierce) care.push({ kind: 'too-fierce', pull: found.pull, goal });
	if (p.where.kind === 'pan' && p.shape === 'slab') {
		const most = thickestIn(p);
		if (p.size > most + 1e-9) care.push({ kind: 'pan-too-thick', thickness: p.size, most });
	}
	return {
		...found,
		after: Math.max(found.after, instead && logs !== undefined ? restFor(told, instead, restOf(p)) : 0),
		loss: evaporated + dripOf(p, found.mean),
		goal,
		raised: goal > p.goal ? p.goal : undefined,
		logs,
		care
	};
});

/** A moment of a piece: seconds since it went on, what a probe reads, half way to its outer face, that face and the other one, °C. */
export interface Moment {
	readonly at: number;
	readonly reading: number;
	readonly between: number;
	readonly face: number;
	readonly other: number;
}

const momentOf = (body: MoistBody, at: number): Moment => ({
	at,
	reading: body.reading,
	between: body.between,
	face: body.front,
	other: body.T[0] ?? 0
});

/** A piece as it goes: so long in its heat, however far that takes it, and so long at rest; looked at every few seconds. */
export function goes(p: Piece, seconds: number, resting: number): readonly Moment[] {
	const { body, before, heat, rest } = sequenceOf(p, p.goal);
	const moments: Moment[] = [];
	let began = 0;
	const look = (at: number) => {
		if (at - (moments.at(-1)?.at ?? -Infinity) < looks && at > 0) return;
		moments.push(momentOf(body, at));
	};
	const pass = (long: number, step: number, around: Surroundings) => {
		body.run(long, step, around, (t) => {
			look(began + t);
		});
		began += long;
	};
	look(0);
	for (const stage of before) {
		if (stage.faces) body.dress(stage.faces);
		pass(stage.seconds, stage.step, stage.around);
	}
	if (heat.faces) body.dress(heat.faces);
	const { how } = heat;
	const turned = { outer: how.around.inner ?? how.around.outer, inner: how.around.outer };
	if (how.kind === 'still') pass(seconds, heat.step, how.around);
	else {
		const every = how.kind === 'once' ? seconds * how.share : how.every;
		for (let at = 0, n = 0; at < seconds - 1e-9; n++) {
			const long = how.kind === 'once' && n === 1 ? seconds - at : Math.min(every, seconds - at);
			pass(long, heat.step, n % 2 === 0 ? how.around : turned);
			at += long;
		}
	}
	moments.push(momentOf(body, began));
	if (rest.faces) body.dress(rest.faces);
	pass(resting, rest.step, rest.around);
	return moments;
}

/** How often a piece is looked at, seconds. */
const looks = 5;

/** Log reductions of the layer that has least, over heat and rest. */
const leastLethality = ({ history, resting }: Told, organism: Organism) =>
	Math.min(...history.map((layer, i) => gatedLethality([...layer, ...(resting[i] ?? [])], organism)));

/** Seconds of rest until heat and rest have made every layer safe, in stretches of the rest that is looked at. */
function restFor(
	{ history, resting }: Told,
	{ organism, logs }: NonNullable<Advised['instead']>,
	[, most]: readonly [number, number]
): number {
	const needed = history.map((layer, i) => {
		let had = gatedLethality(layer, organism);
		let at = 0;
		for (const stretch of resting[i] ?? []) {
			if (had >= logs) break;
			had += gatedLethality([stretch], organism);
			at += stretch.seconds;
		}
		return at;
	});
	return Math.min(most, Math.max(0, ...needed));
}

/** Above this the crust is past brown before the middle is warm, metres. */
function thickestIn({ food, turns }: Piece): number {
	if (food === 'poultry breast' || food === 'poultry thigh') return 0.025;
	return turns > 0 ? 0.038 : 0.028;
}
