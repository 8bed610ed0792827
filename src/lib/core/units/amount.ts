// An ingredient's amount as the cook likes to measure: by weight, in ounces, or by spoon and cup where its density is known.
import { densityOf } from './density';
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
