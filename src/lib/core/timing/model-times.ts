// A step's time from the kitchen science: the model that its technique names, with this part, this kitchen, this place.
import { valueOf, type TimeModel } from '../model/time-model';
import type { Circumstance, Computed, Computer, Computers, Value } from './computing';
import { handwork } from './handwork';
import { panned } from './panned';
import { roasting } from './roasting';
import { wet } from './wet';

const computers: Computers<TimeModel['kind']> = { ...handwork, ...roasting, ...panned, ...wet };

/** What of the circumstance a model looks at besides the kitchen: places that are alike in it have the same time. */
const looks: Readonly<Record<TimeModel['kind'], 'burner' | 'oven' | 'nothing'>> = {
	boil: 'burner',
	knife: 'nothing',
	pieces: 'nothing',
	'boiled-egg': 'nothing',
	egg: 'nothing',
	roast: 'oven',
	rest: 'nothing',
	pan: 'nothing',
	'pan-rest': 'nothing',
	immerse: 'nothing',
	bake: 'oven',
	temper: 'nothing',
	soften: 'nothing',
	crust: 'nothing',
	'hot-pan': 'burner',
	'hot-oil': 'burner',
	reduce: 'burner',
	simmer: 'burner',
	pasteurise: 'nothing',
	reheat: 'burner',
	starch: 'nothing'
};

/** What of its place a model looks at. */
export function looksAt(model: TimeModel): 'burner' | 'oven' | 'nothing' {
	if (model.kind === 'egg' && model.together !== undefined) return 'burner';
	const isInPlace = (model.kind === 'soften' || model.kind === 'immerse') && model.in === 'place';
	return isInPlace ? 'oven' : looks[model.kind];
}

/** Compute a step's time; quantities that name a parameter are looked up by `of`. */
export function compute(model: TimeModel, of: (id: string) => number, at: Circumstance): Computed {
	const value: Value = (q) => valueOf(q, of);
	// Each model is computed in its own row, which TypeScript cannot follow through the union.
	const computer = computers[model.kind] as Computer<TimeModel['kind']>;
	return computer(model, value, at);
}
