// All techniques that ship with Juntos, by id: one file per family, which alone knows what is in it.
import type { Technique } from '../model/technique';
import { breadsAndDrinks } from './techniques/breads-and-drinks';
import { ducks } from './techniques/duck';
import { beatenEggs } from './techniques/beaten-eggs';
import { eggWays } from './techniques/eggs';
import { shellEggs } from './techniques/eggs-in-the-shell';
import { fishes } from './techniques/fish';
import { garnishes } from './techniques/garnishes';
import { grainsAndPulses } from './techniques/grains-and-pulses';
import { minceAndCutlets } from './techniques/mince-and-cutlets';
import { potatoesAndOnions } from './techniques/potatoes-and-onions';
import { poultry } from './techniques/poultry';
import { wholeCuts } from './techniques/roasts';
import { sauces } from './techniques/sauces';
import { seafood } from './techniques/seafood';
import { slowMeats } from './techniques/slow-meat';
import { soupsAndTarts } from './techniques/soups-and-tarts';
import { starches } from './techniques/starches';
import { steaks } from './techniques/steaks';
import { sweets } from './techniques/sweets';
import { vegetableDishes } from './techniques/vegetable-dishes';
import { vegetables } from './techniques/vegetables';

const families: readonly (readonly Technique[])[] = [
	ducks,
	steaks,
	wholeCuts,
	poultry,
	minceAndCutlets,
	slowMeats,
	fishes,
	seafood,
	eggWays,
	beatenEggs,
	shellEggs,
	vegetableDishes,
	vegetables,
	starches,
	grainsAndPulses,
	potatoesAndOnions,
	sauces,
	soupsAndTarts,
	garnishes,
	breadsAndDrinks,
	sweets
];

export const library: ReadonlyMap<string, Technique> = new Map(families.flat().map((t) => [t.id, t]));
