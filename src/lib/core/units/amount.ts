// An ingredient's amount as the cook likes to measure: by weight, in ounces, or by spoon and cup where its density is known.
import { densityOf } from '../foods/ingredients';
import { printMass, printVolume } from './print';

export const measures = ['metric', 'us', 'spoons'] as const;
export type Measure = (typeof measures)[number];

/**
 * An amount in words.
 *
 * @param value in the unit
 * @param ingredient its name: by spoons and cups a weight needs its density, and stays a weight where that is not known
 */
export function printAmount(value: number, unit: 'g' | 'ml' | 'pieces', ingredient: string, measure: Measure): string {
	if (unit === 'pieces') return String(Number(value.toFixed(1)));
	const density = densityOf(ingredient);
	switch (measure) {
		case 'metric':
			return unit === 'g' ? printMass(value) : printVolume(value);
		case 'us':
			if (unit === 'g') return printMass(value, 'us');
			return printVolume(value, 'us');
		case 'spoons':
			if (unit === 'ml') return printVolume(value, 'us');
			return density === undefined ? printMass(value) : printVolume(value / density, 'us');
	}
}

/** How a number in one of our units is shown and stepped: shown = value × times + plus. */
export interface Shown {
	readonly unit: string;
	readonly times: number;
	readonly plus: number;
	readonly step: number;
}

const plain = (unit: string, step = 1): Shown => ({ unit, times: 1, plus: 0, step });
const foreign: Readonly<Record<string, Shown>> = {
	mm: { unit: 'in', times: 1 / 25.4, plus: 0, step: 0.05 },
	g: { unit: 'oz', times: 1 / 28.349523125, plus: 0, step: 0.25 },
	'°C': { unit: '°F', times: 1.8, plus: 32, step: 1 },
	K: { unit: '°F', times: 1.8, plus: 0, step: 1 },
	cm: { unit: 'in', times: 1 / 2.54, plus: 0, step: 0.5 },
	kg: { unit: 'lb', times: 1 / 0.45359237, plus: 0, step: 0.25 },
	ml: { unit: 'fl oz', times: 1 / 29.5735295625, plus: 0, step: 0.5 },
	l: { unit: 'qt', times: 1.0566882094326, plus: 0, step: 0.5 },
	m: { unit: 'ft', times: 1 / 0.3048, plus: 0, step: 100 }
};

/** How a cook who measures so sees a unit. */
export function shownIn(unit: string, measure: Measure): Shown {
	return (measure === 'metric' ? undefined : foreign[unit]) ?? plain(unit, unit === 'g' ? 10 : 1);
}

/** A value as it is shown, to a hundredth, and what is typed back as a value. */
export const toShown = (value: number, { times, plus }: Shown) => Math.round((value * times + plus) * 100) / 100;
export const fromShown = (shown: number, { times, plus }: Shown) => (shown - plus) / times;
