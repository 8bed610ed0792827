// The heat that the agencies advise for each kind of food, whose advice it is, what may stand in its stead, how cold it
// begins. Advice and a gate: local codes decide.
import type { Food } from '../heat/properties';
import { organisms, type Organism } from './lethality';

export interface Advised {
	/** Core, °C. */
	readonly celsius: number;
	/** What it is called in the tables, and in whose. */
	readonly what: string;
	readonly whose: string;
	/** A computed lethality that stands in its stead: log reductions over heat and rest; absent: only a caution, by custom. */
	readonly instead?: { readonly organism: Organism; readonly logs: number };
	/** Starts warmer than this are cautioned, and refused, °C. */
	readonly warm: readonly [caution: number, refused: number];
}

const us = 'USDA FSIS safe minimum temperatures';
const poultry: Advised = {
	celsius: 74,
	what: 'poultry',
	whose: us,
	instead: { organism: organisms['Salmonella in poultry'], logs: 7 },
	warm: [8, 15]
};
const red: Advised = { celsius: 63, what: 'whole cuts', whose: us, warm: [15, Infinity] };
const fish: Advised = { celsius: 63, what: 'fish', whose: us, warm: [8, 15] };

const table: Partial<Record<Food, Advised>> = {
	'poultry breast': poultry,
	'poultry thigh': poultry,
	'duck breast': { celsius: 74, what: 'duck', whose: us, warm: [8, 15] },
	pork: {
		celsius: 63,
		what: 'pork',
		whose: us,
		instead: { organism: organisms['Salmonella in red meat'], logs: 6.5 },
		warm: [15, Infinity]
	},
	mince: {
		celsius: 71,
		what: 'minced meat',
		whose: us,
		instead: { organism: organisms['E. coli in mince'], logs: 5 },
		warm: [8, 15]
	},
	'lean meat': red,
	'white fish': fish,
	salmon: fish
};

/** What is advised for a food; nothing for what needs no heat. */
export const advisedFor = (food: Food): Advised | undefined => table[food];
