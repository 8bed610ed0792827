// Why what was typed into a number field is not taken, and what to write.
import { shownIn, toShown, type Measure } from '../units/amount';
import type { NumberField, Typed } from '../units/typed';

const examples: Readonly<Record<string, string>> = {
	mm: '40 mm, 4 cm or 1 1/2 in',
	cm: '28 cm or 11 in',
	m: '600 m or 2000 ft',
	g: '450 g, 1.2 kg or 1 1/2 lb',
	kg: '1.5 kg or 3 lb 5 oz',
	ml: '250 ml, 2.5 dl or 1 cup',
	l: '4 l or 1 1/2 quarts',
	'°C': '180, 180 °C or 350 °F',
	K: '5 or 9 °F',
	s: '90 s or 1 1/2 min',
	min: '12, 90 s or 1 h 10 min',
	h: '2, 1 1/2 or 90 min'
};

/**
 * @param because why the field ends where it does, as a sentence
 * @returns one or two sentences for the cook, in the cook's own units
 */
export function wordTyped(
	text: string,
	why: Extract<Typed, { ok: false }>['why'],
	{ unit, least, most }: NumberField,
	measure: Measure,
	because?: string
): string {
	const shown = shownIn(unit, measure);
	const words = (value: number) => `${toShown(value, shown)}${unit === '' ? '' : ` ${shown.unit}`}`;
	const like = examples[unit];
	switch (why) {
		case 'nothing':
			return `Nothing was written: it stays as it was. ${words(least)} to ${words(most)} will do.`;
		case 'not-a-number':
			return `“${text}” is not a number. Write it like ${like ?? words(least)}.`;
		case 'other-unit':
			return `“${text}” is of another kind. ${like === undefined ? 'A plain number is wanted' : `Write it like ${like}`}.`;
		case 'not-whole':
			return `“${text}” is not whole: give ${words(Math.max(least, 1))}, ${words(Math.max(least, 1) + 1)}, and so on.`;
		case 'too-little':
		case 'too-much': {
			const limit = why === 'too-little' ? `at least ${words(least)}` : `at most ${words(most)}`;
			return `“${text}” is ${why === 'too-little' ? 'too little' : 'too much'}: ${limit}.${because === undefined ? '' : ` ${because}`}`;
		}
	}
}
