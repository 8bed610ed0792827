// A pan: how long until it is hot, how much it carries, the crust, and when the fat smokes.
import { fats, type Fat } from '../foods/fats';
import { equilibrium, lumpedTime, withSink, type Lumped } from './lumped';

/** Specific heats of what pans are made of, J/(kg K) (Incropera & DeWitt 2007). */
const metals = {
	'cast iron': 460,
	'carbon steel': 490,
	stainless: 500,
	copper: 385,
	aluminium: 900,
	clad: 650,
	ceramic: 850
} as const;
type Metal = keyof typeof metals;

/** Loss of a hot empty pan, W/(m² K) over its upper face, with the rim 30 % more. */
const openLoss = 20 * 1.3;
/** Film under food, and the wet face's temperature on loading (est.). */
const contact = { h: 350, wet: 105 };

export interface Pan {
	/** kg and metal. */
	readonly mass: number;
	readonly metal: Metal;
	/** Metres. */
	readonly diameter: number;
	/** Net power in, W; room °C. */
	readonly power: number;
	readonly ambient: number;
}

function panBody({ mass, metal, diameter, power, ambient }: Pan): Lumped {
	return { capacity: mass * metals[metal], power, loss: (openLoss * Math.PI * diameter * diameter) / 4, ambient };
}

/** Seconds from the room to a searing temperature; `Infinity` where the burner is too weak. */
export function preheatTime(pan: Pan, to: number): number {
	return to <= pan.ambient ? 0 : lumpedTime(panBody(pan), pan.ambient, to);
}

/** Where the pan comes to with so many m² of wet food on it, °C. */
export function loadedPan(pan: Pan, area: number): number {
	return equilibrium(withSink(panBody(pan), contact.h * area, contact.wet));
}

/** Most food, m², that the burner carries at 180 °C (crowding by heat); 0 where it does not get there empty. */
export function crowdingArea(pan: Pan): number {
	const { power, loss, ambient } = panBody(pan);
	return Math.max(0, (power - loss * (180 - ambient)) / (contact.h * (180 - contact.wet)));
}

/** Browning doses B = ∫2^((T − 150)/10) dt, s, of a face past its drying (est.; McGee 2004 on where browning begins). */
export const browning = { golden: 60, brown: 150, bitter: 600 } as const;

/** Dose of a face held at a temperature. */
export function browningDose(celsius: number, seconds: number): number {
	return seconds * 2 ** ((celsius - 150) / 10);
}

/** Seconds until a wet face has dried on a pan, °C: the film of water, half of whose heat goes inward (est.). */
export function dryingTime(pan: number, isPatted: boolean): number {
	const film = 0.45e-3;
	const water = 1000 * film * 0.75 * 2.257e6;
	const flux = (contact.h * (pan - 100)) / 2;
	if (pan <= 100) return Infinity;
	return ((isPatted ? 0.5 : 1) * water) / flux;
}

/** Seconds per face for a crust, shortest, usual, longest: 90 s at 220 °C, 150 s at 190; below 170 °C it greys (est.). */
export function crustTime(pan: number): {
	readonly shortest: number;
	readonly usual: number;
	readonly longest: number;
} {
	if (pan < 170) return { shortest: Infinity, usual: Infinity, longest: Infinity };
	const usual = 90 * (150 / 90) ** ((220 - pan) / 30);
	return { shortest: usual / 1.5, usual, longest: usual * 2 };
}

/** What a pan's temperature means for a fat; reused fat smokes 20 K earlier, and burns about 120 K above its smoke point. */
export function smokeAt(fat: Fat, pan: number, isReused = false): 'calm' | 'ventilate' | 'smokes' | 'fire' {
	const low = fats[fat].smokes[0] - (isReused ? 20 : 0);
	if (pan >= low + 120) return 'fire';
	if (pan > low) return 'smokes';
	return pan > low - 10 ? 'ventilate' : 'calm';
}
